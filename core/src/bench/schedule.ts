import { chanceOf } from '../memory/index';
import { lowerBound } from './bound';
import type { BenchJob, BenchSchedule } from './job';
import { type Day, placeInOrder, type Wishes } from './place';
import { type Shop, shopOf } from './shop';

/** How many tries a day is given, by how much is looked at in each: a day of sixty sets takes a second or two, a very large one not much longer. */
function triesFor({ sets }: Shop): number {
  const work = sets.reduce((sum, { people, options }) => sum + people.length * options.length, sets.length);
  return Math.max(20, Math.min(25_000, Math.floor(12_000_000 / work)));
}

/**
 * Works out a bench day: most sets first, then the earliest finish, with a proven bound. Orders and wishes are tried by simulated annealing from
 * the longest set first, with the same chance in every run; it ends at once where the bound is reached.
 * @param isOver asked now and then: where it says so, the best until then is the answer
 */
export function scheduleBench(job: BenchJob, isOver: () => boolean = () => false): BenchSchedule {
  const shop = shopOf(job);
  const first = bestOf(beginnings(shop).map((wishes) => ({ wishes, day: placeInOrder(shop, wishes) })));
  const reached = lowerBound(shop, first.day.placed.length, first.day.finish);
  const isBest = ({ left, finish }: Day) => left.length === 0 && finish <= reached;
  const best = isBest(first.day) ? first.day : anneal(shop, first, isBest, isOver);
  return written(job, shop, best, lowerBound(shop, best.placed.length, best.finish));
}

interface Tried {
  readonly wishes: Wishes;
  readonly day: Day;
}
/** Whether a day is better as people count: most sets, then the earliest finish. */
const isBetter = (a: Day, b: Day): boolean =>
  a.left.length < b.left.length || (a.left.length === b.left.length && a.finish < b.finish);
const bestOf = (tried: readonly Tried[]): Tried =>
  tried.reduce((best, one) => (isBetter(one.day, best.day) ? one : best));

/** Orders to begin with: as they come, the longest first, masters first of all, and those with the least choice first. */
function beginnings({ sets, masters }: Shop): Wishes[] {
  const none = sets.map(() => -1);
  const longest = (set: number) => Math.min(...(sets[set]?.options.map(({ minutes }) => minutes) ?? [0]));
  const isMaster = new Set(masters);
  const all = sets.map((_, set) => set);
  const by = (rank: (set: number) => number) => all.toSorted((a, b) => rank(b) - rank(a));
  const choice = (set: number) => sets[set]?.people.length ?? 0;
  return [
    all,
    by(longest),
    by((set) => longest(set) + (isMaster.has(set) ? 1e6 : 0)),
    by((set) => longest(set) - choice(set) * 1e4),
    by((set) => longest(set) - choice(set) * 1e4 + (isMaster.has(set) ? 1e6 : 0)),
  ].map((order) => ({ order, option: none, person: none }));
}

function anneal(shop: Shop, from: Tried, isBest: (day: Day) => boolean, isOver: () => boolean): Day {
  const chance = chanceOf(shop.sets.length + 1);
  const tries = triesFor(shop);
  let [here, best] = [from, from];
  const warm = Math.max(1, from.day.finish) / 25;
  for (let i = 0; i < tries; i++) {
    if (i % 20 === 0 && isOver()) break;
    const wishes = changed(shop, here, chance);
    const day = placeInOrder(shop, wishes);
    const heat = warm * (1 - i / tries) ** 2 + 1e-6;
    if (day.cost > here.day.cost && chance() >= Math.exp((here.day.cost - day.cost) / heat)) continue;
    here = { wishes, day };
    if (isBetter(day, best.day)) best = here;
    if (isBest(best.day)) break;
  }
  return best.day;
}

/**
 * One thing changed: two sets swapped, one brought forward or back, or another option or person wished for one; half of the time of whoever is
 * done last, or of what is left.
 */
function changed({ sets }: Shop, { wishes, day }: Tried, chance: () => number): Wishes {
  const { order, option, person } = wishes;
  const one = (count: number) => Math.floor(chance() * count);
  const late = chance() < 0.5 ? lateSets(day) : [];
  const set = late[one(late.length)] ?? order[one(order.length)] ?? 0;
  const at = order.indexOf(set);
  const kind = chance();
  const { options = [], people = [] } = sets[set] ?? {};
  if (kind < 0.35) {
    const to = one(order.length);
    return { order: order.with(at, order[to] ?? 0).with(to, set), option, person };
  }
  if (kind < 0.6) {
    const rest = order.toSpliced(at, 1);
    return { order: rest.toSpliced(one(order.length), 0, set), option, person };
  }
  if (kind < 0.8) return { order, option: option.with(set, one(options.length + 1) - 1), person };
  const wished = one(people.length + 1) - 1;
  return { order, option, person: person.with(set, wished < 0 ? -1 : (people[wished] ?? -1)) };
}

function lateSets({ placed, left, finish }: Day): number[] {
  if (left.length > 0) return [...left];
  const last = placed.find(({ to }) => to === finish)?.person;
  return placed.flatMap(({ set, person }) => (person === last ? [set] : []));
}

function written(job: BenchJob, shop: Shop, { placed, left, finish }: Day, bound: number): BenchSchedule {
  const tasks = placed
    .toSorted((a, b) => a.from - b.from || a.set - b.set)
    .flatMap(({ set, person, option, stand, master, from, to }) => {
      const one = job.sets[set];
      const way = shop.sets[set]?.options[option]?.way;
      if (!one || !way) return [];
      return [
        {
          setId: one.id,
          personId: job.people[person]?.id ?? '',
          standId: job.stands[stand]?.id ?? null,
          masterId: job.masters[master]?.id ?? null,
          way,
          fromMin: from,
          toMin: to,
        },
      ];
    });
  const unscheduled = job.sets.flatMap(({ id }, set) => (left.includes(set) ? [id] : []));
  return { finishMin: finish, lowerBoundMin: Math.min(bound, finish), tasks, unscheduled };
}
