import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';

/** What an edit was made on. */
export type EditKind = 'channel' | 'plan' | 'order' | 'unit' | 'description';

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
  return id;
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
  return { id: row.id, kind: row.kind, aggregateId: row.aggregate_id, before: row.before, after: row.after };
}
