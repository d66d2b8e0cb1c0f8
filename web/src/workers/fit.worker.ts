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
import { numbersWith, type Plan } from '@umbrex/core/model';
import { expose } from 'comlink';
import type { Fleet } from './fleet';

const fitter = new BoardFitter();
const job = {
  board: (plan: Plan, { units, descriptions, grounds }: Fleet): Board =>
    fitter.board(plan, units, descriptions, grounds, numbersWith(plan)),
  number: (plan: Plan, { units, descriptions, grounds }: Fleet, wishes: NumberingWishes): Numbering =>
    numberFleet(plan, numberingKinds(units, descriptions, grounds, plan), wishes),
  otherNumbers: (
    plan: Plan,
    { units, descriptions, grounds }: Fleet,
    wishes: NumberingWishes,
    channelId: string,
  ): OtherNumber[] =>
    otherNumbers(plan, numberingKinds(units, descriptions, grounds, plan), wishes, channelId),
};
export type FitJob = typeof job;
expose(job);
