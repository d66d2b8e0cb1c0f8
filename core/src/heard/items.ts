import type { Strength } from '../model/index';
import { alike } from '../units/index';
import type { Roster } from './who';
import { DIRECT, RELATIONS, REPEATED, REPORTS, type Relation, type Report, strengthsOf } from './words';

/** What a line may name, and what stands from the line before. */
export interface LineKnown {
  readonly channels: readonly {
    readonly id: string;
    readonly name: string;
    readonly aliases: readonly string[];
    readonly kind: 'repeater' | 'direct' | 'listen';
  }[];
  readonly roster: Roster;
  /** Repeaters, and the channels on which they come out. */
  readonly stations: readonly { readonly name: string; readonly channelIds: readonly string[] }[];
  /** The channel of the call before; it stands until another one is written. */
  readonly channelId: string | null;
  /** The clock where it is written: a day as YYYY-MM-DD, and the minute of that day. */
  readonly now: { readonly day: string; readonly minute: number };
}

interface Token {
  readonly text: string;
  readonly start: number;
  readonly end: number;
  readonly quoted: boolean;
}
/** Who or what a name may stand for. */
type Meaning = 'party' | 'channel' | 'station';
/** What a word or some words of a line are, and where they stand. */
export type Item = { readonly start: number; readonly end: number; readonly text: string } & (
  | { readonly is: 'name'; readonly means: ReadonlySet<Meaning>; readonly name: string }
  | { readonly is: 'relation'; readonly relation: Relation }
  | { readonly is: 'report'; readonly report: Report; readonly strengths?: readonly Strength[] }
  | { readonly is: 'way'; readonly way: 'direct' | 'repeater' }
  | { readonly is: 'time'; readonly minute: number }
  | { readonly is: 'day'; readonly day: string }
  | { readonly is: 'before'; readonly of: 'channel' | 'station' | 'from' | 'at' }
  | { readonly is: 'word'; readonly quoted: boolean }
);

export const isQuoted = (item: Item) => item.is === 'word' && item.quoted;
export const isPlain = (item: Item | undefined) => item?.is === 'word' && !item.quoted;
export const isNumber = (item: Item | undefined) => item?.is === 'report' && /^\d+$/.test(item.text);

/** What the words of a line are, the longest that is known first. */
export function itemsOf(said: string, known: LineKnown): Item[] {
  const tokens = tokensOf(said);
  const names = namesOf(known);
  const longest = Math.max(3, ...[...names.keys()].map((name) => name.split(' ').length));
  const items: Item[] = [];
  for (let i = 0; i < tokens.length; ) {
    let taken = 0;
    for (let count = Math.min(longest, tokens.length - i); count > 0 && taken === 0; count--) {
      const part = tokens.slice(i, i + count);
      const item = part.some(({ quoted }) => quoted) ? undefined : itemOf(part, names, known);
      if (!item) continue;
      items.push(item);
      taken = count;
    }
    const token = tokens[i];
    if (taken === 0 && token) items.push({ ...token, is: 'word' });
    i += Math.max(1, taken);
  }
  return items;
}

function tokensOf(said: string): Token[] {
  // Arrows part words that are glued to them; a quotation mark without its other half is a word.
  const words = /"[^"]*[^"\s][^"]*"|<->|<>|->|[→↔>"]|(?:(?!<->|<>|->|[→↔>])[^\s,;"])+/gu;
  return [...said.matchAll(words)].map((match) => {
    const quoted = match[0].length > 1 && match[0].startsWith('"');
    const text = quoted ? match[0] : match[0].replace(/(?<=.)[.!]+$/, '');
    return { text, start: match.index, end: match.index + match[0].length, quoted };
  });
}

function namesOf({
  channels,
  roster,
  stations,
}: LineKnown): Map<string, { name: string; means: Set<Meaning> }> {
  const names = new Map<string, { name: string; means: Set<Meaning> }>();
  const add = (name: string, meaning: Meaning) => {
    const key = keyOf(name);
    if (key === '') return;
    const there = names.get(key) ?? { name, means: new Set<Meaning>() };
    there.means.add(meaning);
    names.set(key, there);
  };
  for (const { nickname } of roster.units) add(nickname, 'party');
  for (const { name } of roster.people) add(name, 'party');
  for (const { name, aliases } of channels) for (const one of [name, ...aliases]) add(one, 'channel');
  for (const { name } of stations) add(name, 'station');
  return names;
}

/** As the words of a line come out: parted by blanks alone. */
const keyOf = (name: string) =>
  tokensOf(alike(name))
    .map(({ text }) => text)
    .join(' ');

function itemOf(
  part: readonly Token[],
  names: ReturnType<typeof namesOf>,
  { now }: LineKnown,
): Item | undefined {
  const [first] = part;
  const last = part.at(-1);
  if (!first || !last) return undefined;
  const text = part.map((one) => one.text).join(' ');
  const word = text.toLowerCase();
  const at = { start: first.start, end: last.end, text };
  const name = names.get(word);
  if (name) return { ...at, is: 'name', ...name };
  const relation = RELATIONS.get(word);
  if (relation) return { ...at, is: 'relation', relation };
  const report = REPORTS.get(word);
  if (report) return { ...at, is: 'report', report };
  const numbers = numbersOf(word);
  if (numbers) return { ...at, is: 'report', ...numbers };
  if (DIRECT.includes(word)) return { ...at, is: 'way', way: 'direct' };
  if (REPEATED.includes(word)) return { ...at, is: 'way', way: 'repeater' };
  if (word === 'on') return { ...at, is: 'before', of: 'channel' };
  if (['via', 'through', 'over'].includes(word)) return { ...at, is: 'before', of: 'station' };
  if (word === 'from' || word === 'at') return { ...at, is: 'before', of: word };
  if (word === 'yesterday') return { ...at, is: 'day', day: dayBefore(now.day) };
  if (word === 'today') return { ...at, is: 'day', day: now.day };
  if (/^\d{4}-\d{2}-\d{2}$/.test(word) && !Number.isNaN(Date.parse(word)))
    return { ...at, is: 'day', day: word };
  const clock = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(word);
  return clock ? { ...at, is: 'time', minute: Number(clock[1]) * 60 + Number(clock[2]) } : undefined;
}

const dayBefore = (day: string) => new Date(Date.parse(day) - 86_400_000).toISOString().slice(0, 10);

/** `5`, `r5`, `readability 5`; `5x9`, `5/9`, `59`, `5 by 9` with a strength. */
function numbersOf(word: string): { report: Report; strengths?: readonly Strength[] } | undefined {
  const one = /^(?:r|readability |readable )?([1-5])$/.exec(word)?.[1];
  if (one) return { report: { heard: true, readability: Number(one) } };
  const two = /^([1-5])(?:[x/]| ?by ?)?([1-9])$/.exec(word);
  if (!two) return undefined;
  const strengths = strengthsOf(Number(two[2]));
  const [strength] = strengths;
  const report = { heard: true, readability: Number(two[1]) };
  return strengths.length === 1 && strength ? { report: { ...report, strength } } : { report, strengths };
}
