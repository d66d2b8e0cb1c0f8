import { type CountryId, homeOf, SERVICES, serviceChannel, WEATHER_NUMBERS } from '../facts/index';
import type { Question } from '../findings/index';
import { mhzText } from '../units/index';
import { type Asked, hasBothDirections, listed, type Pair, stop } from './asked';
import { type Collected, withText } from './collected';
import { fromOne } from './oneFrequency';
import { fromTwo } from './twoFrequencies';

/** Works out from channel numbers and frequencies what is heard and what is sent on; asks where a line leaves it open. */
export function choosePair(got: Collected, questions: Question[], country: CountryId): Pair | undefined {
  const asked: Asked = { got, questions, country };
  if (got.channel && got.frequencies.length > 0) {
    const named = fromNumber({ ...asked, questions: [...questions] });
    const written = got.frequencies[0];
    if (!named || !written || (named.receiveHz !== written.hz && named.transmitHz !== written.hz))
      return stop(asked, 'pair-does-not-match', got.line);
    return fromFrequencies(asked);
  }
  if (got.channel) return fromNumber(asked);
  if (got.frequencies.length > 0) return fromFrequencies(asked);
  if (!questions.some((question) => question.blocking)) stop(asked, 'no-frequency', got.line);
  return undefined;
}

function fromFrequencies(asked: Asked): Pair | undefined {
  const [a, b, more] = asked.got.frequencies;
  if (!a) return undefined;
  if (more) return stop(asked, 'several-frequencies', asked.got.line);
  return b ? fromTwo(asked, a, b) : fromOne(asked, a);
}

function fromNumber(asked: Asked): Pair | undefined {
  const { got, country } = asked;
  const { channel } = got;
  if (!channel) return undefined;
  const { number, start, end } = channel;
  const about = got.line.slice(start, end);
  if (channel.service === 'weather') return weatherNumber(asked, Number(number), about);
  const wanted = channel.service ?? got.serviceWord ?? homeOf(country).id;
  const service = Object.values(SERVICES).find(({ id }) => id === wanted);
  const plain = service && serviceChannel(service, number);
  const pair = service && serviceChannel(service, number, true);
  if (!service || (!plain && !pair)) return stop(asked, 'no-such-channel', about);
  const wantsPair = got.repeater || got.offsetHz !== undefined;
  if (wantsPair && !pair) return stop(asked, 'no-repeater-here', about);
  if (!wantsPair && plain && pair && !got.direct && hasBothDirections(got))
    return stop(asked, 'direct-or-repeater', about, [
      ['rpt', `${got.line} rpt`],
      ['direct', `${got.line} direct`],
    ]);
  const row = (wantsPair ? pair : plain) ?? pair;
  return row ? listed(asked, service, row, about) : stop(asked, 'no-such-channel', about);
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
