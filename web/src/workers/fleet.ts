import type { Description, Unit } from '@umbrex/core/model';
import type { Grounds } from '@umbrex/core/rules';

/** The sets that a page shows, their kinds, and who sends with them: what a worker fits a plan to. */
export interface Fleet {
  readonly units: readonly Unit[];
  readonly descriptions: readonly Description[];
  readonly grounds: Grounds;
}

/** These of a larger state, so that nothing else is sent to a worker. */
export function fleetOf({ units, descriptions, grounds }: Fleet): Fleet {
  return { units, descriptions, grounds };
}
