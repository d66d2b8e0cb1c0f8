import type { PlanCountry } from '../facts/index';
import { SERVICES } from '../facts/index';
import type { Question } from '../findings/index';
import { type Description, isForChannels, slotsOf } from '../model/index';
import { mhzText } from '../units/index';
import { withText } from './collected';
import { type LineReading, readLine } from './line';

/** A place of a kind of set as people read it there; `pair` in hertz where the factory put one, `null` where it holds nothing by itself. */
export interface SetPlace {
  readonly label: string;
  /** The name of its bank, page or zone, or which one it is, counted from 1. */
  readonly bank: string;
  readonly position: number;
  readonly pair: { readonly receiveHz: number; readonly transmitHz: number | null } | null;
}
/** The places of a kind of set, by which a line may name a channel. */
export interface SetPlaces {
  readonly title: string;
  readonly places: readonly SetPlace[];
}

/** What of a kind of set a line needs to be read by its labels. */
export function placesOfSet(description: Description): SetPlaces {
  const places = slotsOf(description)
    .filter(({ region }) => isForChannels(region))
    .map(({ label, bank, bankName, position, fixed }): SetPlace => {
      const pair = fixed ? { receiveHz: fixed.receiveHz, transmitHz: fixed.transmitHz } : null;
      return { label, bank: bankName || String(bank + 1), position, pair };
    });
  return { title: description.title, places };
}

/** Where a line names places of a set: which ones it may be, and the words of the line that say so. */
interface Named {
  readonly start: number;
  readonly end: number;
  readonly places: readonly SetPlace[];
}

const BANK = String.raw`(?:page|bank|zone|block)\s*(\w+)`;
const PLACE = String.raw`(?:place|position|pos\.?|memory|slot)\s*(\d{1,4})`;
const IN_BANK = new RegExp(
  String.raw`\b${BANK}[\s,;/-]+(?:${PLACE}|(?:channel|ch\.?|no\.?|number)\s*(\d{1,4}))\b`,
  'i',
);
const AT = new RegExp(String.raw`\b${PLACE}\b`, 'i');
const REPEATER = /\b(?:repeater|rptr|rpt|r)[\s-]*(\d{1,3})\b/i;

/**
 * Reads a line where somebody has a set in hand: its own labels are its places (`R3`, `repeater 3`, `page 2 place 7`), each the pair that the
 * factory put there. The rest of the line is read as ever. A number with the word channel stays the number of a service.
 */
export function readOnSet(line: string, country: PlanCountry, set: SetPlaces | null): LineReading {
  // What stands in quotation marks is a name.
  const bare = line.replace(/"[^"]*"?/g, (name) => ' '.repeat(name.length));
  const found = set && placeIn(bare, set.places);
  if (!found) return readLine(line, country);
  const about = line.slice(found.start, found.end);
  const ask = (code: Question['code'], fixes: readonly (readonly [string, string])[] = []): LineReading => ({
    ok: false,
    channel: null,
    questions: [
      {
        code,
        blocking: true,
        about: `${about}, ${set.title}`,
        offers: fixes.map(([offer]) => offer),
        lines: fixes.map(([, text]) => text),
      },
    ],
  });
  // Nobody means a place that holds nothing where another of that name holds a channel.
  const filled = found.places.filter(({ pair }) => pair !== null);
  const [place, ...others] = filled.length > 0 ? filled : found.places.slice(0, 1);
  if (!place) return ask('place-not-there');
  const written = (one: SetPlace) => withText(line, found.start, found.end, pairText(one)).trim();
  if (others.length > 0)
    return ask(
      'place-of-several',
      filled.map((one) => [placeText(one), written(one)] as const),
    );
  if (!place.pair) return ask('place-is-free');
  const rest = withText(line, found.start, found.end, ' ').replace(/\s+/g, ' ').trim();
  const frequency = /(?<![\d.,])\d{2,4}[.,]\d{3,6}(?![\d.,])/.exec(rest);
  const instead = frequency
    ? withText(rest, frequency.index, frequency.index + frequency[0].length, pairText(place))
    : written(place);
  if (frequency && readLine(frequency[0], country).channel?.receiveHz !== place.pair.receiveHz)
    return ask('place-contradicts', [
      [frequency[0], rest],
      [place.label, instead],
    ]);
  const reading = readLine(instead, country);
  const said: Question = {
    code: 'place-of-set',
    blocking: false,
    about: `${place.label} of ${set.title}: ${pairWords(place)}`,
    offers: [],
  };
  return { ...reading, questions: [said, ...reading.questions] };
}

function placeIn(line: string, places: readonly SetPlace[]): Named | undefined {
  const inBank = IN_BANK.exec(line);
  if (inBank) {
    const [, bank = '', byPlace, byChannel] = inBank;
    const position = Number(byPlace ?? byChannel);
    return named(
      inBank,
      places.filter((one) => alike(one.bank, bank) && one.position === position),
    );
  }
  const byLabel = labelled(line, places);
  if (byLabel) return byLabel;
  const repeater = REPEATER.exec(line);
  if (repeater) {
    const [, n] = repeater;
    const found = places.filter(({ label }) =>
      [`r${n}`, `rpt${n}`, `${n}r`].some((text) => alike(label, text)),
    );
    if (found.length > 0) return named(repeater, found);
  }
  const at = AT.exec(line);
  if (at) {
    const number = at[1] ?? '';
    const byNumber = places.filter(({ label }) => label === number);
    return named(
      at,
      byNumber.length > 0 ? byNumber : places.filter(({ position }) => String(position) === number),
    );
  }
  const alone = /^\s*(\d{1,3})\s*$/.exec(line);
  const found = alone ? places.filter(({ label }) => label === alone[1]) : [];
  return alone && found.length > 0 ? named(alone, found) : undefined;
}

/** A label with a letter in it, as one word of the line or as two. */
function labelled(line: string, places: readonly SetPlace[]): Named | undefined {
  const words = [...line.matchAll(/[^\s,;()]+/g)];
  for (const [i, word] of words.entries()) {
    const next = words[i + 1];
    for (const last of next ? [next, word] : [word]) {
      const end = last.index + last[0].length;
      const text = line.slice(word.index, end);
      if (!/[a-z]/i.test(text) || !/\d/.test(text)) continue;
      const found = places.filter(({ label }) => alike(label, text));
      if (found.length > 0) return { start: word.index, end, places: found };
    }
  }
  return undefined;
}

const named = (match: RegExpExecArray, places: readonly SetPlace[]): Named => ({
  start: match.index,
  end: match.index + match[0].length,
  places,
});

const alike = (a: string, b: string) =>
  a.replace(/[\s-]+/g, '').toLowerCase() === b.replace(/[\s-]+/g, '').toLowerCase();
const placeText = ({ label, bank, position }: SetPlace) => `${label} (${bank}, place ${position})`;

/** A place's frequencies as a line says them. */
function pairText({ pair }: SetPlace): string {
  if (!pair) return '';
  const { receiveHz, transmitHz } = pair;
  if (transmitHz === null) return `${mhzText(receiveHz)} listen`;
  return transmitHz === receiveHz
    ? `${mhzText(receiveHz)} direct`
    : `out ${mhzText(receiveHz)} in ${mhzText(transmitHz)}`;
}

/** The same as it is said back, with the number that its service has for it. */
function pairWords({ pair }: SetPlace): string {
  if (!pair) return '';
  const { receiveHz, transmitHz } = pair;
  const sends =
    transmitHz === null ? ', never sent' : transmitHz === receiveHz ? '' : ` and ${mhzText(transmitHz)}`;
  const rows = Object.values(SERVICES).flatMap(({ title, channels }) =>
    channels
      .filter((row) => row.receiveHz === receiveHz && (row.transmitHz ?? null) === transmitHz)
      .map(({ number }) => `${title} ${number}`),
  );
  return [`${mhzText(receiveHz)}${sends} MHz`, ...rows].join(', ');
}
