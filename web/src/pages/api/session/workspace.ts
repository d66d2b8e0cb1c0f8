import { startSession } from '@/server/auth/session';
import { endpoint } from '@/server/endpoint';
import { NotHere } from '@/server/problem';
import { workspacesOf } from '@/server/repositories/accounts';

/** PUT the workspace to work in from now on: 200 in a new session, 404 when the account does not belong to it. */
export const PUT = endpoint('PUT /api/session/workspace', async ({ db, session, body, context }) => {
  const own = session.accountId ? await workspacesOf(db, session.accountId) : [];
  if (!session.accountId || !own.some(({ id }) => id === body.workspaceId)) throw new NotHere();
  await startSession(db, context, session.accountId, body.workspaceId);
  return { workspaceId: body.workspaceId };
});
