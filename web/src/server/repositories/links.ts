import type { Knex } from 'knex';
import { RoleSchema } from '../../contract/account';
import type { Role } from '../../contract/roles';
import { newToken, tokenHash } from '../auth/token';

/** What a link is good for: an invitation, a new password, or enrolling one's own set without an account. */
export type LinkKind = 'invite' | 'reset' | 'enrol';

export interface Link {
  readonly kind: LinkKind;
  readonly workspaceId: string;
  readonly workspaceName: string;
  readonly role: Role | null;
  readonly accountId: string | null;
  readonly personId: string | null;
  readonly name: string;
}

const LINK_DAYS: Readonly<Record<LinkKind, number>> = { invite: 14, reset: 2, enrol: 14 };

/** Makes a link; its token is shown once and kept as a hash. */
export async function makeLink(
  trx: Knex.Transaction,
  workspaceId: string,
  link: Pick<Link, 'kind' | 'role' | 'accountId' | 'personId' | 'name'>,
  madeBy: string | null,
): Promise<string> {
  const token = newToken();
  await trx('link').insert({
    token_hash: tokenHash(token),
    workspace_id: workspaceId,
    kind: link.kind,
    role: link.role,
    account_id: link.accountId,
    person_id: link.personId,
    name: link.name,
    made_by: madeBy,
    expires_at: trx.raw(`now() + interval '${LINK_DAYS[link.kind]} days'`),
  });
  return token;
}

/** A link is good no longer than whoever made it may make one. */
export const madeByCoordinator = (db: Knex) => (by: Knex.QueryBuilder) =>
  by
    .whereNull('link.made_by')
    .orWhereExists(
      db('membership')
        .whereRaw('membership.workspace_id = link.workspace_id and membership.account_id = link.made_by')
        .andWhere('membership.role', 'coordinator'),
    );

/** A link that is still good: not used, not too old, and made by somebody who may still make one. */
export async function openLink(db: Knex, token: string): Promise<Link | undefined> {
  const row = await db('link')
    .join('workspace', 'workspace.id', 'link.workspace_id')
    .where({ token_hash: tokenHash(token), used_at: null })
    // A link to a card lets nobody in: that is opened elsewhere, and by nothing else.
    .whereIn('link.kind', Object.keys(LINK_DAYS))
    .andWhere('expires_at', '>', db.fn.now())
    .andWhere(madeByCoordinator(db))
    .first('link.*', 'workspace.name as workspace_name');
  return (
    row && {
      kind: row.kind,
      workspaceId: row.workspace_id,
      workspaceName: row.workspace_name,
      role: row.role === null ? null : RoleSchema.parse(row.role),
      accountId: row.account_id,
      personId: row.person_id,
      name: row.name,
    }
  );
}

/** Uses a link up; answers it, or nothing when somebody else was first. */
export async function useLink(trx: Knex.Transaction, token: string): Promise<Link | undefined> {
  const link = await openLink(trx, token);
  if (!link) return undefined;
  const used = await trx('link')
    .where({ token_hash: tokenHash(token), used_at: null })
    .update({ used_at: trx.fn.now() });
  return used === 1 ? link : undefined;
}
