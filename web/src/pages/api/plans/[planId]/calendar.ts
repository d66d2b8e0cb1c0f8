import { calendarFor, icsResponse } from '@/server/calendar';
import { endpoint } from '@/server/endpoint';

/** GET the calendar of a plan's group as a file, or of what of it is one's own: 200, 404. */
export const GET = endpoint('GET /api/plans/[planId]/calendar', async ({ db, session, params }) =>
  icsResponse(await calendarFor(db, { session, planId: params.planId }), 'umbrex'),
);
