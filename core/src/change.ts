import type { Called } from './fit/index';
import { compose, heldAfter, type Prepared, prepare, triedAs, type UnitState } from './flow';
import { changesNothing } from './memory/index';
import { type Description, type Plan, UnitSchema } from './model/index';
import { CALM, minutesAt } from './procedure/index';

/** How a change is loaded: not at all, by keys, by a file, by copying, or in a way that nobody has described. */
export type ChangeWay = 'none' | 'keys' | 'file' | 'copy' | 'unknown';

/** What it takes to bring a set from what it holds to what a plan wants in it. */
export interface Change {
  readonly way: ChangeWay;
  readonly steps: number;
  /** Expected key presses, and at most. */
  readonly presses: number;
  readonly mostPresses: number;
  readonly minutes: number;
  /** The memory numbers whose contents change, in their order. */
  readonly slots: readonly number[];
  readonly proven: boolean;
  readonly firstDifference: Prepared['proof']['firstDifference'];
}

/** What a prepared sheet comes to, as a change of what the set holds. */
export function changeOf({ changes, sheet, proof }: Prepared): Change {
  if (changesNothing(changes))
    return {
      way: 'none',
      steps: 0,
      presses: 0,
      mostPresses: 0,
      minutes: 0,
      slots: [],
      proven: true,
      firstDifference: null,
    };
  return {
    way: sheet.way,
    steps: sheet.steps.length,
    presses: sheet.presses,
    mostPresses: sheet.mostPresses,
    minutes: proof.minutes,
    slots: changes.places.map(({ slot }) => slot.number).sort((a, b) => a - b),
    proven: proof.proven,
    firstDifference: proof.firstDifference,
  };
}

const FACTORY = UnitSchema.shape.holds.parse({ what: 'factory', on: 'unknown', rest: 'factory' });
/** Any day: what a set holds does not depend on it. */
const SOME_DAY = '2026-01-01';

/** What a set of which all is known would take from one state of a plan to another; not tried. */
export type Touched = Pick<Change, 'way' | 'steps' | 'presses' | 'minutes' | 'slots'>;

/**
 * What it would take to bring one set from one state of a plan, loaded when it was new, to another state of it.
 * @param was what its fit depends on, in the first state of the plan
 * @param now the same in the other one; what it holds is worked out
 */
export function changeOfSet(
  before: Plan,
  after: Plan,
  description: Description,
  { was, now }: { readonly was: UnitState; readonly now: UnitState },
  others: readonly Called[] = [],
): Touched {
  const blank: UnitState = { ...was, start: 'absolute', accepts: [], holds: FACTORY };
  const first = compose(before, description, blank, others);
  const holds = heldAfter(description, first, FACTORY, 1, SOME_DAY);
  const { changes, sheet } = compose(after, description, { ...now, start: 'absolute', holds }, others);
  const slots = changes.places.map(({ slot }) => slot.number).sort((a, b) => a - b);
  if (changesNothing(changes)) return { way: 'none', steps: 0, presses: 0, minutes: 0, slots };
  return {
    way: sheet.way,
    steps: sheet.steps.length,
    presses: sheet.presses,
    minutes: minutesAt(sheet.steps, CALM),
    slots,
  };
}

/** A set of a kind that was loaded with a plan when it was new, as far as its next sheet depends on it. */
export function loadedWith(plan: Plan, description: Description): UnitState {
  const unit: UnitState = triedAs(description, plan) ?? { keeps: [], accepts: [], holds: FACTORY };
  const first = compose(plan, description, unit);
  return { ...unit, holds: heldAfter(description, first, unit.holds, 1, SOME_DAY) };
}

/**
 * What it takes to bring a set of a kind that was loaded with one state of a plan, when it was new, to another state of it. The change sheet
 * is the sheet: the same steps, the same proof, from what the set holds. A repeater goes on carrying its pair, where that is still there.
 */
export function planChange(before: Plan, after: Plan, description: Description): Change {
  const loaded = loadedWith(before, description);
  const isThere = after.channels.some(({ id }) => id === loaded.carries);
  const carries = isThere ? loaded.carries : triedAs(description, after)?.carries;
  return changeOf(prepare(after, description, { ...loaded, ...(carries !== undefined && { carries }) }));
}
