import { loadDesk } from '@/server/desk';
import { endpoint } from '@/server/endpoint';
import { publishView } from '@/server/views/publish';

/** GET what stands before publishing the draft: what stops it, what it costs, which choices it makes; 200, 404. */
export const GET = endpoint('GET /api/plans/[planId]/publishing', async ({ db, session, params }) =>
  publishView(db, await loadDesk(db, session, params.planId)),
);
