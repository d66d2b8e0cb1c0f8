import { calendarFor, icsResponse } from '@/server/calendar';
import { endpoint } from '@/server/endpoint';
import { calendarByLink } from '@/server/holder';

/** GET the calendar of a plan's group by a secret link, for a calendar that follows it: 200, 404 a link that is over or was taken back, 429. */
export const GET = endpoint('GET /api/calendar/[token]', async ({ db, params, context }) =>
  icsResponse(await calendarFor(db, await calendarByLink(db, params.token, context)), 'umbrex'),
);
