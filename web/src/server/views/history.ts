import { differenceInDays, format } from 'date-fns';
import { moveText } from '../../messages/edits';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { namesIn } from '../names';
import { listMoves, RECOVERABLE_DAYS } from '../repositories/edits';

const MOST = 100;

/** What was done in a workspace, in words, newest first. @param asked the serial of the last one seen, to go on from */
export async function historyView({ workspace }: Pick<Desk, 'workspace'>, asked: number, now = new Date()) {
  const before = Number.isSafeInteger(asked) && asked > 0 ? asked : undefined;
  const [moves, names] = await Promise.all([
    listMoves(getDb(), workspace.id, MOST, before),
    namesIn(getDb(), workspace.id),
  ]);
  const entries = moves.map(({ id, madeAt, by, undone, undoes, counts, edits }) => {
    const isDelete = counts.every(({ how }) => how === 'deleted');
    const isGone = isDelete && differenceInDays(now, madeAt) >= RECOVERABLE_DAYS;
    return {
      id,
      at: format(madeAt, 'yyyy-MM-dd HH:mm'),
      by: by ?? 'Setup',
      undoes,
      undone,
      back: isGone || undone === 'all' ? null : isDelete ? ('Bring back' as const) : ('Undo' as const),
      ...moveText(counts, edits, names),
    };
  });
  const last = moves.length === MOST ? moves.at(-1)?.serial : undefined;
  return { entries, days: RECOVERABLE_DAYS, goesOnBefore: last ?? null };
}
