import type { Knex } from 'knex';
import { NotHere } from './problem';
import { openEdit } from './repositories/edits';
import { revertOrder } from './repositories/plans';
import { revertThing } from './store/store';

/**
 * Takes an edit back. Refused when somebody changed the same thing since: undoing must not undo their work. Undoing is an edit
 * of its own, so it can be undone too.
 */
export async function undoEdit(trx: Knex.Transaction, workspaceId: string, editId: string): Promise<void> {
  const edit = await openEdit(trx, workspaceId, editId);
  if (!edit) throw new NotHere();
  const { kind } = edit;
  if (kind === 'order') await revertOrder(trx, workspaceId, edit);
  else await revertThing(trx, workspaceId, { ...edit, kind });
}
