import type { ChannelContent, ToneText } from '../model/index';
import { opens } from '../tones/index';
import type { RepeaterSides } from './repeater';

/** Where a call ends, in the order in which it meets these gates. */
export const HEAR_GATES = [
  'off',
  'place',
  'may-transmit',
  'transmit-frequency',
  'mode',
  'width',
  'station',
  'input-frequency',
  'input-tone',
  'talk-limit',
  'output-frequency',
  'receive-tone',
  'mute',
  'scan',
] as const;
export type HearGate = (typeof HEAR_GATES)[number];

/** One set on one channel, as far as that decides who hears whom. What nobody knows is unknown. */
export interface SetOnAir {
  /** Whether it is there and works. */
  readonly isOn: boolean | 'unknown';
  /** What stands at its place for the channel; `null` where it has none. */
  readonly place: ChannelContent | null | 'unknown';
  /** Whether whoever has it may send there. */
  readonly maySend: boolean | 'unknown';
  /** A tone that its operator picked by hand, in place of the place's own, and what it reaches; `off` where none is picked. */
  readonly picked: { readonly tone: ToneText | 'unknown'; readonly reach: 'transmit' | 'both' } | 'off';
  /** How it is modulated where no place says it. */
  readonly mode: string;
  /** Whether it lets nothing through to its loudspeaker just now, or is stopped at another channel by its scan. */
  readonly isMuted?: boolean | 'unknown';
  readonly isElsewhere?: boolean | 'unknown';
}

/** A repeater as it stands between two sets. */
export interface Between extends RepeaterSides {
  readonly status: 'on-air' | 'planned' | 'off-air' | 'gone' | 'unknown';
}

/** What comes of a call. */
export interface Hearing {
  /** Whether it is heard as far as sets and repeater decide; whether the signal reaches is another matter. */
  readonly hears: boolean | 'unknown';
  /** The first gate that stops it; where none does and one is not known, that one. */
  readonly gate: HearGate | null;
  /** What the gate needs and what came, as they are; empty where there is nothing to say. */
  readonly needs: string;
  readonly comes: string;
  /** How it sounds where the widths differ: a wide one in a narrow receiver is harsh, a narrow one in a wide receiver weak. */
  readonly sounds: 'right' | 'harsh' | 'weak' | 'unknown';
}

interface Passed {
  readonly gate: HearGate;
  readonly passes: boolean | 'unknown';
  readonly needs?: string | number;
  readonly comes?: string | number;
}

/**
 * Whether B hears A directly. Source of the gates: TIA-603 for tones; a receiver hears what is on its frequency, in its mode, with the tone that it waits
 * for. A gate that surely stops a call stops it, whatever is not known of the others.
 */
export function hearsDirect(a: SetOnAir, b: SetOnAir): Hearing {
  return outcome(
    [
      ...sends(a, b),
      known('transmit-frequency', of(b, 'receiveHz'), of(a, 'transmitHz'), (needs, comes) => needs === comes),
      sameMode(a, b),
      ...receives(b, sentTone(a)),
    ],
    a,
    b,
  );
}

/**
 * Whether B hears A through a repeater.
 * @param lengthS how long A talks, in seconds; without it the talk limit stops nobody
 */
export function hearsThrough(a: SetOnAir, repeater: Between, b: SetOnAir, lengthS?: number): Hearing {
  const { status, inputHz, outputHz, inputTone, outputTone, talkLimitS } = repeater;
  const isThere = status === 'on-air' ? true : status === 'unknown' ? 'unknown' : false;
  return outcome(
    [
      ...sends(a, b),
      {
        gate: 'transmit-frequency',
        passes: of(a, 'transmitHz') === 'unknown' ? 'unknown' : of(a, 'transmitHz') !== null,
      },
      sameMode(a, b),
      { gate: 'station', passes: isThere, needs: 'on-air', comes: status },
      known('input-frequency', inputHz, of(a, 'transmitHz'), (needs, comes) => needs === comes),
      known('input-tone', inputTone, sentTone(a), opens),
      ...(lengthS === undefined
        ? []
        : [known('talk-limit', talkLimitS, lengthS, (most, length) => length <= most)]),
      known('output-frequency', of(b, 'receiveHz'), outputHz, (needs, comes) => needs === comes),
      ...receives(b, outputTone),
    ],
    a,
    b,
  );
}

/** What must be before anything is sent. */
const sends = (a: SetOnAir, b: SetOnAir): Passed[] => [
  { gate: 'off', passes: both(a.isOn, b.isOn) },
  { gate: 'place', passes: both(hasPlace(a), hasPlace(b)) },
  { gate: 'may-transmit', passes: a.maySend },
];
const hasPlace = ({ place }: SetOnAir) => (place === 'unknown' ? place : place !== null);
const both = (a: boolean | 'unknown', b: boolean | 'unknown'): boolean | 'unknown' =>
  a === false || b === false ? false : a === 'unknown' || b === 'unknown' ? 'unknown' : true;

/** What must be before something that is on the air is heard. */
const receives = (b: SetOnAir, comes: ToneText | 'unknown'): Passed[] => [
  known('receive-tone', awaitedTone(b), comes, opens),
  { gate: 'mute', passes: not(b.isMuted) },
  { gate: 'scan', passes: not(b.isElsewhere) },
];
const not = (is: boolean | 'unknown' = false) => (is === 'unknown' ? is : !is);

type Read<K extends keyof ChannelContent> = ChannelContent[K] | 'unknown' | null;
const of = <K extends keyof ChannelContent>({ place }: SetOnAir, key: K): Read<K> =>
  place === 'unknown' ? 'unknown' : place === null ? null : place[key];

/** What a set sends under the voice: the tone that was picked by hand stands in place of the place's own. */
function sentTone(set: SetOnAir): ToneText | 'unknown' {
  if (set.picked !== 'off') return set.picked.tone;
  const tone = of(set, 'transmitTone');
  return tone === null ? 'unknown' : (tone ?? 'off');
}
function awaitedTone(set: SetOnAir): ToneText | 'unknown' {
  if (set.picked !== 'off' && set.picked.reach === 'both') return set.picked.tone;
  const tone = of(set, 'receiveTone');
  return tone === null ? 'unknown' : (tone ?? 'off');
}

const modeOf = (set: SetOnAir): string | 'unknown' => of(set, 'modulation') ?? set.mode;
const sameMode = (a: SetOnAir, b: SetOnAir): Passed =>
  known('mode', modeOf(b), modeOf(a), (needs, comes) => needs === comes);

/** A gate that compares two values, as far as both are known. A receiver that waits for no tone asks for none. */
function known<T extends string | number>(
  gate: HearGate,
  needs: T | 'unknown' | null | undefined,
  comes: T | 'unknown' | null | undefined,
  passes: (needs: T, comes: T) => boolean,
): Passed {
  if (gate === 'receive-tone' && needs === 'off') return { gate, passes: true };
  if (gate === 'input-tone' && needs === 'off') return { gate, passes: true };
  // What is sent nowhere, or stands nowhere, is heard by nobody, whatever the other side is.
  if (needs === null || comes === null)
    return { gate, passes: false, needs: needs ?? '', comes: comes ?? '' };
  if (needs === 'unknown' || comes === 'unknown' || needs === undefined || comes === undefined)
    return { gate, passes: 'unknown', needs: needs ?? '', comes: comes ?? '' };
  return { gate, passes: passes(needs as T, comes as T), needs, comes };
}

function outcome(gates: readonly Passed[], a: SetOnAir, b: SetOnAir): Hearing {
  const stop =
    gates.find(({ passes }) => passes === false) ?? gates.find(({ passes }) => passes === 'unknown');
  const sounds = soundsLike(of(a, 'bandwidth'), of(b, 'bandwidth'));
  return stop
    ? {
        hears: stop.passes,
        gate: stop.gate,
        needs: String(stop.needs ?? ''),
        comes: String(stop.comes ?? ''),
        sounds,
      }
    : { hears: true, gate: null, needs: '', comes: '', sounds };
}

/** Source: practice; a receiver's filter is as wide as its channel, and a narrow transmission swings half as far. */
function soundsLike(
  sent: Read<'bandwidth'> | undefined,
  heard: Read<'bandwidth'> | undefined,
): Hearing['sounds'] {
  const isWidth = (width: unknown) => width === 'narrow' || width === 'wide';
  if (!isWidth(sent) || !isWidth(heard)) return 'unknown';
  return sent === heard ? 'right' : sent === 'wide' ? 'harsh' : 'weak';
}
