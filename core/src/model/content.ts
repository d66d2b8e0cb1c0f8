import type { ToneText } from './tone';

/**
 * What a slot does on the air, in plan terms. A key is absent where the device has nothing that decides it (a set without
 * names has no `name`).
 */
export interface SlotContent {
  /** 0 where the place holds no frequency, but an area code, an ID or a text. */
  readonly receiveHz: number;
  /** `null` when pressing talk sends nothing. */
  readonly transmitHz: number | null;
  readonly transmitTone?: ToneText;
  readonly receiveTone?: ToneText;
  readonly name?: string;
  readonly powerW?: number;
  readonly bandwidth?: string;
  /** How the set is modulated here, where that is set place by place. */
  readonly modulation?: string;
  /** Whether a scan comes by here; where the set has several scan sets, in which of them. */
  readonly inScan?: boolean | number;
  /** Whether the set looks here again and again while it listens elsewhere. */
  readonly hasPriority?: boolean;
  /** How long a scan stays after somebody spoke, in seconds; 0 where it moves on at once. */
  readonly resumeDelayS?: number;
  /** The ID of a set or of a call, as its digits. */
  readonly fleetId?: string;
  /** Six digits, as an alert radio waits for them. */
  readonly areaCode?: string;
}

/** Whether two places do the same on the air, whatever they are called. */
export function sameContent(a: SlotContent, b: SlotContent): boolean {
  return (
    a.receiveHz === b.receiveHz &&
    a.transmitHz === b.transmitHz &&
    a.transmitTone === b.transmitTone &&
    a.receiveTone === b.receiveTone &&
    a.powerW === b.powerW &&
    a.bandwidth === b.bandwidth &&
    a.modulation === b.modulation
  );
}
