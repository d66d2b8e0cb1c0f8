import { channelOn, homeOf, isAmongHome, type ServiceId, servicesOf, usualShiftIn } from '../facts/index';
import { mhzText } from '../units/index';
import { type Asked, type Pair, stop } from './asked';
import { type Collected, withText } from './collected';
import { fromOne } from './oneFrequency';

type Written = Collected['frequencies'][number];

/** The pair of two frequencies: of the home service in whatever order, else as the line says which is sent and which is heard. */
export function fromTwo(asked: Asked, a: Written, b: Written): Pair | undefined {
  const { got, country } = asked;
  if (a.hz === b.hz) return fromOne({ ...asked, got: { ...got, direct: true } }, a);
  const home = homeOf(country);
  const send = [a, b].find(({ direction }) => direction === 'send');
  const hear = [a, b].find(({ direction }) => direction === 'hear');
  const [rest] = [a, b].filter((one) => one !== send && one !== hear);
  const receiveHz = hear?.hz ?? (send ? rest?.hz : undefined);
  const transmitHz = send?.hz ?? (hear ? rest?.hz : undefined);
  const fix = (text: string) => withText(got.line, Math.min(a.start, b.start), Math.max(a.end, b.end), text);
  const row = home?.channels.find(
    ({ pair, receiveHz: out, transmitHz: input }) =>
      pair && ((out === a.hz && input === b.hz) || (out === b.hz && input === a.hz)),
  );
  if (home && row) {
    const fixed = `${mhzText(row.receiveHz)} rpt`;
    if (transmitHz === row.receiveHz)
      return stop(asked, 'input-output-swapped', got.line, [[fixed, fix(fixed)]]);
    const sent = got.listen ? null : row.transmitHz;
    return { receiveHz: row.receiveHz, transmitHz: sent, service: home.id as ServiceId, row };
  }
  if (receiveHz === undefined && transmitHz === undefined) {
    const byShift = usualPair(asked, a, b);
    if (byShift) return byShift;
  }
  if (receiveHz === undefined || transmitHz === undefined) {
    const parts = twoPlaces(asked, a, b);
    if (parts) return stop(asked, 'several-frequencies', got.line, parts);
    const read = (x: Written, y: Written) => `rx ${mhzText(x.hz)} tx ${mhzText(y.hz)}`;
    const offers = [read(a, b), read(b, a)].map((text) => [text, fix(text)] as const);
    return stop(asked, 'several-frequencies', got.line, offers);
  }
  if (isAmongHome(country, receiveHz) || isAmongHome(country, transmitHz))
    return stop(asked, 'pair-does-not-match', got.line);
  return {
    receiveHz,
    transmitHz: got.listen ? null : transmitHz,
    service: serviceOf(asked, receiveHz, transmitHz, a),
    row: undefined,
  };
}

/** A pair that is the usual shift apart in one order alone: the band plan says which of the two is heard. */
function usualPair({ got, country, questions }: Asked, a: Written, b: Written): Pair | undefined {
  const orders = [
    [a, b],
    [b, a],
  ] as const;
  const isUsual = ([out, input]: (typeof orders)[number]) => {
    const shiftHz = usualShiftIn(country, out.hz);
    return shiftHz !== 0 && input.hz - out.hz === shiftHz;
  };
  const usual = orders.filter(isUsual);
  const [only] = usual;
  if (!only || usual.length > 1) return undefined;
  const [out, input] = only;
  const about = got.line.slice(out.start, out.end);
  questions.push({ code: 'usual-pair', blocking: false, about, offers: [] });
  return {
    receiveHz: out.hz,
    transmitHz: got.listen ? null : input.hz,
    service: serviceOf({ got, country, questions }, out.hz, input.hz, out),
    row: undefined,
  };
}

/** Two channels of tables, which make no pair, are two places: each half of the line is offered. */
function twoPlaces(
  { got, country }: Asked,
  a: Written,
  b: Written,
): (readonly [string, string])[] | undefined {
  const isListed = ({ hz }: Written) =>
    isAmongHome(country, hz) ||
    servicesOf(country).some(({ channels }) => channels.some(({ receiveHz }) => receiveHz === hz));
  const [first, second] = a.start < b.start ? [a, b] : [b, a];
  if (!isListed(first) || !isListed(second)) return undefined;
  const between = got.line.slice(first.end, second.start);
  const parting = [...between.matchAll(/\s*(?:[;|/&,]|\band\b)\s*/gi)].at(-1);
  const cut = first.end + (parting?.index ?? between.length);
  const rest = first.end + (parting ? parting.index + parting[0].length : between.length);
  const halves = [got.line.slice(0, cut), got.line.slice(rest)].map((half) => half.trim());
  return halves.map((half) => [half, half] as const);
}

/** The service that has both frequencies; where none has, that is said. */
function serviceOf(
  { got, questions, country }: Asked,
  receiveHz: number,
  transmitHz: number,
  { start, end }: Written,
): Pair['service'] {
  const known = servicesOf(country).find(
    (service) =>
      channelOn(service, receiveHz, transmitHz) !== undefined ||
      [receiveHz, transmitHz].every((hz) =>
        service.bands.some(({ fromHz, toHz }) => hz >= fromHz && hz <= toHz),
      ),
  );
  if (known) return known.id as ServiceId;
  questions.push({ code: 'service-unknown', blocking: false, about: got.line.slice(start, end), offers: [] });
  return 'other';
}
