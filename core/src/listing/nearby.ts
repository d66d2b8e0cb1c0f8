import { frequencyHz, looseFrequencyHz, type State } from './collected';
import type { Token } from './tokens';
import { looksLikeTone } from './toneShape';
import { DIRECTION_WORDS, type Direction, OFF_WORDS, TONE_WORDS } from './words';

/** What stands before a word, and before a unit where there is one between: `88.5 Hz encode`. */
export function beforeUnit(tokens: readonly Token[], i: number): Token | undefined {
  return /^(k|m)?hz$/.test(tokens[i - 1]?.lower ?? '') ? tokens[i - 2] : tokens[i - 1];
}

/** Whether a word is a frequency. */
export const isFrequency = (token: Token | undefined): boolean =>
  token !== undefined && (frequencyHz(token.text) ?? looseFrequencyHz(token.text)) !== undefined;

/** Whether a word is written as a tone is, whole or as a code, and is no frequency. */
const isToneValue = (token: Token | undefined): boolean =>
  token !== undefined && looksLikeTone(token.text) && !isFrequency(token);

/** The same with figures behind its point. */
export const isTone = (token: Token | undefined): boolean =>
  isToneValue(token) && /\.\d$/.test(token?.text ?? '');

/** Whether a word is what may stand behind a direction: a tone, none, a frequency. */
export const isValue = (token: Token | undefined): boolean =>
  isToneValue(token) || isFrequency(token) || OFF_WORDS.has(token?.lower ?? '');

/** `none/146.2`, `146.2/CSQ`: no tone as one of two; which is which is asked. */
export function isOffOfTwo({ got, tokens }: State, i: number): boolean {
  const token = tokens[i];
  if (!token || !OFF_WORDS.has(token.lower)) return false;
  const isOther = (one: Token | undefined, mark: number) => got.line[mark] === '/' && isToneValue(one);
  return isOther(tokens[i + 1], token.end) || isOther(tokens[i - 1], token.start - 1);
}

/** Gives what a line said last a direction, where it has none yet and stands right before this word. */
export function directLast(
  { got, tokens }: State,
  i: number,
  direction: Direction,
  onlyTones = false,
): boolean {
  const values = onlyTones ? got.tones : [...got.tones, ...got.frequencies];
  const last = values.toSorted((a, b) => b.end - a.end)[0];
  if (!last || last.direction !== undefined || i === 0 || last.end < (beforeUnit(tokens, i)?.start ?? 0))
    return false;
  last.direction = direction;
  return true;
}

/** Whether the next words lead to a value: a tone, a frequency, off, or another word about one. */
export function nearValue(tokens: readonly Token[], from: number): boolean {
  for (let k = from; k < from + 3; k++) {
    const token = tokens[k];
    if (!token) return false;
    if (/^\d/.test(token.text) || looksLikeTone(token.text) || /^-[0-7]{3}$/.test(token.text)) return true;
    if (
      OFF_WORDS.has(token.lower) ||
      token.lower === 'open' ||
      token.lower === 'unknown' ||
      token.lower === '?'
    )
      return true;
    if (!TONE_WORDS[token.lower] && !DIRECTION_WORDS[token.lower] && token.lower !== 'squelch') return false;
  }
  return false;
}
