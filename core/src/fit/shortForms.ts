import { FIGURES, FILLERS, SHORT_WORDS, USUAL, WHICH } from './shortWords';

/** A way to write a name on a small display, and how hard it is to recognise: 0 is the name itself. */
export interface Form {
  readonly text: string;
  readonly cost: number;
}

/**
 * What it costs to recognise a name. People read a beginning, then what tells it from others; a row of consonants is nobody's name.
 * Common practice, no source: the table in the tests is what a person would choose, and these figures follow it.
 */
const COST = {
  /** A word by its usual short form. */
  short: 8,
  /** A number in words as a figure. */
  figure: 2,
  /** A point left out of a number, and all before the point. */
  point: 6,
  fractionOnly: 22,
  /** A beginning, and what is left of it when all but nothing is cut. */
  beginning: 12,
  cut: 36,
  oneLetter: 22,
  twoLetters: 10,
  /** A word of so few letters is hard to know without one of them. */
  ofShort: 12,
  endsInVowel: 3,
  /** Without some vowels, each. */
  skeleton: 14,
  vowel: 9,
  /** A word left out: any, one that most names have, one that says nothing, one with figures. */
  left: 40,
  leftUsual: 14,
  leftFiller: 4,
  leftFirst: 75,
  leftAfterWhich: 70,
  /** What is left where a word is out has so few letters: three or less, or four. */
  bare: 25,
  nearlyBare: 8,
  leftFigures: 300,
  /** Two words without a space between: both letters, with capitals to tell them apart, at a figure. */
  glued: 3,
  gluedCapital: 1,
  gluedFigure: 1,
  /** The first word is what people look for. */
  first: 1.3,
  /** The whole, cut anywhere. */
  anywhere: 400,
} as const;

/** Words of no more letters than this are short: they are written whole or hardly known. */
const SHORT = 4;
/** So many ways are followed for each length while a name is put together. */
const KEPT = 5;
/** So many ways are given. */
const MOST_FORMS = 8;
/** No channel's name has more letters, no zone's more than a few of them. */
const MOST_LETTERS = 120;

/** A name in the characters of a set: accents dropped, case changed where it must, anything else left out. */
export function inCharacters(text: string, characters: string): string {
  return [...text.normalize('NFKD').replace(/\p{Mn}/gu, '')]
    .map((char) => [char, char.toUpperCase(), char.toLowerCase()].find((c) => characters.includes(c)) ?? '')
    .join('')
    .replace(/\s+/g, ' ')
    .trim();
}

/**
 * The ways to write a name in so many of a set's characters, the easiest to recognise first; the whole name alone where it fits. Never
 * empty: `CH` stands in for a name without any usable character.
 */
export function shortForms(name: string, length: number, characters: string): readonly Form[] {
  const whole =
    inCharacters(name.slice(0, MOST_LETTERS), characters) ||
    inCharacters('CH', characters) ||
    characters.slice(0, 1);
  if (whole.length <= length) return [{ text: whole, cost: 0 }];
  const words = name
    .slice(0, MOST_LETTERS)
    .split(/\s+/)
    .filter((word) => inCharacters(word, characters) !== '');
  const best = new Map<string, number>([[whole.slice(0, length).trim(), COST.anywhere]]);
  for (const { text, cost } of putTogether(words, length, characters)) {
    const before = best.get(text);
    if (text !== '' && (before === undefined || cost < before)) best.set(text, cost);
  }
  return [...best]
    .map(([text, cost]): Form => ({ text, cost: Math.round(10 * cost) }))
    .sort((a, b) => a.cost - b.cost || b.text.length - a.text.length || (a.text < b.text ? -1 : 1))
    .slice(0, MOST_FORMS);
}

/** A text in so many of a set's characters, as it is recognised best by itself. */
export function shortenName(name: string, length: number, characters: string): string {
  return shortForms(name, length, characters)[0]?.text ?? '';
}

/** Every word by every way, those that cost least kept for each length. */
function putTogether(words: readonly string[], length: number, characters: string): readonly Form[] {
  const hasSpace = characters.includes(' ');
  const hasCase = characters.includes('a') && characters.includes('A');
  let soFar: readonly Form[] = [{ text: '', cost: 0 }];
  words.forEach((word, at) => {
    const ways = waysOf(word, words[at - 1], words.length === 1, characters);
    const byLength = new Map<number, Form[]>();
    for (const { text, cost } of soFar)
      for (const way of ways)
        for (const glue of text === '' || way.text === '' || !hasSpace ? [''] : [' ', '']) {
          const isGlued = text !== '' && way.text !== '' && glue === '';
          const next = isGlued && hasCase ? way.text.slice(0, 1).toUpperCase() + way.text.slice(1) : way.text;
          const joined = text + glue + next;
          if (joined.length > length) continue;
          const atFigure = isGlued && /\d/.test(`${text.at(-1)}${next[0]}`);
          const gluing = !isGlued
            ? 0
            : atFigure
              ? COST.gluedFigure
              : hasCase
                ? COST.gluedCapital
                : COST.glued;
          const alike = byLength.get(joined.length) ?? [];
          alike.push({ text: joined, cost: cost + way.cost + gluing });
          byLength.set(joined.length, alike);
        }
    soFar = [...byLength.values()].flatMap((alike) => alike.sort((a, b) => a.cost - b.cost).slice(0, KEPT));
  });
  const isFew = ({ text }: Form) => text.replaceAll(' ', '').length;
  return soFar.map((form) => {
    const letters = isFew(form);
    const bare = form.cost < COST.left || letters > 4 ? 0 : letters === 4 ? COST.nearlyBare : COST.bare;
    return { text: form.text, cost: form.cost + bare };
  });
}

/** The ways to write one word; the empty one leaves it out. */
function waysOf(
  word: string,
  before: string | undefined,
  isOnly: boolean,
  characters: string,
): readonly Form[] {
  const isFirst = before === undefined;
  const text = inCharacters(word, characters);
  const plain = plainOf(word);
  const ways: Form[] = [{ text, cost: 0 }];
  if (/\d/.test(text)) {
    const fraction = /^\d+[.,](\d+)$/.exec(word)?.[1];
    const bare = text.replace(/[^A-Za-z0-9]/g, '');
    if (bare !== text) ways.push({ text: bare, cost: COST.point });
    if (fraction) ways.push({ text: fraction, cost: COST.fractionOnly });
    return [...ways, { text: '', cost: COST.leftFigures }];
  }
  const weight = isFirst ? COST.first : 1;
  for (const short of SHORT_WORDS.get(plain) ?? [])
    ways.push({ text: inCharacters(short, characters), cost: COST.short });
  const figure = FIGURES.get(plain);
  if (figure && !isFirst) ways.push({ text: inCharacters(figure, characters), cost: COST.figure });
  if (!figure) ways.push(...beginnings(text, weight), ...skeletons(text, weight));
  ways.push({ text: '', cost: figure === undefined ? leavingOut(plain, before) : COST.leftFigures });
  return ways.filter((way) => way.text !== '' || !isOnly);
}

function beginnings(text: string, weight: number): Form[] {
  return Array.from({ length: Math.max(0, text.length - 1) }, (_, i) => {
    const kept = i + 1;
    const few = kept === 1 ? COST.oneLetter : kept === 2 ? COST.twoLetters : 0;
    const vowel = /[aeiou]$/i.test(text.slice(0, kept)) ? COST.endsInVowel : 0;
    const ofShort = text.length <= SHORT ? COST.ofShort : 0;
    const cost = COST.beginning + (COST.cut * (text.length - kept)) / text.length + few + vowel + ofShort;
    return { text: text.slice(0, kept), cost: cost * weight };
  });
}

/** Vowels out from the end, one after another; a word keeps its first letter. */
function skeletons(text: string, weight: number): Form[] {
  const forms: Form[] = [];
  if (text.length <= SHORT) return forms;
  const letters = [...text];
  for (let i = letters.length - 1; i > 0; i--) {
    if (!/[aeiou]/i.test(letters[i] ?? '')) continue;
    letters.splice(i, 1);
    forms.push({ text: letters.join(''), cost: (COST.skeleton + COST.vowel * (forms.length + 1)) * weight });
  }
  return forms;
}

const plainOf = (word: string) => word.toLowerCase().replace(/[.,;:]$/, '');

function leavingOut(plain: string, before: string | undefined): number {
  if (FILLERS.has(plain)) return COST.leftFiller;
  if (before === undefined) return USUAL.has(plain) ? COST.left : COST.leftFirst;
  if (WHICH.has(plainOf(before))) return COST.leftAfterWhich;
  return USUAL.has(plain) ? COST.leftUsual : COST.left;
}
