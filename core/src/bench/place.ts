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

/** A day as it came out: what was placed, what was not, when all is done, and how evenly people work. */
export interface Day {
  readonly placed: readonly Placed[];
  readonly left: readonly number[];
  readonly finish: number;
  /** Less is better: sets left first, then the finish, then how long people are busy. */
  readonly cost: number;
}

const LEFT = 1e9;
const FINISH = 1e3;

/**
 * Places the sets in an order, each with what is wished where that can be, as early as it goes after what was placed before; what waits for
 * its master is tried again once that is loaded.
 */
export function placeInOrder({ people, stands, masters, sets, untilMin }: Shop, wishes: Wishes): Day {
  const personFree = people.map(({ from }) => from);
  const standFree = Array.from({ length: stands }, () => 0);
  const masterFree = masters.map((set) => (set < 0 ? 0 : Number.POSITIVE_INFINITY));
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
        if (is === set) masterFree[master] = one.to;
      });
    }
    waiting = left;
  }
  const finish = placed.reduce((most, { to }) => Math.max(most, to), 0);
  let busy = 0;
  for (const [i, { from }] of people.entries()) busy += ((personFree[i] ?? from) - from) ** 2;
  const even = Math.sqrt(busy / Math.max(1, people.length));
  return { placed, left: waiting, finish, cost: waiting.length * LEFT + finish * FINISH + even };

  function earliest(set: number): Placed | undefined {
    const { people: who = [], options = [] } = sets[set] ?? {};
    const wished = options[wishes.option[set] ?? -1];
    const by = wishes.person[set] ?? -1;
    return (
      (wished && best(set, wished, who.includes(by) ? [by] : who)) ??
      options.reduce<Placed | undefined>(
        (found, option) => better(found, best(set, option, who.includes(by) ? [by] : who)),
        undefined,
      ) ??
      (who.includes(by)
        ? options.reduce<Placed | undefined>(
            (found, option) => better(found, best(set, option, who)),
            undefined,
          )
        : undefined)
    );
  }

  function best(set: number, option: Shop['sets'][number]['options'][number], who: readonly number[]) {
    const { way, minutes, masters: copies } = option;
    const stand = way === 'file' ? firstFree(standFree) : -1;
    const master = way === 'copy' ? firstFree(masterFree, copies) : -1;
    const ready = stand >= 0 ? (standFree[stand] ?? 0) : master >= 0 ? (masterFree[master] ?? 0) : 0;
    let found: Placed | undefined;
    for (const person of who) {
      const from = Math.max(personFree[person] ?? 0, ready);
      const to = from + minutes;
      if (to > Math.min(people[person]?.to ?? 0, untilMin)) continue;
      const at = sets[set]?.options.indexOf(option) ?? -1;
      found = better(found, { set, person, option: at, stand, master, from, to });
    }
    return found;
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
