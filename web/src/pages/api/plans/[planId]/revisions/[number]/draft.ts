import { endpoint } from '@/server/endpoint';
import { becomePlan } from '@/server/repositories/plans';
import { revisionPlan } from '@/server/repositories/revisions';

/** POST the version of the draft: it becomes what the revision was, in one move; 200, 404, 409 changed meanwhile. */
export const POST = endpoint(
  'POST /api/plans/[planId]/revisions/[number]/draft',
  ({ workspace, params, body, write }) =>
    write(async (trx, editId) => {
      const plan = await revisionPlan(trx, workspace.id, params.planId, Number(params.number));
      await becomePlan(trx, workspace.id, params.planId, body.version, plan);
      return { editId };
    }),
);
