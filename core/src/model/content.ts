import type { ToneText } from './tone';

/**
 * What a slot does, in plan terms: a channel to talk and listen on, the control channel of a trunked network, an area to sound for, an
 * ID, a text; or something of which nobody knows where it listens or sends.
 */
export type SlotContent = AirContent | AreaContent | IdContent | TextContent | UnseenContent;

/** What a place that listens to a frequency holds. */
export type AirContent = ChannelContent | NetworkContent;

/** A key is absent where the device has nothing that decides it (a set without names has no `name`). */
interface Heard {
  readonly receiveHz: number;
  readonly name?: string;
  readonly bandwidth?: string;
  /** How the set is modulated here, where that is set place by place. */
  readonly modulation?: string;
  /** Whether a scan comes by here; where the set has several scan sets, in which of them. */
  readonly inScan?: boolean | number;
  /** Whether the set looks here again and again while it listens elsewhere. */
  readonly hasPriority?: boolean;
  /** How long a scan stays after somebody spoke, in seconds; 0 where it moves on at once. */
  readonly resumeDelayS?: number;
  /** Whether the set makes and answers selective calls here. */
  readonly inCalls?: boolean;
}

/** A frequency to listen to, and where talk goes. */
export interface ChannelContent extends Heard {
  readonly kind: 'channel';
  /** `null` when pressing talk sends nothing. */
  readonly transmitHz: number | null;
  readonly transmitTone?: ToneText;
  readonly receiveTone?: ToneText;
  readonly powerW?: number;
}

/** The control channel of a trunked network: a set follows it and never sends there. */
export interface NetworkContent extends Heard {
  readonly kind: 'network';
}

/** An area that an alert radio sounds for. */
export interface AreaContent {
  readonly kind: 'area';
  /** Six digits, as an alert radio waits for them. */
  readonly areaCode: string;
}

/** Who a set is, or whom it can call. */
export interface IdContent {
  readonly kind: 'id';
  /** Its digits. */
  readonly fleetId?: string;
  readonly name?: string;
}

/** A text of its own: one that is sent by a key, or the name of a zone. */
export interface TextContent {
  readonly kind: 'text';
  readonly name: string;
}

/** The place is filled, and what decides where it listens or sends is not known. */
export interface UnseenContent {
  readonly kind: 'unseen';
  /** Where it listens, if that is known and only where it sends is not. */
  readonly receiveHz?: number;
}

/** Whether a place listens to a frequency that is known. */
export function isOnAir(content: SlotContent): content is AirContent {
  return content.kind === 'channel' || content.kind === 'network';
}

/** The tone that a place waits for before it lets anything through; a network's own signalling is none. */
export function awaitedTone(content: AirContent): ToneText {
  return (content.kind === 'channel' ? content.receiveTone : undefined) ?? 'off';
}

/** What two places are held against each other by, beside what they are called and what a scan makes of them. */
const ON_AIR = ['receiveHz', 'bandwidth', 'modulation'] as const satisfies readonly (keyof Heard)[];
const OF_CHANNEL = [
  'transmitHz',
  'transmitTone',
  'receiveTone',
  'powerW',
] as const satisfies readonly (keyof ChannelContent)[];

/** Whether two places do the same on the air, whatever they are called. */
export function sameContent(a: AirContent, b: AirContent): boolean {
  if (!ON_AIR.every((key) => a[key] === b[key])) return false;
  if (a.kind !== 'channel' || b.kind !== 'channel') return a.kind === b.kind;
  return OF_CHANNEL.every((key) => a[key] === b[key]);
}
