import { conditionOf, lastLoaded, type ToTry, type Tried, triedSoFar } from './evidence/index';
import type { Unit } from './model/index';
import type { SheetStop } from './readiness';

/**
 * How a set stands towards what it should hold:
 * - `held`: what it holds equals what a revision wants in it, whatever it was loaded as
 * - `late`: it is known what it holds, and that differs
 * - `unknown`: nobody knows what it holds
 * - `blocked`: it cannot be brought there before something is settled
 * - `away`: somebody said that it is lost or broken; nothing is asked of it until it is found or mended
 * - `nothing`: the plan has nothing for it
 */
export type Standing =
  | {
      readonly state: 'held';
      readonly number: number;
      /** The revision it was loaded as, where that is another one. */
      readonly loadedAs: number | null;
      readonly checked: Tried;
      /** It was loaded by a description that was corrected since. */
      readonly kindChanged: boolean;
    }
  | {
      readonly state: 'late';
      /** The older revision whose contents it holds; `null` where it is none of them. */
      readonly at: number | null;
      /** It was loaded with the wanted one, and somebody's right to send has ended since. */
      readonly rightEnded: boolean;
    }
  | { readonly state: 'unknown' }
  | { readonly state: 'blocked'; readonly stops: readonly SheetStop[] }
  | { readonly state: 'away'; readonly is: 'lost' | 'broken' }
  | { readonly state: 'nothing' };
/** In the order in which somebody asks for them: what is to do first. */
export const STANDINGS = ['late', 'unknown', 'blocked', 'held', 'away', 'nothing'] as const;

/** Whether it is known, of some of it at least, what a set holds. */
export function isKnown({ what, rest, places }: Unit['holds']): boolean {
  return what !== 'unknown' && what !== 'other' && (rest === 'factory' || places.length > 0);
}

/** What is asked of a set to tell its standing. */
export interface Asked {
  readonly unit: Pick<Unit, 'holds' | 'timeline'>;
  readonly planId: string;
  /** Its description by content. */
  readonly described: string;
  /** Why its sheet for the wanted revision is not ready. */
  readonly stops: readonly SheetStop[];
  /** Whether the wanted revision has anything for it. */
  readonly wantsAnything: boolean;
  /** Whether what it holds is all that a revision wants in it. */
  readonly holds: (number: number) => boolean;
  /** Whether it would hold the wanted revision by the rights of the day it was loaded. */
  readonly heldThen: () => boolean;
  /** What is to be tried on it once it holds the wanted revision; `undefined` where nobody can tell. */
  readonly toTry: () => readonly ToTry[] | undefined;
}

/**
 * How a set stands. Decided by what it holds, not by the number it was loaded as.
 * @param wanted the revision it should hold
 * @param others the other ones that count, newest first
 * @param today as YYYY-MM-DD
 */
export function standingOf(
  { unit, planId, described, stops, wantsAnything, holds, heldThen, toTry }: Asked,
  wanted: number,
  others: readonly number[],
  today: string,
): Standing {
  const { is } = conditionOf(unit);
  if (is !== 'well') return { state: 'away', is };
  if (!wantsAnything) return { state: 'nothing' };
  const known = isKnown(unit.holds);
  // One that is loaded with what comes next is not late.
  const number = known ? [wanted, ...others.filter((one) => one > wanted)].find(holds) : undefined;
  if (number !== undefined) {
    const loaded = lastLoaded(unit);
    const as = loaded?.planId === planId ? loaded.revision : null;
    return {
      state: 'held',
      number,
      loadedAs: as === number ? null : as,
      // What is to be tried is known of the wanted revision alone.
      checked: triedSoFar(unit, today, () => (number === wanted ? toTry() : undefined)),
      kindChanged: loaded !== undefined && loaded.described !== '' && loaded.described !== described,
    };
  }
  if (stops.length > 0) return { state: 'blocked', stops };
  if (!known) return { state: 'unknown' };
  const at = others.find((one) => one < wanted && holds(one)) ?? null;
  return { state: 'late', at, rightEnded: lastLoaded(unit) !== undefined && heldThen() };
}
