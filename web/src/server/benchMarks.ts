import { marked } from '@umbrex/core/bench';
import type { Knex } from 'knex';
import type { BenchMarkSent } from '../contract/bench';
import type { ReportAnswer } from '../contract/card';
import type { Session } from './auth/session';
import { loadDesk } from './desk';
import { BadInput, ChangedMeanwhile, NotHere } from './problem';
import { seenBy } from './seen';
import { saveThing, thingAt } from './store/store';

type Write = <V>(work: (trx: Knex.Transaction, move: string) => Promise<V>) => Promise<V>;

const GONE = 'This set is not in the list any more.';
const NOT_READY = 'Something stands in the way of its sheet by now: look at it, and mark it there.';
const DONE =
  'Somebody loaded this set meanwhile, and that is on record. If it is wrong, take it back in the history.';
const CLASH = 'Somebody wrote something else at the same time. Say it once more.';
/** Others may write of the same set or day meanwhile: then it is read anew. */
const MOST_TRIES = 8;

/**
 * Takes what was ticked on a bench day, each for itself and in the order in which it happened. One that was taken before counts once; one that cannot
 * be taken is answered with its reason. A set that is done is on record as loaded.
 * @throws NotHere where there is no such day
 */
export async function takeMarks(
  db: Knex,
  write: Write,
  session: Session,
  dayId: string,
  marks: readonly BenchMarkSent[],
): Promise<ReportAnswer[]> {
  await thingAt(db, 'bench', session.workspace.id, dayId);
  const answers: ReportAnswer[] = [];
  for (const mark of [...marks].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))) {
    const why = await takeOne(db, write, session, dayId, mark);
    answers.push({ id: mark.id, taken: why === null, why: why ?? '' });
  }
  return answers;
}

class AlreadyDone extends Error {}

/**
 * Whether something that happened later is known of a set on this day. A clock that is ahead gains nothing: what is said happened before it
 * arrived.
 */
async function isLate(
  trx: Knex.Transaction,
  workspaceId: string,
  dayId: string,
  { id, setId, at }: BenchMarkSent,
): Promise<boolean> {
  const later = await trx('report')
    .where({ workspace_id: workspaceId, unit_id: setId })
    .whereLike('what', 'bench-%')
    .whereRaw("document->>'dayId' = ?", [dayId])
    .whereRaw('least(at, received_at) > least(?::timestamptz, now())', [at])
    .whereNot({ id })
    .first('id');
  return later !== undefined;
}

/** @returns why it cannot be taken; `null` where it is */
async function takeOne(
  db: Knex,
  write: Write,
  session: Session,
  dayId: string,
  mark: BenchMarkSent,
  tries = MOST_TRIES,
): Promise<string | null> {
  const workspaceId = session.workspace.id;
  const { setId, state } = mark;
  try {
    const { value: day } = await thingAt(db, 'bench', workspaceId, dayId);
    const task = day.tasks.find((one) => one.setId === setId);
    const isDone = state === 'done' && day.progress[setId] !== 'done';
    // What a sheet gives is worked out before the transaction: that takes longer than a row should be held.
    const asNow = isDone
      ? seenBy(
          await loadDesk(db, session, day.planId, day.revision),
          {
            what: 'loaded',
            of: day.revision,
            way: task?.way ?? 'unknown',
            day: mark.day,
            by: session.name.slice(0, 60),
          },
          mark.id,
          new Date(mark.at),
        )
      : undefined;
    return await write(async (trx) => {
      const [row] = await trx('report')
        .insert({
          id: mark.id,
          workspace_id: workspaceId,
          unit_id: setId,
          what: `bench-${state}`,
          document: JSON.stringify({ ...mark, dayId }),
          by: session.name,
          at: mark.at,
        })
        .onConflict('id')
        .ignore()
        .returning('id');
      if (!row) return null;
      const held = await thingAt(trx, 'bench', workspaceId, dayId);
      const wasDone = held.value.progress[setId] === 'done';
      // Somebody else said it meanwhile: then it is on record once already.
      if (state === 'done' && wasDone) return null;
      // What happened before something that is known already comes late: it changes nothing, unless it says that the set is done.
      if (state !== 'done' && (await isLate(trx, workspaceId, dayId, mark))) return null;
      // What a set holds is on record by then, and no tick takes that back.
      if (wasDone) throw new AlreadyDone();
      const atMin = mark.day === held.value.day ? mark.minute - held.value.beginsMin : null;
      await saveThing(
        trx,
        'bench',
        workspaceId,
        dayId,
        held.version,
        marked(held.value, { setId, state, atMin }),
      );
      const unit = await thingAt(trx, 'unit', workspaceId, setId);
      if (asNow) await saveThing(trx, 'unit', workspaceId, setId, unit.version, asNow(unit.value));
      return null;
    });
  } catch (error) {
    if (error instanceof NotHere) return GONE;
    if (error instanceof AlreadyDone) return DONE;
    if (error instanceof BadInput) return NOT_READY;
    if (error instanceof ChangedMeanwhile)
      return tries > 1 ? takeOne(db, write, session, dayId, mark, tries - 1) : CLASH;
    throw error;
  }
}
