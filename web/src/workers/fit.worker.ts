import { type Board, fitBoard } from '@umbrex/core/fit';
import type { Description, Plan, Unit } from '@umbrex/core/model';
import { expose } from 'comlink';

const job = {
  board: (plan: Plan, units: readonly Unit[], descriptions: readonly Description[]): Board =>
    fitBoard(plan, units, descriptions),
};
export type FitJob = typeof job;
expose(job);
