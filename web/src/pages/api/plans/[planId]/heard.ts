import { endpoint } from '@/server/endpoint';
import { takeCalls } from '@/server/heardCalls';

/** POST what was heard on the air, each once by its id: 200 with what became of each, 400, 404. */
export const POST = endpoint(
  'POST /api/plans/[planId]/heard',
  async ({ db, write, workspace, params, body }) => ({
    answers: await takeCalls(db, write, workspace.id, params.planId, body.calls),
  }),
);
