import { SERVICE_IDS } from '../facts/index';
import { type FitDevice, fitDevice, fitPlan } from '../fit/index';
import type { Channel, Description, Person, Plan, Station, Unit } from '../model/index';
import { bareChannel, sameOnAir } from '../model/index';
import { transmitRule } from '../rules/index';
import { distanceM } from '../units/index';
import { factOf, isRefused } from './view';

/** What must all be so before somebody can use a repeater, in the order in which it is looked into. */
export const PRECONDITIONS = ['licence', 'set', 'frequency', 'tone', 'reach', 'permission'] as const;
/** One of them. */
export type Precondition = (typeof PRECONDITIONS)[number];

/** Whether one of them is so, and what to do next when it is not or nobody knows. */
export interface Answer {
  readonly is: 'yes' | 'no' | 'unknown';
  readonly next: NextStep | null;
}
/** What would help where one is not met. */
export type NextStep =
  | 'get-the-licence'
  | 'ask-when-it-ends'
  | 'lend-a-set'
  | 'describe-the-set'
  | 'ask-the-frequencies'
  | 'add-the-channel'
  | 'ask-the-tone'
  | 'correct-the-tone'
  | 'a-set-with-the-tone'
  | 'try-it'
  | 'another-place'
  | 'ask-permission'
  | 'ask-again'
  | 'listen-only';

/** Each of them, answered. */
export type Preconditions = Readonly<Record<Precondition, Answer>>;

const yes: Answer = { is: 'yes', next: null };
const no = (next: NextStep): Answer => ({ is: 'no', next });
const unknown = (next: NextStep): Answer => ({ is: 'unknown', next });

interface Context {
  readonly plan: Plan;
  readonly descriptions: ReadonlyMap<string, FitDevice>;
  /** As YYYY-MM-DD. */
  readonly today: string;
}

/** Prepares descriptions once for many people. */
export function preconditionContext(
  plan: Plan,
  descriptions: readonly Description[],
  today: string,
): Context {
  return { plan, today, descriptions: new Map(descriptions.map((d) => [d.id, fitDevice(d)])) };
}

/**
 * For one person and one repeater: have they the licence, is there a capable set, is the frequency in the plan, is the tone right and on the set, does
 * the place reach it, is there permission. What nobody knows is unknown, never yes.
 * @param units the devices this person holds
 */
export function preconditions(
  person: Person,
  units: readonly Unit[],
  station: Station,
  context: Context,
): Preconditions {
  const pair = pairOf(station);
  const channel =
    pair && context.plan.channels.find((c) => c.receiveHz === pair.outputHz && c.transmitHz === pair.inputHz);
  return {
    licence: licensed(person, pair, context),
    set: capableSet(units, pair, context),
    frequency: pair === undefined ? unknown('ask-the-frequencies') : channel ? yes : no('add-the-channel'),
    tone: toneRight(units, station, channel, context),
    reach: reaches(person, station),
    permission: permitted(station, context.today),
  };
}

interface Pair {
  readonly outputHz: number;
  readonly inputHz: number;
}

function pairOf(station: Station): Pair | undefined {
  const outputHz = factOf(station, 'outputHz');
  const inputHz = factOf(station, 'inputHz');
  return outputHz === undefined || inputHz === undefined ? undefined : { outputHz, inputHz };
}

/** How a person's best set ends with a channel: talk, unknown, or not. */
function best(units: readonly Unit[], channel: Channel, context: Context): 'talk' | 'unknown' | 'no' {
  const verdicts = units.map((unit) => {
    const device = context.descriptions.get(unit.descriptionId);
    if (!device) return 'unknown';
    const { cells } = fitPlan({ ...context.plan, channels: [channel] }, device);
    return cells[0]?.verdict ?? 'unknown';
  });
  if (verdicts.some((verdict) => verdict === 'full' || verdict === 'adapted')) return 'talk';
  return verdicts.includes('unknown') ? 'unknown' : 'no';
}

/** A set that is made for every service: with it the rules ask about the licence alone. */
const ANY_SET: Pick<Description, 'certifiedFor' | 'station'> = {
  certifiedFor: [...SERVICE_IDS],
  station: 'hand-held',
};

function licensed({ licences }: Person, pair: Pair | undefined, { plan, today }: Context): Answer {
  if (!pair) return unknown('ask-the-frequencies');
  const { may } = transmitRule(asked(pair), ANY_SET, plan, { each: [licences], day: today });
  if (may === 'unknown') return unknown('ask-when-it-ends');
  return may === 'transmit' ? yes : no('get-the-licence');
}

function capableSet(units: readonly Unit[], pair: Pair | undefined, context: Context): Answer {
  if (units.length === 0) return no('lend-a-set');
  if (!pair) return unknown('ask-the-frequencies');
  const bare = asked(pair);
  const found = best(units, bare, context);
  return found === 'talk' ? yes : found === 'unknown' ? unknown('describe-the-set') : no('lend-a-set');
}

function toneRight(
  units: readonly Unit[],
  station: Station,
  channel: Channel | undefined,
  context: Context,
): Answer {
  const wanted = factOf(station, 'inputTone');
  if (wanted === undefined) return unknown('ask-the-tone');
  if (!channel) return unknown('add-the-channel');
  if (channel.transmitTone === 'unknown') return unknown('ask-the-tone');
  const same =
    channel.transmitTone === wanted || (wanted !== 'off' && sameOnAir(wanted).includes(channel.transmitTone));
  if (!same) return no('correct-the-tone');
  if (units.length === 0) return no('lend-a-set');
  const pair = { outputHz: channel.receiveHz, inputHz: channel.transmitHz ?? channel.receiveHz };
  const found = best(units, asked(pair, channel), context);
  return found === 'talk'
    ? yes
    : found === 'unknown'
      ? unknown('describe-the-set')
      : no('a-set-with-the-tone');
}

/** Somebody's word decides; a claimed circle only says that it is worth a try, or hardly. */
function reaches(person: Person, station: Station): Answer {
  const said = station.reports
    .filter(({ personId }) => personId === person.id)
    .sort((a, b) => (a.on < b.on ? 1 : -1))[0];
  if (said) return said.reached ? yes : no('another-place');
  const rangeM = factOf(station, 'rangeM');
  const outside =
    person.place && station.site && rangeM !== undefined && distanceM(person.place, station.site) > rangeM;
  return unknown(outside ? 'another-place' : 'try-it');
}

function permitted({ permission }: Station, today: string): Answer {
  const { state } = permission;
  if (isRefused(permission, today)) return no(state === 'refused' ? 'listen-only' : 'ask-again');
  if (state === 'asked') return unknown('ask-again');
  return state === 'unknown' ? unknown('ask-permission') : yes;
}

/** A channel of a pair, to ask a set what it can do with it. */
function asked(
  { outputHz, inputHz }: Pair,
  tones: Partial<Pick<Channel, 'transmitTone' | 'receiveTone'>> = {},
): Channel {
  const { transmitTone = 'off', receiveTone = 'off' } = tones;
  return bareChannel({ name: 'Asked', receiveHz: outputHz, transmitHz: inputHz, transmitTone, receiveTone });
}
