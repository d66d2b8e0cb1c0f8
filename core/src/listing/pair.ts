import {
  channelOn,
  SERVICES,
  type Service,
  type ServiceChannel,
  type ServiceId,
  serviceChannel,
  servicesOf,
  WEATHER_NUMBERS,
} from '../facts/index';
import type { Question } from '../findings/index';
import { mhzText } from '../units/index';
import { type Collected, withText } from './collected';

const GMRS_SHIFT_HZ = 5_000_000;
/** The GMRS segments, half a channel wider at each end: a frequency in here that is no channel is a slip. */
const GMRS_SEGMENTS_HZ = [
  { from: 462_537_500, to: 462_737_500 },
  { from: 467_537_500, to: 467_737_500 },
] as const;

/** The frequencies a line comes to, with the service and the table row they belong to. */
export interface Pair {
  readonly receiveHz: number;
  readonly transmitHz: number | null;
  readonly service: ServiceId | 'other';
  readonly row: ServiceChannel | undefined;
}

/** What a bare channel number means in each country (common practice). */
const HOME: Readonly<Record<Service['country'], ServiceId>> = { US: 'gmrs', AU: 'uhf-cb-au', EU: 'pmr446' };

/** Works out from channel numbers and frequencies what is heard and what is sent on; asks where a line leaves it open. */
export function choosePair(
  got: Collected,
  questions: Question[],
  country: Service['country'],
): Pair | undefined {
  if (got.channel && got.frequencies.length > 0) {
    const named = fromNumber(got, [...questions], country);
    const written = got.frequencies[0];
    if (!named || !written || (named.receiveHz !== written.hz && named.transmitHz !== written.hz)) {
      questions.push({ code: 'pair-does-not-match', blocking: true, about: got.line, offers: [] });
      return undefined;
    }
    return fromFrequencies(got, questions, country);
  }
  if (got.channel) return fromNumber(got, questions, country);
  if (got.frequencies.length > 0) return fromFrequencies(got, questions, country);
  if (!questions.some((question) => question.blocking))
    questions.push({ code: 'no-frequency', blocking: true, about: got.line, offers: [] });
  return undefined;
}

function fromNumber(got: Collected, questions: Question[], country: Service['country']): Pair | undefined {
  const channel = got.channel;
  if (!channel) return undefined;
  const { number, start, end } = channel;
  const about = got.line.slice(start, end);
  const ask = (code: Question['code'], offers: readonly string[] = [], lines: readonly string[] = []) => {
    questions.push({ code, blocking: true, about, offers, lines });
    return undefined;
  };
  if (channel.service === 'weather') {
    const n = Number(number);
    const readings = WEATHER_NUMBERS.filter((row) => row.ascending === n || row.marine === n);
    const offers = readings.map((row) => mhzText(row.receiveHz));
    const lines = offers.map((offer) => withText(got.line, start, end, `weather ${offer}`));
    return ask(offers.length > 0 ? 'channel-or-code' : 'no-such-channel', offers, lines);
  }
  const wanted = channel.service ?? got.serviceWord ?? HOME[country];
  const service = Object.values(SERVICES).find(({ id }) => id === wanted);
  const plain = service && serviceChannel(service, number);
  const pair = service && serviceChannel(service, number, true);
  if (!service || (!plain && !pair)) return ask('no-such-channel');
  const wantsPair = got.repeater || got.offsetHz !== undefined;
  if (wantsPair && !pair) return ask('no-repeater-here');
  const directions = new Set(got.tones.map((tone) => tone.direction));
  if (!wantsPair && plain && pair && !got.direct && directions.has('send') && directions.has('hear'))
    return ask('direct-or-repeater', ['rpt', 'direct'], [`${got.line} rpt`, `${got.line} direct`]);
  const row = (wantsPair ? pair : plain) ?? pair;
  if (!row) return ask('no-such-channel');
  return listed(got, questions, service, row, about, country);
}

/** A channel of a table as a pair: only listened to where nobody here, or only an authorised station, may transmit. */
function listed(
  got: Collected,
  questions: Question[],
  service: Service,
  row: ServiceChannel,
  about: string,
  country: Service['country'],
): Pair {
  const guarded = service.licence === 'authorised' && !got.listen && row.transmitHz !== null;
  if (guarded) questions.push({ code: 'listen-unless-licensed', blocking: false, about, offers: [] });
  if (service.country !== country)
    questions.push({ code: 'service-elsewhere', blocking: false, about, offers: [] });
  const transmitHz = got.listen || guarded ? null : row.transmitHz;
  return { receiveHz: row.receiveHz, transmitHz, service: service.id as ServiceId, row };
}

function fromFrequencies(
  got: Collected,
  questions: Question[],
  country: Service['country'],
): Pair | undefined {
  const ask = (code: Question['code'], about: string, fixes: readonly (readonly [string, string])[] = []) => {
    questions.push({
      code,
      blocking: true,
      about,
      offers: fixes.map((f) => f[0]),
      lines: fixes.map((f) => f[1]),
    });
    return undefined;
  };
  const [a, b, more] = got.frequencies;
  if (!a) return undefined;
  if (more) return ask('several-frequencies', got.line);
  if (b) return fromTwo(got, questions, a, b, ask, country);

  const hz = a.hz;
  if (country !== 'US') return inOtherServices(got, questions, hz, got.line.slice(a.start, a.end), country);
  const pairOnOutput = SERVICES.gmrs.channels.find((row) => row.pair && row.receiveHz === hz);
  const pairOnInput = SERVICES.gmrs.channels.find((row) => row.pair && row.transmitHz === hz);
  const about = got.line.slice(a.start, a.end);
  if (pairOnInput) {
    if (got.listen) return { receiveHz: hz, transmitHz: null, service: 'gmrs', row: undefined };
    if (a.direction === 'send') return { ...pairOf(pairOnInput), service: 'gmrs', row: pairOnInput };
    const fixed = withText(got.line, a.start, a.end, mhzText(pairOnInput.receiveHz));
    return ask('frequency-is-input', about, [
      [`${mhzText(pairOnInput.receiveHz)} rpt`, got.repeater ? fixed : `${fixed} rpt`],
    ]);
  }
  const gmrs = channelOn('gmrs', hz, hz);
  if (gmrs) {
    const service = got.serviceWord === 'frs' ? 'frs' : 'gmrs';
    const wantsPair = got.repeater || got.offsetHz !== undefined;
    if (wantsPair && got.direct) return ask('word-contradicts', got.line);
    if (wantsPair) {
      if (!pairOnOutput || service === 'frs') return ask('no-repeater-here', about);
      const shift = got.offsetHz;
      if ((typeof shift === 'number' && shift !== GMRS_SHIFT_HZ) || shift === '-')
        return ask('pair-does-not-match', got.line);
      return {
        ...pairOf(pairOnOutput),
        transmitHz: got.listen ? null : pairOnOutput.transmitHz,
        service,
        row: pairOnOutput,
      };
    }
    if (got.listen) return { receiveHz: hz, transmitHz: null, service, row: gmrs };
    const directions = new Set(got.tones.map((tone) => tone.direction));
    const byDirection = directions.has('send') && directions.has('hear');
    if (pairOnOutput && !got.direct && service === 'gmrs') {
      const lines = [`${got.line} rpt`, `${got.line} direct`];
      if (byDirection) {
        questions.push({
          code: 'repeater-by-direction',
          blocking: false,
          about,
          offers: ['rpt', 'direct'],
          lines,
        });
        return { ...pairOf(pairOnOutput), service, row: pairOnOutput };
      }
      questions.push({
        code: 'direct-or-repeater',
        blocking: false,
        about,
        offers: ['rpt', 'direct'],
        lines,
      });
    }
    return { receiveHz: hz, transmitHz: hz, service, row: channelOn(service, hz, hz) };
  }
  const weather = channelOn('weather', hz, null);
  if (weather) {
    if (got.repeater || got.offsetHz !== undefined)
      questions.push({ code: 'nobody-transmits', blocking: false, about, offers: [] });
    return { receiveHz: hz, transmitHz: null, service: 'weather', row: weather };
  }
  if (GMRS_SEGMENTS_HZ.some((segment) => hz >= segment.from && hz <= segment.to)) {
    const near = SERVICES.gmrs.channels
      .flatMap((row) => [row.receiveHz])
      .reduce((best, candidate) => (Math.abs(candidate - hz) < Math.abs(best - hz) ? candidate : best));
    return ask('frequency-off-channel', about, [
      [mhzText(near), withText(got.line, a.start, a.end, mhzText(near))],
    ]);
  }
  return inOtherServices(got, questions, hz, about, country);
}

/** A frequency of the country's other tables, or of a band where the usual offset makes the pair; else of no service here. */
function inOtherServices(
  got: Collected,
  questions: Question[],
  hz: number,
  about: string,
  country: Service['country'],
): Pair {
  const services = servicesOf(country);
  const wantsPair = got.repeater || got.offsetHz !== undefined;
  for (const service of services) {
    const rows = service.channels.filter((row) => row.receiveHz === hz);
    const row = rows.find((candidate) => candidate.pair === wantsPair) ?? (wantsPair ? undefined : rows[0]);
    if (row) return listed(got, questions, service, row, about, country);
  }
  for (const service of services) {
    const band = service.bands.find(({ fromHz, toHz }) => hz >= fromHz && hz <= toHz);
    if (!band) continue;
    const size = Math.abs(band.usualOffsetHz) || USUAL_SHIFT_HZ[service.id] || 0;
    const signed = got.offsetHz === '+' ? size : got.offsetHz === '-' ? -size : got.offsetHz;
    const offsetHz = signed ?? (got.repeater ? band.usualOffsetHz : 0);
    if (got.repeater && offsetHz === 0) {
      questions.push({
        code: 'transmit-unknown',
        blocking: false,
        about,
        offers: ['+', '-'],
        lines: ['+', '-'].map((sign) => `${got.line} ${sign}`),
      });
      return { receiveHz: hz, transmitHz: null, service: service.id as ServiceId, row: undefined };
    }
    if (got.repeater && got.offsetHz === undefined)
      questions.push({
        code: 'usual-offset',
        blocking: false,
        about: `${offsetHz > 0 ? '+' : '-'}${mhzText(Math.abs(offsetHz))}`,
        offers: [],
      });
    return {
      receiveHz: hz,
      transmitHz: got.listen ? null : hz + offsetHz,
      service: service.id as ServiceId,
      row: undefined,
    };
  }
  return outsideServices(got, questions, hz, about);
}

/** The usual shift of amateur bands, for a bare sign outside the repeater sub-bands (common practice). */
const USUAL_SHIFT_HZ: Readonly<Record<string, number>> = { 'amateur-2m': 600_000, 'amateur-70cm': 5_000_000 };

function outsideServices(got: Collected, questions: Question[], hz: number, about: string): Pair {
  const listening: Pair = { receiveHz: hz, transmitHz: null, service: 'other', row: undefined };
  if (got.listen) return listening;
  if (typeof got.offsetHz === 'number') {
    questions.push({ code: 'service-unknown', blocking: false, about, offers: [] });
    return { ...listening, transmitHz: hz + got.offsetHz };
  }
  const offers = got.repeater ? [] : ['rx only'];
  const lines = offers.map((offer) => `${got.line} ${offer}`);
  questions.push({
    code: got.repeater || got.offsetHz ? 'transmit-unknown' : 'service-unknown',
    blocking: false,
    about,
    offers,
    lines,
  });
  return listening;
}

type Named = Collected['frequencies'][number];
type AskPair = (
  code: Question['code'],
  about: string,
  fixes?: readonly (readonly [string, string])[],
) => undefined;

function fromTwo(
  got: Collected,
  questions: Question[],
  a: Named,
  b: Named,
  ask: AskPair,
  country: Service['country'],
): Pair | undefined {
  const send = [a, b].find((f) => f.direction === 'send');
  const hear = [a, b].find((f) => f.direction === 'hear');
  const rest = [a, b].filter((f) => f !== send && f !== hear);
  const plain = [a, b].sort((x, y) => x.hz - y.hz);
  const [low, high] = plain as [Named, Named];
  const gmrs = SERVICES.gmrs.channels.find(
    (row) => row.pair && row.receiveHz === low.hz && row.transmitHz === high.hz,
  );
  const receiveHz = hear?.hz ?? (send ? rest[0]?.hz : undefined);
  const transmitHz = send?.hz ?? (hear ? rest[0]?.hz : undefined);
  if (gmrs) {
    if (transmitHz === low.hz) {
      const fixed = `${mhzText(low.hz)} rpt`;
      const line = withText(got.line, Math.min(a.start, b.start), Math.max(a.end, b.end), fixed);
      return ask('input-output-swapped', got.line, [[fixed, line]]);
    }
    return { ...pairOf(gmrs), transmitHz: got.listen ? null : gmrs.transmitHz, service: 'gmrs', row: gmrs };
  }
  if (receiveHz === undefined || transmitHz === undefined) {
    const read = (x: Named, y: Named) => `rx ${mhzText(x.hz)} tx ${mhzText(y.hz)}`;
    const fix = (text: string) =>
      withText(got.line, Math.min(a.start, b.start), Math.max(a.end, b.end), text);
    return ask(
      'several-frequencies',
      got.line,
      [read(a, b), read(b, a)].map((text) => [text, fix(text)] as const),
    );
  }
  const inGmrs = (hz: number) => GMRS_SEGMENTS_HZ.some((segment) => hz >= segment.from && hz <= segment.to);
  if (inGmrs(receiveHz) || inGmrs(transmitHz)) return ask('pair-does-not-match', got.line);
  const known = servicesOf(country).find(
    (service) =>
      channelOn(service, receiveHz, transmitHz) !== undefined ||
      [receiveHz, transmitHz].every((hz) =>
        service.bands.some((band) => hz >= band.fromHz && hz <= band.toHz),
      ),
  );
  if (!known)
    questions.push({
      code: 'service-unknown',
      blocking: false,
      about: got.line.slice(a.start, a.end),
      offers: [],
    });
  const service = known ? (known.id as ServiceId) : 'other';
  return { receiveHz, transmitHz: got.listen ? null : transmitHz, service, row: undefined };
}

const pairOf = (row: ServiceChannel) => ({ receiveHz: row.receiveHz, transmitHz: row.transmitHz });
