import type { Question } from '../findings/index';
import { isToneText } from '../model/index';
import { type Collected, withText } from './collected';
import { DIRECTION_WORDS, NO_NAME_WORDS, POLARITY_WORDS, TONE_WORDS, UNIT_WORDS } from './words';

type Left = Collected['name'][number];

/** A call sign, as registries write them. */
const CALL_SIGN = /^[A-Z]{1,2}\d[A-Z]{1,4}$/;
const HAS_DIGIT = /\d/;

/** The name that the words left of a line make. What does not look like a name is asked about, and is no part of it until it is quoted. */
export function nameOf(got: Collected, questions: Question[]): string {
  const { name, line } = got;
  const runs = runsOf(name);
  const place = got.frequencies[0] ?? got.channel;
  const isAfter = ({ token }: Left) => place !== undefined && token.start > place.start;
  const parts: string[] = [];
  runs.forEach((run, r) => {
    const doubtful = run.filter(
      (left, k) =>
        (isAfter(left) && (isKeyword(left) || (run.length === 1 && isTooShort(left)))) ||
        isDoubtful(left, run[k - 1], run[k + 1], r > 0),
    );
    if (doubtful.length > 0) {
      // `foo 7`: the whole of a stretch behind the name is asked about, its figure alone says nothing.
      const [first, last] = r > 0 ? [run[0], run.at(-1)] : [doubtful[0], doubtful.at(-1)];
      if (first && last) questions.push(leftOver(line, first.token.start, last.token.end));
    }
    parts.push(...run.filter((left) => !doubtful.includes(left)).map(({ token }) => token.text));
  });
  return parts.join(' ').replace(/^[-–—.\s]+|[-–—.\s]+$/g, '');
}

/** Words that stood beside each other, with nothing else between. */
function runsOf(name: readonly Left[]): Left[][] {
  const runs: Left[][] = [];
  for (const left of name) {
    const run = runs.at(-1);
    if (run && run.at(-1)?.at === left.at - 1) run.push(left);
    else runs.push([left]);
  }
  return runs;
}

function isDoubtful(
  { token: { text, lower, quoted } }: Left,
  before: Left | undefined,
  after: Left | undefined,
  isBehind: boolean,
): boolean {
  if (quoted) return false;
  // `2 m`, `70 cm`: a band by its wavelength.
  if (!isBehind && (isBand(before?.token.text, lower) || isBand(text, after?.token.lower))) return false;
  if (UNIT_WORDS.has(lower) && text === lower) return true;
  if (!HAS_DIGIT.test(text)) return /^(dB|dBm|Hz|kHz|MHz|GHz)$/.test(text);
  if (CALL_SIGN.test(text)) return false;
  if (isBehind || /[.,]/.test(text)) return true;
  if (/\p{L}/u.test(text)) return false;
  const isWord = (left: Left | undefined) => left !== undefined && /\p{L}/u.test(left.token.text);
  return !isWord(before) && !isWord(after);
}

/** Whether a word means something to the reader, which found no use for it here. */
const isKeyword = ({ token: { lower, quoted } }: Left): boolean =>
  !quoted &&
  (NO_NAME_WORDS.has(lower) ||
    DIRECTION_WORDS[lower] !== undefined ||
    (lower.length > 1 && (TONE_WORDS[lower] !== undefined || POLARITY_WORDS[lower] !== undefined)));

/** `462.550 rpt (c)`, `462.550 x2`: a letter by itself is a mark of somebody's list sooner than a name. */
const isTooShort = ({ token: { text, quoted } }: Left): boolean =>
  !quoted && /^(\p{L}|\p{L}\d|\d\p{L})$/u.test(text);

const isBand = (figure: string | undefined, unit: string | undefined): boolean =>
  /^\d{1,3}$/.test(figure ?? '') && (unit === 'm' || unit === 'cm');

function leftOver(line: string, start: number, end: number): Question {
  const about = line.slice(start, end);
  const quoted = `"${about.replaceAll('"', '')}"`;
  const without = withText(line, start, end, '')
    .replace(/\s{2,}/g, ' ')
    .trim();
  const tone = /^\d{2,3}$/.test(about) && isToneText(`${about}.0`) ? [`${about}.0`] : [];
  const offers = [...tone, quoted];
  return {
    code: 'left-over',
    blocking: true,
    about,
    offers: [...offers, `without ${about}`],
    lines: [...offers.map((offer) => withText(line, start, end, offer)), without],
  };
}
