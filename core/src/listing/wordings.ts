import { askInstead, type State } from './collected';
import { directLast, isFrequency, nearValue } from './nearby';
import type { Token } from './tokens';
import { DIRECTION_WORDS, type Direction, REPEATER_WORDS, TONE_WORDS } from './words';

/* Turns of phrase of several words, which no list of fixed words holds. */

const SENDING =
  /^(tx|transmit|transmits|transmitting|transmission|transmissions|sending|send|xmit|talk|talking)$/;
const FORBIDS = /^(forbidden|prohibited|disabled|inhibit|inhibited|blocked|locked|disallowed|banned)$/;

/** `transmit forbidden`, `tx blocked` */
export const isForbidden = (tokens: readonly Token[], i: number): boolean =>
  SENDING.test(tokens[i]?.lower ?? '') && FORBIDS.test(tokens[i + 1]?.lower ?? '');

/** `not for tx`, `do not transmit`, `never talk`: how many words forbid sending here, or 0. `no tx tone` is about a tone. */
export function forbidding(tokens: readonly Token[], i: number): number {
  const word = (k: number) => tokens[i + k]?.lower ?? '';
  const isNot = /^(no|not|never|don't|dont)$/;
  const from = word(0) === 'do' && word(1) === 'not' ? 2 : isNot.test(word(0)) ? 1 : 0;
  if (from === 0) return 0;
  const at = /^(for|to)$/.test(word(from)) ? from + 1 : from;
  if (!SENDING.test(word(at)) || isNoTone(tokens, i)) return 0;
  return at + 1;
}

/** `no tx tone`, with no value behind it; with one it may forbid sending. */
function isNoTone(tokens: readonly Token[], i: number): boolean {
  const [no, way, tone] = tokens.slice(i, i + 3).map(({ lower }) => lower);
  const isSaid = /^(no|without)$/.test(no ?? '') && DIRECTION_WORDS[way ?? ''] !== undefined;
  return isSaid && /^(tones?|pl|ctcss|dcs|dpl)$/.test(tone ?? '') && !nearValue(tokens, i + 3);
}

/**
 * `no input pl`, `no rx tone`: that no tone is sent, or heard. `no tx tone` may as well forbid sending: it is asked. Answers the words used, or 0.
 */
export function noToneOf({ got, tokens }: State, i: number): number {
  const [no, way, tone] = tokens.slice(i, i + 3);
  if (!no || !way || !tone || !isNoTone(tokens, i)) return 0;
  if (SENDING.test(way.lower)) {
    askInstead(got, no.start, tone.end, ['in off', 'rx only']);
    return 3;
  }
  got.tones.push({ tone: 'off', direction: DIRECTION_WORDS[way.lower], start: no.start, end: tone.end });
  return 3;
}

/** `131.8 encode only`: sent, and not waited for. Answers the words used, or 0. */
export function encodeOnly(state: State, i: number): number {
  const { got, tokens } = state;
  const [word, only] = [tokens[i], tokens[i + 1]];
  if (!word || !/^enc(ode)?$/.test(word.lower) || only?.lower !== 'only' || got.tones.length !== 1) return 0;
  if (!directLast(state, i, 'send', true)) return 0;
  got.tones.push({ tone: 'off', direction: 'hear', start: word.start, end: only.end });
  return 2;
}

/** `600 kHz down`, `shift 5 MHz up`: an offset in words. Answers the words used, or 0. */
export function offsetInWords({ got, tokens }: State, i: number): number {
  if (got.frequencies.length === 0 && !got.channel) return 0;
  const from = /^(offset|shift|split)$/.test(tokens[i]?.lower ?? '') ? 1 : 0;
  const said = tokens.slice(i + from, i + from + 3);
  // `up 600 kHz` as well as `600 kHz up`.
  const [size, unit, way] = /^\d/.test(said[0]?.text ?? '') ? said : [said[1], said[2], said[0]];
  const isSize = size && unit && /^\d+(\.\d+)?$/.test(size.text) && /^(k|khz|m|mhz)$/.test(unit.lower);
  const sign = /^(up|above|high|higher|plus|positive)$/.test(way?.lower ?? '')
    ? 1
    : /^(down|below|low|lower|minus|negative)$/.test(way?.lower ?? '')
      ? -1
      : 0;
  if (!isSize || !way || sign === 0) return 0;
  got.offsetHz = sign * Math.round(Number(size.text) * (unit.lower.startsWith('k') ? 1e3 : 1e6));
  got.offsetAt = { start: tokens[i]?.start ?? size.start, end: said.at(-1)?.end ?? way.end };
  return from + 3;
}

/** `no repeater`, `not a repeater`: from set to set. Answers the words used, or 0. */
export function noRepeater({ got, tokens }: State, i: number): number {
  if (!/^(no|not|without|non)$/.test(tokens[i]?.lower ?? '')) return 0;
  const at = /^(a|the|any)$/.test(tokens[i + 1]?.lower ?? '') ? i + 2 : i + 1;
  const word = tokens[at];
  // `no rpt tone` is of the tone.
  if (!word || !REPEATER_WORDS.has(word.lower) || TONE_WORDS[tokens[at + 1]?.lower ?? '']) return 0;
  got.direct = true;
  return at + 1 - i;
}

/** `listen 462.575 talk 467.575`: which is heard, and which is sent on, in everyday words. */
export function talkOn(state: State, i: number): number {
  const { got, tokens } = state;
  const next = (k: number) => (tokens[k + 1]?.lower === 'on' ? k + 2 : k + 1);
  const says = (words: RegExp) => (one: Token, k: number) =>
    words.test(one.lower) && isFrequency(tokens[next(k)]);
  const word = tokens[i];
  if (!word || !isFrequency(tokens[next(i)])) return 0;
  const isTalk = says(/^(talk|speak)$/)(word, i);
  const isListen = says(/^(listen|hear)$/)(word, i) && tokens.some(says(/^(talk|speak)$/));
  if (!isTalk && !isListen) return 0;
  if (isTalk && got.frequencies.length === 0 && !tokens.some(says(/^(listen|hear)$/))) return 0;
  state.direction = isTalk ? 'send' : 'hear';
  return next(i) - i;
}

const OFFSET_WORD = /^(offset|shift)$/;
const NO_OFFSET = /^(no|zero|without|0|0\.0|none)$/;

/**
 * The word offset with no size behind or before it. `no offset` is from set to set, `standard offset` goes through a repeater; by itself behind
 * a frequency it is asked about, before one it is of the name. Answers the words used, or 0.
 */
export function offsetWord({ got, tokens }: State, i: number): number {
  const [before, token, after] = [tokens[i - 1], tokens[i], tokens[i + 1]];
  if (!token) return 0;
  const hasPlace = got.frequencies.length > 0 || got.channel !== undefined;
  if (OFFSET_WORD.test(after?.lower ?? '') && hasPlace) {
    if (NO_OFFSET.test(token.lower)) got.direct = true;
    else if (/^(std|standard|usual|normal|regular)$/.test(token.lower)) got.repeater = true;
    else return 0;
    return 2;
  }
  if (!OFFSET_WORD.test(token.lower)) return 0;
  if (hasPlace && NO_OFFSET.test(after?.lower ?? '')) {
    got.direct = true;
    return 2;
  }
  const isSize = /^([+-].*|\d{1,2}(\.\d+)?|\d{3,4})$/.test(after?.text ?? '') || isWay(after);
  const isSaid = got.offsetHz !== undefined || /^((k|m)?hz|k|m)$/.test(before?.lower ?? '') || isWay(before);
  if (isSize || isSaid) return 1;
  if (!hasPlace) return 0;
  askInstead(got, token.start, token.end, ['rpt', 'direct']);
  return 1;
}

const isWay = (token: Token | undefined): boolean =>
  /^(plus|positive|pos|minus|negative|neg|up|down)$/.test(token?.lower ?? '');

/** `R 462.650 T 467.650`: a letter before each of two frequencies. */
export function letterBefore({ tokens }: State, i: number): Direction | undefined {
  const letter = tokens[i]?.lower ?? '';
  if (!/^[rst]$/.test(letter) || !isFrequency(tokens[i + 1])) return undefined;
  const other = tokens.some(
    ({ lower }, k) =>
      k !== i && isFrequency(tokens[k + 1]) && (letter === 'r' ? /^[st]$/ : /^r$/).test(lower),
  );
  return other ? (letter === 'r' ? 'hear' : 'send') : undefined;
}
