/*
 * How a name is made shorter, in this order, stopping as soon as it fits:
 *   1. characters the set does not have: accents dropped, lower case raised, anything else left out
 *   2. words of radio by their usual short forms, from the last word to the first
 *   3. spaces out, each word keeping its capital where the set has lower case
 *   4. vowels out that do not begin a word, from the end
 *   5. cut at the end
 * Two names that come out alike get the figures 2, 3… in place of their last characters. Common practice, no source.
 */
import type { Description } from '../model/index';

/** No channel's name has more. */
const MOST_LETTERS = 40;

const SHORT_WORDS: Readonly<Record<string, string>> = {
  repeater: 'Rpt',
  simplex: 'Smp',
  direct: 'Dir',
  tactical: 'Tac',
  channel: 'Ch',
  calling: 'Call',
  weather: 'Wx',
  emergency: 'Emg',
  harbour: 'Hbr',
  harbor: 'Hbr',
  command: 'Cmd',
  operations: 'Ops',
  north: 'N',
  south: 'S',
  east: 'E',
  west: 'W',
  upper: 'Upr',
  lower: 'Lwr',
  point: 'Pt',
  mountain: 'Mtn',
  island: 'Isl',
  station: 'Stn',
};

/**
 * The names that a kind of set can hold, in the characters that its keys can spell as far as somebody described them: a name that nobody
 * can enter is none.
 */
export function spellable({
  names,
  fields,
  recipes,
}: Pick<Description, 'names' | 'fields' | 'recipes'>): Description['names'] {
  if (typeof names !== 'object' || !recipes) return names;
  const field = fields.find(({ holds }) => holds === 'name');
  const steps = recipes.set[field?.id ?? ''] ?? [];
  const keys = steps.some((step) => step.do === 'tapName')
    ? Object.values(recipes.letterKeys ?? {}).join('')
    : null;
  const spelt = keys ?? (steps.some((step) => step.do === 'wheelName') ? (recipes.letterWheel ?? '') : null);
  if (spelt === null) return names;
  const characters = [...names.characters].filter((char) => spelt.includes(char)).join('');
  return characters === '' ? 'none' : { ...names, characters };
}

/** The name that goes onto a set: the whole one, else the longest written by hand that fits as it is, else the whole one made shorter. */
export function nameOn(
  channel: { readonly name: string; readonly shortNames: readonly string[] },
  length: number,
  characters: string,
): string {
  const whole = shortenName(channel.name, 2 * MOST_LETTERS, characters);
  if (whole.length <= length) return whole;
  const byHand = channel.shortNames
    .map((name) => shortenName(name, 2 * MOST_LETTERS, characters))
    .filter((name) => name.length <= length)
    .sort((a, b) => b.length - a.length);
  return byHand[0] ?? shortenName(channel.name, length, characters);
}

/** A name in the characters of a set, cut to its length by the rule above. Never empty: `CH` stands in for a name without any usable character. */
export function shortenName(name: string, length: number, characters: string): string {
  const usable = (text: string) =>
    [...text.normalize('NFKD').replace(/\p{Mn}/gu, '')]
      .map((char) => [char, char.toUpperCase(), char.toLowerCase()].find((c) => characters.includes(c)) ?? '')
      .join('')
      .replace(/\s+/g, ' ')
      .trim();
  let text = usable(name);
  if (text === '') text = usable('CH') || characters.slice(0, 1);
  if (text.length <= length) return text;

  const words = name.split(/\s+/);
  for (let i = words.length - 1; i >= 0 && text.length > length; i--) {
    const short = SHORT_WORDS[words[i]?.toLowerCase() ?? ''];
    if (short) words[i] = short;
    text = usable(words.join(' '));
  }
  if (text.length <= length) return text;

  const capitals = words.map((word) => word.slice(0, 1).toUpperCase() + word.slice(1));
  const starts = new Set<number>();
  let joined = '';
  for (const word of capitals.map(usable)) {
    starts.add(joined.length);
    joined += word;
  }
  const letters = [...joined];
  for (let i = letters.length - 1, left = letters.length; i > 0 && left > length; i--)
    if (!starts.has(i) && /[aeiouy]/i.test(letters[i] as string)) {
      letters[i] = '';
      left--;
    }
  return letters.join('').slice(0, length).trim();
}

/**
 * Names that are all different: a later one that came out like an earlier one gets a figure in place of its last characters, or a letter
 * on a set without figures. Where there are more names than the set can tell apart, the same one again.
 */
export function uniqueName(
  name: string,
  length: number,
  taken: ReadonlySet<string>,
  characters: string,
): string {
  if (!taken.has(name)) return name;
  const figures = [...'0123456789'].filter((figure) => characters.includes(figure));
  const signs = figures.length > 1 ? figures : [...characters].filter((char) => char.trim() !== '');
  if (signs.length === 0) return name;
  const most = Math.min(length, 4);
  for (let n = figures.length > 1 ? 2 : 0; ; n++) {
    let mark = '';
    for (let rest = n; mark === '' || rest > 0; rest = Math.floor(rest / signs.length))
      mark = (signs[rest % signs.length] ?? '') + mark;
    if (mark.length > most) return name;
    const candidate = name.slice(0, Math.max(0, length - mark.length)) + mark;
    if (!taken.has(candidate)) return candidate;
  }
}
