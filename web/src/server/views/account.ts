import { allows } from '../../contract/roles';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { accountById, workspacesOf } from '../repositories/accounts';

/** Somebody's own account, and the workspaces it leads to. On one's own machine nobody has one. */
export async function accountView({ session, workspace }: Desk) {
  const { accountId, role } = session;
  const account = accountId === null ? null : await accountById(getDb(), accountId);
  const workspaces = accountId === null ? [] : await workspacesOf(getDb(), accountId);
  return {
    signedIn: account !== null,
    secondFactor: account?.secondFactor != null,
    mayStart: allows(role, 'coordinator'),
    workspaces: workspaces.map(({ id, name }) => ({ id, name, now: id === workspace.id })),
  };
}
