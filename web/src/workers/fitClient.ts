import type { Board, Numbering, NumberingWishes, OtherNumber } from '@umbrex/core/fit';
import type { Description, Plan, Unit } from '@umbrex/core/model';
import { type Remote, wrap } from 'comlink';
import type { FitJob } from './fit.worker';

let remote: Remote<FitJob> | undefined;
const job = () =>
  (remote ??= wrap<FitJob>(new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' })));

/** Computes the board in the worker, so that the page stays free. */
export function boardInWorker(
  plan: Plan,
  units: readonly Unit[],
  descriptions: readonly Description[],
): Promise<Board> {
  return job().board(plan, units, descriptions);
}

/** Chooses one number for each channel across the fleet, in the worker. */
export function numberInWorker(
  plan: Plan,
  units: readonly Unit[],
  descriptions: readonly Description[],
  wishes: NumberingWishes,
): Promise<Numbering> {
  return job().number(plan, units, descriptions, wishes);
}

/** The next best numbers for one channel, in the worker. */
export function otherNumbersInWorker(
  plan: Plan,
  units: readonly Unit[],
  descriptions: readonly Description[],
  wishes: NumberingWishes,
  channelId: string,
): Promise<OtherNumber[]> {
  return job().otherNumbers(plan, units, descriptions, wishes, channelId);
}
