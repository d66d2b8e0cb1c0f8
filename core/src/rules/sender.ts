import type { Channel, Unit } from '../model/index';
import type { HeldLicence } from './person';

/** Frequencies on which somebody answers: where ours listen and where ours send, in hertz. */
export interface Pair {
  readonly receiveHz: number;
  readonly transmitHz: number;
}

/** Who sends with a set, and on which day: what of the rules is about people. Plain data without a name in it. */
export interface Sender {
  /** The licences of each person who may take the set in hand: all of them need the right. `null` where nobody of the roster is known. */
  readonly each: readonly (readonly HeldLicence[])[] | null;
  /** The day on which the set is loaded, as YYYY-MM-DD; without it no licence counts as ended. */
  readonly day?: string;
  /** The pairs of repeaters whose keepers refused this group, or whose leave has ended on that day. */
  readonly refused?: readonly Pair[];
  /** The pairs of repeaters whose keepers nobody has asked, or who have not answered. */
  readonly unsettled?: readonly Pair[];
}

/** Somebody of whom nothing is known, on no day: a kind of set judged by itself. */
export const ANYBODY: Sender = { each: null };

/** What is known of people and repeaters on a day, for a fleet. */
export interface Grounds {
  readonly day: string;
  /** Who sends with a set, by its id; a set that is not here is nobody's. */
  readonly each: Readonly<Record<string, Sender['each']>>;
  readonly refused: readonly Pair[];
  readonly unsettled: readonly Pair[];
}

/** Nothing is known of anybody, on no day. */
export const NO_GROUNDS: Omit<Grounds, 'day'> & { day?: undefined } = {
  each: {},
  refused: [],
  unsettled: [],
};

/** Who sends with one set of a fleet. */
export function senderOf(
  { day, each, refused, unsettled }: Grounds | typeof NO_GROUNDS,
  unit: Pick<Unit, 'id'>,
): Sender {
  return { each: each[unit.id] ?? null, ...(day !== undefined && { day }), refused, unsettled };
}

type OnPair = Pick<Channel, 'receiveHz' | 'transmitHz'>;
const holds = (pairs: readonly Pair[], { receiveHz, transmitHz }: OnPair) =>
  pairs.some((pair) => pair.receiveHz === receiveHz && pair.transmitHz === transmitHz);

/** Whether the repeater of a channel may not be used. */
export const isShutOut = (channel: OnPair, { refused = [] }: Sender): boolean => holds(refused, channel);

/** Whether nobody knows yet if the repeater of a channel may be used. */
export const isUnsettled = (channel: OnPair, { unsettled = [] }: Sender): boolean =>
  holds(unsettled, channel);
