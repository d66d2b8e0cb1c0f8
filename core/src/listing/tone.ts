import { CONSUMER_CODE_TONES, DCS_CODES, nearestCtcss, type Polarity, partnersOf } from '../facts/index';
import type { Question } from '../findings/index';
import { isToneText, type ToneText } from '../model/index';
import { hzTextFromTenths, tenthsFromHzText } from '../units/index';
import { type Token, tokensOf } from './tokens';
import { OFF_WORDS, POLARITY_WORDS, TONE_WORDS, type ToneKind } from './words';

/** What a text says of a tone: one tone, or questions; with `tone` absent at least one question is blocking. */
export interface ToneReading {
  readonly tone?: ToneText;
  readonly questions: readonly Question[];
}

const MARKED_DCS = /^d?-?([0-7]{3})(?:-?([nir]))?$/i;

/** No CTCSS tone lies above 254.1 Hz, so a larger number of three octal digits can only be a code. */
const HIGHEST_TENTHS = 2600;

/**
 * Reads the value of a tone as written, with the kind its words gave and a unit. Never takes the nearest tone: it is offered.
 * @param unit `hz`, `mhz`, `khz` or nothing
 */
export function toneValue(text: string, kind: ToneKind, unit = '', polarity = ''): ToneReading {
  const about = [text, unit, polarity].filter(Boolean).join(' ');
  const ask = (code: Question['code'], offers: readonly string[] = []): ToneReading => ({
    questions: [{ code, blocking: true, about, offers }],
  });
  // `privacy 97.4`: a tone that is written out is no number of a list.
  if (kind === 'number' && !(text.includes('.') && isToneText(text))) {
    const means = CONSUMER_CODE_TONES[Number(text)];
    return ask('code-number', means === undefined ? [] : [means]);
  }
  // One or two figures are a place in the list of some set: the tone that is nearest is another one.
  if (/^\d{1,2}$/.test(text) && Number(text) < 60 && unit === '') {
    const means = kind === 'dcs' ? undefined : CONSUMER_CODE_TONES[Number(text)];
    return ask('code-number', means === undefined ? [] : [means]);
  }
  // A minus stands for inverted on some sets and for nothing on others.
  if (/^-[0-7]{3}$/.test(text)) {
    const offers = DCS_CODES.includes(text.slice(1)) ? [`D${text.slice(1)}I`, `D${text.slice(1)}N`] : [];
    return ask('tone-unreadable', offers);
  }
  const dcs = MARKED_DCS.exec(text);
  const marked = /^d/i.test(text) || /[nir]$/i.test(text) || polarity !== '';
  if (dcs && (kind === 'dcs' || marked)) return dcsValue(dcs[1] ?? '', polarity || (dcs[2] ?? ''), about);
  if (kind === 'dcs' || /^d/i.test(text)) return ask('tone-unreadable');

  const tenths = tenthsFromHzText(text);
  const nearestText = (value: number) => hzTextFromTenths(nearestCtcss(value));
  if (unit === 'mhz' || unit === 'khz') {
    const written = tenths === undefined ? undefined : hzTextFromTenths(tenths);
    const offers = written && isToneText(written) ? [written] : unit === 'khz' ? inKilohertz(text) : [];
    return ask(
      unit === 'mhz' ? 'tone-in-mhz' : 'tone-in-khz',
      offers.length > 0 || tenths === undefined ? offers : [nearestText(tenths)],
    );
  }
  if (tenths === undefined) {
    const rough = /^\d{2,3}\.\d+$/.test(text) ? Math.round(Number(text) * 10) : undefined;
    return rough === undefined ? ask('tone-unreadable') : ask('tone-not-standard', [nearestText(rough)]);
  }
  const written = hzTextFromTenths(tenths);
  if (isToneText(written)) {
    const rare: Question[] =
      written === '150.0' ? [{ code: 'tone-rare', blocking: false, about, offers: ['151.4'] }] : [];
    return { tone: written, questions: rare };
  }
  if (kind === 'any' && tenths > HIGHEST_TENTHS && /^[0-7]{3}$/.test(text))
    return dcsValue(text, polarity, about);
  const isCode = kind === 'any' && DCS_CODES.includes(text);
  if (isCode) return ask('tone-or-dcs', [`D${text}N`]);
  return ask('tone-not-standard', [nearestText(tenths)]);
}

function inKilohertz(text: string): string[] {
  const hz = hzTextFromTenths(Math.round(Number(text) * 10_000));
  return isToneText(hz) ? [hz] : [];
}

function dcsValue(code: string, mark: string, about: string): ToneReading {
  const letter = mark.toLowerCase();
  const polarity: Polarity = letter === 'i' || letter === 'r' ? 'I' : 'N';
  const assumed: Question[] =
    letter === ''
      ? [{ code: 'dcs-polarity', blocking: false, about, offers: [`D${code}N`, `D${code}I`] }]
      : [];
  if (DCS_CODES.includes(code)) return { tone: `D${code}${polarity}`, questions: assumed };
  const alike = partnersOf({ code, polarity }).map((other) => `D${other.code}${other.polarity}`);
  return { questions: [{ code: 'dcs-not-in-use', blocking: true, about, offers: alike }] };
}

/** Reads a text that is about one tone and nothing else, such as `DPL 023 inverted`, `82.5 MHz`, `none`. */
export function readTone(text: string): ToneReading {
  const tokens = tokensOf(text.slice(0, 200));
  if (tokens.length === 0)
    return { questions: [{ code: 'nothing-written', blocking: true, about: '', offers: [] }] };
  let kind: ToneKind = 'any';
  const values: Token[] = [];
  const words = { unit: '', polarity: '', off: false };
  for (const token of tokens) {
    const word = TONE_WORDS[token.lower];
    if (word) kind = kind === 'any' || word.kind !== 'number' ? word.kind : kind;
    else if (['hz', 'khz', 'mhz'].includes(token.lower)) words.unit = token.lower;
    else if (POLARITY_WORDS[token.lower]) words.polarity = POLARITY_WORDS[token.lower] ?? '';
    else if (OFF_WORDS.has(token.lower)) words.off = true;
    else if (!['squelch', 'sql', 'no', 'interference', 'sub'].includes(token.lower)) values.push(token);
    else if (token.lower === 'no') words.off = true;
  }
  const [value, second] = values;
  if (second)
    return {
      questions: [{ code: 'several-tones', blocking: true, about: text, offers: values.map((v) => v.text) }],
    };
  if (!value) {
    if (words.off) return { tone: 'off', questions: [] };
    return { questions: [{ code: 'tone-missing', blocking: true, about: text, offers: [] }] };
  }
  if (!/\d/.test(value.text))
    return { questions: [{ code: 'tone-unreadable', blocking: true, about: text, offers: [] }] };
  return toneValue(value.text, kind, words.unit === 'hz' ? '' : words.unit, words.polarity);
}
