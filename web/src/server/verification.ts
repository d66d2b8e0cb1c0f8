import type { Prepared } from '@umbrex/core/flow';
import type { Description, Unit } from '@umbrex/core/model';
import { toTryOn } from '@umbrex/core/toTry';
import type { Desk } from './desk';
import { checksFor } from './sheetPage';

/** A set with its kind and its sheet. */
export interface PreparedSet {
  readonly unit: Unit;
  readonly description: Description;
  readonly prepared: Prepared;
}

/** What is to be tried on sets once they hold the shown state of the plan. */
export function toTryFor(desk: Desk): (set: PreparedSet) => ReturnType<typeof toTryOn> {
  return (set) => {
    const { checks } = checksFor(desk, { unit: set.unit, fit: set.prepared.fit }, []);
    const calls = checks.map(({ channelId }) => channelId);
    return toTryOn(desk.state.plan, set, calls, desk.onAir);
  };
}
