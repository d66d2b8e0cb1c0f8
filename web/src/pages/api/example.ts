import { randomUUID } from 'node:crypto';
import { checkPlan } from '@umbrex/core/formats';
import { UnitSchema } from '@umbrex/core/model';
import { endpoint } from '@/server/endpoint';
import { importPlan } from '@/server/repositories/plans';
import { addThing } from '@/server/store/store';
import planFile from '../../../../demo/ostrel-plan.json';
import unitFile from '../../../../demo/ostrel-units.json';

const SOME_UNITS = 3;

/** POST for an example to look at: the invented plan of Ostrel Island beside one's own, with a few sets when there are none; 201. */
export const POST = endpoint('POST /api/example', ({ write, workspace }) =>
  write(async (trx) => {
    const plan = checkPlan(planFile);
    if (!plan.ok) throw new Error('the example plan is faulty');
    const id = await importPlan(trx, workspace.id, plan.value);
    const own = await trx('unit').where({ workspace_id: workspace.id, deleted_at: null }).first('id');
    const kinds = new Set<string>();
    if (!own)
      for (const row of unitFile) {
        if (kinds.has(row.descriptionId) || kinds.size === SOME_UNITS) continue;
        kinds.add(row.descriptionId);
        const unit = UnitSchema.parse({ ...row, id: randomUUID(), personId: null, keeps: [] });
        await addThing(trx, 'unit', workspace.id, unit.id, unit);
      }
    return { id };
  }),
);
