import { maskSecretTones } from '@umbrex/core/formats';
import { PlanHeadSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { allows } from '@/server/auth/roles';
import { endpoint } from '@/server/endpoint';
import { deletePlan, loadPlan, savePlanHead } from '@/server/repositories/plans';

/** GET a plan with the versions that edits must name, secret tones masked for observers: 200, 404. */
export const GET = endpoint(null, async ({ db, workspace, session, params }) => {
  const state = await loadPlan(db, workspace.id, params.planId ?? '');
  return allows(session.role, 'member') ? state : { ...state, plan: maskSecretTones(state.plan) };
});

const Body = z.strictObject({ version: z.number().int(), head: PlanHeadSchema });

/** PUT a plan's name, groups and policy: 200 with the edit, 400, 404, 409 changed meanwhile (with the newer plan). */
export const PUT = endpoint(Body, ({ write, workspace, params, body }) =>
  write(async (trx) => ({
    editId: await savePlanHead(trx, workspace.id, params.planId ?? '', body.version, body.head),
  })),
);

/** DELETE a plan: 200 with the edit that brings it back within 30 days, 404, 409 changed meanwhile. */
export const DELETE = endpoint(
  z.strictObject({ version: z.number().int() }),
  ({ write, workspace, params, body }) =>
    write(async (trx) => ({
      editId: await deletePlan(trx, workspace.id, params.planId ?? '', body.version),
    })),
);
