import { LineSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { hashPassword, PasswordSchema } from '@/server/auth/password';
import { startSession } from '@/server/auth/session';
import { openEndpoint } from '@/server/endpoint';
import { Forbidden } from '@/server/problem';
import { insertAccount, LoginSchema, setRole } from '@/server/repositories/accounts';

const Body = z.strictObject({
  login: LoginSchema,
  name: LineSchema.trim().min(1).max(60),
  password: PasswordSchema,
  workspaceName: LineSchema.trim().min(1).max(60),
});

/**
 * POST the first coordinator: 201, signed in, and from now on everybody signs in. Only while there is no account at all, and
 * only from the server's own machine, 403 otherwise.
 */
export const POST = openEndpoint(
  Body,
  async ({ db, write, session, body, context }) => {
    if (!session || session.accountId !== null) throw new Forbidden();
    const passwordHash = await hashPassword(body.password);
    const { workspace } = session;
    const accountId = await write(async (trx) => {
      await trx.raw('lock table account in exclusive mode');
      if (await trx('account').first('id')) throw new Forbidden();
      const id = await insertAccount(trx, { login: body.login, name: body.name, passwordHash });
      await setRole(trx, { workspaceId: workspace.id, accountId: id, role: 'coordinator', personId: null });
      await trx('workspace').where({ id: workspace.id }).update({ name: body.workspaceName });
      return id;
    });
    await startSession(db, context, accountId, workspace.id);
    return { accountId };
  },
  { status: 201 },
);
