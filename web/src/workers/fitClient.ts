import type { Board, Numbering, NumberingWishes, OtherNumber } from '@umbrex/core/fit';
import type { Plan } from '@umbrex/core/model';
import { type Remote, wrap } from 'comlink';
import type { FitJob } from './fit.worker';
import { type Fleet, fleetOf } from './fleet';

let remote: Remote<FitJob> | undefined;
const job = () =>
  (remote ??= wrap<FitJob>(new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' })));

/** Computes the board in the worker, so that the page stays free. */
export function boardInWorker(plan: Plan, fleet: Fleet): Promise<Board> {
  return job().board(plan, fleetOf(fleet));
}

/** Chooses one number for each channel across the fleet, in the worker. */
export function numberInWorker(plan: Plan, fleet: Fleet, wishes: NumberingWishes): Promise<Numbering> {
  return job().number(plan, fleetOf(fleet), wishes);
}

/** The next best numbers for one channel, in the worker. */
export function otherNumbersInWorker(
  plan: Plan,
  fleet: Fleet,
  wishes: NumberingWishes,
  channelId: string,
): Promise<OtherNumber[]> {
  return job().otherNumbers(plan, fleetOf(fleet), wishes, channelId);
}
