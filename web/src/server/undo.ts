import type { Knex } from 'knex';
import { NotHere } from './problem';
import { openEdits } from './repositories/edits';
import { revertOrder } from './repositories/plans';
import { revertThing } from './store/store';

/**
 * Takes back an edit, or all that one move did, the last thing first. Refused whole when somebody changed one of the things since: undoing
 * must not undo their work. Undoing is a move of its own, so it can be undone too.
 */
export async function undoEdit(trx: Knex.Transaction, workspaceId: string, id: string): Promise<void> {
  const edits = await openEdits(trx, workspaceId, id);
  if (edits.length === 0) throw new NotHere();
  for (const edit of edits) {
    const { kind } = edit;
    if (kind === 'order') await revertOrder(trx, workspaceId, edit);
    else await revertThing(trx, workspaceId, { ...edit, kind });
  }
}
