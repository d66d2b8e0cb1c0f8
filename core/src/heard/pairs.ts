import { timelineOf } from '../evidence/index';
import type { Heard, Unit } from '../model/index';
import type { LoggedCall } from './calls';

/**
 * What a call still says of two sets: all of it; less, since one of them was loaded or reset after it, or on the same day so that nobody
 * knows which came first, or on a day that nobody knows.
 */
export type Weighs = 'full' | 'before-load' | 'day-of-load' | 'load-undated';

/** What was heard of one set by another on a channel, one way. */
export interface HeardPair {
  readonly fromId: string;
  readonly toId: string;
  readonly way: Heard['way'];
  /** By the calls that count in full: always, never, now and then; `old` where none does, and `aside` where all that failed were no matter of the sets. */
  readonly hears: true | false | 'sometimes' | 'old' | 'aside';
  /** Newest first, with what each still says. */
  readonly calls: readonly { readonly call: LoggedCall; readonly weighs: Weighs }[];
}

/** When somebody last wrote into a set: the day, `unknown` where nobody said it, and the moment by which it was done, where that is known. */
export interface Written {
  readonly day: string;
  readonly by?: string;
}

/** When somebody last wrote into a set; `null` where nobody ever said so. */
export function lastWritten(unit: Pick<Unit, 'timeline' | 'holds'>): Written | null {
  const last = timelineOf(unit).findLast(
    (one) => one.what === 'loaded' || one.what === 'factory' || one.what === 'other',
  );
  if (!last) return null;
  return 'saidAt' in last && last.saidAt !== undefined
    ? { day: last.day, by: last.saidAt }
    : { day: last.day };
}

/**
 * Sorts the calls of one channel by who talked, who listened and which way; those without two known sets are left out.
 * @param writtenOn when somebody last wrote into a set, as `lastWritten` says it
 * @param dayOf the day of a moment, by the clocks of whoever keeps the list of sets
 */
export function heardPairs(
  calls: readonly LoggedCall[],
  channelId: string,
  writtenOn: (unitId: string) => Written | null,
  dayOf: (at: string) => string,
): HeardPair[] {
  const pairs = new Map<string, { call: LoggedCall; weighs: Weighs }[]>();
  for (const call of calls) {
    const { fromId, toId, way } = call;
    if (call.channelId !== channelId || fromId === null || toId === null || fromId === toId) continue;
    const key = `${fromId} ${toId} ${way}`;
    const weighs = least([fromId, toId].map((id) => weighsOf(call.at, dayOf(call.at), writtenOn(id))));
    pairs.set(key, [...(pairs.get(key) ?? []), { call, weighs }]);
  }
  return [...pairs.values()].flatMap((of): HeardPair[] => {
    const sorted = of.toSorted((a, b) => Date.parse(b.call.at) - Date.parse(a.call.at));
    const [first] = sorted;
    if (!first || first.call.fromId === null || first.call.toId === null) return [];
    const { fromId, toId, way } = first.call;
    return [{ fromId, toId, way, hears: heardBy(sorted), calls: sorted }];
  });
}

function heardBy(
  calls: readonly { readonly call: LoggedCall; readonly weighs: Weighs }[],
): HeardPair['hears'] {
  // Where nobody was at the set, or the signal does not get there, it says nothing of the sets.
  const counted = calls.filter(({ call }) => call.heard || call.settled === 'open');
  if (counted.length === 0) return 'aside';
  const full = counted.filter(({ weighs }) => weighs === 'full');
  if (full.length === 0) return 'old';
  const heard = full.filter(({ call }) => call.heard).length;
  return heard === full.length ? true : heard === 0 ? false : 'sometimes';
}

function weighsOf(at: string, day: string, written: Written | null): Weighs {
  if (written === null) return 'full';
  if (written.day === 'unknown') return 'load-undated';
  if (day !== written.day) return day > written.day ? 'full' : 'before-load';
  return written.by !== undefined && Date.parse(at) >= Date.parse(written.by) ? 'full' : 'day-of-load';
}

const LEAST = ['before-load', 'day-of-load', 'load-undated', 'full'] as const satisfies readonly Weighs[];
const least = (all: readonly Weighs[]): Weighs => LEAST.find((one) => all.includes(one)) ?? 'full';
