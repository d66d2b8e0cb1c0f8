import { KEPT_LAST, type NameRule } from './nameForms';
import type { Form } from './shortForms';

/** With a figure of its own: only where two channels have the same name, or nothing else is left. In tenths of the points of a form. */
const MARKED = 1500;
const MARKED_SAME = 300;
/** So many marked forms of a channel are weighed. */
const MARKS = 3;

/** The first marked form that nobody has. */
export function firstFree(text: string, rule: NameRule, taken: ReadonlySet<string>): string | undefined {
  for (let n = 0; ; n++) {
    const mark = markAt(n, rule);
    if (mark === undefined) return undefined;
    const one = withMark(text, mark, rule.length);
    if (!taken.has(one)) return one;
  }
}

/**
 * The nth of the figures that tell names alike apart, from 2 on; of the letters, on a set without figures. At most four characters: then
 * there are no more.
 */
function markAt(n: number, rule: NameRule): string | undefined {
  const { signs, isFigures } = signsOf(rule);
  if (signs.length < 2) return undefined;
  let mark = '';
  for (let rest = isFigures ? n + 2 : n; mark === '' || rest > 0; rest = Math.floor(rest / signs.length))
    mark = (signs[rest % signs.length] ?? '') + mark;
  return mark.length > Math.min(rule.length, 4) ? undefined : mark;
}

/** What marks are written in: figures where the set has them, else its letters. */
function signsOf({ characters }: NameRule): { signs: readonly string[]; isFigures: boolean } {
  const figures = [...'0123456789'].filter((figure) => characters.includes(figure));
  const isFigures = figures.length > 1;
  return { signs: isFigures ? figures : [...characters].filter((char) => char.trim() !== ''), isFigures };
}

const isMark = (text: string, rule: NameRule) =>
  [...text].every((char) => signsOf(rule).signs.includes(char));

const withMark = (text: string, mark: string, length: number) => text.slice(0, length - mark.length) + mark;

/**
 * The marked forms of a channel before which so many have the same name: enough of them for one that is its own, and the one that the set
 * has already.
 * @param isWanted whether a text could be another channel's, or is one's by now
 */
export function marked(
  own: readonly Form[],
  before: number,
  rule: NameRule,
  last: string | undefined,
  isWanted: (text: string) => boolean,
): Form[] {
  const [first] = own;
  if (!first) return [];
  const known = new Set(own.map(({ text }) => text));
  const cost = Math.max(first.cost, 0) + (before > 0 ? MARKED_SAME : MARKED);
  const forms: Form[] = [];
  for (let n = Math.max(0, before - 1); forms.length < MARKS; n++) {
    const mark = markAt(n, rule);
    if (mark === undefined) break;
    const text = withMark(first.text, mark, rule.length);
    if (!isWanted(text)) forms.push({ text, cost: cost + 10 * n });
  }
  if (last === undefined || known.has(last)) return forms;
  const isMarked = [1, 2, 3, 4].some((letters) => {
    const mark = last.slice(-letters);
    return isMark(mark, rule) && withMark(first.text, mark, rule.length) === last;
  });
  if (!isMarked) return forms;
  return [...forms.filter(({ text }) => text !== last), { text: last, cost: cost + KEPT_LAST }];
}
