import { SERVICES } from '../facts/index';
import { type Collected, frequencyHz, pushTone, type State, tooLow } from './collected';
import { takeNumber } from './numbers';
import { type Token, tokensOf } from './tokens';
import { looksLikeTone } from './tone';
import {
  CHANNEL_WORDS,
  DIGITAL_MODES,
  DIRECT_WORDS,
  DIRECTION_WORDS,
  OFF_WORDS,
  PHRASES,
  REPEATER_WORDS,
  TONE_WORDS,
} from './words';

/** Sorts the words of a line: frequencies, tones, channel numbers, what kind of channel, and the name that is left. */
export function collect(line: string): Collected {
  const tokens = tokensOf(line);
  const got: Collected = {
    line,
    frequencies: [],
    tones: [],
    channel: undefined,
    serviceWord: undefined,
    offsetHz: undefined,
    repeater: false,
    direct: false,
    listen: false,
    access: undefined,
    bandwidth: undefined,
    mode: undefined,
    name: [],
    notes: [],
    questions: [],
  };
  const hasFrequency = tokens.some((token) => frequencyHz(token.text) !== undefined && !tooLow(token.text));
  const state: State = {
    got,
    tokens,
    hasFrequency,
    direction: undefined,
    kind: undefined,
    kindStart: 0,
    directionsFollow: directionsFollow(tokens),
  };
  for (let i = 0; i < tokens.length; ) i += Math.max(1, step(state, i));
  return got;
}

/** Deals with the words from place `i` on and answers how many it used. */
function step(state: State, i: number): number {
  const { got, tokens } = state;
  const token = tokens[i];
  if (!token) return 1;
  const phrase = PHRASES.find(([words]) => words.every((word, k) => tokens[i + k]?.lower === word));
  if (phrase && takePhrase(state, phrase[1])) return phrase[0].length;
  if (takeMark(state, token, i)) return 1;
  const lettered = !state.got.channel && LETTERED.get(token.lower);
  if (lettered) {
    got.channel = { ...lettered, start: token.start, end: token.end };
    return 1;
  }
  const numbered = numberAfter(state, i);
  if (numbered > 0) return numbered;
  if (token.lower === 'gmrs' || token.lower === 'frs') {
    got.serviceWord = token.lower;
    return 1;
  }
  if (REPEATER_WORDS.has(token.lower)) {
    got.repeater = true;
    return 1;
  }
  if (DIRECT_WORDS.has(token.lower)) {
    got.direct = true;
    if (token.lower === 'direct' && got.name.length > 0 && got.frequencies.length === 0)
      got.name.push(token.text);
    return 1;
  }
  if (DIGITAL_MODES.has(token.lower)) {
    got.mode = 'digital';
    got.notes.push(token.text.toUpperCase());
    got.questions.push({ code: 'digital-mode', blocking: false, about: token.text, offers: [] });
    return 1;
  }
  if (token.text === 'AM' && i > 0) {
    got.mode = 'AM';
    return 1;
  }
  return takeNumber(state, i) || takeName(state, token);
}

/** Whether the last word is a direction and a tone stands before the first one. */
function directionsFollow(tokens: readonly Token[]): boolean {
  const first = tokens.findIndex((token) => DIRECTION_WORDS[token.lower]);
  const last = tokens.at(-1);
  return (
    first > 0 &&
    last !== undefined &&
    DIRECTION_WORDS[last.lower] !== undefined &&
    looksLikeTone(tokens[first - 1]?.text ?? '')
  );
}

function takePhrase(state: State, phrase: (typeof PHRASES)[number][1]): boolean {
  const { got } = state;
  switch (phrase) {
    case 'listen':
      got.listen = true;
      return true;
    case 'permission':
      got.access = 'permission';
      return true;
    case 'narrow':
    case 'wide':
      if (state.kind !== undefined) return false;
      got.bandwidth = phrase;
      return true;
    case 'both':
      state.direction = 'both';
      state.kind ??= 'ctcss';
      return true;
    case 'no-tone':
      got.tones.push({ tone: 'off', direction: state.direction, start: 0, end: 0 });
      state.direction = undefined;
      return true;
    case 'planned':
      got.notes.push('planned');
      return true;
    case 'off-air':
      got.notes.push('off air');
      return true;
    case 'split':
      // `split 158.355`: the frequency that follows is the one our sets send on.
      state.direction = 'send';
      return true;
    case 'open':
    case 'drop':
      return true;
    default:
      return phrase satisfies never;
  }
}

/** Words that say something of the value after them or before them. */
function takeMark(state: State, token: Token, i: number): boolean {
  const { got, tokens } = state;
  const next = tokens[i + 1];
  const pending = state.direction !== undefined || state.kind !== undefined;
  if (pending && (token.lower === 'unknown' || token.lower === '?'))
    return pushTone(state, 'unknown', token, token);
  if (pending && (OFF_WORDS.has(token.lower) || token.lower === 'open'))
    return pushTone(state, 'off', token, token);
  const tone = TONE_WORDS[token.lower];
  if (tone && nearValue(tokens, i + 1)) {
    if (state.kind !== 'number') state.kindStart = token.start;
    if (!(tone.kind === 'number' && state.kind !== undefined)) state.kind = tone.kind;
    if (tone.direction) state.direction ??= tone.direction;
    return true;
  }
  const direction = DIRECTION_WORDS[token.lower];
  if (direction) {
    if (!state.directionsFollow && nearValue(tokens, i + 1)) {
      state.direction = direction;
      return true;
    }
    const last = [...got.tones, ...got.frequencies].sort((a, b) => b.end - a.end)[0];
    if (last && last.direction === undefined && i > 0 && last.end >= (tokens[i - 1]?.start ?? 0)) {
      last.direction = direction;
      return true;
    }
  }
  if (token.lower === 'open' && i > 0) {
    got.access = 'open';
    return true;
  }
  if (token.lower === 'csq' || (OFF_WORDS.has(token.lower) && next === undefined && got.name.length === 0))
    return pushTone(state, 'off', token, token);
  return false;
}

/** Whether the next words lead to a value: a tone, a frequency, off, or another word about one. */
function nearValue(tokens: readonly Token[], from: number): boolean {
  for (let k = from; k < from + 3; k++) {
    const token = tokens[k];
    if (!token) return false;
    if (/^\d/.test(token.text) || looksLikeTone(token.text)) return true;
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

/** Channel names with letters, which need no word before them: `V24`, `UTAC41`. */
const LETTERED: ReadonlyMap<string, { service: string; number: string }> = new Map(
  Object.values(SERVICES).flatMap(({ id, channels }) =>
    channels
      .filter(({ number }) => /^[a-z]+\d/i.test(number))
      .map(({ number }) => [number.toLowerCase(), { service: id, number }] as const),
  ),
);

/** The services by the words that stand before a channel number: `marine 16`, `UHF CB 27`. */
const SERVICE_WORDS: ReadonlyMap<string, string> = new Map(
  Object.values(SERVICES).flatMap(({ id, words }) => words.map((word) => [word, id] as const)),
);

/** A channel number with words before it that say whose: `ch 18`, `gmrs ch 18`, `rpt 21`, `marine 16`. Answers the words used, or 0. */
function numberAfter(state: State, i: number): number {
  const { got, tokens, hasFrequency } = state;
  let service: string | undefined;
  let repeater = false;
  let named = false;
  let k = i;
  for (; k < tokens.length; k++) {
    const word = tokens[k]?.lower ?? '';
    const of = SERVICE_WORDS.get(word);
    const isRepeater = REPEATER_WORDS.has(word) || word === 'r';
    if (of !== undefined && (service === undefined || service === of)) service = of;
    else if (CHANNEL_WORDS.has(word)) named = true;
    else if (isRepeater && !repeater) repeater = true;
    else break;
  }
  const number = tokens[k];
  const first = tokens[i];
  if (k === i || !number || !first || !/^\d{1,4}(\.\d+)?[a-z]?$/i.test(number.text)) return 0;
  // With a frequency in the line, a number after other words is part of a name: `Repeater 2 462.650`.
  if (hasFrequency && !named) return 0;
  const known = service === undefined ? undefined : Object.values(SERVICES).find(({ id }) => id === service);
  const isChannel = known?.channels.some(
    (row) => row.number === number.text || row.aliases.includes(number.text),
  );
  if (!isChannel && !/^\d{1,3}[a-z]?$/i.test(number.text)) return 0;
  if (service !== undefined && !isChannel && !named && !PLAIN_SERVICES.has(service)) return 0;
  if (got.channel) {
    got.name.push(...tokens.slice(i, k + 1).map((token) => token.text));
    return k + 1 - i;
  }
  const marked = tokens[k + 1]?.lower === 'r';
  if (repeater || marked) got.repeater = true;
  const lettered = /\d[a-z]$/i.test(number.text) ? 'marine' : undefined;
  got.channel = {
    service: service ?? lettered,
    number: number.text.toUpperCase(),
    start: first.start,
    end: number.end,
  };
  return k + 1 - i + (marked ? 1 : 0);
}

/** Services whose word makes any small number a channel, so that a wrong one is said rather than taken for a name. */
const PLAIN_SERVICES: ReadonlySet<string> = new Set([
  'gmrs',
  'frs',
  'murs',
  'weather',
  'pmr446',
  'uhf-cb-au',
  'marine',
]);

function takeName(state: State, token: Token): number {
  state.direction = undefined;
  state.kind = undefined;
  if (/[\p{L}\p{N}]/u.test(token.text)) state.got.name.push(token.text);
  return 1;
}
