import { startSession } from '@/server/auth/session';
import { endpoint } from '@/server/endpoint';
import { Forbidden } from '@/server/problem';
import { startWorkspace } from '@/server/repositories/workspaces';

/** POST a further workspace, with the caller as its coordinator: 201, and the session goes on in it. 400, 403 without an account. */
export const POST = endpoint(
  'POST /api/workspaces',
  async ({ db, write, workspace, session, body, context }) => {
    const { accountId } = session;
    if (!accountId) throw new Forbidden();
    const id = await write((trx) => startWorkspace(trx, body, workspace.id, accountId));
    await startSession(db, context, accountId, id);
    return { id };
  },
);
