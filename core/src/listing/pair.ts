import {
  homeOf,
  type PlanCountry,
  SERVICES,
  type Service,
  serviceChannel,
  servicesOf,
  WEATHER_NUMBERS,
} from '../facts/index';
import type { Question } from '../findings/index';
import { mhzText } from '../units/index';
import { type Asked, isOfRepeater, listed, type Pair, stop } from './asked';
import { type Collected, withText } from './collected';
import { serviceBehind, serviceOfWord } from './numbered';
import { fromOne } from './oneFrequency';
import { fromTwo } from './twoFrequencies';

/** Works out from channel numbers and frequencies what is heard and what is sent on; asks where a line leaves it open. */
export function choosePair(got: Collected, questions: Question[], country: PlanCountry): Pair | undefined {
  const asked: Asked = { got, questions, country };
  if (got.direct && got.repeater) return stop(asked, 'word-contradicts', got.line);
  if (got.channel && got.frequencies.length > 0) {
    const written = got.frequencies[0];
    if (!written || !isNumberOf(asked, written.hz)) return contradiction(asked);
    return fromFrequencies(asked);
  }
  if (got.channel) return fromNumber(asked);
  if (got.frequencies.length > 0) return fromFrequencies(asked);
  if (!questions.some((question) => question.blocking)) stop(asked, 'no-frequency', got.line);
  return undefined;
}

/** Whether a line's channel number is one of its frequency's, in whatever way it is counted. */
function isNumberOf(asked: Asked, hz: number): boolean {
  const { channel, serviceWord } = asked.got;
  if (!channel) return false;
  if (channel.service === 'weather')
    return WEATHER_NUMBERS.some(
      ({ receiveHz, ascending, marine }) =>
        receiveHz === hz && [ascending, marine].includes(Number(channel.number)),
    );
  const wanted = channel.service ?? serviceWord;
  // `156.600 ch 12`: with no word for it the number is of the service that the frequency is of.
  const services = wanted ? [SERVICES[wanted as keyof typeof SERVICES]] : servicesOf(asked.country);
  return services
    .flatMap((service) => [false, true].map((isPair) => serviceChannel(service, channel.number, isPair)))
    .some((row) => row !== undefined && (row.receiveHz === hz || row.transmitHz === hz));
}

/** A number and a frequency that are not of each other: the line without the one, and without the other. */
function contradiction(asked: Asked): undefined {
  const { got } = asked;
  const [a] = got.frequencies;
  const { channel } = got;
  if (!a || !channel) return stop(asked, 'pair-does-not-match', got.line);
  const without = ({ start, end }: { start: number; end: number }) =>
    withText(got.line, start, end, '')
      .replace(/\s{2,}/g, ' ')
      .trim();
  const fixes = [
    [got.line.slice(a.start, a.end), without(channel)] as const,
    [got.line.slice(channel.start, channel.end), without(a)] as const,
  ];
  return stop(asked, 'pair-does-not-match', got.line, got.frequencies.length === 1 ? fixes : []);
}

function fromFrequencies(asked: Asked): Pair | undefined {
  const [a, b, more] = asked.got.frequencies;
  if (!a) return undefined;
  if (more) return stop(asked, 'several-frequencies', asked.got.line);
  const { serviceWord, channel } = asked.got;
  if (serviceWord && !channel && ![a, b].some((one) => one && serviceBehind(serviceWord, one.hz)))
    return stop(asked, 'pair-does-not-match', asked.got.line);
  return b ? fromTwo(asked, a, b) : fromOne(asked, a);
}

function fromNumber(asked: Asked): Pair | undefined {
  const { got, country } = asked;
  const { channel } = got;
  if (!channel) return undefined;
  const { number, start, end } = channel;
  const about = got.line.slice(start, end);
  if (channel.service === 'weather') {
    const row = serviceChannel('weather', number);
    // From 8 on there is one way to count them.
    return row && Number(number) > WEATHER_NUMBERS.length && country === 'US'
      ? listed(asked, SERVICES.weather, row, about)
      : weatherNumber(asked, Number(number), about);
  }
  const wanted = channel.service ?? got.serviceWord ?? homeOf(country)?.id;
  const service = Object.values(SERVICES).find(({ id }) => id === wanted);
  const another = otherService(asked, wanted);
  if (another)
    return stop(
      asked,
      'channel-of-what',
      about,
      [another, ...(service?.words[0] ? [[service.words[0], number] as const] : [])].map(([word, of]) => [
        `${word} ${of}`,
        withText(got.line, start, end, `${word} ch ${of}`),
      ]),
    );
  const plain = service && serviceChannel(service, number);
  const pair = service && serviceChannel(service, number, true);
  if (wanted === undefined) return stop(asked, 'channel-of-what', about);
  if (!service) return stop(asked, 'no-such-channel', about);
  if (!plain && !pair) return noSuchChannel(asked, service, about);
  const wantsPair = got.repeater || got.offsetHz !== undefined;
  if (wantsPair && !pair) return stop(asked, 'no-repeater-here', about);
  if (!wantsPair && plain && pair && isOfRepeater(got))
    return stop(asked, 'direct-or-repeater', about, [
      ['rpt', `${got.line} rpt`],
      ['direct', `${got.line} direct`],
    ]);
  const row = (wantsPair ? pair : plain) ?? pair;
  if (!row) return noSuchChannel(asked, service, about);
  if (service.country !== country) {
    // The same number is another place here, or none: it is heard where it is there, if that is meant.
    const offer = `${mhzText(row.receiveHz)} rx only`;
    return stop(asked, 'service-elsewhere', about, [[offer, withText(got.line, start, end, offer)]]);
  }
  return listed(asked, service, row, about);
}

/** `Ch 19 truckers CB`, `ch 22 Alpha marine`: a word of the name that is another service's, which has such a number, or one with a letter. */
function otherService(
  { got, country }: Asked,
  wanted: string | undefined,
): readonly [word: string, number: string] | undefined {
  if (!got.channel || got.channel.service || got.serviceWord) return undefined;
  const { number } = got.channel;
  for (const { token } of got.name) {
    const id = token.quoted ? undefined : serviceOfWord(token.lower, country);
    const named = Object.values(SERVICES).find((one) => one.id === id);
    if (!named || id === wanted || named.country !== country) continue;
    const numbers = named.channels.map((row) => row.number);
    const own = numbers.find((one) => one === number) ?? numbers.find((one) => isLettered(one, number));
    if (own !== undefined) return [token.lower, own];
  }
  return undefined;
}

const isLettered = (one: string, number: string): boolean =>
  one.startsWith(number) && /^\p{L}$/u.test(one.slice(number.length));

/** A number that a service does not have is told with what it has. */
function noSuchChannel({ questions }: Asked, { title, channels }: Service, about: string): undefined {
  const whole = channels.flatMap(({ number }) => (/^\d+$/.test(number) ? [Number(number)] : []));
  const lettered = channels.find(({ number }) => !/^\d+$/.test(number))?.number;
  const range =
    whole.length > 0
      ? `${Math.min(...whole)} to ${Math.max(...whole)}${lettered ? `, and some with letters such as ${lettered}` : ''}`
      : channels.map(({ number }) => number).join(', ');
  questions.push({
    code: 'no-such-channel',
    blocking: true,
    about,
    offers: [],
    ...(range !== '' && { has: `${title} has ${range}` }),
  });
  return undefined;
}

/** Weather numbers are counted in two ways: which one is asked, with the frequency of each. */
function weatherNumber(asked: Asked, n: number, about: string): undefined {
  const { line, channel } = asked.got;
  const readings = WEATHER_NUMBERS.filter((row) => row.ascending === n || row.marine === n);
  const fixes = readings.map(({ receiveHz }) => {
    const offer = mhzText(receiveHz);
    return [offer, withText(line, channel?.start ?? 0, channel?.end ?? 0, `weather ${offer}`)] as const;
  });
  return stop(asked, fixes.length > 0 ? 'channel-or-code' : 'no-such-channel', about, fixes);
}
