import { endAllSessions } from '@/server/auth/session';
import { endpoint } from '@/server/endpoint';

/** DELETE every session of one's account, this one too: 200. */
export const DELETE = endpoint('DELETE /api/session/all', async ({ db, session }) => {
  if (session.accountId) await endAllSessions(db, session.accountId);
  return { ended: true };
});
