import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { saveOrder } from '@/server/repositories/plans';

const Body = z.strictObject({
  version: z.number().int(),
  order: z.array(z.strictObject({ id: z.uuid(), groupId: z.uuid() })).max(2000),
});

/** PUT the order of a plan's channels: 200 with the edit, 400, 404, 409 changed meanwhile (with the newer plan). */
export const PUT = endpoint(Body, ({ write, workspace, params, body }) =>
  write(async (trx) => ({
    editId: await saveOrder(trx, workspace.id, params.planId ?? '', body.version, body.order),
  })),
);
