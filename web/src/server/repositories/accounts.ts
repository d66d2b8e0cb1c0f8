import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { RoleSchema } from '../../contract/account';
import type { Role } from '../../contract/roles';
import { ChangedMeanwhile, NotHere } from '../problem';

export interface Account {
  readonly id: string;
  readonly login: string;
  readonly name: string;
  readonly passwordHash: string;
  readonly secondFactor: string | null;
  readonly secondFactorStep: number;
}

export interface Member {
  readonly accountId: string;
  readonly login: string;
  readonly name: string;
  readonly role: Role;
  readonly personId: string | null;
  readonly secondFactor: boolean;
}

const fromRow = (row: Record<string, unknown>): Account => ({
  id: String(row.id),
  login: String(row.login),
  name: String(row.name),
  passwordHash: String(row.password_hash),
  secondFactor: row.second_factor === null ? null : String(row.second_factor),
  secondFactorStep: Number(row.second_factor_step),
});

/** Whether anybody has an account at all. */
export async function hasAccounts(db: Knex): Promise<boolean> {
  return (await db('account').first('id')) !== undefined;
}

export async function accountByLogin(db: Knex, login: string): Promise<Account | undefined> {
  const row = await db('account').whereRaw('lower(login) = lower(?)', [login]).first();
  return row && fromRow(row);
}

export async function accountById(db: Knex, id: string): Promise<Account> {
  const row = await db('account').where({ id }).first();
  if (!row) throw new NotHere();
  return fromRow(row);
}

export async function insertAccount(
  trx: Knex.Transaction,
  account: { id?: string; login: string; name: string; passwordHash: string },
): Promise<string> {
  const id = account.id ?? randomUUID();
  const rows = await trx('account')
    .insert({ id, login: account.login, name: account.name, password_hash: account.passwordHash })
    .onConflict(trx.raw('(lower(login))'))
    .ignore()
    .returning('id');
  if (rows.length === 0) throw new ChangedMeanwhile({ taken: 'login' });
  return id;
}

export async function setPassword(
  trx: Knex.Transaction,
  accountId: string,
  passwordHash: string,
  { clearSecondFactor = false } = {},
): Promise<void> {
  await trx('account')
    .where({ id: accountId })
    .update({ password_hash: passwordHash, ...(clearSecondFactor && { second_factor: null }) });
}

export async function setSecondFactor(
  trx: Knex.Transaction,
  accountId: string,
  secret: string | null,
  step: number,
): Promise<void> {
  await trx('account').where({ id: accountId }).update({ second_factor: secret, second_factor_step: step });
}

/** The demo's account of a role. */
export async function demoAccount(
  db: Knex,
  role: Role,
): Promise<{ accountId: string; workspaceId: string; name: string } | undefined> {
  return db('membership')
    .join('account', 'account.id', 'membership.account_id')
    .where({ role })
    .orderBy('account.created_at')
    .first('account.id as accountId', 'membership.workspace_id as workspaceId', 'account.name');
}

interface Membership {
  readonly workspaceId: string;
  readonly accountId: string;
  readonly role: Role;
  readonly personId: string | null;
}

const insertMembership = (trx: Knex.Transaction, { workspaceId, accountId, role, personId }: Membership) =>
  trx('membership')
    .insert({ account_id: accountId, workspace_id: workspaceId, role, person_id: personId })
    .onConflict(['account_id', 'workspace_id']);

/** Gives an account a role in a workspace, or another one. */
export async function setRole(trx: Knex.Transaction, membership: Membership): Promise<void> {
  await insertMembership(trx, membership).merge(['role', 'person_id']);
}

/** Takes an account into a workspace; one that is in it already keeps the role it has. */
export async function joinAs(trx: Knex.Transaction, membership: Membership): Promise<void> {
  await insertMembership(trx, membership).ignore();
}

/**
 * Whether an account belongs to a workspace that another account does not coordinate. Its password is then not that
 * coordinator's to set: it would open the other workspace too.
 */
export async function belongsElsewhere(
  db: Knex,
  accountId: string,
  coordinatorId: string | null,
): Promise<boolean> {
  const row = await db('membership as theirs')
    .where({ account_id: accountId })
    .whereNotExists(
      db('membership as mine')
        .whereRaw('mine.workspace_id = theirs.workspace_id')
        .andWhere({ 'mine.account_id': coordinatorId, 'mine.role': 'coordinator' }),
    )
    .first('workspace_id');
  return row !== undefined;
}

export async function listMembers(db: Knex, workspaceId: string): Promise<Member[]> {
  const rows = await db('membership')
    .join('account', 'account.id', 'membership.account_id')
    .where({ workspace_id: workspaceId })
    .orderBy('account.name')
    .select('account.*', 'membership.role', 'membership.person_id');
  return rows.map((row) => ({
    accountId: row.id,
    login: row.login,
    name: row.name,
    role: RoleSchema.parse(row.role),
    personId: row.person_id,
    secondFactor: row.second_factor !== null,
  }));
}

/** Changes a member's role and person; their sessions here end, so that nothing goes on with the old role. */
export async function changeMember(
  trx: Knex.Transaction,
  workspaceId: string,
  accountId: string,
  role: Role,
  personId: string | null,
): Promise<void> {
  await keepACoordinator(trx, workspaceId, accountId, role);
  await setRole(trx, { workspaceId, accountId, role, personId });
  await trx('session').where({ account_id: accountId, workspace_id: workspaceId }).delete();
}

/** Takes an account out of a workspace with all its sessions there. */
export async function removeMember(
  trx: Knex.Transaction,
  workspaceId: string,
  accountId: string,
): Promise<void> {
  await keepACoordinator(trx, workspaceId, accountId, null);
  await trx('membership').where({ account_id: accountId, workspace_id: workspaceId }).delete();
  await trx('session').where({ account_id: accountId, workspace_id: workspaceId }).delete();
}

/** @throws NotHere when the account is no member, ChangedMeanwhile when the last coordinator would go */
async function keepACoordinator(
  trx: Knex.Transaction,
  workspaceId: string,
  accountId: string,
  role: Role | null,
): Promise<void> {
  const rows = await trx('membership').where({ workspace_id: workspaceId }).forUpdate();
  if (!rows.some((row) => row.account_id === accountId)) throw new NotHere();
  const left = rows.filter((row) => row.role === 'coordinator' && row.account_id !== accountId);
  if (left.length === 0 && role !== 'coordinator') throw new ChangedMeanwhile({ last: 'coordinator' });
}

/** The workspaces an account belongs to. */
export async function workspacesOf(db: Knex, accountId: string): Promise<{ id: string; name: string }[]> {
  return db('membership')
    .join('workspace', 'workspace.id', 'membership.workspace_id')
    .where({ account_id: accountId })
    .orderBy('workspace.created_at')
    .select('workspace.id', 'workspace.name');
}
