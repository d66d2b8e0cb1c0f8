import {
  COUNTRY,
  channelOn,
  hasTables,
  homeOf,
  isAmongHome,
  nearestOf,
  type Service,
  type ServiceId,
  servicesOf,
  usualShiftHz,
} from '../facts/index';
import { mhzText } from '../units/index';
import { type Asked, isOfRepeater, listed, type Pair, stop } from './asked';
import { type Collected, withText } from './collected';
import { DIRECTION_WORDS } from './words';

type Written = Collected['frequencies'][number];

/** The pair of one frequency: of the country's home service where it is one of its own, else of another one that has it. */
export function fromOne(asked: Asked, written: Written): Pair | undefined {
  const { got, country } = asked;
  const { hz } = written;
  const isShifted = got.repeater || (got.offsetHz !== undefined && got.offsetHz !== 0);
  if (got.direct && isShifted) return stop(asked, 'word-contradicts', got.line);
  const home = homeOf(country);
  const about = got.line.slice(written.start, written.end);
  const isDirect = home && channelOn(home, hz, hz) !== undefined;
  const onInput = home?.channels.find((row) => row.pair && row.transmitHz === hz);
  if (home && onInput && !isDirect) return onRepeaterInput(asked, written, home);
  if (isSentAlone(got, written)) return sentAlone(asked, written);
  if (isDirect) return ofHome(asked, home, hz, about);
  const before = asked.questions.length;
  const elsewhere = ofOthers(asked, hz, about);
  if (elsewhere || asked.questions.slice(before).some(({ blocking }) => blocking)) return elsewhere;
  if (home && isAmongHome(country, hz)) {
    const near = mhzText(nearestOf(home, hz));
    return stop(asked, 'frequency-off-channel', about, [
      [near, withText(got.line, written.start, written.end, near)],
    ]);
  }
  return outsideServices(asked, hz, about);
}

/** What is heard by a repeater, not by people: the line is about its output, or about listening to who is near. */
function onRepeaterInput(
  asked: Asked,
  { hz, start, end, direction }: Written,
  home: Service,
): Pair | undefined {
  const { got } = asked;
  const row = home.channels.find((one) => one.pair && one.transmitHz === hz);
  const service = home.id as ServiceId;
  if (!row || got.listen) return { receiveHz: hz, transmitHz: null, service, row: undefined };
  if (direction === 'send') return { receiveHz: row.receiveHz, transmitHz: row.transmitHz, service, row };
  const output = mhzText(row.receiveHz);
  const fixed = withText(got.line, start, end, output);
  return stop(asked, 'frequency-is-input', got.line.slice(start, end), [
    [`${output} rpt`, got.repeater ? fixed : `${fixed} rpt`],
  ]);
}

/** Whether one is told where to talk and not where to hear. `462.700 TX +5` is about the shift that follows. */
function isSentAlone(got: Collected, written: Written): boolean {
  if (written.direction !== 'send' || got.direct || got.listen) return false;
  return got.offsetHz === undefined || sendWordBefore(got.line, written.start) < written.start;
}

/** Where the word that says of a frequency that it is sent begins, when it stands before it; the frequency's own beginning otherwise. */
function sendWordBefore(line: string, start: number): number {
  const word = /([a-z]+)[^a-z\d]*$/i.exec(line.slice(0, start));
  return word && DIRECTION_WORDS[word[1]?.toLowerCase() ?? ''] === 'send' ? word.index : start;
}

/** Where that word ends, when it stands behind. */
function sendWordBehind(line: string, end: number): number {
  const word = /^(?:\s*mhz)?[^a-z\d]*([a-z]+)/i.exec(line.slice(end));
  return word && DIRECTION_WORDS[word[1]?.toLowerCase() ?? ''] === 'send' ? end + word[0].length : end;
}

/** `input 146.34`: where one talks, and nothing of where one hears; the usual offset of its band may tell. */
function sentAlone(asked: Asked, { hz, start, end }: Written): undefined {
  const { got, country } = asked;
  const about = got.line.slice(start, end);
  // With a shift besides it says too many things to tell what each is about.
  if (got.offsetHz !== undefined) return stop(asked, 'receive-unknown', about);
  const outputs = servicesOf(country).flatMap((service) =>
    [service.usualShiftHz, -service.usualShiftHz]
      .map((shiftHz) => hz - shiftHz)
      .filter(
        (outputHz) =>
          outputHz !== hz &&
          isInBand(service, hz) &&
          isInBand(service, outputHz) &&
          usualShiftHz(service, outputHz) === hz - outputHz,
      ),
  );
  const pairs = [...new Set(outputs)].map((outputHz) => `rx ${mhzText(outputHz)} tx ${mhzText(hz)}`);
  const from = sendWordBefore(got.line, start);
  const to = from < start ? end : sendWordBehind(got.line, end);
  return stop(asked, 'receive-unknown', about, [
    ...pairs.map((pair) => [pair, withText(got.line, from, to, pair)] as const),
    ['direct', withText(got.line, from, to, `${about} direct`)],
  ]);
}

/** A channel of the home service: direct, or through a repeater whose output it is. */
function ofHome(asked: Asked, home: Service, hz: number, about: string): Pair | undefined {
  const { got, country } = asked;
  const beside = hasTables(country) ? COUNTRY[country].beside : null;
  const service = beside !== null && got.serviceWord === beside ? beside : (home.id as ServiceId);
  const isHome = service === home.id;
  const pair = home.channels.find((row) => row.pair && row.receiveHz === hz);
  const through = pair && { receiveHz: hz, transmitHz: pair.transmitHz, service, row: pair };
  if (got.repeater || got.offsetHz !== undefined) {
    if (!through || !isHome) return stop(asked, 'no-repeater-here', about);
    if (!isShift(got.offsetHz, usualShiftHz(home, hz))) return stop(asked, 'pair-does-not-match', got.line);
    return { ...through, transmitHz: got.listen ? null : through.transmitHz };
  }
  if (got.listen) return { receiveHz: hz, transmitHz: null, service, row: channelOn(home, hz, hz) };
  if (through && !got.direct && isHome) {
    const isThrough = isOfRepeater(got);
    sayWhichWay(asked, isThrough, about);
    if (isThrough) return through;
  }
  return { receiveHz: hz, transmitHz: hz, service, row: channelOn(service, hz, hz) };
}

/** Says that a line without a word for it was taken as through a repeater, or not, and offers both. */
function sayWhichWay({ got, questions }: Asked, isThrough: boolean, about: string): void {
  questions.push({
    code: isThrough ? 'repeater-by-direction' : 'direct-or-repeater',
    blocking: false,
    about,
    offers: ['rpt', 'direct'],
    lines: [`${got.line} rpt`, `${got.line} direct`],
  });
}

/** Whether what a line says of a shift is what is usual: nothing, its sign, or the whole of it. */
function isShift(said: Collected['offsetHz'], usualHz: number): boolean {
  if (said === undefined) return true;
  if (said === '+') return usualHz > 0;
  if (said === '-') return usualHz < 0;
  return said === usualHz;
}

/** A frequency of the country's tables, or of a band where the usual offset makes the pair. */
function ofOthers(asked: Asked, hz: number, about: string): Pair | undefined {
  const { got, questions, country } = asked;
  const services = servicesOf(country);
  const wantsPair = got.repeater || got.offsetHz !== undefined;
  for (const service of services) {
    const rows = service.channels.filter((row) => row.receiveHz === hz);
    // Where nobody transmits there is no pair either: what the line wants of one is said, and it is heard.
    const heard = rows.find((row) => row.transmitHz === null);
    const named = wantsPair ? undefined : rows.find(({ number }) => number === got.channel?.number);
    const row = named ?? rows.find(({ pair }) => pair === wantsPair) ?? (wantsPair ? heard : rows[0]);
    // A service that everybody may use has its frequencies from set to set and no others: there is no repeater.
    if (!row && rows.length > 0 && service.licence === 'none') return stop(asked, 'no-repeater-here', about);
    if (!row) continue;
    const isEither = !wantsPair && !got.direct && !got.listen && !named;
    if (isEither && rows.some(({ pair }) => pair) && !row.pair) sayWhichWay(asked, false, about);
    const ownHz = row.transmitHz === null ? 0 : row.transmitHz - row.receiveHz;
    if (wantsPair && row.pair && !isShift(got.offsetHz, ownHz)) {
      const shiftHz = typeof got.offsetHz === 'number' ? got.offsetHz : -ownHz;
      return askUsual(asked, hz, shiftHz, ownHz);
    }
    if (wantsPair && row.transmitHz === null)
      questions.push({ code: 'nobody-transmits', blocking: false, about, offers: [] });
    return listed(asked, service, row, about);
  }
  const service = services.find((one) => isInBand(one, hz));
  return service ? inBand(asked, service, hz, about) : undefined;
}

const isInBand = ({ bands }: Service, hz: number) =>
  bands.some(({ fromHz, toHz }) => hz >= fromHz && hz <= toHz);

function inBand(asked: Asked, service: Service, hz: number, about: string): Pair | undefined {
  const { got, questions } = asked;
  const id = service.id as ServiceId;
  const usualHz = usualShiftHz(service, hz);
  const size = Math.abs(usualHz) || service.usualShiftHz;
  const signed = got.offsetHz === '+' ? size : got.offsetHz === '-' ? -size : got.offsetHz;
  // A sign alone where no size is usual, or where it would lead out of the band or to where no voices are, says too little.
  const isVoice = (sentHz: number) =>
    service.bands.some(({ fromHz, toHz, voice }) => voice && sentHz >= fromHz && sentHz <= toHz);
  if (typeof got.offsetHz === 'string' && (size === 0 || !isVoice(hz + Number(signed)))) {
    questions.push({ code: 'transmit-unknown', blocking: false, about, offers: [] });
    return { receiveHz: hz, transmitHz: null, service: id, row: undefined };
  }
  if (signed !== undefined && isUnusual(signed, usualHz, size))
    return askUsual(asked, hz, signed, usualHz || size);
  const isThrough = isOfRepeater(got);
  const isBare = got.offsetHz === undefined && !got.repeater;
  if (isBare && usualHz !== 0 && !got.direct && !got.listen) sayWhichWay(asked, isThrough, about);
  const offsetHz = signed ?? (got.repeater || (isBare && isThrough) ? usualHz : 0);
  if (got.repeater && offsetHz === 0) {
    questions.push({
      code: 'transmit-unknown',
      blocking: false,
      about,
      offers: ['+', '-'],
      lines: ['+', '-'].map((sign) => `${got.line} ${sign}`),
    });
    return { receiveHz: hz, transmitHz: null, service: id, row: undefined };
  }
  if (got.repeater && got.offsetHz === undefined)
    questions.push({
      code: 'usual-offset',
      blocking: false,
      about: `${offsetHz > 0 ? '+' : '-'}${mhzText(Math.abs(offsetHz))}`,
      offers: [],
    });
  return { receiveHz: hz, transmitHz: got.listen ? null : hz + offsetHz, service: id, row: undefined };
}

/** Whether a shift is of another size, or goes another way, than is usual there; where nothing is usual none is unusual. */
function isUnusual(shiftHz: number, usualHz: number, size: number): boolean {
  if (usualHz !== 0) return shiftHz !== usualHz;
  return size !== 0 && Math.abs(shiftHz) !== size;
}

/** Offers the usual shift, and the written one as the pair that it comes to. */
function askUsual(asked: Asked, hz: number, shiftHz: number, usualHz: number): undefined {
  const { got } = asked;
  const at = got.offsetAt ?? { start: got.line.length, end: got.line.length };
  const written = got.frequencies[0] ?? at;
  const usual = `${usualHz < 0 ? '-' : '+'}${mhzText(Math.abs(usualHz)).replace(/0+$/, '')}`.replace(
    /\.$/,
    '',
  );
  const pair = `rx ${mhzText(hz)} tx ${mhzText(hz + shiftHz)}`;
  const start = Math.min(at.start, written.start);
  const between = got.line.slice(written.end, at.start);
  return stop(asked, 'offset-unusual', got.line.slice(at.start, at.end), [
    [usual, withText(got.line, at.start, at.end, ` ${usual}`)],
    [pair, withText(got.line, start, at.end, `${pair}${between}`)],
  ]);
}

function outsideServices({ got, questions }: Asked, hz: number, about: string): Pair {
  const listening: Pair = { receiveHz: hz, transmitHz: null, service: 'other', row: undefined };
  if (got.listen) return listening;
  if (typeof got.offsetHz === 'number') {
    questions.push({ code: 'service-unknown', blocking: false, about, offers: [] });
    return { ...listening, transmitHz: hz + got.offsetHz };
  }
  const isHalf = got.repeater || got.offsetHz !== undefined;
  // Whoever knows whose it is writes both frequencies.
  const { start, end } = got.frequencies[0] ?? { start: 0, end: 0 };
  const both = `rx ${mhzText(hz)} tx ${mhzText(hz)}`;
  questions.push({
    code: isHalf ? 'transmit-unknown' : 'whose-unknown',
    blocking: false,
    about,
    offers: isHalf ? [] : ['rx only', both],
    lines: isHalf ? [] : [`${got.line} rx only`, withText(got.line, start, end, both)],
  });
  return listening;
}
