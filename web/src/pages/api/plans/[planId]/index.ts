import { PlanHeadSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { loadPlan, savePlanHead } from '@/server/repositories/plans';

/** GET a plan with the versions that edits must name: 200, 404. */
export const GET = endpoint(null, ({ db, workspace, params }) =>
  loadPlan(db, workspace.id, params.planId ?? ''),
);

const Body = z.strictObject({ version: z.number().int(), head: PlanHeadSchema });

/** PUT a plan's name, groups and policy: 200 with the edit, 400, 404, 409 changed meanwhile (with the newer plan). */
export const PUT = endpoint(Body, ({ db, workspace, params, body }) =>
  db.transaction(async (trx) => ({
    editId: await savePlanHead(trx, workspace.id, params.planId ?? '', body.version, body.head),
  })),
);
