import { LoginSchema } from '@/contract/account';
import { countAttempt, LINK_BY_ADDRESS } from '@/server/auth/limits';
import { hashPassword } from '@/server/auth/password';
import { endAllSessions, startSession } from '@/server/auth/session';
import { endpoint } from '@/server/endpoint';
import { NotHere, SignInNeeded } from '@/server/problem';
import { insertAccount, joinAs, setPassword, setRole } from '@/server/repositories/accounts';
import { type Link, openLink, useLink } from '@/server/repositories/links';

/**
 * POST what an invitation or a reset link asks for: 201, signed in. With `join` the account that is signed in takes
 * the invitation. 400, 401, 404 a link that is used, too old or none, 409 the login
 * is taken, 429. A new password ends all other sessions and clears the second factor.
 */
export const POST = endpoint(
  'POST /api/links/[token]',
  async ({ db, write, session, params, body, context }) => {
    await countAttempt(db, `link ${context.clientAddress}`, LINK_BY_ADDRESS);
    const token = params.token;
    const before = await openLink(db, token);
    if (!before || before.kind === 'enrol') throw new NotHere();
    if ('join' in body) {
      if (!session?.accountId) throw new SignInNeeded();
      if (before.kind !== 'invite') throw new NotHere();
      const { accountId } = session;
      const { workspaceId } = await write(async (trx) => {
        const link = await useLink(trx, token);
        if (!link) throw new NotHere();
        await joinAs(trx, membershipOf(link, accountId));
        return link;
      });
      await startSession(db, context, accountId, workspaceId);
      return { accountId };
    }
    const passwordHash = await hashPassword(body.password);
    const { accountId, workspaceId } = await write(async (trx) => {
      const link = await useLink(trx, token);
      if (!link) throw new NotHere();
      if (link.accountId !== null) {
        await setPassword(trx, link.accountId, passwordHash, { clearSecondFactor: true });
        return { accountId: link.accountId, workspaceId: link.workspaceId };
      }
      const login = LoginSchema.parse(body.login ?? link.name);
      const id = await insertAccount(trx, { login, name: body.name ?? link.name, passwordHash });
      await setRole(trx, membershipOf(link, id));
      return { accountId: id, workspaceId: link.workspaceId };
    });
    await endAllSessions(db, accountId);
    await startSession(db, context, accountId, workspaceId);
    return { accountId };
  },
);

/** What an invitation makes of whoever takes it. */
const membershipOf = ({ workspaceId, role, personId }: Link, accountId: string) => ({
  workspaceId,
  accountId,
  role: role ?? ('observer' as const),
  personId,
});
