import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import type { Kind } from '../../contract/things';

/** What an edit was made on: a thing, or the order of a plan's channels. */
export type EditKind = Kind | 'order';

export interface Edit {
  readonly id: string;
  readonly kind: EditKind;
  readonly aggregateId: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** Writes an edit down in the transaction that makes it; answers its id, by which it can be undone. */
export async function recordEdit(
  trx: Knex.Transaction,
  workspaceId: string,
  edit: Omit<Edit, 'id'>,
  undoes: string | null = null,
): Promise<string> {
  const id = randomUUID();
  await trx('edit').insert({
    id,
    workspace_id: workspaceId,
    kind: edit.kind,
    aggregate_id: edit.aggregateId,
    before: JSON.stringify(edit.before),
    after: JSON.stringify(edit.after),
    undoes,
  });
  await notify(trx, workspaceId, { kind: edit.kind, id: edit.aggregateId });
  return id;
}

/** The channel on which every process hears of changes. */
export const CHANGES = 'umbrex_changes';

/** Tells every process that something changed, once the transaction is through. */
export async function notify(
  trx: Knex.Transaction,
  workspaceId: string,
  change: { kind: string; id: string },
): Promise<void> {
  await trx.raw(
    `select pg_notify(?, json_build_object('workspaceId', ?::text, 'kind', ?::text, 'id', ?::text,
    'tab', current_setting('umbrex.tab', true))::text)`,
    [CHANGES, workspaceId, change.kind, change.id],
  );
}

/** An edit as the history lists it. */
export interface PastEdit extends Edit {
  readonly serial: number;
  readonly madeAt: Date;
  /** Who made it; `null` for what was there from the start, or before there were accounts. */
  readonly by: string | null;
  readonly undone: boolean;
  readonly undoes: boolean;
}

/** Deletes can be taken back for this long. */
export const RECOVERABLE_DAYS = 30;

/** The edits of a workspace, newest first. @param beforeSerial only older ones */
export async function listEdits(
  db: Knex,
  workspaceId: string,
  most: number,
  beforeSerial = Number.MAX_SAFE_INTEGER,
): Promise<PastEdit[]> {
  const rows = await db('edit')
    .leftJoin('account', 'account.id', 'edit.account_id')
    .where({ workspace_id: workspaceId })
    .andWhere('edit.serial', '<', beforeSerial)
    .orderBy('edit.serial', 'desc')
    .limit(most)
    .select(
      'edit.*',
      'account.name as by',
      db.raw('exists (select 1 from edit u where u.undoes = edit.id) as undone'),
    );
  return rows.map((row) => ({
    id: row.id,
    serial: row.serial,
    kind: row.kind,
    aggregateId: row.aggregate_id,
    before: row.before,
    after: row.after,
    madeAt: row.made_at,
    by: row.by,
    undone: row.undone,
    undoes: row.undoes !== null,
  }));
}

/** Takes away for good what was deleted longer ago than it can be taken back. */
export async function purgeDeleted(trx: Knex.Transaction): Promise<number> {
  const old = `deleted_at < now() - interval '${RECOVERABLE_DAYS} days'`;
  let gone = await trx('channel')
    .whereRaw(old)
    .orWhereIn('plan_id', trx('plan').select('id').whereRaw(old))
    .delete();
  gone += await trx('plan').whereRaw(old).delete();
  gone += await trx('unit').whereRaw(old).delete();
  gone += await trx('description')
    .whereRaw(old)
    .andWhereRaw(
      'not exists (select 1 from unit where unit.workspace_id = description.workspace_id and unit.description_id = description.id)',
    )
    .delete();
  for (const table of ['team', 'station', 'net']) gone += await trx(table).whereRaw(old).delete();
  // Somebody who is still named by a device, an account or a link stays, deleted as they are.
  gone += await trx('person')
    .whereRaw(old)
    .andWhereRaw('not exists (select 1 from unit where unit.person_id = person.id)')
    .andWhereRaw('not exists (select 1 from membership where membership.person_id = person.id)')
    .andWhereRaw('not exists (select 1 from link where link.person_id = person.id)')
    .delete();
  await trx('session').where('expires_at', '<', trx.fn.now()).delete();
  await trx('attempt').whereRaw("at < now() - interval '1 day'").delete();
  return gone;
}

/** An edit of this workspace that has not been undone yet. */
export async function openEdit(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
): Promise<Edit | undefined> {
  const row = await trx('edit').where({ id, workspace_id: workspaceId }).first();
  if (!row) return undefined;
  const undone = await trx('edit').where({ undoes: id }).first();
  if (undone) return undefined;
  const isDelete = row.after === null;
  const ageMs = Date.now() - new Date(row.made_at).getTime();
  if (isDelete && ageMs > RECOVERABLE_DAYS * 86_400_000) return undefined;
  return { id: row.id, kind: row.kind, aggregateId: row.aggregate_id, before: row.before, after: row.after };
}
