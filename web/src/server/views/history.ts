import { differenceInDays, format } from 'date-fns';
import { editText } from '../../messages/edits';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { namesIn } from '../names';
import { listEdits, RECOVERABLE_DAYS } from '../repositories/edits';

const MOST = 100;

/** The edits of a workspace in words, newest first. @param asked the serial of the last one seen, to go on from */
export async function historyView({ workspace }: Desk, asked: number, now = new Date()) {
  const before = Number.isSafeInteger(asked) && asked > 0 ? asked : undefined;
  const [edits, names] = await Promise.all([
    listEdits(getDb(), workspace.id, MOST, before),
    namesIn(getDb(), workspace.id),
  ]);
  const entries = edits.map((edit) => {
    const isDelete = edit.after === null;
    const isGone = isDelete && differenceInDays(now, edit.madeAt) >= RECOVERABLE_DAYS;
    return {
      id: edit.id,
      at: format(edit.madeAt, 'yyyy-MM-dd HH:mm'),
      by: edit.by ?? 'Setup',
      undoes: edit.undoes,
      undone: edit.undone,
      back: isGone ? null : isDelete ? ('Bring back' as const) : ('Undo' as const),
      ...editText(edit, names),
    };
  });
  const last = edits.length === MOST ? edits.at(-1)?.serial : undefined;
  return { entries, days: RECOVERABLE_DAYS, goesOnBefore: last ?? null };
}
