import type { APIContext } from 'astro';
import type { Knex } from 'knex';
import { RoleSchema } from '../../contract/account';
import type { Role } from '../../contract/roles';
import { getDb } from '../db';
import { firstWorkspace, type Workspace } from '../repositories/workspaces';
import { isOwnMachine } from './ownMachine';
import { newToken, tokenHash } from './token';

/** Who is asking: the account, what it is in the workspace it works in, and the person it stands for, where that is known. */
export interface Session {
  readonly accountId: string | null;
  readonly name: string;
  readonly role: Role;
  readonly workspace: Workspace;
  readonly personId: string | null;
}

const COOKIE = 'umbrex-session';
const LASTS_DAYS = 30;
const ROTATE_AFTER_HOURS = 12;
/** Requests that were on their way when the token changed still count. */
const GRACE_S = 60;

type Context = Pick<APIContext, 'cookies' | 'request' | 'url' | 'clientAddress' | 'locals'>;

/** The session of a request, looked up once. On one's own machine, before the first account, it is that machine's. */
export async function sessionOf(context: Context): Promise<Session | undefined> {
  if (context.locals.session === undefined) context.locals.session = (await find(context)) ?? null;
  return context.locals.session ?? undefined;
}

async function find(context: Context): Promise<Session | undefined> {
  const db = getDb();
  const token = context.cookies.get(COOKIE)?.value;
  if (!token) return isOwnMachine(context) ? ownMachine(db) : undefined;
  const hash = tokenHash(token);
  const row = await db('session')
    .join('account', 'account.id', 'session.account_id')
    .join('membership', (on) =>
      on
        .on('membership.account_id', 'session.account_id')
        .andOn('membership.workspace_id', 'session.workspace_id'),
    )
    .join('workspace', 'workspace.id', 'session.workspace_id')
    .where('session.expires_at', '>', db.fn.now())
    .andWhere((by) =>
      by
        .where('session.token_hash', hash)
        .orWhere((old) =>
          old.where('session.previous_hash', hash).andWhere('session.previous_until', '>', db.fn.now()),
        ),
    )
    .first(
      'session.token_hash',
      'session.rotated_at',
      'account.id as account_id',
      'account.name',
      'membership.role',
      'membership.person_id',
      'workspace.id as workspace_id',
      'workspace.name as workspace_name',
    );
  if (!row) return undefined;
  const age = Date.now() - new Date(row.rotated_at).getTime();
  if (row.token_hash === hash && age > ROTATE_AFTER_HOURS * 3_600_000) await rotate(db, context, hash);
  return {
    accountId: row.account_id,
    name: row.name,
    role: RoleSchema.parse(row.role),
    workspace: { id: row.workspace_id, name: row.workspace_name },
    personId: row.person_id,
  };
}

async function ownMachine(db: Knex): Promise<Session | undefined> {
  if (await db('account').first('id')) return undefined;
  const workspace = await firstWorkspace(db);
  return (
    workspace && { accountId: null, name: 'this machine', role: 'coordinator', workspace, personId: null }
  );
}

/** Lets an account in: a new session with a token of its own, the old one of this browser ended. */
export async function startSession(
  db: Knex,
  context: Context,
  accountId: string,
  workspaceId: string,
): Promise<void> {
  await endSession(db, context);
  const token = newToken();
  await db('session').insert({
    token_hash: tokenHash(token),
    account_id: accountId,
    workspace_id: workspaceId,
    expires_at: db.raw(`now() + interval '${LASTS_DAYS} days'`),
  });
  setCookie(context, token);
}

/** Whether a session that a long answer began with still stands, so that nothing is said to somebody who left or was put out. */
export async function stillOpen(db: Knex, context: Context): Promise<boolean> {
  const token = context.cookies.get(COOKIE)?.value;
  if (!token) return isOwnMachine(context) && (await ownMachine(db)) !== undefined;
  const hash = tokenHash(token);
  const row = await db('session')
    .where('expires_at', '>', db.fn.now())
    .andWhere((by) => by.where({ token_hash: hash }).orWhere({ previous_hash: hash }))
    .first('token_hash');
  return row !== undefined;
}

/** Ends the session of this browser. */
export async function endSession(db: Knex, context: Context): Promise<void> {
  const token = context.cookies.get(COOKIE)?.value;
  if (!token) return;
  const hash = tokenHash(token);
  await db('session').where({ token_hash: hash }).orWhere({ previous_hash: hash }).delete();
  context.cookies.delete(COOKIE, { path: '/' });
}

/** Ends every session of an account, or all but the one of this browser. */
export async function endAllSessions(db: Knex, accountId: string, except?: Context): Promise<void> {
  const token = except?.cookies.get(COOKIE)?.value;
  const sessions = db('session').where({ account_id: accountId });
  await (token ? sessions.andWhereNot({ token_hash: tokenHash(token) }) : sessions).delete();
}

async function rotate(db: Knex, context: Context, hash: string): Promise<void> {
  const token = newToken();
  const changed = await db('session')
    .where({ token_hash: hash })
    .update({
      token_hash: tokenHash(token),
      previous_hash: hash,
      previous_until: db.raw(`now() + interval '${GRACE_S} seconds'`),
      rotated_at: db.fn.now(),
      seen_at: db.fn.now(),
    });
  if (changed === 1) setCookie(context, token);
}

function setCookie({ cookies, url, request }: Context, token: string): void {
  const secure = url.protocol === 'https:' || request.headers.get('x-forwarded-proto') === 'https';
  cookies.set(COOKIE, token, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure,
    maxAge: LASTS_DAYS * 86_400,
  });
}
