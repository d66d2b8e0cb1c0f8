import { type Between, HEAR_GATES, type Hearing, hearsDirect, hearsThrough, type SetOnAir } from './hears';

/** What comes of a call on a channel by the best way there is. */
export interface PairOnAir extends Hearing {
  readonly way: 'direct' | 'repeater';
  /** Through which of the repeaters, by its place in their list; `null` directly. */
  readonly through: number | null;
}

/** What is better comes first: heard, perhaps heard, stopped. */
const worth = ({ hears }: Hearing) => (hears === true ? 2 : hears === 'unknown' ? 1 : 0);
/** Of two calls that are stopped the one that came further says more. */
const SIDES = ['from', 'repeater', 'to', null] as const;
const reached = ({ gate, at }: Hearing) =>
  SIDES.indexOf(at) * 100 + (gate === null ? 0 : HEAR_GATES.indexOf(gate));

/**
 * Whether B hears A on a channel, by whatever way: through one of its repeaters or directly. Where nothing gets through the way that is
 * meant says why: a repeater's where there is one, and of several the one that lets the call come furthest.
 */
export function hearsOn(a: SetOnAir, b: SetOnAir, repeaters: readonly Between[]): PairOnAir {
  let best: PairOnAir | undefined;
  for (const [through, repeater] of repeaters.entries()) {
    const way: PairOnAir = by(hearsThrough(a, repeater, b), 'repeater', through);
    if (way.hears === true) return way;
    if (!best || worth(way) > worth(best) || (worth(way) === worth(best) && reached(way) > reached(best)))
      best = way;
  }
  const direct: PairOnAir = by(hearsDirect(a, b), 'direct', null);
  return !best || worth(direct) > worth(best) ? direct : best;
}

/** Written out: of a million pairs, copying takes most of the time. */
function by(
  { hears, gate, at, needs, comes, sounds }: Hearing,
  way: PairOnAir['way'],
  through: number | null,
): PairOnAir {
  return { hears, gate, at, needs, comes, sounds, way, through };
}

/** Who hears whom of a number of sets on one channel. Sets that are alike are judged once. */
export interface HearMatrix {
  /** What comes of a call of one set to another, by their places in the list. */
  readonly at: (from: number, to: number) => PairOnAir;
}

/** A matrix of sets on a channel: `hearsOn` over all pairs, not symmetric. */
export function hearMatrix(sets: readonly SetOnAir[], repeaters: readonly Between[]): HearMatrix {
  const { kindOf, kinds } = alike(sets);
  const cells: (PairOnAir | undefined)[] = new Array(kinds.length ** 2);
  return {
    at: (from, to) => {
      const [a, b] = [kindOf[from], kindOf[to]];
      const [one, two] = [kinds[a ?? -1], kinds[b ?? -1]];
      if (a === undefined || b === undefined || !one || !two) throw new RangeError(`no pair ${from} ${to}`);
      const at = a * kinds.length + b;
      const found = cells[at] ?? hearsOn(one, two, repeaters);
      cells[at] = found;
      return found;
    },
  };
}

/** Sorts sets into those that are the same on the air. */
function alike(sets: readonly SetOnAir[]): { kindOf: number[]; kinds: SetOnAir[] } {
  const known = new Map<string, number>();
  const kinds: SetOnAir[] = [];
  const kindOf = sets.map((set) => {
    const { isOn, place, talks, maySend, picked, mode, isMuted, isElsewhere } = set;
    const key = JSON.stringify([
      isOn,
      onAir(place),
      onAir(talks),
      maySend,
      picked,
      mode,
      isMuted,
      isElsewhere,
    ]);
    const at = known.get(key) ?? kinds.push(set) - 1;
    known.set(key, at);
    return at;
  });
  return { kindOf, kinds };
}

/** What of a place decides who hears it: not its name, nor how a scan goes. */
function onAir(place: SetOnAir['place'] | undefined) {
  if (place === undefined || place === null || place === 'unknown') return place ?? null;
  const { receiveHz, transmitHz, transmitTone, receiveTone, bandwidth, modulation } = place;
  return [receiveHz, transmitHz, transmitTone, receiveTone, bandwidth, modulation];
}

/** Sets that reach each other, in one direction or both: a net in pieces has more than one island. */
export interface Island {
  /** Places in the list of sets. */
  readonly members: readonly number[];
}

/** The islands of a matrix, largest first: within one each set reaches or is reached by some other one. A set that nobody reaches and that reaches nobody is one of its own. */
export function islandsOf(count: number, { at }: HearMatrix): Island[] {
  const root = Array.from({ length: count }, (_, i) => i);
  const find = (i: number): number => {
    let top = i;
    while (root[top] !== top) top = root[top] as number;
    root[i] = top;
    return top;
  };
  for (let i = 0; i < count; i++)
    for (let j = i + 1; j < count; j++)
      if (at(i, j).hears === true || at(j, i).hears === true) root[find(i)] = find(j);
  const members = new Map<number, number[]>();
  for (let i = 0; i < count; i++) members.set(find(i), [...(members.get(find(i)) ?? []), i]);
  return [...members.values()]
    .map((those) => ({ members: those }))
    .sort((a, b) => b.members.length - a.members.length || (a.members[0] ?? 0) - (b.members[0] ?? 0));
}

/** How many of a number of sets hear one and are heard by it, and how many hear it by a repeater alone. */
export interface Reaches {
  readonly heardBy: number;
  readonly hears: number;
  readonly unknown: number;
  /** Of those that hear it: only through a repeater, by its place in the list. */
  readonly onlyThrough: ReadonlyMap<number, number>;
}

/** Counts one row and column of a matrix. */
export function reachesOf(of: number, count: number, { at }: HearMatrix): Reaches {
  const onlyThrough = new Map<number, number>();
  let [heardBy, hears, unknown] = [0, 0, 0];
  for (let i = 0; i < count; i++) {
    if (i === of) continue;
    const [to, from] = [at(of, i), at(i, of)];
    if (to.hears === true) heardBy++;
    else if (to.hears === 'unknown') unknown++;
    if (from.hears === true) hears++;
    if (to.hears === true && to.through !== null)
      onlyThrough.set(to.through, (onlyThrough.get(to.through) ?? 0) + 1);
  }
  return { heardBy, hears, unknown, onlyThrough };
}
