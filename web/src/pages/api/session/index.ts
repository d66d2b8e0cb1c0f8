import { countAttempt, forgetAttempts, SIGN_IN_BY_ADDRESS, SIGN_IN_BY_LOGIN } from '@/server/auth/limits';
import { passwordFits } from '@/server/auth/password';
import { stepOfCode } from '@/server/auth/secondFactor';
import { endSession, startSession } from '@/server/auth/session';
import { endpoint } from '@/server/endpoint';
import { Refusal401 } from '@/server/problem';
import { accountByLogin, workspacesOf } from '@/server/repositories/accounts';

/**
 * POST login and password, and the time code where the account asks for one: 200 with a session in a cookie, 401 wrong or code
 * needed, 429 too often. Whether there is such a login at all is not said, nor shown by the time it takes.
 */
export const POST = endpoint('POST /api/session', async ({ db, body, context }) => {
  const login = `login ${body.login.toLowerCase()}`;
  await countAttempt(db, `address ${context.clientAddress}`, SIGN_IN_BY_ADDRESS);
  await countAttempt(db, login, SIGN_IN_BY_LOGIN);
  const account = await accountByLogin(db, body.login);
  const fits = await passwordFits(account?.passwordHash, body.password);
  if (!account || !fits) throw new Refusal401('wrong-password');
  if (account.secondFactor !== null) {
    if (!body.code) throw new Refusal401('code-needed');
    const step = stepOfCode(account.secondFactor, body.code, account.secondFactorStep, Date.now());
    if (step === null) throw new Refusal401('wrong-code');
    // Two sign-ins with one code at once: only the first moves the step on.
    const taken = await db('account')
      .where({ id: account.id })
      .andWhere('second_factor_step', '<', step)
      .update({ second_factor_step: step });
    if (taken !== 1) throw new Refusal401('wrong-code');
  }
  const [workspace] = await workspacesOf(db, account.id);
  if (!workspace) throw new Refusal401('no-workspace');
  await forgetAttempts(db, login);
  await startSession(db, context, account.id, workspace.id);
  return { name: account.name };
});

/** DELETE the session of this browser: 200, also when there is none. */
export const DELETE = endpoint('DELETE /api/session', async ({ db, context }) => {
  await endSession(db, context);
  return { ended: true };
});
