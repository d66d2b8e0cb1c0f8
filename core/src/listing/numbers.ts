import type { Question } from '../findings/index';
import { isToneText } from '../model/index';
import { hzFromMHzText, inRadioRange, mhzText } from '../units/index';
import { frequencyHz, looseFrequencyHz, pushTone, type State, toneForm, tooLow, withText } from './collected';
import { isServiceWord, serviceBehind, serviceOfWord } from './numbered';
import { namesMode, say } from './sayings';
import type { Token } from './tokens';
import { toneValue } from './tone';
import { looksLikeTone } from './toneShape';
import {
  CHANNEL_WORDS,
  DIRECTION_WORDS,
  OFF_WORDS,
  POLARITY_WORDS,
  REPEATER_WORDS,
  TONE_WORDS,
  WIDTHS_KHZ,
} from './words';

/** A word with digits and what surrounds it. */
interface Figure {
  readonly state: State;
  readonly i: number;
  readonly token: Token;
  readonly next: Token | undefined;
  /** The unit behind it, lower case, or nothing. */
  readonly unit: string;
  /** Words used when it is taken: with its unit two. */
  readonly used: number;
  readonly end: Token;
  /** Whether words before it announced a tone or a direction. */
  readonly pending: boolean;
  readonly ask: (code: Question['code'], offers: readonly string[]) => void;
}

/** Takes a figure if it is one of its kind: answers the number of words used, or 0. */
type Reader = (figure: Figure) => number;

const UNITS = /^(mhz|khz|hz|k|w|watts?|mi|miles?|km)$/;
const GMRS_MOST = 22;

/** A larger offset than any repeater has: then a sign slipped in before a frequency. */
const MOST_OFFSET_HZ = 25_000_000;

const offset: Reader = ({ state, i, token, next, end, unit, used, ask }) => {
  const { got, tokens, kind } = state;
  if (!/^[+-](\d*\.?\d+)?$/.test(token.text) || (got.frequencies.length === 0 && !got.channel)) return 0;
  if (kind === 'dcs') return 0;
  // A dash between a frequency and a word is a dash; one that touches the frequency is its sign.
  const isGlued = tokens[i - 1]?.end === token.start;
  if (token.text === '-' && next && !isGlued && !isAboutValue(next)) return used;
  const signed = /^[+-]$/.test(token.text) ? takeSigned(state, i, token.text as '+' | '-') : 0;
  if (signed > 0) return signed;
  const size = token.text.slice(1).replace(/^\./, '0.');
  // Whole hundreds are kilohertz: no repeater is so many megahertz off.
  const isKilohertz = unit === 'khz' || unit === 'k' || (unit !== 'mhz' && /^\d{3,5}$/.test(size));
  const hz = isKilohertz ? Math.round(Number(size) * 1000) : (hzFromMHzText(size) ?? 0);
  const isSign = token.text === '+' || token.text === '-';
  if (got.offsetHz !== undefined && isUp(got.offsetHz) !== token.text.startsWith('+')) {
    // `+ 131.8 -`: two signs that say two things.
    const both = [{ start: token.start, end: end.end }, ...(got.offsetAt ? [got.offsetAt] : [])];
    got.questions.push({
      code: 'left-over',
      blocking: true,
      about: got.line.slice(token.start, end.end),
      offers: both.map(({ start, end: until }) => `without ${got.line.slice(start, until).trim()}`),
      lines: both.map(({ start, end: until }) => withText(got.line, start, until, ' ').replace(/\s+/g, ' ')),
    });
    return used;
  }
  if (hz > MOST_OFFSET_HZ) ask('frequency-unreadable', [token.text.slice(1)]);
  else if (isSign) got.offsetHz = token.text as '+' | '-';
  else got.offsetHz = token.text.startsWith('-') ? -hz : hz;
  got.offsetAt = { start: tokens[i]?.start ?? 0, end: end.end };
  return isSign ? 1 : used;
};

const isUp = (offsetHz: number | '+' | '-'): boolean =>
  offsetHz !== '-' && (offsetHz === '+' || offsetHz > 0);

/** `- 600 kHz`, `minus 0.6`: a size behind its sign. Answers the words used, or 0 where what follows is no size. */
export function takeSigned({ got, tokens }: State, i: number, sign: '+' | '-'): number {
  const [at, size, unit] = [tokens[i], tokens[i + 1], tokens[i + 2]?.lower ?? ''];
  if (!at || !size || !/^(\d{0,2}(\.\d+)|\d{1,4})$/.test(size.text)) return 0;
  const hasUnit = /^(khz|k|mhz)$/.test(unit);
  const isKilohertz = hasUnit ? unit !== 'mhz' : /^\d{3,4}$/.test(size.text);
  // `- 100` is a tone behind a sign; a shift of so many kilohertz is hundreds of it.
  if (!hasUnit && (isToneText(toneForm(size.text)) || isToneText(`${size.text}.0`))) return 0;
  const hz = isKilohertz
    ? Math.round(Number(size.text) * 1000)
    : (hzFromMHzText(size.text.replace(/^\./, '0.')) ?? 0);
  if (hz === 0 || hz > MOST_OFFSET_HZ) return 0;
  got.offsetHz = sign === '-' ? -hz : hz;
  const used = hasUnit ? 3 : 2;
  got.offsetAt = { start: at.start, end: tokens[i + used - 1]?.end ?? size.end };
  return used;
}

/** Whether a word is a figure or says something of one, so that a sign before it is a sign. */
function isAboutValue({ text, lower }: Token): boolean {
  return (
    /^([\d+-]|\.\d)/.test(text) ||
    looksLikeTone(text) ||
    TONE_WORDS[lower] !== undefined ||
    DIRECTION_WORDS[lower] !== undefined ||
    OFF_WORDS.has(lower) ||
    /^(offset|shift|open|closed|private|narrow|wide)$/.test(lower) ||
    namesMode(lower)
  );
}

const powerOrDistance: Reader = ({ state: { got }, token, unit, pending }) => {
  if (pending || !/^\d+(\.\d+)?$/.test(token.text)) return 0;
  // `131.8 w/` is a tone with half a word behind it.
  if (token.text.includes('.') && isToneText(toneForm(token.text))) return 0;
  if (/^(w|watts?)$/.test(unit)) got.notes.push(`${token.text} W`);
  else if (/^(mi|miles?|km)$/.test(unit)) got.notes.push(`${token.text} ${unit}`);
  else return 0;
  return 2;
};

const width: Reader = ({ state, i, token, unit, pending }) => {
  const known = WIDTHS_KHZ[token.text];
  if (pending || !known || (unit !== 'khz' && unit !== 'k')) return 0;
  state.got.bandwidth = known;
  say(state, 'width', known, i, 2);
  return 2;
};

const frequency: Reader = (figure) => {
  const { state, token, unit, used, pending, ask } = figure;
  if (!pending && unit === 'khz' && /^\d{5,7}(\.\d+)?$/.test(token.text))
    return take(figure, Math.round(Number(token.text) * 1000));
  const hz = frequencyHz(token.text);
  if (hz !== undefined && !tooLow(token.text) && state.kind === undefined) {
    if (unit !== 'khz' && unit !== 'hz') return take(figure, hz);
    ask('frequency-unreadable', [mhzText(hz)]);
    return used;
  }
  // Behind a word for a direction it may be a tone, unless no tone is written so.
  const mayBeTone = pending && (state.kind !== undefined || !/\.\d[1-9]$/.test(token.text));
  const loose = state.isLoose && !mayBeTone ? looseFrequencyHz(token.text) : undefined;
  if (loose !== undefined && unit !== 'khz' && unit !== 'hz') return take(figure, loose);
  if (!pending && !state.hasFrequency && !state.got.channel && /^\d{1,2}\.\d{3,}$/.test(token.text))
    if (Number(token.text) < 25 && unit !== 'khz') {
      ask('frequency-out-of-range', []);
      return used;
    }
  const plain = hzFromMHzText(token.text);
  // Beside another frequency or a channel, a small number in MHz is a tone with the wrong unit.
  const alone = !state.hasFrequency && !state.got.channel;
  return !pending && alone && unit === 'mhz' && plain !== undefined && !tooLow(token.text)
    ? take(figure, plain)
    : 0;
};

function take({ state, token, end, used, ask }: Figure, hz: number): number {
  if (inRadioRange(hz)) {
    state.got.frequencies.push({ hz, direction: state.direction, start: token.start, end: end.end });
    state.direction = undefined;
  } else ask('frequency-out-of-range', []);
  return used;
}

/** `462650` without a point, or `462.65O` with a letter for a figure: asked about, never mended. */
const slippedFrequency: Reader = ({ state, token, used, ask }) => {
  if (/^\d{5,7}$/.test(token.text) && state.kind === undefined) {
    const hz = hzFromMHzText(`${token.text.slice(0, 3)}.${token.text.slice(3)}`);
    ask('frequency-unreadable', hz !== undefined && inRadioRange(hz) ? [mhzText(hz)] : []);
    return used;
  }
  if (!/^(?=.*\d)(?=.*[OolISB])[\dOolISB.]{6,9}$/.test(token.text)) return 0;
  const mended = token.text.replace(/[Oo]/g, '0').replace(/[lI]/g, '1').replace(/S/g, '5').replace(/B/g, '8');
  const dotted = /^\d{5,7}$/.test(mended) ? `${mended.slice(0, 3)}.${mended.slice(3)}` : mended;
  if (frequencyHz(dotted) === undefined) return 0;
  ask('frequency-unreadable', [dotted]);
  return used;
};

const tone: Reader = (figure) => {
  const { state, token, unit, pending, ask, used } = figure;
  const { got, tokens, hasFrequency } = state;
  if (pending && /\d/.test(token.text)) return takeTone(figure);
  if (/^-[0-7]{3}$/.test(token.text) && state.kind === 'dcs') return takeTone(figure);
  if (/^(d-?\d{3}-?[nir]?|[0-7]{3}[nir])$/i.test(token.text)) return takeTone(figure);
  // `100 Hz`: a whole tone is one by its unit.
  if (unit === 'hz' && /^\d{2,3}$/.test(token.text) && (got.frequencies.length > 0 || got.channel))
    return takeTone(figure);
  if (!/^\d{2,3}\.\d+$/.test(token.text)) return 0;
  const aboutChannel = tokens.some((t) => CHANNEL_WORDS.has(t.lower) || REPEATER_WORDS.has(t.lower));
  const hz = hzFromMHzText(token.text);
  // `MURS 1 151.82`: what is a frequency of the service, and no tone in use, is one.
  const isOf = (service: string | undefined) =>
    service !== undefined && hz !== undefined && serviceBehind(service, hz);
  const isOfService =
    isOf(got.channel?.service) || tokens.some(({ lower }) => isOf(serviceOfWord(lower, state.country)));
  if (hz !== undefined && isOfService && !isToneText(toneForm(token.text))) return take(figure, hz);
  const isBeside = hasFrequency || got.channel !== undefined || aboutChannel;
  if (isBeside || hz === undefined || unit !== '') return takeTone(figure);
  if (tokens.some((t) => FREQUENCY_WORDS.has(t.lower)) && inRadioRange(hz)) return take(figure, hz);
  if (tooLow(token.text) && (isToneText(toneForm(token.text)) || !inRadioRange(hz))) return takeTone(figure);
  ask('tone-or-frequency', [mhzText(hz), `ctcss ${token.text}`]);
  return used;
};

/** Words about a frequency: beside them a number with a point is one. */
const FREQUENCY_WORDS: ReadonlySet<string> = new Set(['am', 'fm', 'nfm', 'air', 'airband', 'marine']);

/** A word for a polarity; an R before another value is about what is heard. */
function polarityAt(tokens: readonly Token[], i: number): 'N' | 'I' | undefined {
  const word = tokens[i]?.lower ?? '';
  return word === 'r' && looksLikeTone(tokens[i + 1]?.text ?? '') ? undefined : POLARITY_WORDS[word];
}

function takeTone({ state, i, token, unit: written, used: all, ask }: Figure): number {
  const { got, tokens } = state;
  // Watts and miles are of something else.
  const unit = /hz$/.test(written) ? written : '';
  const used = unit === '' ? 1 : all;
  if (state.kind === 'number' && got.channel && got.line[token.start - 1] === '-')
    return takeChannelCode(state, token);
  // `D411N/N`: it has its polarity, and the other letter is of something else.
  const after = /[nir]$/i.test(token.text) ? undefined : polarityAt(tokens, i + used);
  const isCode = /^(d|\d{3}$)/i.test(token.text);
  const polarity = isCode ? (after ?? state.polarity ?? '') : '';
  state.polarity = undefined;
  const value = toneForm(token.text);
  // `DCS tx 114 rx 115`: behind a code another three figures with a direction are a code.
  const isWhole = isToneText(`${token.text}.0`);
  const isCodeToo =
    isCode && !isWhole && state.direction !== undefined && /^D/.test(got.tones.at(-1)?.tone ?? '');
  const kind = state.kind ?? (isCodeToo ? 'dcs' : 'any');
  const reading = toneValue(value, kind, unit === 'hz' ? '' : unit, polarity);
  for (const question of reading.questions) {
    if (question.blocking) ask(question.code, question.offers);
    else {
      const lines = question.offers.map((offer) => withText(got.line, token.start, token.end, offer));
      got.questions.push({ ...question, lines });
    }
  }
  pushTone(state, reading.tone, token, token);
  return used + (isCode && after ? 1 : 0);
}

/** `18-9`: a channel and a code number in one word. The number is a label of somebody's device, so its tone is asked for. */
function takeChannelCode(state: State, code: Token): number {
  const { got } = state;
  const channel = got.channel;
  const offers = toneValue(code.text, 'number').questions.flatMap((question) => question.offers);
  const start = channel?.start ?? code.start;
  got.questions.push({
    code: 'code-number',
    blocking: true,
    about: got.line.slice(start, code.end),
    offers,
    lines: offers.map((offer) => withText(got.line, start, code.end, `ch ${channel?.number} ${offer}`)),
  });
  pushTone(state, undefined, code, code);
  return 1;
}

/** A number of one or two figures without a word for it: a channel when a repeater word or a code follows, else asked about. */
const bareChannel: Reader = ({ state, i, token, next, ask }) => {
  const { got, tokens, hasFrequency } = state;
  const number = Number(token.text);
  if (!/^\d{1,2}$/.test(token.text) || hasFrequency || got.channel || number < 1 || number > GMRS_MOST)
    return 0;
  if (REPEATER_WORDS.has(next?.lower ?? '') || next?.lower === 'r') {
    got.repeater = true;
    got.channel = { service: 'gmrs', number: token.text, start: token.start, end: next?.end ?? token.end };
    return 2;
  }
  if (next?.lower === 'code') {
    got.channel = { service: undefined, number: token.text, start: token.start, end: token.end };
    return 1;
  }
  const isChannelWord = ({ lower }: Token, k: number) =>
    CHANNEL_WORDS.has(lower) ||
    (isServiceWord(lower) && /^\d{1,2}[a-z]?$/i.test(tokens[i + k + 2]?.text ?? ''));
  if (tokens.slice(i + 1).some(isChannelWord)) return 0;
  ask('channel-or-code', [`ch ${token.text}`]);
  return 1;
};

/** Three octal figures after a frequency with nothing said of them. */
const bareCode: Reader = (figure) => {
  const { state, token, ask } = figure;
  const { got } = state;
  if (!/^[0-7]{3}$/.test(token.text) || (got.frequencies.length === 0 && !got.channel)) return 0;
  // `023 inv`: only a code has a polarity.
  if (polarityAt(state.tokens, figure.i + 1)) {
    state.kind = 'dcs';
    return takeTone(figure);
  }
  const question = toneValue(token.text, 'any').questions.find((q) => q.code === 'tone-or-dcs');
  if (!question) return 0;
  ask('tone-or-dcs', question.offers);
  return 1;
};

/** `27 MHz` beside a frequency or a channel: a band, of which nothing is read. */
const bandInMHz: Reader = ({ token, unit, pending, used, ask }) => {
  if (pending || unit !== 'mhz' || !/^\d{1,4}$/.test(token.text)) return 0;
  ask('frequency-unreadable', []);
  return used;
};

const READERS: readonly Reader[] = [
  offset,
  powerOrDistance,
  width,
  frequency,
  slippedFrequency,
  tone,
  bandInMHz,
  bareChannel,
  bareCode,
];

/** Reads the word at place `i` as a figure: an offset, a frequency, a tone, a power, a width, a distance, a channel. Answers the words used, 0 when it is none of these. */
export function takeNumber(state: State, i: number): number {
  const token = state.tokens[i];
  if (!token) return 0;
  const { got, tokens } = state;
  const next = tokens[i + 1];
  const unit = UNITS.test(next?.lower ?? '') ? (next?.lower ?? '') : '';
  const end = unit && next ? next : token;
  const figure: Figure = {
    state,
    i,
    token,
    next,
    unit,
    used: unit ? 2 : 1,
    end,
    pending:
      state.direction !== undefined ||
      state.kind !== undefined ||
      (state.directionsFollow && DIRECTION_WORDS[(unit ? tokens[i + 2] : next)?.lower ?? ''] !== undefined),
    ask: (code, offers) => {
      const start = code === 'code-number' ? (state.kindStart ?? token.start) : token.start;
      got.questions.push({
        code,
        blocking: true,
        about: got.line.slice(start, end.end),
        offers,
        lines: offers.map((offer) => withText(got.line, start, end.end, offer)),
      });
    },
  };
  for (const read of READERS) {
    const used = read(figure);
    if (used > 0) return used;
  }
  return 0;
}
