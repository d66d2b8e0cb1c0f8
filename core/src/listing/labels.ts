import { beforeUnit, isFrequency } from './nearby';
import type { Token } from './tokens';
import { CHANNEL_WORDS, FREQUENCY_WORDS, OFFSET_WORDS } from './words';

/**
 * A line's words without those that say what a value beside them is: `Freq: 462.725`, `TX Freq 467.725`, `462.725 MHz freq`,
 * `Channel name: Quarry`. They are no part of a name, and do not stand between a direction and its frequency.
 */
export function withoutLabels(line: string, tokens: readonly Token[]): Token[] {
  const isLabel = tokens.map(
    (token, i) => isFrequencyWord(tokens, i) || isWayWord(tokens, i) || isNameLabel(line, tokens, token, i),
  );
  return tokens.filter(
    (_, i) => !isLabel[i] && !(isLabel[i - 1] && isFrequency(tokens[i + 1]) && isJoint(tokens[i])),
  );
}

/** `the frequency is 462.725`, `a frequency of 462.725` */
const isJoint = (token: Token | undefined): boolean => /^(is|of|was)$/.test(token?.lower ?? '');

function isFrequencyWord(tokens: readonly Token[], i: number): boolean {
  if (!FREQUENCY_WORDS.has(tokens[i]?.lower ?? '')) return false;
  if (isJoint(tokens[i + 1])) return isFrequency(tokens[i + 2]);
  return isFrequency(tokens[i + 1]) || isFrequency(beforeUnit(tokens, i));
}

/** `dir +`, `direction minus`: which way an offset goes */
const isWayWord = (tokens: readonly Token[], i: number): boolean =>
  /^(dir|direction)$/.test(tokens[i]?.lower ?? '') &&
  (/^[+-]$/.test(tokens[i + 1]?.text ?? '') || OFFSET_WORDS[tokens[i + 1]?.lower ?? ''] !== undefined);

/** `Name: Quarry`, `Channel name: Quarry`, `Channel: Quarry`; with a number behind it is a channel. */
function isNameLabel(line: string, tokens: readonly Token[], { lower, end }: Token, i: number): boolean {
  const hasColon = (after: number) => /^\s*[:=]/.test(line.slice(after));
  const [next, second] = [tokens[i + 1], tokens[i + 2]];
  if (lower === 'name') return hasColon(end) && next !== undefined;
  if (!CHANNEL_WORDS.has(lower)) return false;
  if (next?.lower === 'name') return hasColon(next.end) && second !== undefined;
  return hasColon(end) && /^\p{L}/u.test(next?.text ?? '');
}
