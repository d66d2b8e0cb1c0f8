import type { Between, SetOnAir } from './hears';
import { hearMatrix } from './matrix';

/** A pair that hears before and after a change, and not while one of them is loaded and the other is not. */
export interface DeafBetween {
  /** Places in the list of sets. */
  readonly from: number;
  readonly to: number;
  /** Which of them is loaded already when it is so. */
  readonly while: 'from-loaded' | 'to-loaded';
}

/** A change of sets one after another: who goes deaf between, and an order in which nobody does. */
export interface DuringChange {
  readonly deaf: readonly DeafBetween[];
  /** Places in the list of sets that change, in an order; those of one group have to be loaded at one go, since any order makes some of them deaf. */
  readonly order: readonly (readonly number[])[];
}

/**
 * Follows a change of a fleet set by set. Only pairs count that hear before and after: what the change itself takes or gives is
 * no matter of its order. What nobody knows is not counted as heard.
 * @param before the sets before they are loaded, and @param after once they are, in the same order
 */
export function duringChange(
  before: readonly SetOnAir[],
  after: readonly SetOnAir[],
  repeaters: readonly Between[],
): DuringChange {
  const count = before.length;
  if (after.length !== count) throw new RangeError(`${count} sets before, ${after.length} after`);
  // Old sets stand first, new ones after them: one matrix holds every mixture.
  const { at } = hearMatrix([...before, ...after], repeaters);
  const hears = (from: number, to: number) => at(from, to).hears === true;
  const deaf: DeafBetween[] = [];
  for (let from = 0; from < count; from++)
    for (let to = 0; to < count; to++) {
      if (from === to || !hears(from, to) || !hears(count + from, count + to)) continue;
      if (!hears(count + from, to)) deaf.push({ from, to, while: 'from-loaded' });
      if (!hears(from, count + to)) deaf.push({ from, to, while: 'to-loaded' });
    }
  const changes = before.map((set, i) => JSON.stringify(set) !== JSON.stringify(after[i]));
  const first = Array.from({ length: count }, () => [] as number[]);
  for (const pair of deaf) {
    // One that must not be new while the other is old comes after it, or together with it.
    const [early, late] = pair.while === 'from-loaded' ? [pair.to, pair.from] : [pair.from, pair.to];
    first[late]?.push(early);
  }
  return {
    deaf,
    order: inGroups(first)
      .map((group) => group.filter((i) => changes[i]))
      .filter(isFilled),
  };
}

const isFilled = (group: readonly number[]) => group.length > 0;

/**
 * Groups that need each other, those that are needed first (strongly connected components; R. Tarjan, Depth-first search and linear graph algorithms, 1972,
 * which gives them in that order).
 * @param needs what has to come before each, by its place
 */
function inGroups(needs: readonly (readonly number[])[]): number[][] {
  const index = new Map<number, number>();
  const low: number[] = [];
  const stack: number[] = [];
  const onStack = new Set<number>();
  const groups: number[][] = [];
  const enter = (of: number) => {
    index.set(of, index.size);
    low[of] = index.get(of) as number;
    stack.push(of);
    onStack.add(of);
  };
  for (const start of needs.keys()) {
    if (index.has(start)) continue;
    // Without recursion: a thousand sets in a row are no deep stack.
    const path = [{ of: start, next: 0 }];
    enter(start);
    for (let top = path.at(-1); top; top = path.at(-1)) {
      const { of } = top;
      const need = needs[of]?.[top.next++];
      if (need !== undefined) {
        if (!index.has(need)) {
          enter(need);
          path.push({ of: need, next: 0 });
        } else if (onStack.has(need)) low[of] = Math.min(low[of] as number, index.get(need) as number);
        continue;
      }
      path.pop();
      const parent = path.at(-1);
      if (parent) low[parent.of] = Math.min(low[parent.of] as number, low[of] as number);
      if (low[of] !== index.get(of)) continue;
      const group: number[] = [];
      for (let last = stack.pop(); last !== undefined; last = stack.pop()) {
        onStack.delete(last);
        group.push(last);
        if (last === of) break;
      }
      groups.push(group.sort((a, b) => a - b));
    }
  }
  return groups;
}

/** The pairs that are deaf while some sets are loaded and the others are not, though they hear before and after. */
export function deafWhile(
  { deaf }: Pick<DuringChange, 'deaf'>,
  isLoaded: (index: number) => boolean,
): DeafBetween[] {
  return deaf.filter(({ from, to, while: when }) => {
    const [a, b] = [isLoaded(from), isLoaded(to)];
    return a !== b && (when === 'from-loaded') === a;
  });
}
