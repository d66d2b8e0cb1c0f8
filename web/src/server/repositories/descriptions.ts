import { type Description, DescriptionSchema, type Mark } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { ChangedMeanwhile, NotHere } from '../problem';
import { recordEdit } from './edits';

export interface SavedDescription {
  readonly description: Description;
  readonly version: number;
}

export async function listDescriptions(db: Knex, workspaceId: string): Promise<SavedDescription[]> {
  const rows = await db('description').where({ workspace_id: workspaceId }).orderBy('id');
  return rows.map((row) => ({ description: DescriptionSchema.parse(row.document), version: row.version }));
}

/** Adds a description; one whose id is taken is refused with the one that is there. */
export async function addDescription(
  trx: Knex.Transaction,
  workspaceId: string,
  description: Description,
): Promise<SavedDescription> {
  const there = await trx('description')
    .where({ workspace_id: workspaceId, id: description.id })
    .forUpdate()
    .first();
  if (there) throw new ChangedMeanwhile({ description: there.document, version: there.version });
  await trx('description').insert({
    workspace_id: workspaceId,
    id: description.id,
    document: JSON.stringify(description),
  });
  await recordEdit(trx, workspaceId, {
    kind: 'description',
    aggregateId: description.id,
    before: null,
    after: description,
  });
  return { description, version: 1 };
}

/** Adds a person's mark, confirmed or contradicted, from a version of the description. */
export async function addMark(
  trx: Knex.Transaction,
  workspaceId: string,
  id: string,
  version: number,
  mark: Mark,
): Promise<SavedDescription> {
  const row = await trx('description').where({ workspace_id: workspaceId, id }).forUpdate().first();
  if (!row) throw new NotHere();
  const before = DescriptionSchema.parse(row.document);
  if (row.version !== version) throw new ChangedMeanwhile({ description: before, version: row.version });
  const description: Description = { ...before, marks: [...before.marks, mark] };
  await trx('description')
    .where({ workspace_id: workspaceId, id })
    .update({ document: JSON.stringify(description), version: version + 1 });
  await recordEdit(trx, workspaceId, {
    kind: 'description',
    aggregateId: id,
    before: { marks: before.marks },
    after: { marks: description.marks },
  });
  return { description, version: version + 1 };
}
