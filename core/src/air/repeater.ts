import {
  type ChannelContent,
  type Description,
  type Memory,
  type SlotContent,
  type Station,
  slotReader,
  slotsOf,
  type ToneText,
  writtenLists,
} from '../model/index';
import { factOf } from '../stations/index';
import { opens } from '../tones/index';

/** A repeater as it is seen from outside: where it listens and sends (hertz), with which tones, how it answers, how long one may talk. */
export interface RepeaterSides {
  readonly inputHz: number | 'unknown';
  readonly outputHz: number | 'unknown';
  readonly inputTone: ToneText | 'unknown';
  readonly outputTone: ToneText | 'unknown';
  readonly answer: string;
  readonly talkLimitS: number | 'unknown';
}

/** A repeater as the group's list has it; the newest word counts, and what nobody said is unknown. */
export function sidesOfStation(station: Station): RepeaterSides {
  return {
    inputHz: factOf(station, 'inputHz') ?? 'unknown',
    outputHz: factOf(station, 'outputHz') ?? 'unknown',
    inputTone: factOf(station, 'inputTone') ?? 'unknown',
    outputTone: factOf(station, 'outputTone') ?? 'unknown',
    answer: factOf(station, 'answer') ?? 'unknown',
    talkLimitS: factOf(station, 'talkLimitS') ?? 'unknown',
  };
}

/** A repeater as its own memory makes it, read from the place given or its first filled one; `null` where it holds no pair. */
export function sidesOfMemory(description: Description, memory: Memory): RepeaterSides | null {
  const read = slotReader(description);
  const lists = writtenLists(description);
  const setting = (holds: 'answer' | 'talkLimitS') => {
    const found = description.settings.find((candidate) => candidate.holds === holds);
    return found && lists[found.list]?.[memory.settings[found.id] ?? found.factory]?.means;
  };
  const content = slotsOf(description)
    .map((slot) => read(slot, memory.slots.get(slot.number) ?? null))
    .find((one) => one?.kind === 'channel' && one.transmitHz !== null);
  if (content?.kind !== 'channel' || content.transmitHz === null) return null;
  const limit = setting('talkLimitS');
  return {
    inputHz: content.receiveHz,
    outputHz: content.transmitHz,
    inputTone: content.receiveTone ?? 'off',
    outputTone: content.transmitTone ?? 'off',
    answer: String(setting('answer') ?? 'unknown'),
    talkLimitS: typeof limit === 'number' ? limit : 'unknown',
  };
}

/** Where a call through a repeater ends, in the order in which it meets these gates; `null` where it comes back. */
export type Gate =
  | 'sends-nothing'
  | 'input-frequency'
  | 'input-tone'
  | 'output-frequency'
  | 'output-tone'
  | 'not-known'
  | null;

/** The first gate that stops a call, with what it needs and what came. */
export interface Passage {
  readonly gate: Gate;
  readonly needs: string;
  readonly comes: string;
}

const through: Passage = { gate: null, needs: '', comes: '' };

/**
 * Whether a set as it is programmed opens a repeater and hears its own call come back, gate by gate.
 * Source of the tone gates: TIA-603 (see `opens`). A gate that nobody knows enough of is no gate passed.
 */
export function passThrough(set: ChannelContent, repeater: RepeaterSides): Passage {
  const stop = (gate: Gate, needs: string | number, comes: string | number): Passage => ({
    gate,
    needs: String(needs),
    comes: String(comes),
  });
  const { inputHz, outputHz, inputTone, outputTone } = repeater;
  if (set.transmitHz === null) return stop('sends-nothing', inputHz, 'nothing');
  if (inputHz === 'unknown' || outputHz === 'unknown') return stop('not-known', 'its pair', '');
  if (set.transmitHz !== inputHz) return stop('input-frequency', inputHz, set.transmitHz);
  const [sent, awaited] = [set.transmitTone ?? 'off', set.receiveTone ?? 'off'];
  if (inputTone === 'unknown') return stop('not-known', 'its input tone', sent);
  if (!opens(inputTone, sent)) return stop('input-tone', inputTone, sent);
  if (set.receiveHz !== outputHz) return stop('output-frequency', set.receiveHz, outputHz);
  if (awaited === 'off') return through;
  if (outputTone === 'unknown') return stop('not-known', 'its output tone', awaited);
  return opens(awaited, outputTone) ? through : stop('output-tone', awaited, outputTone);
}

/** What somebody sends: where (hertz), with which tone under the voice, for how many seconds. */
export interface Transmission {
  readonly hz: number;
  readonly tone: ToneText;
  readonly lengthS: number;
}

/** What a repeater does with a transmission. */
export interface Relayed {
  /** Whether it opened; then it sends this. */
  readonly sends: { readonly hz: number; readonly tone: ToneText; readonly lengthS: number } | null;
  /** What is heard after the voice. */
  readonly answer: string;
  /** It fell silent before the voice ended: the talk limit was passed. */
  readonly cut: boolean;
}

/** Lets a repeater hear a transmission. It opens for its input and tone alone, and relays no longer than its talk limit. */
export function relay(repeater: RepeaterSides, { hz, tone, lengthS }: Transmission): Relayed {
  const { inputHz, outputHz, inputTone, outputTone, talkLimitS } = repeater;
  const isOpen = hz === inputHz && inputTone !== 'unknown' && opens(inputTone, tone);
  if (!isOpen || outputHz === 'unknown' || outputTone === 'unknown')
    return { sends: null, answer: 'none', cut: false };
  const mostS = talkLimitS === 'unknown' ? Number.POSITIVE_INFINITY : talkLimitS;
  const cut = lengthS > mostS;
  return {
    sends: { hz: outputHz, tone: outputTone, lengthS: Math.min(lengthS, mostS) },
    // Cut off, it says nothing that could be taken for a good call.
    answer: cut ? 'none' : repeater.answer,
    cut,
  };
}

/** How one place of a set gets on with the repeater it is for. */
export interface PlaceOnAir extends Passage {
  readonly number: number;
  readonly label: string;
  readonly stationId: string;
  readonly station: string;
  /** What is said of whether it is on the air at all. */
  readonly status: 'planned' | 'on-air' | 'off-air' | 'gone' | 'unknown';
}

/**
 * Holds each place of a set that sends elsewhere than it listens against the repeaters that come out there. Of several on one output
 * the one that it opens counts.
 */
export function againstStations(
  places: readonly { readonly number: number; readonly label: string; readonly content: SlotContent }[],
  stations: readonly Station[],
): PlaceOnAir[] {
  const repeaters = stations
    .filter(({ kind }) => kind === 'repeater')
    .map((station) => ({ station, sides: sidesOfStation(station) }));
  return places.flatMap(({ number, label, content }) => {
    if (content.kind !== 'channel' || content.transmitHz === null) return [];
    if (content.transmitHz === content.receiveHz) return [];
    const tried = repeaters
      .filter(({ sides }) => sides.outputHz === content.receiveHz)
      .map(({ station, sides }) => ({ station, passage: passThrough(content, sides) }));
    const best =
      tried.find(({ passage }) => passage.gate === null) ??
      tried.find(({ passage }) => passage.gate === 'not-known') ??
      tried[0];
    if (!best) return [];
    const { id, name } = best.station;
    const status = factOf(best.station, 'status') ?? 'unknown';
    return [{ number, label, stationId: id, station: name, status, ...best.passage }];
  });
}
