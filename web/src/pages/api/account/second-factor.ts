import { countAttempt, SIGN_IN_BY_LOGIN } from '@/server/auth/limits';
import { passwordFits } from '@/server/auth/password';
import { newSecondFactor, stepOfCode } from '@/server/auth/secondFactor';
import { endpoint } from '@/server/endpoint';
import { Forbidden, Refusal401 } from '@/server/problem';
import { accountById, setSecondFactor } from '@/server/repositories/accounts';

/** POST for a new secret, with its picture for an authenticator: 200. It counts only once it is confirmed with PUT. */
export const POST = endpoint('POST /api/account/second-factor', async ({ db, session }) => {
  if (!session.accountId) throw new Forbidden();
  const { login } = await accountById(db, session.accountId);
  return newSecondFactor(login);
});

/** PUT the secret with a code made from it: 200, and from now on sign-in asks for one; 401 a wrong code. */
export const PUT = endpoint('PUT /api/account/second-factor', async ({ db, write, session, body }) => {
  if (!session.accountId) throw new Forbidden();
  await countAttempt(db, `code ${session.accountId}`, SIGN_IN_BY_LOGIN);
  const step = stepOfCode(body.secret, body.code, 0, Date.now());
  if (step === null) throw new Refusal401('wrong-code');
  const { accountId } = session;
  await write((trx) => setSecondFactor(trx, accountId, body.secret, step));
  return { on: true };
});

/** DELETE the second factor, with the password: 200, 401. */
export const DELETE = endpoint('DELETE /api/account/second-factor', async ({ db, write, session, body }) => {
  if (!session.accountId) throw new Forbidden();
  await countAttempt(db, `code ${session.accountId}`, SIGN_IN_BY_LOGIN);
  const account = await accountById(db, session.accountId);
  if (!(await passwordFits(account.passwordHash, body.password))) throw new Refusal401('wrong-password');
  await write((trx) => setSecondFactor(trx, account.id, null, 0));
  return { on: false };
});
