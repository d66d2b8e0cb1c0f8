import { checkPlan } from '@umbrex/core/formats';
import { endpoint } from '@/server/endpoint';
import { BadInput } from '@/server/problem';
import { importPlan, listPlans } from '@/server/repositories/plans';

/** GET the plans of the workspace: id and name. */
export const GET = endpoint('GET /api/plans', ({ db, workspace }) => listPlans(db, workspace.id));

/** POST a plan document: 201 with its id; fresh ids where they are taken; 400 with findings that name the path. */
export const POST = endpoint('POST /api/plans', async ({ write, workspace, body }) => {
  const result = checkPlan(body);
  if (!result.ok) throw new BadInput(result.findings);
  return write(async (trx) => ({ id: await importPlan(trx, workspace.id, result.value) }));
});
