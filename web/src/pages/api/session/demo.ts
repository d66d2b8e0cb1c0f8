import { startSession } from '@/server/auth/session';
import { getConfig } from '@/server/config';
import { endpoint } from '@/server/endpoint';
import { NotHere } from '@/server/problem';
import { demoAccount } from '@/server/repositories/accounts';

/** POST a role: signs in as the demo's account of that role, 200. Only in the demo; elsewhere there is no such thing, 404. */
export const POST = endpoint('POST /api/session/demo', async ({ db, body, context }) => {
  if (getConfig().UMBREX_DEMO !== '1') throw new NotHere();
  const account = await demoAccount(db, body.role);
  if (!account) throw new NotHere();
  await startSession(db, context, account.accountId, account.workspaceId);
  return { name: account.name };
});
