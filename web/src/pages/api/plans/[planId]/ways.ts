import { loadDesk } from '@/server/desk';
import { endpoint } from '@/server/endpoint';
import { waysOf } from '@/server/views/bench';

/** POST sets, and those to copy from: how each can be brought to a revision, and how long that takes; 200, 404. Nothing is kept. */
export const POST = endpoint('POST /api/plans/[planId]/ways', async ({ db, session, params, body }) =>
  waysOf(await loadDesk(db, session, params.planId, body.of), body),
);
