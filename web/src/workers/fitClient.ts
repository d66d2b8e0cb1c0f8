import type { Board } from '@umbrex/core/fit';
import type { Description, Plan, Unit } from '@umbrex/core/model';
import { type Remote, wrap } from 'comlink';
import type { FitJob } from './fit.worker';

let remote: Remote<FitJob> | undefined;

/** Computes the board in the worker, so that the page stays free. */
export function boardInWorker(
  plan: Plan,
  units: readonly Unit[],
  descriptions: readonly Description[],
): Promise<Board> {
  remote ??= wrap<FitJob>(new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' }));
  return remote.board(plan, units, descriptions);
}
