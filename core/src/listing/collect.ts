import type { PlanCountry } from '../facts/index';
import {
  askInstead,
  type Collected,
  frequencyHz,
  looseFrequencyHz,
  pushTone,
  type State,
  tooLow,
} from './collected';
import { takeDigital } from './digital';
import { takeEmission } from './emission';
import { withoutLabels } from './labels';
import { beforeUnit, directLast, isFrequency, isOffOfTwo, isTone, isValue, nearValue } from './nearby';
import { isServiceWord, LETTERED, letteredAt, numberAfter, serviceBehind, serviceOfWord } from './numbered';
import { takeNumber, takeSigned } from './numbers';
import { takePhraseAt } from './phrases';
import { say, severalModes } from './sayings';
import { type Token, tokensOf } from './tokens';
import { looksLikeTone } from './toneShape';
import {
  betweenTwoWays,
  eachWithItsOwn,
  encodeOnly,
  forbidding,
  isForbidden,
  isWhere,
  leadsToValue,
  letterBefore,
  noRepeater,
  noToneOf,
  offsetInWords,
  offsetWord,
  onThe,
  oursBefore,
  powerInWords,
  sendingOff,
  talkOn,
} from './wordings';
import {
  CHANNEL_WORDS,
  DIRECT_WORDS,
  DIRECTION_WORDS,
  INPUT_WORDS,
  LISTEN_WORDS,
  OFF_WORDS,
  OFFSET_WORDS,
  OUTSIDE_MODES,
  POLARITY_WORDS,
  REPEATER_WORDS,
  TONE_WORDS,
  UNREAD_WORDS,
} from './words';

/** Sorts the words of a line: frequencies, tones, channel numbers, what kind of channel, and the name that is left. */
export function collect(line: string, country: PlanCountry): Collected {
  const tokens = withoutLabels(line, tokensOf(line));
  const got: Collected = {
    line,
    frequencies: [],
    tones: [],
    channel: undefined,
    serviceWord: undefined,
    offsetHz: undefined,
    offsetAt: undefined,
    repeater: false,
    opens: false,
    direct: false,
    listen: false,
    access: undefined,
    state: undefined,
    bandwidth: undefined,
    mode: undefined,
    sayings: [],
    modeParts: [],
    name: [],
    notes: [],
    questions: [],
  };
  const isFrequency = ({ text }: Token) => frequencyHz(text) !== undefined && !tooLow(text);
  const isPlain = tokens.some(isFrequency);
  const isLoose =
    !isPlain && !isAboutChannel(tokens) && tokens.some(({ text }) => looseFrequencyHz(text) !== undefined);
  const state: State = {
    country,
    got,
    tokens,
    hasFrequency: isPlain || isLoose,
    isLoose,
    direction: undefined,
    kind: undefined,
    kindStart: undefined,
    polarity: undefined,
    directionsFollow: directionsFollow(tokens),
  };
  for (let i = 0; i < tokens.length; ) i += Math.max(1, step(state, i));
  betweenTwoWays(state);
  eachWithItsOwn(state);
  return got;
}

/** Whether a line names a channel by its number: then a small number with a point is a tone. */
function isAboutChannel(tokens: readonly Token[]): boolean {
  return tokens.some(({ lower }, i) => {
    const isBeside = [tokens[i - 1], tokens[i + 1]].some((one) => /^\d{1,2}[a-z]?$/i.test(one?.text ?? ''));
    const isWord =
      CHANNEL_WORDS.has(lower) || REPEATER_WORDS.has(lower) || lower === 'r' || isServiceWord(lower);
    return LETTERED.has(lower) || (isWord && isBeside);
  });
}

/** Turns of phrase, in the order in which they are tried. */
const TURNS: readonly ((state: State, i: number) => number)[] = [
  noToneOf,
  noRepeater,
  talkOn,
  encodeOnly,
  offsetInWords,
  offsetWord,
  sendingOff,
  leadsToValue,
  onThe,
  oursBefore,
  powerInWords,
  takeEmission,
];

/** Deals with the words from place `i` on and answers how many it used. */
function step(state: State, i: number): number {
  const { got, tokens } = state;
  const token = tokens[i];
  if (!token) return 1;
  if (token.quoted) return takeName(state, token, i);
  // `462.650?`: what somebody doubts is not taken.
  if (/^[^?]*\d[^?]*\?+$/.test(token.text)) {
    askInstead(got, token.start, token.end, [token.text.replace(/\?+$/, '')]);
    return 1;
  }
  const mode = takeDigital(state, i) || severalModes(state, i);
  if (mode > 0) return mode;
  // `transmit forbidden`, `tx blocked`
  if (isForbidden(tokens, i)) {
    got.listen = true;
    return 2;
  }
  const forbidden = forbidding(tokens, i);
  if (forbidden > 0) {
    got.listen = true;
    return forbidden;
  }
  const said = TURNS.reduce((used, take) => used || take(state, i), 0);
  if (said > 0) return said;
  const phrase = takePhraseAt(state, i);
  if (phrase > 0) return phrase;
  if (takeMark(state, token, i)) return 1;
  const lettered = got.channel ? undefined : letteredAt(tokens, i);
  if (lettered) {
    got.channel = lettered.channel;
    return lettered.used;
  }
  const sign = got.frequencies.length > 0 || got.channel ? OFFSET_WORDS[token.lower] : undefined;
  if (sign) return takeOffsetWord(state, token, i, sign);
  const numbered = numberAfter(state, i);
  if (numbered > 0) return numbered;
  if (takeService(state, token, i)) return 1;
  if (REPEATER_WORDS.has(token.lower)) {
    got.repeater = true;
    return 1;
  }
  if (DIRECT_WORDS.has(token.lower)) {
    got.direct = true;
    if (token.lower === 'direct' && got.name.length > 0 && got.frequencies.length === 0)
      got.name.push({ token, at: i });
    return 1;
  }
  if (token.text === 'AM' && i > 0) {
    got.mode = 'AM';
    say(state, 'mode', 'AM', i);
    return 1;
  }
  return takeNumber(state, i) || takeName(state, token, i);
}

function takeOffsetWord(state: State, { start, end }: Token, i: number, sign: '+' | '-'): number {
  const used = takeSigned(state, i, sign);
  if (used > 0) return used;
  state.got.offsetHz = sign;
  state.got.offsetAt = { start, end };
  return 1;
}

/**
 * A word for a service by itself: one that is nothing else, one beside a frequency that is hardly a name, or any behind a frequency that the
 * service has.
 */
function takeService({ got, country, tokens }: State, { lower, start }: Token, i: number): boolean {
  const isPlain = /^(gmrs|frs|murs|pmr446)$/.test(lower);
  const isBefore = isFrequency(tokens[i + 1]);
  const behind = i > 0 && got.frequencies.find(({ end }) => end <= start && start - end <= 2);
  const isBeside = /^(marine|pmr|cb|uhfcb)$/.test(lower) && (isBefore || behind);
  const service = serviceOfWord(lower, country);
  if (service === undefined || !(isPlain || isBeside || (behind && serviceBehind(service, behind.hz))))
    return false;
  got.serviceWord = service;
  return true;
}

/** Whether the directions of a line stand behind their values: the last word is one and a value stands before the first. */
function directionsFollow(tokens: readonly Token[]): boolean {
  const first = tokens.findIndex(({ lower }) => DIRECTION_WORDS[lower]);
  const last = tokens.at(-1);
  if (first <= 0 || !isValue(beforeUnit(tokens, first))) return false;
  if (last !== undefined && DIRECTION_WORDS[last.lower] !== undefined) return true;
  // `467.550 in 462.550 out 82.5`: the first two words stand behind two frequencies, and the line goes on.
  return (
    isFrequency(tokens[first - 1]) &&
    isFrequency(tokens[first + 1]) &&
    DIRECTION_WORDS[tokens[first + 2]?.lower ?? ''] !== undefined
  );
}

/** Whether a word for a direction stands between two frequencies and could be of either: `451.750 in 456.750`. */
function isBetweenTwo({ tokens, directionsFollow }: State, i: number): boolean {
  return !directionsFollow && isFrequency(tokens[i - 1]) && isFrequency(tokens[i + 1]);
}

/** Words that say something of the value after them or before them. */
function takeMark(state: State, token: Token, i: number): boolean {
  const { got, tokens } = state;
  const letter = letterBefore(state, i);
  if (letter) {
    state.direction = letter;
    return true;
  }
  const next = tokens[i + 1];
  const before = tokens[i - 1];
  const hasPlace = got.frequencies.length > 0 || got.channel !== undefined;
  const pending = state.direction !== undefined || state.kind !== undefined;
  if (pending && (token.lower === 'unknown' || token.lower === '?'))
    return pushTone(state, 'unknown', token, token);
  if (pending && (OFF_WORDS.has(token.lower) || token.lower === 'open'))
    return pushTone(state, 'off', token, token);
  if (state.directionsFollow && OFF_WORDS.has(token.lower) && DIRECTION_WORDS[next?.lower ?? ''])
    return pushTone(state, 'off', token, token);
  const polarity = token.lower.length > 1 ? POLARITY_WORDS[token.lower] : undefined;
  if (polarity && TONE_WORDS[next?.lower ?? '']?.kind === 'dcs') {
    state.polarity = polarity;
    return true;
  }
  const tone = TONE_WORDS[token.lower];
  if (tone && nearValue(tokens, i + 1)) {
    // `PL in 146.2 out none`: whatever stood before, from here on directions stand before their values.
    if (DIRECTION_WORDS[next?.lower ?? ''] && isValue(tokens[i + 2])) state.directionsFollow = false;
    // A word that says a way as well stays where an offer stands for the number.
    if (state.kind !== 'number') state.kindStart = tone.direction ? undefined : token.start;
    if (!(tone.kind === 'number' && state.kind !== undefined)) state.kind = tone.kind;
    if (tone.direction) state.direction ??= tone.direction;
    return true;
  }
  if (tone?.direction === 'both' && directLast(state, i, 'both', true)) return true;
  // `(167.9 PL)`: the word stands behind its value.
  const isOfLast = tone && !tone.direction && /^(ctcss|any)$/.test(tone.kind);
  if (isOfLast && isTone(beforeUnit(tokens, i))) return true;
  if (takeDirection(state, token, i)) return true;
  // `both ways`, `each way`
  if (/^ways?$/.test(token.lower) && (before?.lower === 'both' || before?.lower === 'each')) return true;
  const isListening = LISTEN_WORDS.has(token.lower) || token.text === 'RO';
  if (isListening && (hasPlace || (next && isFrequency(next)))) {
    got.listen = true;
    return true;
  }
  if (
    OUTSIDE_MODES.has(token.lower) &&
    (hasPlace || state.hasFrequency || /\d\.\d/.test(before?.text ?? ''))
  ) {
    got.questions.push({ code: 'mode-outside', blocking: true, about: token.text, offers: [] });
    return true;
  }
  if (UNREAD_WORDS.has(token.lower) && hasPlace) {
    askInstead(got, token.start, token.end, ['plus', 'minus']);
    return true;
  }
  if (token.lower === 'open' && i > 0) {
    got.access = 'open';
    say(state, 'access', 'open', i);
    return true;
  }
  if (isOffOfTwo(state, i)) return pushTone(state, 'off', token, token);
  // `rpt off`: that it does not run, or that it has no tone.
  const isOfRepeater = REPEATER_WORDS.has(before?.lower ?? '') && /^(off|none)$/.test(token.lower);
  const isLast = next === undefined && got.name.length === 0 && !isOfRepeater;
  if (token.lower === 'csq' || (OFF_WORDS.has(token.lower) && isLast))
    return pushTone(state, 'off', token, token);
  return false;
}

/** A word for a direction: of the value after it, or of the one before. */
function takeDirection(state: State, token: Token, i: number): boolean {
  const { got, tokens } = state;
  const after = tokens[i + 1];
  // `R 100.0` is a tone that is heard; `R 20` is a repeater.
  const isHeard =
    token.lower === 'r' && looksLikeTone(after?.text ?? '') && !/^\d{2}$/.test(after?.text ?? '');
  if (isHeard && isRepeaterOrHeard(state, i)) {
    askInstead(got, token.start, token.end, ['rpt', 'rx']);
    return true;
  }
  const direction = isHeard ? 'hear' : DIRECTION_WORDS[token.lower];
  if (!direction || isWhere(tokens, i)) return false;
  // Which of the two it means is asked, or the table of the pair knows.
  if (isBetweenTwo(state, i)) return true;
  const isInput = INPUT_WORDS.has(token.lower);
  if (!state.directionsFollow && nearValue(tokens, i + 1)) {
    state.direction = direction;
    if (isInput && !isFrequency(after) && !OFF_WORDS.has(after?.lower ?? '')) got.opens = true;
    return true;
  }
  if (isInput && isTone(beforeUnit(tokens, i))) got.opens = true;
  // `145.600 RX`, and nothing else about it: it is only heard.
  const [only, another] = got.frequencies;
  const isAlone = only !== undefined && !another && only.end >= (tokens[i - 1]?.start ?? 0);
  const saysNoMore =
    after === undefined && got.tones.length === 0 && !got.repeater && got.offsetHz === undefined;
  if (isAlone && saysNoMore && /^(rx|receive)$/.test(token.lower)) got.listen = true;
  return directLast(state, i, direction);
}

/** `462.725 R 141.3`: of the frequency it says repeater, of the tone that it is heard, and nothing else in the line says which. */
function isRepeaterOrHeard({ got, tokens }: State, i: number): boolean {
  const isBehindPlace = [...got.frequencies, got.channel].some((place) => place?.end === tokens[i - 1]?.end);
  const saysMore = tokens.some(
    ({ lower }, k) =>
      k !== i && (REPEATER_WORDS.has(lower) || DIRECTION_WORDS[lower] || /^[tr]$/.test(lower)),
  );
  return isBehindPlace && !saysMore && got.frequencies.length < 2 && got.offsetHz === undefined;
}

function takeName(state: State, token: Token, at: number): number {
  state.direction = undefined;
  state.kind = undefined;
  state.kindStart = undefined;
  if (/[\p{L}\p{N}]/u.test(token.text)) state.got.name.push({ token, at });
  return 1;
}
