import type { Knex } from 'knex';
import { NotHere } from '../problem';

export interface Workspace {
  readonly id: string;
  readonly name: string;
}

/** The workspace this process serves: the first one made, until there are accounts. */
export async function currentWorkspace(db: Knex): Promise<Workspace> {
  const row = await db('workspace').select('id', 'name').orderBy('created_at').orderBy('id').first();
  if (!row) throw new NotHere();
  return { id: row.id, name: row.name };
}

export async function insertWorkspace(trx: Knex.Transaction, workspace: Workspace): Promise<void> {
  await trx('workspace').insert(workspace);
}
