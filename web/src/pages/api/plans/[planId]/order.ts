import { endpoint } from '@/server/endpoint';
import { saveOrder } from '@/server/repositories/plans';

/** PUT the order of a plan's channels: 200 with the edit, 400, 404, 409 changed meanwhile (with the newer plan). */
export const PUT = endpoint('PUT /api/plans/[planId]/order', ({ write, workspace, params, body }) =>
  write(async (trx) => ({
    editId: await saveOrder(trx, workspace.id, params.planId, body.version, body.order),
  })),
);
