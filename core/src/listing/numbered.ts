import { type PlanCountry, SERVICES, type Service, serviceChannel } from '../facts/index';
import { isToneText } from '../model/index';
import type { Collected, State } from './collected';
import type { Token } from './tokens';
import { CHANNEL_WORDS, REPEATER_WORDS } from './words';

/** Channel names with letters, which need no word before them: `V24`, `UTAC41`, `8CALL90`. */
export const LETTERED: ReadonlyMap<string, { service: string; number: string }> = new Map(
  Object.values(SERVICES).flatMap(({ id, channels }) =>
    channels
      .filter(({ number }) => /^\d?[a-z]+\d/i.test(number))
      .map(({ number }) => [number.toLowerCase(), { service: id, number }] as const),
  ),
);

/** A name with letters from place `i` on, also in two words or with a hyphen: `V-TAC 14`; with the words it takes. */
export function letteredAt(
  tokens: readonly Token[],
  i: number,
): { channel: NonNullable<Collected['channel']>; used: number } | undefined {
  const [first, second] = [tokens[i], tokens[i + 1]];
  if (!first) return undefined;
  const letters = first.lower.replaceAll('-', '');
  // A single letter and a figure are too little to be one name.
  const both = /^\d?[a-z]{3,}$/.test(letters) && !second?.quoted ? `${letters}${second?.lower ?? ''}` : '';
  for (const [name, last, used] of [
    [first.lower, first, 1],
    [letters, first, 1],
    [both, second, 2],
  ] as const) {
    const known = LETTERED.get(name);
    if (known && last) return { channel: { ...known, start: first.start, end: last.end }, used };
  }
  return undefined;
}

/** The services by the words that stand beside a channel number: `marine 16`, `UHF CB 27`, `5 murs`; one word may be of several countries. */
const SERVICES_BY_WORD: ReadonlyMap<string, readonly Service[]> = new Map(
  [...new Set(Object.values(SERVICES).flatMap(({ words }) => words))].map((word) => [
    word,
    Object.values(SERVICES).filter(({ words }) => words.includes(word)),
  ]),
);

/** Whether a word names a service somewhere. */
export const isServiceWord = (word: string): boolean => SERVICES_BY_WORD.has(word);

/** The service that a word means in a country; where it has none by that word, another country's. */
export function serviceOfWord(word: string, country: PlanCountry): string | undefined {
  const named = SERVICES_BY_WORD.get(word) ?? [];
  return (named.find((service) => service.country === country) ?? named[0])?.id;
}

/** Services whose word makes any small number a channel, so that a wrong one is said rather than taken for a name. */
const PLAIN_SERVICES: ReadonlySet<string> = new Set([
  'gmrs',
  'frs',
  'murs',
  'weather',
  'pmr446',
  'uhf-cb-au',
  'cb-us',
  'marine',
  'marine-eu',
  'marine-au',
  'rail-us',
]);

/** Whether a service has a frequency (hertz), so that its word behind it says no more than that. */
export function serviceBehind(service: string, hz: number): boolean {
  const known = Object.values(SERVICES).find(({ id }) => id === service);
  return known?.channels.some(({ receiveHz, transmitHz }) => receiveHz === hz || transmitHz === hz) ?? false;
}

interface Words {
  service: string | undefined;
  repeater: boolean;
  /** A word such as `channel` stands there. */
  named: boolean;
}

/** Takes words about a channel number from place `k` on; answers where they end. */
function aboutNumber({ tokens, country }: State, from: number, words: Words, isBehind: boolean): number {
  let k = from;
  for (; k < tokens.length; k++) {
    const word = tokens[k]?.lower ?? '';
    const isSame = words.service !== undefined && isWordOf(words.service, word);
    const of = isSame ? words.service : serviceOfWord(word, country);
    const isRepeater = REPEATER_WORDS.has(word) || word === 'r';
    if (of !== undefined && (words.service === undefined || words.service === of)) words.service = of;
    else if (CHANNEL_WORDS.has(word) && !isBehind) words.named = true;
    else if (isRepeater && !words.repeater && !isBehind) words.repeater = true;
    else break;
  }
  return k;
}

/**
 * A channel number with words beside it that say whose: `ch 18`, `gmrs ch 18`, `rpt 21`, `marine 16`, `5 murs`, `ch 7 marine`. Answers the
 * words used, or 0.
 */
export function numberAfter(state: State, i: number): number {
  const { got, tokens, hasFrequency } = state;
  const words: Words = { service: undefined, repeater: false, named: false };
  const k = aboutNumber(state, i, words, false);
  const number = tokens[k];
  const first = tokens[i];
  if (!number || !first || number.quoted || !/^\d{1,4}(\.\d+)?[a-z]?$/i.test(number.text)) return 0;
  // `CB 27 MHz`: a band.
  if (/^[mk]hz$/.test(tokens[k + 1]?.lower ?? '')) return 0;
  const isBehind = words.service === undefined && !words.repeater && /^\d{1,4}[a-z]?$/i.test(number.text);
  const end = isBehind ? aboutNumber(state, k + 1, words, true) : k + 1;
  if (end === i + 1) return 0;
  // `T67 GMRS01`: the word before says that it is a tone.
  if (isBehind && k === i && (state.kind !== undefined || state.direction !== undefined)) return 0;
  // `Team 2 GMRS 3`: the word is of the number behind it, and this one is of the name.
  const isOfNext = isBehind && end > k + 1 && /^\d{1,2}[a-z]?$/i.test(tokens[end]?.text ?? '');
  if (isOfNext && !words.named && got.name.at(-1)?.at === i - 1) return 0;
  const { service } = words;
  const plain = number.text.replace(/^0+(?=\d)/, '');
  const isChannel = service !== undefined && (isOf(service, plain, false) || isOf(service, plain, true));
  // With a frequency in the line, a number after other words is part of a name: `Repeater 2 462.650`.
  const isNamed = words.repeater && service === undefined && !words.named && got.frequencies.length === 0;
  // Behind it `R22` is the number of the pair; `rpt 67` may be a tone.
  const isPairNumber =
    words.repeater &&
    got.frequencies.length > 0 &&
    /^\d{1,2}$/.test(number.text) &&
    !isToneText(`${number.text}.0`);
  if (hasFrequency && isNamed && /^\d{1,2}$/.test(number.text)) {
    got.repeater = true;
    got.name.push(...tokens.slice(i, end).map((token, n) => ({ token, at: i + n })));
    return end - i;
  }
  // `UHF 2 462.675`: a band, where no service of that name is.
  const isBand = /^[uv]hf$/.test(first.lower) && countryOf(service) !== state.country && !words.named;
  if (hasFrequency && isBand) return 0;
  const isSaid = words.named || isPairNumber || isChannel || PLAIN_SERVICES.has(service ?? '');
  if (hasFrequency && !isSaid) return 0;
  if (!isChannel && !/^\d{1,3}[a-z]?$/i.test(number.text)) return 0;
  if (service !== undefined && !isChannel && !words.named && !PLAIN_SERVICES.has(service)) return 0;
  if (got.channel) {
    got.name.push(...tokens.slice(i, end).map((token, n) => ({ token, at: i + n })));
    return end - i;
  }
  const marked = tokens[end]?.lower === 'r';
  if (words.repeater || marked) got.repeater = true;
  const lettered = /\d[a-z]$/i.test(number.text) ? 'marine' : undefined;
  got.channel = {
    service: service ?? lettered,
    // `GMRS01` is GMRS 1.
    number: plain.toUpperCase(),
    start: first.start,
    end: tokens[end - 1]?.end ?? number.end,
  };
  if (service === 'gmrs' || service === 'frs') got.serviceWord = service;
  return end - i + (marked ? 1 : 0);
}

const countryOf = (service: string | undefined) =>
  Object.values(SERVICES).find(({ id }) => id === service)?.country;

function isWordOf(service: string, word: string): boolean {
  return (
    Object.values(SERVICES)
      .find(({ id }) => id === service)
      ?.words.includes(word) ?? false
  );
}

function isOf(service: string, number: string, isPair: boolean): boolean {
  const known = Object.values(SERVICES).find(({ id }) => id === service);
  return known !== undefined && serviceChannel(known, number.toUpperCase(), isPair) !== undefined;
}
