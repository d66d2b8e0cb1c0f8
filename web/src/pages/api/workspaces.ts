import { LineSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { startSession } from '@/server/auth/session';
import { endpoint } from '@/server/endpoint';
import { Forbidden } from '@/server/problem';
import { startWorkspace } from '@/server/repositories/workspaces';

const Body = z.strictObject({ name: LineSchema.trim().min(1).max(60) });

/** POST a further workspace, with the caller as its coordinator: 201, and the session goes on in it. 400, 403 without an account. */
export const POST = endpoint(
  Body,
  async ({ db, write, workspace, session, body, context }) => {
    const { accountId } = session;
    if (!accountId) throw new Forbidden();
    const id = await write((trx) => startWorkspace(trx, body.name, workspace.id, accountId));
    await startSession(db, context, accountId, id);
    return { id };
  },
  { status: 201 },
);
