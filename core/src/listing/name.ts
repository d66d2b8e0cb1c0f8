import type { Question } from '../findings/index';
import { isToneText } from '../model/index';
import { type Collected, withText } from './collected';
import {
  DIRECTION_WORDS,
  DOING_WORDS,
  JOINING_WORDS,
  LEADING_WORDS,
  NO_NAME_WORDS,
  PLACING_WORDS,
  POLARITY_WORDS,
  TONE_WORDS,
  UNIT_WORDS,
} from './words';

type Left = Collected['name'][number];

/** A call sign, as registries write them. */
const CALL_SIGN = /^([A-Z]{1,2}\d[A-Z]{1,4}|[A-Z]{3,4}\d{3,4})$/;
const HAS_DIGIT = /\d/;

/** The name that the words left of a line make. What does not look like a name is asked about, and is no part of it until it is quoted. */
export function nameOf(got: Collected, questions: Question[]): string {
  const { name, line } = got;
  const runs = runsOf(name);
  const place = got.frequencies[0] ?? got.channel;
  const isAfter = ({ token }: Left) => place !== undefined && token.start > place.start;
  const parts: string[] = [];
  const isToneless = got.tones.length === 0;
  runs.forEach((whole, r) => {
    const run = withoutJoints(whole, place?.start ?? 0);
    const isStrange = (left: Left, k: number) =>
      isKeyword(left) ||
      (run.every(isTooShort) && isTooShort(left)) ||
      ((k === 0 || k === run.length - 1) && isJoining(left)) ||
      (isToneless && isBareTone(left));
    const strange = run.map(
      (left, k) => DOING_WORDS.has(left.token.lower) || (isAfter(left) && isStrange(left, k)),
    );
    const doubtful = run.filter(
      (left, k) =>
        strange[k] ||
        // `CC 3`, `or 19`: the figure is of the word before it.
        (strange[k - 1] && /^\d/.test(left.token.text)) ||
        isDoubtful(left, run[k - 1], run[k + 1], r > 0),
    );
    if (doubtful.length > 0) {
      // `foo 7`: the whole of a stretch behind the name is asked about, its figure alone says nothing.
      const [first, last] = r > 0 ? [run[0], run.at(-1)] : [doubtful[0], doubtful.at(-1)];
      if (first && last) questions.push(leftOver(line, first.token.start, last.token.end));
    }
    const left = asWritten(run.filter((one) => !doubtful.includes(one)));
    // A name begins with a capital letter here, and this does not: it is something that somebody says of it.
    const isRemark =
      /^\p{Lu}/u.test(parts[0] ?? '') &&
      /^\p{Ll}/u.test(left[0] ?? '') &&
      !run.some(({ token }) => token.quoted);
    if (!isRemark) parts.push(...left);
    else if (doubtful.length === 0) got.notes.push(keepRemark(line, run, questions));
  });
  return parts.join(' ').replace(/^[-–—.\s]+|[-–—.\s]+$/g, '');
}

/**
 * `131.8 at Kelp Stairs`, `Kelp Stairs is on 462.650`, `family on FRS radios`: where it is, and words that lead to what it is on, are no part of
 * what it is called.
 */
function withoutJoints(run: readonly Left[], placeStart: number): readonly Left[] {
  const first = run[0]?.token;
  if (run.length > 1 && first && first.start > placeStart && /^(at|@)$/.test(first.lower))
    return run.slice(1);
  const isBefore = (run.at(-1)?.token.end ?? 0) <= placeStart;
  const joints = isBefore ? LEADING_WORDS : PLACING_WORDS;
  const last = run.findLastIndex(({ token }) => token.quoted || !joints.has(token.text));
  return run.slice(0, last + 1);
}

/** The words of a run, those that were written as one in one: `UHF2`. */
function asWritten(run: readonly Left[]): string[] {
  const words: string[] = [];
  run.forEach(({ token }, i) => {
    const last = words.at(-1);
    const before = run[i - 1]?.token;
    if (last !== undefined && before && !before.quoted && before.end === token.start)
      words[words.length - 1] = last + token.text;
    else words.push(token.text);
  });
  return words;
}

/** Says that words are kept in the note, and offers them for the name. */
function keepRemark(line: string, run: readonly Left[], questions: Question[]): string {
  const [start, end] = [run[0]?.token.start ?? 0, run.at(-1)?.token.end ?? 0];
  const about = line.slice(start, end);
  const quoted = `"${about.replaceAll('"', '')}"`;
  questions.push({
    code: 'remark-kept',
    blocking: false,
    about,
    offers: [quoted],
    lines: [withText(line, start, end, quoted)],
  });
  return about;
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
  if (!HAS_DIGIT.test(text)) return /^(dB|dBm|Hz|kHz|MHz|GHz|Mc)$/.test(text);
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
    DIGITAL_CODE.test(lower) ||
    (lower.length > 1 && (TONE_WORDS[lower] !== undefined || POLARITY_WORDS[lower] !== undefined)));

/** `CC3`, `TG101`: a code of a digital mode, where the line says no mode. */
const DIGITAL_CODE = /^(cc|tg|ts|ran|nac|slot)\d+$/;

const isJoining = ({ token: { lower, text, quoted } }: Left): boolean =>
  !quoted && text === lower && JOINING_WORDS.has(lower);

/** `blue 67`, `t100`: a figure that some tone has, in a line that names no tone. */
const isBareTone = ({ token: { text, quoted } }: Left): boolean => !quoted && wholeTone(text) !== undefined;

const wholeTone = (text: string): string | undefined => {
  const figure = /^t?(\d{2,3})$/i.exec(text)?.[1];
  return figure !== undefined && isToneText(`${figure}.0`) ? `${figure}.0` : undefined;
};

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
  const tone = wholeTone(about);
  const offers = [...(tone ? [tone] : []), quoted];
  return {
    code: 'left-over',
    blocking: true,
    about,
    offers: [...offers, `without ${about}`],
    lines: [...offers.map((offer) => withText(line, start, end, offer)), without],
  };
}
