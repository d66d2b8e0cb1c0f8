import type { Shop } from './shop';

/** Where a set went: who does it, which of its options, with which stand or master, from when. */
export interface Placed {
  readonly set: number;
  readonly person: number;
  readonly option: number;
  readonly stand: number;
  readonly master: number;
  readonly from: number;
  readonly to: number;
}

/** What is wished of each set: an option and a person, or -1 for whatever is done first. */
export interface Wishes {
  readonly order: readonly number[];
  readonly option: readonly number[];
  readonly person: readonly number[];
}

/** A day as it came out: what was placed, what was not, and when all is done. */
export interface Day {
  readonly placed: readonly Placed[];
  readonly left: readonly number[];
  readonly finish: number;
  /** Less is better: sets left first, then the finish, and how late people are on the whole. */
  readonly cost: number;
}

const LEFT = 1e6;

/**
 * Places the sets in an order, each with what is wished where that can be, as early as it goes after what was placed before; what waits for
 * its master is tried again once that is loaded.
 */
export function placeInOrder({ people, stands, masters, mastersFrom, sets }: Shop, wishes: Wishes): Day {
  const personFree = people.map(({ from }) => from);
  const standFree = [...stands];
  const masterFree = masters.map((set, i) => (set < 0 ? (mastersFrom[i] ?? 0) : Number.POSITIVE_INFINITY));
  const placed: Placed[] = [];
  let waiting = [...wishes.order];
  for (let isGoing = true; isGoing && waiting.length > 0; ) {
    isGoing = false;
    const left: number[] = [];
    for (const set of waiting) {
      const one = earliest(set);
      if (!one) {
        left.push(set);
        continue;
      }
      isGoing = true;
      placed.push(one);
      personFree[one.person] = one.to;
      if (one.stand >= 0) standFree[one.stand] = one.to;
      if (one.master >= 0) masterFree[one.master] = one.to;
      masters.forEach((is, master) => {
        if (is === set) masterFree[master] = Math.max(one.to, mastersFrom[master] ?? 0);
      });
    }
    waiting = left;
  }
  const finish = placed.reduce((most, { to }) => Math.max(most, to), 0);
  // A mean that leans to the latest: it tells a day on which one person is late from one on which all are.
  let late = 0;
  for (const [i, { from }] of people.entries()) {
    const end = personFree[i] ?? from;
    if (end > from) late += end ** 6;
  }
  const lean = (late / Math.max(1, people.length)) ** (1 / 6);
  return { placed, left: waiting, finish, cost: waiting.length * LEFT + finish + lean };

  function earliest(set: number): Placed | undefined {
    const { people: who = [], options = [] } = sets[set] ?? {};
    const wished = wishes.person[set] ?? -1;
    const mine = wished >= 0 ? [wished] : who;
    const at = wishes.option[set] ?? -1;
    const any = (among: readonly number[]) =>
      options.reduce<Placed | undefined>((found, _, i) => better(found, best(set, i, among)), undefined);
    return (at >= 0 ? best(set, at, mine) : undefined) ?? any(mine) ?? (wished >= 0 ? any(who) : undefined);
  }

  function best(set: number, at: number, who: readonly number[]): Placed | undefined {
    const option = sets[set]?.options[at];
    if (!option) return undefined;
    const { way, minutes, masters: copies } = option;
    const stand = way === 'file' ? firstFree(standFree) : -1;
    const master = way === 'copy' ? firstFree(masterFree, copies) : -1;
    const ready = stand >= 0 ? (standFree[stand] ?? 0) : master >= 0 ? (masterFree[master] ?? 0) : 0;
    let [by, start] = [-1, Number.POSITIVE_INFINITY];
    // Whoever can begin first; of those ready before the stand or the master is, whoever was free last.
    for (const person of who) {
      const free = personFree[person] ?? 0;
      const from = Math.max(free, ready);
      if (from + minutes > (people[person]?.to ?? 0)) continue;
      if (by < 0 || from < start || (from === start && free > (personFree[by] ?? 0)))
        [by, start] = [person, from];
    }
    if (by < 0) return undefined;
    return { set, person: by, option: at, stand, master, from: start, to: start + minutes };
  }
}

/** The one that is done first; of two the one that begins later, since it takes less of somebody's time. */
function better(a: Placed | undefined, b: Placed | undefined): Placed | undefined {
  if (!a || !b) return a ?? b;
  return b.to < a.to || (b.to === a.to && b.from > a.from) ? b : a;
}

function firstFree(free: readonly number[], among: readonly number[] = free.map((_, i) => i)): number {
  return among.reduce((best, one) => (best < 0 || (free[one] ?? 0) < (free[best] ?? 0) ? one : best), -1);
}
