import { changes, takes } from '@/server/collection';
import { endpoint } from '@/server/endpoint';
import { planFor } from '@/server/planFor';

/** GET a plan as its reader may see it, with the versions that edits must name: 200, 404. */
export const GET = endpoint('GET /api/plans/[planId]', ({ db, session, params }) =>
  planFor(db, session, params.planId),
);

/** A plan's name, groups and policies: change; and the whole of it: delete. */
export const PUT = changes('PUT /api/plans/[planId]', 'plan');
export const DELETE = takes('DELETE /api/plans/[planId]', 'plan');
