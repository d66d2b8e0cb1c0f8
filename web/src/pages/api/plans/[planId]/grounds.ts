import { groundsSeenBy } from '@/server/desk';
import { endpoint } from '@/server/endpoint';

/** GET who sends with the sets that one may see, and which repeaters are closed, on the day on which the sets are loaded. */
export const GET = endpoint('GET /api/plans/[planId]/grounds', ({ db, session, params }) =>
  groundsSeenBy(db, session, params.planId),
);
