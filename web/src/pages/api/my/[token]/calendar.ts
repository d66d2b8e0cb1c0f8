import { calendarFor, icsResponse } from '@/server/calendar';
import { endpoint } from '@/server/endpoint';
import { holderByLink } from '@/server/holder';

/** GET one's own calendar by the link to one's card, for a calendar that follows it: 200, 404 a link that is over, 429. */
export const GET = endpoint('GET /api/my/[token]/calendar', async ({ db, params, context }) =>
  icsResponse(await calendarFor(db, await holderByLink(db, params.token, context)), 'umbrex'),
);
