import { endpoint } from '@/server/endpoint';
import { addChannel } from '@/server/repositories/plans';

/** POST a channel with an id made by the client: 201 with its version, 400, 404, 409 when the id is another channel's. */
export const POST = endpoint('POST /api/plans/[planId]/channels', ({ write, workspace, params, body }) =>
  write((trx) => addChannel(trx, workspace.id, params.planId, body.value)),
);
