import { randomUUID } from 'node:crypto';
import { checkPlan, withFreshIds } from '@umbrex/core/formats';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { BadInput } from '@/server/problem';
import { insertPlan, listPlans } from '@/server/repositories/plans';

/** GET the plans of the workspace: id and name. */
export const GET = endpoint(null, ({ db, workspace }) => listPlans(db, workspace.id));

/** POST a plan document: 201 with its id; fresh ids where they are taken; 400 with findings that name the path. */
export const POST = endpoint(
  z.unknown(),
  async ({ db, workspace, body }) => {
    const result = checkPlan(body);
    if (!result.ok) throw new BadInput(result.findings);
    return db.transaction(async (trx) => {
      const ids = [result.value.id];
      const channelIds = result.value.channels.map((channel) => channel.id);
      const planTaken = await trx('plan').whereIn('id', ids).first('id');
      const channelTaken = await trx('channel').whereIn('id', channelIds).first('id');
      const plan = planTaken || channelTaken ? withFreshIds(result.value, randomUUID) : result.value;
      await insertPlan(trx, workspace.id, plan);
      return { id: plan.id };
    });
  },
  { status: 201 },
);
