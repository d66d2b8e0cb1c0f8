import { type Description, type Memory, slotReader, slotsOf, writtenLists } from '../model/index';
import { opens } from '../tones/index';
import { type Stop, scanStops, type Timing, timingOf } from './round';

/** The places that a scan over a memory comes by, with those that its settings give priority; none where the set does not scan. */
export function scanOf(description: Description, { slots, settings }: Memory): Stop[] {
  const read = slotReader(description);
  const lists = writtenLists(description);
  const places = slotsOf(description).map((slot) => ({
    slot,
    content: read(slot, slots.get(slot.number) ?? null),
  }));
  const named = description.settings
    .filter(({ holds }) => holds === 'priorityNumber')
    .map(({ id, list, factory }) => lists[list]?.[settings[id] ?? factory]?.means);
  return scanStops(description, places, (number) => named.includes(number));
}

/** A silent scan from one look at its priority places to where it begins the very same again. */
export interface RoundTimes {
  /** How long that takes, in milliseconds. */
  readonly periodMs: number;
  /** How long it takes on average from a place to the same place again by its turn, in milliseconds. */
  readonly roundMs: number;
  /** When it comes by each of the stops in that time, by their place in the list, in milliseconds. */
  readonly visitsMs: readonly (readonly number[])[];
}

/**
 * When a scan comes by each place while nothing is on the air, by its own steps: from place to place, and every now and then a look at
 * each place with priority. It repeats once a look begins at a place where one began before.
 */
export function roundTimes(stops: readonly Stop[], { everyMs, lookEveryMs }: Timing): RoundTimes {
  const looked = stops.flatMap(({ hasPriority }, i) => (hasPriority ? [i] : []));
  if (lookEveryMs === null || looked.length === 0 || stops.length === 0) {
    const periodMs = stops.length * everyMs;
    return { periodMs, roundMs: periodMs, visitsMs: stops.map((_, i) => [i * everyMs]) };
  }
  // A look begins with the first step at or after its time, so that there are always as many steps between two of them.
  const steps = Math.ceil(lookEveryMs / everyMs);
  const between = Math.max(steps - looked.length, 1);
  const visits = stops.map((): number[] => []);
  // Where the first look comes in a scan that was begun at its first place.
  const start = (steps - 1) % stops.length;
  let [at, step] = [start, 0];
  do {
    for (const stop of looked) visits[stop]?.push(everyMs * step++);
    for (let i = 0; i < between; i++) {
      visits[at]?.push(everyMs * step++);
      at = (at + 1) % stops.length;
    }
  } while (at !== start);
  const periodMs = step * everyMs;
  const turns = (between * (step / (between + looked.length))) / stops.length;
  return { periodMs, roundMs: periodMs / turns, visitsMs: visits };
}

/**
 * The chance to miss one call: its start is anywhere in the scan’s round, all else is silent, and it is missed where the set has not stopped on it
 * before it ends. Exact by the set's own round: of each gap between two visits what is longer than the call, less the time to decide.
 * @param isHeard at which stops the call is heard
 * @param callMs how long it is
 */
export function missChance(
  { periodMs, visitsMs }: RoundTimes,
  { decideMs }: Pick<Timing, 'decideMs'>,
  isHeard: (index: number) => boolean,
  callMs: number,
): number {
  const longMs = callMs - decideMs;
  const visits = visitsMs.flatMap((those, i) => (isHeard(i) ? those : [])).toSorted((a, b) => a - b);
  const [first] = visits;
  if (first === undefined || longMs <= 0) return 1;
  const missedMs = visits.reduce((sum, at, i) => {
    const next = visits[i + 1] ?? first + periodMs;
    return sum + Math.max(0, next - at - longMs);
  }, 0);
  return missedMs / periodMs;
}

/** What a scan makes of one of its places. */
export interface ScannedPlace {
  readonly number: number;
  readonly hasPriority: boolean;
  /** The chance to miss a call there, from 0 to 1. */
  readonly missChance: number;
}

/** How long a round takes, and what is missed at each place of it. */
export interface ScanReport {
  readonly roundMs: number;
  readonly places: readonly ScannedPlace[];
}

/**
 * What a set that scans its places misses of calls of a length; `null` where it does not scan, or nobody knows how. A call counts as heard wherever
 * the set listens to its frequency and opens for its tone.
 * @param callMs how long a call is, in milliseconds
 */
export function scanReport(
  { scan }: Pick<Description, 'scan'>,
  stops: readonly Stop[],
  callMs: number,
): ScanReport | null {
  if (typeof scan !== 'object') return null;
  const timing = timingOf(scan);
  const times = roundTimes(stops, timing);
  return {
    roundMs: Math.round(times.roundMs),
    places: stops.flatMap((stop) =>
      stop.number === null
        ? []
        : [
            {
              number: stop.number,
              hasPriority: stop.hasPriority,
              missChance: missChance(times, timing, (i) => isHeardAt(stops[i], stop), callMs),
            },
          ],
    ),
  };
}

const isHeardAt = (at: Stop | undefined, { hz, tone }: Stop): boolean =>
  at !== undefined && at.hz === hz && opens(at.tone, tone);

/** One way to make a round shorter, and what comes of it. */
export interface ScanTrade {
  /** The places that are left out, by their numbers. */
  readonly leftOut: readonly number[];
  /** The places that have priority, by their numbers. */
  readonly priority: readonly number[];
  readonly roundMs: number;
  /** The chance to miss a call at the worst of the places that must be heard, and on average at the others that are still scanned; 0 where there is none. */
  readonly worstMust: number;
  readonly others: number;
}

/** How much each place of a scan matters: must be heard, or the more the later it is left out. Those that cannot be left out stay. */
export interface Wish {
  readonly isMust: boolean;
  readonly weight: number;
  readonly canLeaveOut: boolean;
}

/**
 * What leaving places out buys: from all of them on, each time the one that matters least of those that may go. Leaving out any one place makes a
 * round as much shorter as any other, so that no other choice of as many does better for what must be heard.
 * @param wishes by the stop's place in the list
 * @param mostPriority how many places can have priority; as many of those that must be heard get it, in their order, where that serves the worst of them
 */
export function scanTrades(
  { scan }: Pick<Description, 'scan'>,
  stops: readonly Stop[],
  wishes: readonly Wish[],
  callMs: number,
  mostPriority = 0,
): ScanTrade[] {
  if (typeof scan !== 'object') return [];
  const timing = timingOf(scan);
  const going = stops
    .map((_, i) => i)
    .filter((i) => wishes[i]?.canLeaveOut && !wishes[i]?.isMust)
    .toSorted((a, b) => (wishes[a]?.weight ?? 0) - (wishes[b]?.weight ?? 0) || b - a);
  return Array.from({ length: going.length + 1 }, (_, count) => {
    const out = new Set(going.slice(0, count));
    const kept = stops.map((_s, i) => i).filter((i) => !out.has(i));
    const musts = kept.filter((i) => wishes[i]?.isMust);
    const tried = Array.from({ length: Math.min(mostPriority, musts.length) + 1 }, (_p, most) =>
      traded(stops, kept, new Set(musts.slice(0, most)), timing, wishes, callMs),
    );
    const best = tried.reduce((one, two) => (two.worstMust < one.worstMust - 1e-12 ? two : one));
    return {
      ...best,
      leftOut: going
        .slice(0, count)
        .map((i) => stops[i]?.number ?? 0)
        .toSorted((a, b) => a - b),
    };
  });
}

function traded(
  stops: readonly Stop[],
  kept: readonly number[],
  priority: ReadonlySet<number>,
  timing: Timing,
  wishes: readonly Wish[],
  callMs: number,
): Omit<ScanTrade, 'leftOut'> {
  const those = kept.flatMap((i) => {
    const stop = stops[i];
    return stop ? [{ ...stop, hasPriority: priority.has(i) }] : [];
  });
  const times = roundTimes(those, timing);
  const missed = kept.map((_, k) =>
    missChance(times, timing, (i) => isHeardAt(those[i], those[k] as Stop), callMs),
  );
  const of = (isMust: boolean) =>
    missed.filter((_, k) => (wishes[kept[k] ?? -1]?.isMust ?? false) === isMust);
  const others = of(false);
  return {
    priority: those.flatMap(({ number, hasPriority }) => (hasPriority && number !== null ? [number] : [])),
    roundMs: Math.round(times.roundMs),
    worstMust: Math.max(0, ...of(true)),
    others: others.length === 0 ? 0 : others.reduce((sum, one) => sum + one, 0) / others.length,
  };
}
