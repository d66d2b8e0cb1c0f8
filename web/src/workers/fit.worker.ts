import {
  type Board,
  BoardFitter,
  type Numbering,
  type NumberingWishes,
  numberFleet,
  numberingKinds,
} from '@umbrex/core/fit';
import type { Description, Plan, Unit } from '@umbrex/core/model';
import { expose } from 'comlink';

const fitter = new BoardFitter();
const job = {
  board: (plan: Plan, units: readonly Unit[], descriptions: readonly Description[]): Board =>
    fitter.board(plan, units, descriptions),
  number: (
    plan: Plan,
    units: readonly Unit[],
    descriptions: readonly Description[],
    wishes: NumberingWishes,
  ): Numbering => numberFleet(plan, numberingKinds(units, descriptions), wishes),
};
export type FitJob = typeof job;
expose(job);
