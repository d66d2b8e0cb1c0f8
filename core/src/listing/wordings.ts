import { usualShiftIn } from '../facts/index';
import { askInstead, type State } from './collected';
import { beforeUnit, directLast, isFrequency, nearValue } from './nearby';
import { takeSigned } from './numbers';
import type { Token } from './tokens';
import { looksLikeTone } from './toneShape';
import { DIRECTION_WORDS, type Direction, OFF_WORDS, REPEATER_WORDS, TONE_WORDS } from './words';

/* Turns of phrase of several words, which no list of fixed words holds. */

const SENDING =
  /^(tx|transmit|transmits|transmitting|transmission|transmissions|sending|send|xmit|talk|talking)$/;
const KEYING = /^(key|keying)$/;
const FORBIDS = /^(forbidden|prohibited|disabled|inhibit|inhibited|blocked|locked|disallowed|banned)$/;

/** `transmit forbidden`, `tx blocked`, `PTT off` */
export const isForbidden = (tokens: readonly Token[], i: number): boolean => {
  const [word, next] = [tokens[i]?.lower ?? '', tokens[i + 1]?.lower ?? ''];
  return word === 'ptt' ? FORBIDS.test(next) || next === 'off' : SENDING.test(word) && FORBIDS.test(next);
};

/**
 * `tx off` where the line says nothing of what is heard, and `tx never` right behind the frequency: that nothing is sent, or something of a tone.
 * Never taken to be nothing. Answers the words used, or 0.
 */
export function sendingOff({ got, tokens }: State, i: number): number {
  const [before, word, next] = [beforeUnit(tokens, i), tokens[i], tokens[i + 1]];
  if (!word || !next || next.quoted || !SENDING.test(word.lower)) return 0;
  if (/^(off|none)$/.test(next.lower)) {
    const isOfTone = TONE_WORDS[before?.lower ?? ''] !== undefined;
    if (isOfTone || tokens.some(({ lower }) => DIRECTION_WORDS[lower] === 'hear')) return 0;
    askInstead(got, word.start, next.end, ['rx only', 'in off']);
    return 2;
  }
  const isWord = /^\p{L}/u.test(next.text) && !looksLikeTone(next.text) && !isKnown(next.lower);
  if (!isFrequency(before) || !isWord) return 0;
  askInstead(got, word.start, next.end, ['rx only', `"${next.text.replaceAll('"', '')}"`]);
  return 2;
}

/** `67.0 in the valley`, `in Kelp valley`: where it is, and no way. */
export const isWhere = (tokens: readonly Token[], i: number): boolean => {
  const next = tokens[i + 1];
  const isPlace = /^(the|a|an|our|my|this|that|town|range)$|^\p{Lu}\p{Ll}/u.test(next?.text ?? '');
  return tokens[i]?.lower === 'in' && isPlace && !isKnown(next?.lower ?? '');
};

/** Whether a word says something of a way, a tone or a repeater, which is read where it stands. */
const isKnown = (word: string): boolean =>
  DIRECTION_WORDS[word] !== undefined ||
  TONE_WORDS[word] !== undefined ||
  REPEATER_WORDS.has(word) ||
  OFF_WORDS.has(word);

/** `462.700 TX 146.2 RX`: one tone between two words, either of which may be its own. Asked about, once all was read. */
export function betweenTwoWays({ got, tokens }: State): void {
  const [tone, more] = got.tones;
  if (!tone || more) return;
  const at = tokens.findIndex(({ start }) => start === tone.start);
  const after = tokens[at + 1]?.lower === 'hz' ? at + 2 : at + 1;
  const [before, behind] = [tokens[at - 1], tokens[after]];
  const ways = [before, behind].map((one) => DIRECTION_WORDS[one?.lower ?? '']);
  if (!before || !behind || !ways[0] || !ways[1] || ways[0] === ways[1] || ways.includes('both')) return;
  const value = got.line.slice(tone.start, tone.end);
  const offers = [`${before.text} ${value}`, `${behind.text} ${value}`];
  // The words are asked about with the tone, and no name.
  const words = got.name.filter(({ token }) => token.start < before.start || token.end > behind.end);
  got.name.splice(0, got.name.length, ...words);
  askInstead(got, before.start, behind.end, offers);
}

/** `input 467.725 103.5, output 462.725 88.5`: a tone behind each of two frequencies whose ways are said goes its way. */
export function eachWithItsOwn({ got }: State): void {
  const [first, second] = got.frequencies.toSorted((a, b) => a.start - b.start);
  const [one, other] = got.tones.toSorted((a, b) => a.start - b.start);
  if (!first?.direction || !second?.direction || !one || !other || got.tones.length > 2) return;
  const isInTurn = first.end <= one.start && one.end <= second.start && second.end <= other.start;
  if (!isInTurn || one.direction || other.direction || first.direction === second.direction) return;
  one.direction = first.direction;
  other.direction = second.direction;
}

/** `not for tx`, `do not transmit`, `never talk`: how many words forbid sending here, or 0. `no tx tone` is about a tone. */
export function forbidding(tokens: readonly Token[], i: number): number {
  const word = (k: number) => tokens[i + k]?.lower ?? '';
  const isNot = /^(no|not|never|don't|dont)$/;
  const from = word(0) === 'do' && word(1) === 'not' ? 2 : isNot.test(word(0)) ? 1 : 0;
  if (from === 0) return 0;
  const at = /^(for|to)$/.test(word(from)) ? from + 1 : from;
  // `do not key up`
  if (KEYING.test(word(at))) return at + (word(at + 1) === 'up' ? 2 : 1);
  if (!SENDING.test(word(at)) || isNoTone(tokens, i)) return 0;
  return at + 1;
}

/** `no tx tone`, with no value behind it; with one it may forbid sending. */
function isNoTone(tokens: readonly Token[], i: number): boolean {
  const [no, way, tone] = tokens.slice(i, i + 3).map(({ lower }) => lower);
  const isSaid = /^(no|without)$/.test(no ?? '') && DIRECTION_WORDS[way ?? ''] !== undefined;
  // `no rx tone, tx tone 186.2`: another way begins another part.
  const next = DIRECTION_WORDS[tokens[i + 3]?.lower ?? ''];
  const isOther = next !== undefined && next !== DIRECTION_WORDS[way ?? ''];
  return isSaid && /^(tones?|pl|ctcss|dcs|dpl)$/.test(tone ?? '') && (isOther || !nearValue(tokens, i + 3));
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

/** Usual shifts in kilohertz, which are neither a tone nor a code. */
const USUAL_KHZ = /^(600|1600|5000|7600|9400)$/;

/** The size of an offset that has no unit, in hertz; 0 where it may be something else: `up 5 floors`. */
function bareSizeHz({ got, country }: State, size: Token | undefined, after: Token | undefined): number {
  if (!size || /^(k?hz|k)$/.test(after?.lower ?? '')) return 0;
  // `down .6`: with figures behind the point, and lower than tones are, it is megahertz.
  if (/^\d?\.\d{1,3}$/.test(size.text)) return Math.round(Number(size.text) * 1e6);
  const isCounted = /^\p{L}+$/u.test(after?.text ?? '') && !/^\p{Lu}\p{Ll}/u.test(after?.text ?? '');
  if (isCounted && !isKnown(after?.lower ?? '') && !GOES_ON.test(after?.lower ?? '')) return 0;
  if (USUAL_KHZ.test(size.text)) return Number(size.text) * 1e3;
  // `up 5` where 5 MHz is usual
  const [place] = got.frequencies;
  const usualHz = place ? Math.abs(usualShiftIn(country, place.hz)) : 0;
  return usualHz > 0 && size.text === `${usualHz / 1e6}` ? usualHz : 0;
}
/** Words that go on with something else behind a size. */
const GOES_ON = /^(with|and|open|closed|private|narrow|wide|no|on|for|at|via|from)$/;

/** `600 kHz down`, `shift 5 MHz up`: an offset in words. Answers the words used, or 0. */
export function offsetInWords(state: State, i: number): number {
  const { got, tokens } = state;
  if (got.frequencies.length === 0 && !got.channel) return 0;
  const from = /^(offset|shift|split|ablage)$/.test(tokens[i]?.lower ?? '') ? 1 : 0;
  const said = tokens.slice(i + from, i + from + 3);
  // `up 600 kHz` as well as `600 kHz up`.
  const [size, unit, way] = /^\d/.test(said[0]?.text ?? '') ? said : [said[1], said[2], said[0]];
  const isSize = size && unit && /^\d+(\.\d+)?$/.test(size.text) && /^(k|khz|m|mhz)$/.test(unit.lower);
  const [before, behind, after] = tokens.slice(i + from, i + from + 3);
  const bareHz = isSize || !/^(up|down)$/.test(before?.lower ?? '') ? 0 : bareSizeHz(state, behind, after);
  if (bareHz > 0 && before && behind) {
    got.offsetHz = (before.lower === 'up' ? 1 : -1) * bareHz;
    got.offsetAt = { start: tokens[i]?.start ?? before.start, end: behind.end };
    return from + 2;
  }
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
  // `base 462.700 mobile 467.700`: ours are the mobile ones.
  const isOurs = says(/^(mobile|mobiles|portable|portables)$/);
  const isTheirs = says(/^(base|bases|relay)$/);
  if ((isOurs(word, i) && tokens.some(isTheirs)) || (isTheirs(word, i) && tokens.some(isOurs))) {
    state.direction = isOurs(word, i) ? 'send' : 'hear';
    return next(i) - i;
  }
  const isTalk = says(/^(talk|speak)$/)(word, i);
  const isListen = says(/^(listen|hear)$/)(word, i) && tokens.some(says(/^(talk|speak)$/));
  if (!isTalk && !isListen) return 0;
  if (isTalk && got.frequencies.length === 0 && !tokens.some(says(/^(listen|hear)$/))) return 0;
  state.direction = isTalk ? 'send' : 'hear';
  return next(i) - i;
}

/** `HI power`, `low pwr`: kept in the note, as watts are. Answers the words used, or 0. */
export function powerInWords({ got, tokens }: State, i: number): number {
  const [word, power] = [tokens[i], tokens[i + 1]];
  const isSaid = /^(hi|high|lo|low|med|medium|full)$/.test(word?.lower ?? '');
  if (!isSaid || !word || !power || !/^(power|pwr)$/.test(power.lower) || got.frequencies.length === 0)
    return 0;
  got.notes.push(got.line.slice(word.start, power.end));
  return 2;
}

/** `offset 5`, `offset 600 -`, `offset 5 MHz`: without a unit, or a way, it is asked about, with what of it is there. */
function bareOffset(tokens: readonly Token[], i: number) {
  const [size, behind] = [tokens[i + 1], tokens[i + 2]];
  if (!size || !/^(0?\.\d+|1?\d(\.\d+)?|[1-9]\d{2,3})$/.test(size.text)) return undefined;
  const said = /^(k|khz|m|mhz)$/.test(behind?.lower ?? '') ? behind : undefined;
  const way = behind && (/^[+-]$/.test(behind.text) || isWay(behind)) ? behind : undefined;
  const sign = /^(\+|plus|positive|pos|up)$/.test(way?.lower ?? '') ? '+' : '-';
  const unit = said?.text ?? (/^\d{3}/.test(size.text) ? 'kHz' : 'MHz');
  const offers = (way ? [sign] : ['+', '-']).map((mark) => `${mark}${size.text} ${unit}`);
  const last = way ?? said;
  return { end: (last ?? size).end, offers, used: last ? 3 : 2 };
}

const OFFSET_WORD = /^(offset|shift|ablage)$/;
const NO_OFFSET = /^(no|zero|without|0|0\.0|none)$/;

/**
 * The word offset with no size behind or before it. `no offset` is from set to set, `standard offset` goes through a repeater; by itself behind
 * a frequency it is asked about, before one it is of the name. Answers the words used, or 0.
 */
export function offsetWord(state: State, i: number): number {
  const { got, tokens } = state;
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
  // `offset none`; `negative offset, no PL` goes on with the tone.
  if (hasPlace && NO_OFFSET.test(after?.lower ?? '') && !TONE_WORDS[tokens[i + 2]?.lower ?? '']) {
    got.direct = true;
    return 2;
  }
  // `shift up`
  const way = /^(up|down)$/.exec(after?.lower ?? '')?.[1];
  if (way && hasPlace) {
    const sign = way === 'up' ? '+' : '-';
    const used = takeSigned(state, i + 1, sign);
    if (used === 0) {
      got.offsetHz = sign;
      got.offsetAt = { start: token.start, end: after?.end ?? token.end };
    }
    return 1 + Math.max(1, used);
  }
  const bare = hasPlace ? bareOffset(tokens, i) : undefined;
  if (bare) {
    askInstead(got, token.start, bare.end, bare.offers);
    return bare.used;
  }
  const isSize =
    /^([+-].*|\d{1,2}(\.\d+)?|\d{3,4})$/.test(after?.text ?? '') && !looksLikeTone(after?.text ?? '');
  const isSaid = got.offsetHz !== undefined || /^((k|m)?hz|k|m)$/.test(before?.lower ?? '') || isWay(before);
  if (isSize || isWay(after) || isSaid) return 1;
  if (!hasPlace) return 0;
  askInstead(got, token.start, token.end, ['rpt', 'direct']);
  return 1;
}

/** `needs 118.8`, `with 118.8`: a word that leads to a value, and says nothing of it. Answers the words used, or 0. */
export function leadsToValue({ got, tokens }: State, i: number): number {
  const hasPlace = got.frequencies.length > 0 || got.channel !== undefined;
  const [word, next] = [tokens[i]?.lower ?? '', tokens[i + 1]?.lower ?? ''];
  // `opens with 118.8`, `accessed by 118.8`
  if (/^(opens?|opened|keyed|accessed)$/.test(word) && /^(with|by|on)$/.test(next) && hasPlace) {
    if (!nearValue(tokens, i + 2) || isFrequency(tokens[i + 2])) return 0;
    got.opens = true;
    return 2;
  }
  const isLead = /^(needs?|requires?|uses?|using|wants|takes|with|and)$/.test(tokens[i]?.lower ?? '');
  const isSaid = nearValue(tokens, i + 1) && !/^\d{1,3}$/.test(tokens[i + 1]?.text ?? '');
  return hasPlace && isLead && isSaid && !isFrequency(tokens[i + 1]) ? 1 : 0;
}

/** `186.2 on the input`: words before a direction that stands behind its value. Answers the words used, or 0. */
export function onThe({ got, tokens }: State, i: number): number {
  const words = tokens.slice(i, i + 2).map(({ lower }) => lower);
  const used = words[0] === 'on' ? (words[1] === 'the' ? 2 : 1) : words[0] === 'the' ? 1 : 0;
  const way = /^(input|output|uplink|downlink|in|out)$/.exec(tokens[i + used]?.lower ?? '')?.[0];
  const last = got.tones.at(-1);
  if (used === 0 || !way || !last || last.direction || last.end !== beforeUnit(tokens, i)?.end) return 0;
  last.direction = DIRECTION_WORDS[way];
  return used + 1;
}

/** `mobile tx 467.700`: whose, before a word for a direction that says it already. Answers the words used, or 0. */
export function oursBefore({ tokens }: State, i: number): number {
  const isOurs = /^(mobile|portable|handheld|radio|my|your)$/.test(tokens[i]?.lower ?? '');
  return isOurs && DIRECTION_WORDS[tokens[i + 1]?.lower ?? ''] && isFrequency(tokens[i + 2]) ? 1 : 0;
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
