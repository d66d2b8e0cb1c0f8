import { countAttempt, STOPS_BY_ADDRESS } from '@/server/auth/limits';
import { endpoint } from '@/server/endpoint';
import { log } from '@/server/log';

/** POST what a part of a page came to a stop by: 200, and it stands in the log; 400, 429 too often from one address. */
export const POST = endpoint('POST /api/stops', async ({ db, session, body, context }) => {
  await countAttempt(db, `stop ${context.clientAddress}`, STOPS_BY_ADDRESS);
  log.error({ ...body, role: session?.role ?? 'nobody' }, 'a part of a page came to a stop');
  return { noted: true } as const;
});
