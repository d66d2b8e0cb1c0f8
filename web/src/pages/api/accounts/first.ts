import { isFirstWord } from '@/server/auth/firstWord';
import { countAttempt, WORD_BY_ADDRESS } from '@/server/auth/limits';
import { hashPassword } from '@/server/auth/password';
import { startSession } from '@/server/auth/session';
import { endpoint } from '@/server/endpoint';
import { Forbidden, Refusal401 } from '@/server/problem';
import { insertAccount, setRole } from '@/server/repositories/accounts';
import { firstWorkspace } from '@/server/repositories/workspaces';

/**
 * POST the first coordinator: 201, signed in, and from now on everybody signs in. Only while there is no account at all, and
 * only from the server's own machine or with the word that stands where it was started, 401 otherwise; 429 too often; 403 once there is an account.
 */
export const POST = endpoint('POST /api/accounts/first', async ({ db, write, session, body, context }) => {
  const isHere = session !== undefined && session.accountId === null;
  if (!isHere) {
    if (await db('account').first('id')) throw new Forbidden();
    await countAttempt(db, `word ${context.clientAddress}`, WORD_BY_ADDRESS);
    if (!isFirstWord(body.word)) throw new Refusal401('wrong-word');
  }
  const passwordHash = await hashPassword(body.password);
  const workspace = session?.workspace ?? (await firstWorkspace(db));
  if (!workspace) throw new Forbidden();
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
});
