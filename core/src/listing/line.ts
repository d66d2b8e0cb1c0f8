import { isInAirBand, type PlanCountry } from '../facts/index';
import type { Question } from '../findings/index';
import { type ChannelDraft, cutTo, type ToneText, UNSAID } from '../model/index';
import { inRadioRange, mhzText } from '../units/index';
import type { Pair } from './asked';
import { collect } from './collect';
import { type Collected, withText } from './collected';
import { nameOf } from './name';
import { choosePair } from './pair';
import { askSayings } from './sayings';

/** What a line says: a draft when no blocking question is open, and the questions. */
export interface LineReading {
  readonly ok: boolean;
  readonly channel: ChannelDraft | null;
  readonly questions: readonly Question[];
}

const LONGEST_LINE = 400;
const LONGEST_NAME = 40;

/**
 * Reads one line as people write a channel, in any order: `Gannet Top 462.650 rpt in D251 out D606 open`. Input tone means
 * transmit tone. Nothing is guessed: what a line leaves open becomes a question, and what is assumed is said.
 */
export function readLine(line: string, country: PlanCountry = 'US'): LineReading {
  const one = line.replace(/[\p{Cc}]+/gu, ' ').trim();
  if (one === '') return stop({ code: 'nothing-written', blocking: true, about: '', offers: [] });
  if (one.length > LONGEST_LINE)
    return stop({ code: 'line-too-long', blocking: true, about: one.slice(0, 40), offers: [] });
  const got = collect(one, country);
  askSayings(got);
  const questions = [...got.questions];
  const pair = choosePair(got, questions, country);
  if (!pair) return { ok: false, channel: null, questions };
  if (pair.transmitHz !== null && !inRadioRange(pair.transmitHz)) {
    questions.push({ code: 'frequency-out-of-range', blocking: true, about: one, offers: [] });
    return { ok: false, channel: null, questions };
  }
  const tones = chooseTones(got, pair, questions);
  const channel = tones && draft(got, pair, tones, questions);
  const ok = channel !== undefined && !questions.some((question) => question.blocking);
  return { ok, channel: channel ?? null, questions };
}

function stop(question: Question): LineReading {
  return { ok: false, channel: null, questions: [question] };
}

/** Whether a channel may be the one of the table: none of them is in a digital mode. */
const isOfRow = ({ mode }: Collected): boolean => mode !== 'digital';

interface Tones {
  readonly transmitTone: ToneText | 'unknown';
  readonly receiveTone: ToneText | 'unknown';
}

function chooseTones(got: Collected, pair: Pair, questions: Question[]): Tones | undefined {
  const of = (direction: Collected['tones'][number]['direction']) =>
    got.tones.filter((tone) => tone.direction === direction);
  const both = of('both');
  const free = of(undefined);
  const send = [...of('send'), ...both];
  const hear = [...of('hear'), ...both];
  // At a repeater that is only heard a tone by itself is still the one that opens it.
  const isRepeater =
    pair.transmitHz === null
      ? got.repeater || got.offsetHz !== undefined
      : pair.transmitHz !== pair.receiveHz;
  const about = got.line;
  const [first, second] = free;
  const byTable = got.tones.length === 0 && isOfRow(got) ? pair.row?.tone : undefined;
  if (
    send.length > 1 ||
    hear.length > 1 ||
    free.length > 2 ||
    (free.length > 0 && send.length > 0 && hear.length > 0)
  ) {
    questions.push({ code: 'several-tones', blocking: true, about, offers: [] });
    return undefined;
  }
  if (got.tones.some((tone) => tone.tone === undefined)) return undefined;
  let transmitTone = send[0]?.tone;
  let receiveTone = hear[0]?.tone;
  if (first && second && first.tone !== second.tone) {
    const start = Math.min(first.start, second.start);
    const end = Math.max(first.end, second.end);
    const offers = [`in ${first.tone} out ${second.tone}`, `in ${second.tone} out ${first.tone}`];
    const lines = offers.map((offer) => withText(got.line, start, end, offer));
    questions.push({
      code: 'tone-direction',
      blocking: true,
      about: got.line.slice(start, end),
      offers,
      lines,
    });
    return undefined;
  }
  if (first && second) {
    transmitTone = first.tone;
    receiveTone = first.tone;
  } else if (first) {
    if (send.length > 0) receiveTone = first.tone;
    else if (isRepeater || hear.length > 0) transmitTone = first.tone;
    else {
      transmitTone = first.tone;
      receiveTone = first.tone;
      if (pair.transmitHz !== null && first.tone !== 'off')
        questions.push({ code: 'tone-both-ways', blocking: false, about: String(first.tone), offers: [] });
    }
  }
  if (byTable !== undefined) {
    transmitTone = byTable;
    receiveTone = byTable;
  }
  if (pair.transmitHz === null) {
    // What opens it is kept for the day on which somebody knows where to send.
    if (transmitTone && !['off', 'unknown', receiveTone].includes(transmitTone))
      got.notes.push(`in ${transmitTone}`);
    transmitTone = 'off';
  }
  if (transmitTone === undefined && isRepeater && pair.transmitHz !== null) {
    questions.push({
      code: 'input-tone-unknown',
      blocking: false,
      about,
      offers: ['in off'],
      lines: [`${got.line} in off`],
    });
    transmitTone = 'unknown';
  }
  if (receiveTone === undefined && isRepeater)
    questions.push({ code: 'output-tone-unknown', blocking: false, about, offers: [] });
  return { transmitTone: transmitTone ?? 'off', receiveTone: receiveTone ?? 'off' };
}

function draft(got: Collected, pair: Pair, tones: Tones, questions: Question[]): ChannelDraft {
  let name = nameOf(got, questions);
  const notes = [...got.notes];
  // A number beside its frequency is what people call it.
  if (name === '' && got.channel && got.frequencies.length > 0)
    name = got.line.slice(got.channel.start, got.channel.end);
  if (name === '') {
    name = (isOfRow(got) ? pair.row?.name : undefined) ?? `${mhzText(pair.receiveHz)}`;
    questions.push({ code: 'name-made', blocking: false, about: name, offers: [] });
  }
  if (name.length > LONGEST_NAME) {
    questions.push({ code: 'name-shortened', blocking: false, about: name, offers: [] });
    notes.unshift(name);
    name = cutTo(name, LONGEST_NAME);
  }
  const width = pair.row === undefined ? 'unknown' : pair.row.bandwidthHz <= 12_500 ? 'narrow' : 'wide';
  return {
    name,
    receiveHz: pair.receiveHz,
    transmitHz: pair.transmitHz,
    ...tones,
    ...UNSAID,
    bandwidth: got.bandwidth ?? width,
    mode: got.mode ?? pair.row?.mode ?? (isInAirBand(pair.receiveHz) ? 'AM' : 'FM'),
    service: pair.service,
    access: got.access ?? UNSAID.access,
    state: got.state ?? UNSAID.state,
    note: cutTo(notes.join(', '), 400),
  };
}
