/** So many things at most are covered exactly; of more the one is taken first that covers most. */
const MOST_EXACT = 16;

/** One thing that can be tried, and what it covers. */
export interface Covering<T> {
  readonly of: T;
  readonly covers: readonly string[];
}

/**
 * The fewest candidates that together cover all that any of them covers; of as few, the earlier ones. Exactly so for up to sixteen things
 * to cover (a search over which of them are covered so far), nearly so for more.
 */
export function leastCover<T>(candidates: readonly Covering<T>[]): T[] {
  const things = [...new Set(candidates.flatMap(({ covers }) => covers))];
  if (things.length > MOST_EXACT) return greedyCover(candidates);
  const place = new Map(things.map((thing, i) => [thing, i]));
  // Of those that cover the same, the first stands for all.
  const masks = new Map<number, T>();
  for (const { of, covers } of candidates) {
    const mask = covers.reduce((sum, thing) => sum | (1 << (place.get(thing) ?? 0)), 0);
    if (mask !== 0 && !masks.has(mask)) masks.set(mask, of);
  }
  const all = (1 << things.length) - 1;
  let reached = new Map<number, readonly T[]>([[0, []]]);
  const seen = new Set([0]);
  while (!reached.has(all)) {
    const next = new Map<number, readonly T[]>();
    for (const [mask, chosen] of reached)
      for (const [more, of] of masks) {
        const to = mask | more;
        if (seen.has(to)) continue;
        seen.add(to);
        next.set(to, [...chosen, of]);
      }
    if (next.size === 0) return [];
    reached = next;
  }
  return inOrder(candidates, reached.get(all) ?? []);
}

function greedyCover<T>(candidates: readonly Covering<T>[]): T[] {
  const left = new Set(candidates.flatMap(({ covers }) => covers));
  const chosen: T[] = [];
  while (left.size > 0) {
    const gain = ({ covers }: Covering<T>) => covers.filter((thing) => left.has(thing)).length;
    const best = candidates.reduce((a, b) => (gain(b) > gain(a) ? b : a));
    chosen.push(best.of);
    for (const thing of best.covers) left.delete(thing);
  }
  return inOrder(candidates, chosen);
}

const inOrder = <T>(candidates: readonly Covering<T>[], chosen: readonly T[]) =>
  candidates.flatMap(({ of }) => (chosen.includes(of) ? [of] : []));
