import { HEAR_GATES, type HearGate, type Side } from '../findings/index';
import type { ChannelContent, ToneText } from '../model/index';
import { opens } from '../tones/index';
import type { RepeaterSides } from './repeater';

export { HEAR_GATES, type HearGate, type Side };

/** One set on one channel, as far as that decides who hears whom. What nobody knows is unknown. */
export interface SetOnAir {
  /** Whether it is there and works. */
  readonly isOn: boolean | 'unknown';
  /** What stands at its place for the channel; `null` where it has none. */
  readonly place: ChannelContent | null | 'unknown';
  /** What its talk key sends on where that is another line of its display than the one it listens to. */
  readonly talks?: ChannelContent | null | 'unknown';
  /** Whether whoever has it may send there; a place that sends nothing is one where nobody may. */
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
  /** The first gate on its way that stops it; where none does and one is not known, that one. */
  readonly gate: HearGate | null;
  /** Whose gate that is; `null` where there is none. */
  readonly at: Side | null;
  /** What the gate needs and what came, as they are; empty where there is nothing to say. */
  readonly needs: string;
  readonly comes: string;
  /** How it sounds where the widths differ: a wide one in a narrow receiver is harsh, a narrow one in a wide receiver weak. */
  readonly sounds: 'right' | 'harsh' | 'weak' | 'unknown';
}

interface Passed {
  readonly gate: HearGate;
  readonly at: Side;
  readonly passes: boolean | 'unknown';
  readonly needs?: string | number;
  readonly comes?: string | number;
}

/**
 * Whether B hears A directly. Source of the gates: TIA-603 for tones; a receiver hears what is on its frequency, in its mode, with the tone that it waits
 * for. A gate that surely stops a call stops it, whatever is not known of the others.
 */
export function hearsDirect(from: SetOnAir, b: SetOnAir): Hearing {
  const a = talking(from);
  return outcome(
    [
      ...sends(a),
      ...isThere(b, 'to'),
      known('transmit-frequency', 'to', of(b, 'receiveHz'), of(a, 'transmitHz'), isSame),
      sameMode(a, b),
      ...receives(b, sentTone(a)),
    ],
    a,
    b,
  );
}

/**
 * Whether B hears A through a repeater.
 * @param from A
 * @param lengthS how long A talks, in seconds; without it the talk limit stops nobody
 */
export function hearsThrough(from: SetOnAir, repeater: Between, b: SetOnAir, lengthS?: number): Hearing {
  const a = talking(from);
  const { status, inputHz, outputHz, inputTone, outputTone, talkLimitS } = repeater;
  const isUp = status === 'on-air' ? true : status === 'unknown' ? 'unknown' : false;
  return outcome(
    [
      ...sends(a),
      { gate: 'station', at: 'repeater', passes: isUp, needs: 'on-air', comes: status },
      known('input-frequency', 'repeater', inputHz, of(a, 'transmitHz'), isSame),
      known('input-tone', 'repeater', inputTone, sentTone(a), opens),
      ...(lengthS === undefined
        ? []
        : [known('talk-limit', 'repeater', talkLimitS, lengthS, (most, length) => length <= most)]),
      ...isThere(b, 'to'),
      known('output-frequency', 'to', of(b, 'receiveHz'), outputHz, isSame),
      sameMode(a, b),
      ...receives(b, outputTone),
    ],
    a,
    b,
  );
}

/** A set as others meet it: by the line that its talk key sends on. */
const talking = (set: SetOnAir): SetOnAir => (set.talks === undefined ? set : { ...set, place: set.talks });

const isSame = (needs: number, comes: number) => needs === comes;

/** What must be before anything is sent. */
const sends = (a: SetOnAir): Passed[] => [
  ...isThere(a, 'from'),
  { gate: 'may-transmit', at: 'from', passes: of(a, 'transmitHz') === null ? false : a.maySend },
];
const isThere = ({ isOn, place }: SetOnAir, at: 'from' | 'to'): Passed[] => [
  { gate: 'off', at, passes: isOn },
  { gate: 'place', at, passes: place === 'unknown' ? place : place !== null },
];

/** What must be before something that is on the air is heard. */
const receives = (b: SetOnAir, comes: ToneText | 'unknown'): Passed[] => [
  known('receive-tone', 'to', awaitedTone(b), comes, opens),
  { gate: 'mute', at: 'to', passes: not(b.isMuted) },
  { gate: 'scan', at: 'to', passes: not(b.isElsewhere) },
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
  known('mode', 'to', modeOf(b), modeOf(a), (needs, comes) => needs === comes);

/** A gate that compares two values, as far as both are known. A receiver that waits for no tone asks for none. */
function known<T extends string | number>(
  gate: HearGate,
  at: Side,
  needs: T | 'unknown' | null | undefined,
  comes: T | 'unknown' | null | undefined,
  passes: (needs: T, comes: T) => boolean,
): Passed {
  if (gate === 'receive-tone' && needs === 'off') return { gate, at, passes: true };
  if (gate === 'input-tone' && needs === 'off') return { gate, at, passes: true };
  // What is sent nowhere, or stands nowhere, is heard by nobody, whatever the other side is.
  if (needs === null || comes === null)
    return { gate, at, passes: false, needs: needs ?? '', comes: comes ?? '' };
  if (needs === 'unknown' || comes === 'unknown' || needs === undefined || comes === undefined)
    return { gate, at, passes: 'unknown', needs: needs ?? '', comes: comes ?? '' };
  return { gate, at, passes: passes(needs as T, comes as T), needs, comes };
}

function outcome(gates: readonly Passed[], a: SetOnAir, b: SetOnAir): Hearing {
  const stop =
    gates.find(({ passes }) => passes === false) ?? gates.find(({ passes }) => passes === 'unknown');
  const sounds = soundsLike(of(a, 'bandwidth'), of(b, 'bandwidth'));
  return stop
    ? {
        hears: stop.passes,
        gate: stop.gate,
        at: stop.at,
        needs: String(stop.needs ?? ''),
        comes: String(stop.comes ?? ''),
        sounds,
      }
    : { hears: true, gate: null, at: null, needs: '', comes: '', sounds };
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
