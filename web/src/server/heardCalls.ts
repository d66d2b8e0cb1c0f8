import type { Heard } from '@umbrex/core/model';
import type { Knex } from 'knex';
import type { ReportAnswer } from '../contract/card';
import { BadInput, ChangedMeanwhile } from './problem';
import { addThing, needThing } from './store/store';

type Write = <V>(work: (trx: Knex.Transaction, move: string) => Promise<V>) => Promise<V>;

const OTHER_PLAN = 'This call is of another plan.';
const AHEAD = 'This call is more than a day ahead: set the clock, and write it once more.';
const GONE = 'Its channel is not in this plan any more. Write it once more, on another one.';
const TAKEN_AWAY = 'This call was taken out of the log meanwhile.';
const DAY_MS = 86_400_000;

/**
 * Takes calls into the log of a plan, each for itself and in the order in which they were. One that was taken before counts once, also where somebody
 * has changed it since; one that cannot be taken is answered with its reason.
 * @throws NotHere where there is no such plan
 */
export async function takeCalls(
  db: Knex,
  write: Write,
  workspaceId: string,
  planId: string,
  calls: readonly Heard[],
): Promise<ReportAnswer[]> {
  await needThing(db, 'plan', workspaceId, planId);
  const answers: ReportAnswer[] = [];
  for (const call of [...calls].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))) {
    const why =
      call.planId !== planId
        ? OTHER_PLAN
        : Date.parse(call.at) > Date.now() + DAY_MS
          ? AHEAD
          : await takeOne(db, write, workspaceId, call);
    answers.push({ id: call.id, taken: why === null, why: why ?? '' });
  }
  return answers;
}

/** @returns why it cannot be taken; `null` where it is */
async function takeOne(db: Knex, write: Write, workspaceId: string, call: Heard): Promise<string | null> {
  try {
    await write((trx) => addHeard(trx, workspaceId, call));
    return null;
  } catch (error) {
    if (error instanceof ChangedMeanwhile) return isThere(db, workspaceId, call.id);
    if (error instanceof BadInput) return GONE;
    throw error;
  }
}

/** Adds one call to the log of its plan. */
export const addHeard = (trx: Knex.Transaction, workspaceId: string, call: Heard) =>
  addThing(trx, 'heard', workspaceId, call.id, call, { plan_id: call.planId });

/** What was sent before and changed since is there all the same. */
async function isThere(db: Knex, workspaceId: string, id: string): Promise<string | null> {
  const row = await db('heard').where({ workspace_id: workspaceId, id, deleted_at: null }).first('id');
  return row ? null : TAKEN_AWAY;
}
