import {
  type NumberingWishes,
  numberingKinds,
  numberTogether,
  type Solved,
  type TogetherNumbering,
} from '@umbrex/core/fit';
import type { Plan } from '@umbrex/core/model';
import { expose } from 'comlink';
import highs from 'highs';
import runtime from 'highs/runtime?url';
import type { Fleet } from './fleet';

/** Longer than this nobody waits; what was found by then is shown as not proven. */
const LIMIT_S = 90;

const job = {
  number: async (
    plan: Plan,
    { units, descriptions, grounds }: Fleet,
    wishes: NumberingWishes,
    groupIds: readonly string[],
  ): Promise<TogetherNumbering | null> => {
    const solver = await highs({ locateFile: () => runtime });
    const solve = (model: string): Solved | null => {
      const { Status, ObjectiveValue, Columns } = solver.solve(model, { time_limit: LIMIT_S });
      if (Status !== 'Optimal' && Status !== 'Time limit reached') return null;
      const values = Object.fromEntries(
        Object.entries(Columns).map(([name, column]) => [
          name,
          'Primal' in column ? Number(column.Primal) : 0,
        ]),
      );
      return { isOptimal: Status === 'Optimal', objective: ObjectiveValue, values };
    };
    return numberTogether(plan, numberingKinds(units, descriptions, grounds, plan), wishes, groupIds, solve);
  },
};
export type TogetherJob = typeof job;
expose(job);
