import type { Option, Shop } from './shop';

/** Rounds of the search for prices, fewer of a very large day; more only make the bound a little better. */
const roundsFor = (chances: number): number =>
  Math.max(10, Math.min(300, Math.floor(3_000_000 / (chances + 1))));

/**
 * A time before which no schedule of so many of the sets is done, in minutes. The best of: that each set fits somebody's time and its
 * master's; how much work people, stands and masters can take until then, by prices for each of their minutes (the dual of the linear
 * relaxation, by subgradients: whatever the prices, the answer is a bound); and that of more sets than people some do two.
 * @param count how many sets are loaded; prices are worked out for all that can be
 */
export function lowerBound(shop: Shop, count: number, finish: number): number {
  if (count === 0) return 0;
  const ends = shop.sets.map((_, set) => earliestEnd(shop, set));
  // A set that nobody can load at all is left in every schedule.
  const sets = shop.sets.filter((_, set) => Number.isFinite(ends[set]));
  const single = ends.filter(Number.isFinite).sort((a, b) => a - b)[count - 1] ?? 0;
  const isAll = count === sets.length;
  let [low, high] = [Math.max(single, twice(shop, count), isAll ? owned(shop, sets) : 0), finish];
  // Of no more sets than all: what cannot be done until a time cannot be done earlier either.
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (isAll ? isTooEarly(shop, sets, middle) : isTooEarlyFor(shop, count, middle)) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** When a master can be copied from at the earliest: at once where it was loaded before, else once somebody could have loaded it. */
function masterReady({ sets, people, masters }: Shop, master: number): number {
  const set = sets[masters[master] ?? -1];
  if ((masters[master] ?? -1) < 0) return 0;
  return endOf(people, set, () => 0);
}

/** When a set can be done at the earliest, if nothing else were to be done. */
function earliestEnd(shop: Shop, set: number): number {
  return endOf(shop.people, shop.sets[set], ({ way, masters }) =>
    way === 'copy' ? Math.min(...masters.map((master) => masterReady(shop, master))) : 0,
  );
}

function endOf(
  people: Shop['people'],
  set: Shop['sets'][number] | undefined,
  readyAt: (option: Option) => number,
): number {
  const ends = (set?.options ?? []).flatMap((option) =>
    (set?.people ?? []).flatMap((person) => {
      const { from, to } = people[person] ?? { from: 0, to: 0 };
      const end = Math.max(from, readyAt(option)) + option.minutes;
      return end <= to ? [end] : [];
    }),
  );
  return Math.min(...ends);
}

/** With more sets than people somebody does two, three …: of the longest that cannot all be firsts, the shortest together. */
function twice({ sets, people }: Shop, count: number): number {
  const from = Math.min(...people.map((person) => person.from));
  const least = sets
    .map(({ options }) => Math.min(...options.map(({ minutes }) => minutes)))
    .filter(Number.isFinite)
    .sort((a, b) => a - b)
    .slice(0, count)
    .reverse();
  let best = 0;
  for (let each = 1; each * people.length < least.length; each++) {
    const among = least.slice(0, each * people.length + 1);
    const sum = among.slice(-each - 1).reduce((all, minutes) => all + minutes, 0);
    best = Math.max(best, from + sum);
  }
  return best;
}

/** Whose sets only they can do: they do one after the other. */
function owned({ people }: Shop, sets: Shop['sets']): number {
  const work = people.map(() => 0);
  for (const { people: who, options } of sets) {
    const [one, ...others] = who;
    if (one !== undefined && others.length === 0)
      work[one] = (work[one] ?? 0) + Math.min(...options.map(({ minutes }) => minutes));
  }
  return Math.max(...people.map(({ from }, i) => (work[i] ? from + (work[i] ?? 0) : 0)));
}

const timeOf = ({ from, to }: Shop['people'][number], until: number) =>
  Math.max(0, Math.min(to, until) - from);

/** Of a part of the sets: whether even the shortest ones are more than people have time for. */
function isTooEarlyFor({ sets, people }: Shop, count: number, until: number): boolean {
  const least = sets
    .map(({ options }) => Math.min(...options.map(({ minutes }) => minutes)))
    .filter(Number.isFinite)
    .sort((a, b) => a - b);
  const work = least.slice(0, count).reduce((sum, minutes) => sum + minutes, 0);
  return work > people.reduce((sum, person) => sum + timeOf(person, until), 0);
}

interface Chance {
  readonly person: number;
  readonly minutes: number;
  readonly isFile: boolean;
  readonly masters: readonly number[];
}

/** Whether all sets are surely not done until a time. */
function isTooEarly(shop: Shop, sets: Shop['sets'], until: number): boolean {
  const ready = shop.masters.map((_, master) => masterReady(shop, master));
  const chances = sets.map(({ people, options }) =>
    people.flatMap((person) =>
      options.flatMap(({ way, minutes, masters }): Chance[] => {
        const { from, to } = shop.people[person] ?? { from: 0, to: 0 };
        const usable = masters.filter(
          (master) => Math.max(from, ready[master] ?? 0) + minutes <= Math.min(to, until),
        );
        const fits = way === 'copy' ? usable.length > 0 : from + minutes <= Math.min(to, until);
        return fits ? [{ person, minutes, isFile: way === 'file', masters: usable }] : [];
      }),
    ),
  );
  if (chances.some(({ length }) => length === 0)) return true;
  const opens = Math.min(...shop.people.map(({ from }) => from));
  const room = [
    ...shop.people.map((person) => timeOf(person, until)),
    shop.stands.length * Math.max(0, until - opens),
    ...ready.map((at) => Math.max(0, until - Math.max(at, opens))),
  ];
  return isWorthMore(chances, room, shop.people.length);
}

/** Looks for prices at which the cheapest way to do everything costs more than all the time there is. */
function isWorthMore(
  chances: readonly (readonly Chance[])[],
  room: readonly number[],
  people: number,
): boolean {
  const rounds = roundsFor(chances.reduce((sum, { length }) => sum + length, 0));
  const price: number[] = room.map((_, i) => (i < people ? 1 : 0));
  for (let round = 1; round <= rounds; round++) {
    const slope = room.map((minutes) => -minutes);
    let worth = -room.reduce((sum, minutes, i) => sum + minutes * (price[i] ?? 0), 0);
    for (const each of chances) {
      let [least, best, bestMaster] = [Number.POSITIVE_INFINITY, each[0] as Chance, -1];
      for (const chance of each) {
        const { person, minutes, isFile, masters } = chance;
        let master = -1;
        for (const one of masters)
          if (master < 0 || (price[people + 1 + one] ?? 0) < (price[people + 1 + master] ?? 0)) master = one;
        const more = isFile ? (price[people] ?? 0) : master >= 0 ? (price[people + 1 + master] ?? 0) : 0;
        const cost = minutes * ((price[person] ?? 0) + more);
        if (cost < least) [least, best, bestMaster] = [cost, chance, master];
      }
      worth += least;
      slope[best.person] = (slope[best.person] ?? 0) + best.minutes;
      const at = best.isFile ? people : bestMaster >= 0 ? people + 1 + bestMaster : -1;
      if (at >= 0) slope[at] = (slope[at] ?? 0) + best.minutes;
    }
    if (worth > 1e-6) return true;
    const steepness = Math.hypot(...slope);
    if (steepness === 0) return false;
    const step = Math.sqrt(people) / (steepness * Math.sqrt(round));
    for (const i of price.keys()) price[i] = Math.max(0, (price[i] ?? 0) + step * (slope[i] ?? 0));
    // Prices count by their proportions alone.
    const sum = price.reduce((all, one) => all + one, 0);
    if (sum <= 0) return false;
    for (const i of price.keys()) price[i] = ((price[i] ?? 0) * people) / sum;
  }
  return false;
}
