import {
  type Board,
  BoardFitter,
  type Numbering,
  type NumberingWishes,
  numberFleet,
  numberingKinds,
  type OtherNumber,
  otherNumbers,
} from '@umbrex/core/fit';
import { type Description, numbersWith, type Plan, type Unit } from '@umbrex/core/model';
import { expose } from 'comlink';

const fitter = new BoardFitter();
const job = {
  board: (plan: Plan, units: readonly Unit[], descriptions: readonly Description[]): Board =>
    fitter.board(plan, units, descriptions, numbersWith(plan)),
  number: (
    plan: Plan,
    units: readonly Unit[],
    descriptions: readonly Description[],
    wishes: NumberingWishes,
  ): Numbering => numberFleet(plan, numberingKinds(units, descriptions), wishes),
  otherNumbers: (
    plan: Plan,
    units: readonly Unit[],
    descriptions: readonly Description[],
    wishes: NumberingWishes,
    channelId: string,
  ): OtherNumber[] => otherNumbers(plan, numberingKinds(units, descriptions), wishes, channelId),
};
export type FitJob = typeof job;
expose(job);
