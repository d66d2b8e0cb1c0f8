import { endpoint } from '@/server/endpoint';
import { addChannel } from '@/server/repositories/plans';

/**
 * POST several channels with ids made by the client, in the order they shall have: 201 with the move they are part of; 400, 404, and 409 when
 * an id is another channel's. All of them come in, or none.
 */
export const POST = endpoint(
  'POST /api/plans/[planId]/channels/several',
  ({ write, workspace, params, body: { move, values } }) =>
    write(async (trx, editId) => {
      for (const channel of values) await addChannel(trx, workspace.id, params.planId, channel);
      return { editId, added: values.length };
    }, move),
);
