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

/**
 * Whether B hears A directly. Source of the gates: TIA-603 for tones; a receiver hears what is on its frequency, in its mode, with the tone that it waits
 * for. A gate that surely stops a call stops it, whatever is not known of the others.
 */
export function hearsDirect(from: SetOnAir, b: SetOnAir): Hearing {
  const a = talking(from);
  const call = new Call();
  if (
    !sends(call, a) &&
    !isNotThere(call, b, 'to') &&
    !call.misses('transmit-frequency', 'to', of(b, 'receiveHz'), of(a, 'transmitHz'))
  )
    hearing(call, a, b, sentTone(a));
  return outcome(call, a, b);
}

/**
 * Whether B hears A through a repeater.
 * @param from A
 * @param lengthS how long A talks, in seconds; without it the talk limit stops nobody
 */
export function hearsThrough(from: SetOnAir, repeater: Between, b: SetOnAir, lengthS?: number): Hearing {
  const a = talking(from);
  const call = new Call();
  if (
    !sends(call, a) &&
    !repeats(call, a, repeater, lengthS) &&
    !isNotThere(call, b, 'to') &&
    !call.misses('output-frequency', 'to', of(b, 'receiveHz'), repeater.outputHz)
  )
    hearing(call, a, b, repeater.outputTone);
  return outcome(call, a, b);
}

/** A set as others meet it: by the line that its talk key sends on. */
const talking = (set: SetOnAir): SetOnAir => (set.talks === undefined ? set : { ...set, place: set.talks });

type Value = string | number | null | undefined;
interface Stop {
  readonly gate: HearGate;
  readonly at: Side;
  readonly needs: Value;
  readonly comes: Value;
}

/** A call on its way: the first gate that surely stops it, and the first of which nobody knows. Each gate answers whether it stops it. */
class Call {
  stopped: Stop | null = null;
  doubted: Stop | null = null;

  /** A gate that is passed, or not, or of which nobody knows. */
  stops(gate: HearGate, at: Side, passes: boolean | 'unknown', needs?: Value, comes?: Value): boolean {
    if (passes === true) return false;
    const stop = { gate, at, needs, comes };
    if (passes === 'unknown') {
      this.doubted ??= stop;
      return false;
    }
    this.stopped = stop;
    return true;
  }

  /** A gate that compares what comes with what it needs, as far as both are known. */
  misses(gate: HearGate, at: Side, needs: Value, comes: Value): boolean {
    return this.stops(gate, at, asFarAsKnown(needs, comes) ?? needs === comes, needs, comes);
  }

  /** A gate for a tone; a receiver that waits for none opens for all. */
  staysShut(gate: HearGate, at: Side, needs: ToneText | 'unknown', comes: ToneText | 'unknown'): boolean {
    if (needs === 'off') return false;
    return this.stops(gate, at, asFarAsKnown(needs, comes) ?? opens(needs, comes), needs, comes);
  }
}

/** What is sent nowhere, or stands nowhere, is heard by nobody, whatever the other side is; `undefined` where both are known. */
function asFarAsKnown(needs: Value, comes: Value): false | 'unknown' | undefined {
  if (needs === null || comes === null) return false;
  return isKnown(needs) && isKnown(comes) ? undefined : 'unknown';
}

const isKnown = (value: Value) => value !== 'unknown' && value !== undefined;

/** What must be before anything is sent. */
const sends = (call: Call, a: SetOnAir): boolean =>
  isNotThere(call, a, 'from') ||
  call.stops('may-transmit', 'from', of(a, 'transmitHz') === null ? false : a.maySend);

const isNotThere = (call: Call, { isOn, place }: SetOnAir, at: 'from' | 'to'): boolean =>
  call.stops('off', at, isOn) || call.stops('place', at, place === 'unknown' ? place : place !== null);

/** What must be before a repeater sends it on. */
const repeats = (
  call: Call,
  a: SetOnAir,
  { status, inputHz, inputTone, talkLimitS }: Between,
  lengthS: number | undefined,
): boolean =>
  call.stops('station', 'repeater', status === 'unknown' ? status : status === 'on-air', 'on-air', status) ||
  call.misses('input-frequency', 'repeater', inputHz, of(a, 'transmitHz')) ||
  call.staysShut('input-tone', 'repeater', inputTone, sentTone(a)) ||
  (lengthS !== undefined &&
    call.stops(
      'talk-limit',
      'repeater',
      talkLimitS === 'unknown' ? talkLimitS : lengthS <= talkLimitS,
      talkLimitS,
      lengthS,
    ));

/** What must be before something that is on the air where B listens is heard. */
const hearing = (call: Call, a: SetOnAir, b: SetOnAir, comes: ToneText | 'unknown'): boolean =>
  call.misses('mode', 'to', modeOf(b), modeOf(a)) ||
  call.staysShut('receive-tone', 'to', awaitedTone(b), comes) ||
  call.stops('mute', 'to', not(b.isMuted)) ||
  call.stops('scan', 'to', not(b.isElsewhere));
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

function outcome({ stopped, doubted }: Call, a: SetOnAir, b: SetOnAir): Hearing {
  const sounds = soundsLike(of(a, 'bandwidth'), of(b, 'bandwidth'));
  const stop = stopped ?? doubted;
  if (!stop) return { hears: true, gate: null, at: null, needs: '', comes: '', sounds };
  const { gate, at, needs, comes } = stop;
  const hears = stopped ? false : 'unknown';
  return { hears, gate, at, needs: String(needs ?? ''), comes: String(comes ?? ''), sounds };
}

/** Source: practice; a receiver's filter is as wide as its channel, and a narrow transmission swings half as far. */
function soundsLike(
  sent: Read<'bandwidth'> | undefined,
  heard: Read<'bandwidth'> | undefined,
): Hearing['sounds'] {
  if (!isWidth(sent) || !isWidth(heard)) return 'unknown';
  return sent === heard ? 'right' : sent === 'wide' ? 'harsh' : 'weak';
}

const isWidth = (width: unknown) => width === 'narrow' || width === 'wide';
