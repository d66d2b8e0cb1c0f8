import { type Between, type Hearing, hearsDirect, hearsOn, hearsThrough, type SetOnAir } from '../air/index';
import type { Finding, LikelyDatum } from '../findings/index';
import type { HeardPair } from './pairs';

/** The sets of one channel as they are known to be, and what stands between them. */
export interface ChannelAsHeld {
  readonly sets: readonly { readonly unitId: string; readonly set: SetOnAir }[];
  readonly repeaters: readonly Between[];
}

/** A pair of which the log says something else than what its sets are known to hold. */
export interface HeardOtherwise {
  readonly pair: HeardPair;
  readonly computed: Hearing;
  readonly likely: LikelyDatum;
}

/** What comes of a call by what is known of the sets, the way that it went; `undefined` where one of them is not there, or nothing stands between them. */
export function computedOf(
  { fromId, toId, way }: Pick<HeardPair, 'fromId' | 'toId' | 'way'>,
  { sets, repeaters }: ChannelAsHeld,
): Hearing | undefined {
  const setOf = (id: string) => sets.find(({ unitId }) => unitId === id)?.set;
  const [from, to] = [setOf(fromId), setOf(toId)];
  if (!from || !to) return undefined;
  if (way === 'direct') return hearsDirect(from, to);
  if (way === 'unknown') return hearsOn(from, to, repeaters);
  const each = repeaters.map((repeater) => hearsThrough(from, repeater, to));
  return each.find(({ hears }) => hears === true) ?? each.find(({ hears }) => hears === 'unknown') ?? each[0];
}

/** The pairs of which the log, as far as it counts, says something else than what the sets are known to hold. What nobody knows is no disagreement. */
export function heardOtherwise(pairs: readonly HeardPair[], channel: ChannelAsHeld): HeardOtherwise[] {
  return pairs.flatMap((pair): HeardOtherwise[] => {
    const computed = computedOf(pair, channel);
    if (!computed) return [];
    const wasHeard = pair.hears === true || pair.hears === 'sometimes';
    if (computed.hears === false && wasHeard)
      return [{ pair, computed, likely: datumOf(computed, pair, pairs, channel) }];
    if (computed.hears === true && pair.hears === false)
      return [{ pair, computed, likely: likelyOf(pair, pairs) }];
    return [];
  });
}

/** How many pairs can be held against what is computed: calls of them count in full, and nothing of their way is unknown. */
export function compared(pairs: readonly HeardPair[], channel: ChannelAsHeld): number {
  return pairs.filter((pair) => {
    const computed = computedOf(pair, channel)?.hears;
    return pair.hears !== 'old' && pair.hears !== 'aside' && (computed === true || computed === false);
  }).length;
}

/**
 * Heard though it should have been stopped: what is written of the gate is not so. Where others come through the repeater as it is written, it is the
 * set that is not.
 */
function datumOf(
  { gate, at }: Hearing,
  { fromId, way }: HeardPair,
  pairs: readonly HeardPair[],
  channel: ChannelAsHeld,
): LikelyDatum {
  if (gate === 'off') return 'condition';
  if (gate === 'may-transmit') return 'right';
  if (at !== 'repeater') return at === 'to' ? 'to-set' : 'from-set';
  const isAsWritten = pairs.some(
    (one) =>
      one.fromId !== fromId &&
      one.way === way &&
      one.hears === true &&
      computedOf(one, channel)?.hears === true,
  );
  return gate !== 'station' && isAsWritten ? 'from-set' : 'station';
}

/**
 * Not heard though nothing should stop it: what the other calls say of each side. A talker whom others hear and a listener who hears others have the
 * way between them against them; through a repeater that carries both of them it was the moment.
 */
function likelyOf({ fromId, toId, way }: HeardPair, pairs: readonly HeardPair[]): LikelyDatum {
  const same = pairs.filter((one) => one.way === way && (one.hears === true || one.hears === false));
  const talks = same.filter((one) => one.fromId === fromId && one.toId !== toId);
  const listens = same.filter((one) => one.toId === toId && one.fromId !== fromId);
  const isHeard = talks.some(({ hears }) => hears === true);
  const hearsSome = listens.some(({ hears }) => hears === true);
  if (isHeard && hearsSome) return way === 'direct' ? 'reach' : way === 'repeater' ? 'moment' : 'open';
  const talkers = new Set(same.map((one) => one.fromId));
  if (way === 'repeater' && talkers.size > 1 && !same.some(({ hears }) => hears === true)) return 'station';
  if (hearsSome && !isHeard && talks.length > 0) return 'from-set';
  if (isHeard && !hearsSome && listens.length > 0) return 'to-set';
  return 'open';
}

/** A set of which everybody would say that it is broken, and of which what it holds explains all that went wrong. */
export interface NotBroken {
  readonly unitId: string;
  readonly side: 'from' | 'to';
  /** The gate that stops each of its calls, with what it needs and what comes. */
  readonly stop: Hearing;
  readonly calls: number;
  readonly others: number;
}

/** As few calls with as few others are no case yet. */
const LEAST_CALLS = 3;
const LEAST_OTHERS = 2;

/** Sets that failed with everybody, on one side, where one and the same gate of what they are known to hold explains all of it. */
export function notBroken(pairs: readonly HeardPair[], channel: ChannelAsHeld): NotBroken[] {
  return channel.sets.flatMap(({ unitId }) =>
    (['from', 'to'] as const).flatMap((side): NotBroken[] => {
      const own = pairs.filter((pair) => (side === 'from' ? pair.fromId : pair.toId) === unitId);
      const counted = own.filter(({ hears }) => hears === true || hears === false || hears === 'sometimes');
      const calls = counted.reduce((sum, pair) => sum + fullCalls(pair), 0);
      const others = new Set(counted.map((pair) => (side === 'from' ? pair.toId : pair.fromId))).size;
      if (counted.some(({ hears }) => hears !== false) || calls < LEAST_CALLS || others < LEAST_OTHERS)
        return [];
      const stops = counted.map((pair) => computedOf(pair, channel));
      const [stop] = stops;
      const isOne = stops.every(
        (one) =>
          one?.hears === false &&
          one.gate !== 'off' &&
          one.gate === stop?.gate &&
          (side === 'to') === (one.at === 'to'),
      );
      return stop && isOne ? [{ unitId, side, stop, calls, others }] : [];
    }),
  );
}

const fullCalls = ({ calls }: HeardPair) =>
  calls.filter(({ call, weighs }) => weighs === 'full' && call.settled === 'open').length;

/** How a set fared with others by the calls that count in full; `undefined` where too few of them say so. */
export function faredOn(
  pairs: readonly HeardPair[],
  unitId: string,
  side: 'from' | 'to',
): boolean | undefined {
  const own = pairs.filter((pair) => (side === 'from' ? pair.fromId : pair.toId) === unitId);
  if (own.some(({ hears }) => hears === true || hears === 'sometimes')) return true;
  const failed = own.filter(({ hears }) => hears === false);
  return failed.length >= LEAST_OTHERS ? false : undefined;
}

/** Whether the signal gets from one set to another, by the log: whatever a set holds, what was heard got there. */
export function reachHeard(
  pairs: readonly HeardPair[],
  fromId: string,
  toId: string,
): 'heard' | 'not-heard' | 'unknown' {
  const calls = pairs
    .filter((pair) => pair.fromId === fromId && pair.toId === toId)
    .flatMap((pair) => pair.calls.map(({ call }) => call))
    .sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
  const said = calls.find(({ heard, settled }) => heard || settled === 'reach');
  return said === undefined ? 'unknown' : said.heard ? 'heard' : 'not-heard';
}

/** What is said of a pair that was heard otherwise. */
export function otherwiseFinding(
  { pair, computed, likely }: HeardOtherwise,
  nameOf: (unitId: string) => string,
): Finding {
  return {
    code: 'heard-otherwise',
    severity: 'warning',
    from: nameOf(pair.fromId),
    to: nameOf(pair.toId),
    says: pair.hears === false ? 'not-heard' : pair.hears === true ? 'heard' : 'sometimes',
    calls: fullCalls(pair),
    likely,
    gate: computed.gate,
    at: computed.at,
    needs: computed.needs,
    comes: computed.comes,
  };
}

/** What is said of a set that is not broken. */
export function notBrokenFinding(
  { unitId, side, stop, calls, others }: NotBroken,
  nameOf: (unitId: string) => string,
): Finding | null {
  if (stop.gate === null || stop.at === null) return null;
  const { gate, at, needs, comes } = stop;
  return {
    code: 'not-broken',
    severity: 'note',
    set: nameOf(unitId),
    side,
    gate,
    at,
    needs,
    comes,
    calls,
    others,
  };
}
