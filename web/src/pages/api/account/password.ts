import { countAttempt, forgetAttempts, SIGN_IN_BY_LOGIN } from '@/server/auth/limits';
import { hashPassword, passwordFits } from '@/server/auth/password';
import { endAllSessions } from '@/server/auth/session';
import { endpoint } from '@/server/endpoint';
import { Forbidden, Refusal401 } from '@/server/problem';
import { accountById, setPassword } from '@/server/repositories/accounts';

/** PUT a new password with the old one: 200, all other sessions end; 400, 401 the old one is wrong, 429. */
export const PUT = endpoint('PUT /api/account/password', async ({ db, write, session, body, context }) => {
  if (!session.accountId) throw new Forbidden();
  const key = `password ${session.accountId}`;
  await countAttempt(db, key, SIGN_IN_BY_LOGIN);
  const account = await accountById(db, session.accountId);
  if (!(await passwordFits(account.passwordHash, body.old))) throw new Refusal401('wrong-password');
  await forgetAttempts(db, key);
  const passwordHash = await hashPassword(body.password);
  await write((trx) => setPassword(trx, account.id, passwordHash));
  await endAllSessions(db, account.id, context);
  return { changed: true };
});
