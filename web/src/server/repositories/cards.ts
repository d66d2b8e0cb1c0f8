import type { Knex } from 'knex';
import type { CardLink } from '../../contract/card';
import { newToken, tokenHash } from '../auth/token';
import { NotHere } from '../problem';
import { madeByCoordinator } from './links';

/** A link to somebody's card that is good now. */
export interface OpenCard {
  readonly id: string;
  readonly workspace: { readonly id: string; readonly name: string };
  readonly planId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly hidesTones: boolean;
  /** The moment it ends, in UTC. */
  readonly until: string;
}

/** Makes a link to a card or to a calendar; its token is shown once and kept as a hash. @param until the last day on which it is good, as YYYY-MM-DD */
export async function makeCardLink(
  trx: Knex.Transaction,
  workspaceId: string,
  card: {
    kind: CardLink['kind'];
    personId: string | null;
    planId: string;
    name: string;
    until: string;
    hidesTones: boolean;
  },
  madeBy: string | null,
): Promise<string> {
  const plan = await trx('plan')
    .where({ id: card.planId, workspace_id: workspaceId, deleted_at: null })
    .first('id');
  if (!plan) throw new NotHere();
  const token = newToken();
  await trx('link').insert({
    token_hash: tokenHash(token),
    workspace_id: workspaceId,
    kind: card.kind,
    person_id: card.personId,
    plan_id: card.planId,
    name: card.name,
    hides_tones: card.hidesTones,
    made_by: madeBy,
    expires_at: trx.raw(`?::date + interval '1 day'`, [card.until]),
  });
  return token;
}

/**
 * A link to a card that is good: not over, not taken back, of a person and a plan that are there, and made by somebody who may still make one.
 * It is noted that it was used.
 */
export async function openCardLink(db: Knex, token: string): Promise<OpenCard | undefined> {
  const row = await good(db, token, 'card')
    .join('person', (on) =>
      on.on('person.id', 'link.person_id').andOn('person.workspace_id', 'link.workspace_id'),
    )
    .andWhere({ 'person.deleted_at': null })
    .first(
      'link.*',
      'workspace.name as workspace_name',
      db.raw(`coalesce(person.document->>'name', link.name) as person_name`),
    );
  if (!row) return undefined;
  await noteSeen(db, row.id);
  return {
    id: row.id,
    workspace: { id: row.workspace_id, name: row.workspace_name },
    planId: row.plan_id,
    person: { id: row.person_id, name: row.person_name },
    hidesTones: row.hides_tones,
    until: new Date(row.expires_at).toISOString(),
  };
}

/** A link to the calendar of a plan's group that is good, in the same way. */
export async function openCalendarLink(
  db: Knex,
  token: string,
): Promise<Pick<OpenCard, 'workspace' | 'planId' | 'until'> | undefined> {
  const row = await good(db, token, 'calendar').first('link.*', 'workspace.name as workspace_name');
  if (!row) return undefined;
  await noteSeen(db, row.id);
  return {
    workspace: { id: row.workspace_id, name: row.workspace_name },
    planId: row.plan_id,
    until: new Date(row.expires_at).toISOString(),
  };
}

const noteSeen = (db: Knex, id: string) => db('link').where({ id }).update({ seen_at: db.fn.now() });

/** Links of a kind with a token that are not over, not taken back, and made by somebody who may still make them. */
function good(db: Knex, token: string, kind: CardLink['kind']) {
  return db('link')
    .join('workspace', 'workspace.id', 'link.workspace_id')
    .join('plan', 'plan.id', 'link.plan_id')
    .where({ 'link.token_hash': tokenHash(token), 'link.kind': kind, 'link.revoked_at': null })
    .andWhere({ 'plan.deleted_at': null })
    .andWhere('link.expires_at', '>', db.fn.now())
    .andWhere(madeByCoordinator(db));
}

/** The links to cards of a plan, newest first; those that are long over are left out. */
export async function listCardLinks(db: Knex, workspaceId: string, planId: string): Promise<CardLink[]> {
  const rows = await db('link')
    .where({ workspace_id: workspaceId, plan_id: planId })
    .whereIn('kind', ['card', 'calendar'])
    .andWhereRaw(`expires_at > now() - interval '60 days'`)
    .orderBy('created_at', 'desc')
    .limit(500)
    .select('*', db.raw('expires_at <= now() as is_over'));
  return rows.map((row) => ({
    id: row.id,
    kind: row.kind,
    personId: row.person_id,
    name: row.name,
    hidesTones: row.hides_tones,
    createdAt: new Date(row.created_at).toISOString(),
    until: new Date(row.expires_at).toISOString(),
    seenAt: row.seen_at === null ? null : new Date(row.seen_at).toISOString(),
    state: row.revoked_at !== null ? 'revoked' : row.is_over ? 'over' : 'good',
  }));
}

/** Takes a link to a card back. @throws NotHere where there is no such link */
export async function revokeCardLink(trx: Knex.Transaction, workspaceId: string, id: string): Promise<void> {
  const changed = await trx('link')
    .where({ workspace_id: workspaceId, id })
    .whereIn('kind', ['card', 'calendar'])
    .update({ revoked_at: trx.raw('coalesce(revoked_at, now())') });
  if (changed === 0) throw new NotHere();
}
