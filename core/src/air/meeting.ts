import type { Between, SetOnAir } from './hears';
import { hearsOn } from './matrix';

/** One way in which a set could stand on a channel, and what that costs. */
export interface Standing {
  readonly set: SetOnAir;
  /** Changes that it takes: none as it is. */
  readonly cost: number;
}

/** The sets that meet, each with the way in which it stands, by their places in the list; `null` for one that is left out. */
export type Meeting = readonly (number | null)[];

/** So many steps of the search at most: a handful is searched whole, and of a crowd what was found by then counts. */
const MOST_STEPS = 20_000;

/** Whether somebody talks with it, so that all others have to hear that. Whether they may is another question. */
const talks = ({ maySend, place }: SetOnAir): boolean =>
  maySend !== false && place !== null && (place === 'unknown' || place.transmitHz !== null);

/**
 * The most sets of a number that meet on a channel, and of those the ones with the least cost: each hears all of them that talk, and at least one of
 * them may talk.
 * @param ways for each set the ways in which it could stand; empty where it cannot be there at all
 */
export function largestMeeting(
  ways: readonly (readonly Standing[])[],
  repeaters: readonly Between[],
): Meeting | null {
  const all = ways.flatMap((those, of) => those.map((way, at) => ({ ...way, of, at })));
  const talk = all.map(({ set }) => talks(set));
  const known = new Map<number, boolean>();
  /** Whether two ways go together: whoever of them talks is heard by the other. */
  const meet = (a: number, b: number): boolean => {
    const key = a * all.length + b;
    const found = known.get(key);
    if (found !== undefined) return found;
    const [one, two] = [all[a]?.set, all[b]?.set];
    const hears = (from: SetOnAir | undefined, to: SetOnAir | undefined) =>
      from !== undefined && to !== undefined && hearsOn(from, to, repeaters).hears === true;
    const is = (!talk[a] || hears(one, two)) && (!talk[b] || hears(two, one));
    known.set(key, is);
    return is;
  };
  // Those that go together with most others come first: a good meeting is found early, and what cannot better it is not tried.
  const waysOf = ways.map((_, of) => all.flatMap((way, i) => (way.of === of ? [i] : [])));
  let best: { chosen: (number | null)[]; covers: number; cost: number } | null = null;
  let steps = 0;
  const chosen: (number | null)[] = ways.map(() => null);
  const go = (of: number, covers: number, cost: number, lawful: number): void => {
    if (
      best &&
      (covers + ways.length - of < best.covers ||
        (covers + ways.length - of === best.covers && cost >= best.cost))
    )
      return;
    if (of === ways.length) {
      if (covers >= 2 && lawful > 0) best = { chosen: [...chosen], covers, cost };
      return;
    }
    if (steps++ > MOST_STEPS) return;
    for (const way of waysOf[of] ?? []) {
      if (!chosen.slice(0, of).every((other) => other === null || meet(other, way))) continue;
      const { cost: more, set } = all[way] as (typeof all)[number];
      chosen[of] = way;
      go(of + 1, covers + 1, cost + more, lawful + Number(set.maySend === true && talk[way]));
      chosen[of] = null;
    }
    go(of + 1, covers, cost, lawful);
  };
  go(0, 0, 0, 0);
  const found = best as { chosen: (number | null)[] } | null;
  return found ? found.chosen.map((way) => (way === null ? null : (all[way]?.at ?? null))) : null;
}
