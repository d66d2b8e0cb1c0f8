import { randomUUID } from 'node:crypto';
import { memoryWord, withEvidence } from '@umbrex/core/evidence';
import { ChannelSchema, type Evidence, type Heard, kindOf, type Unit } from '@umbrex/core/model';
import { format } from 'date-fns';
import type { Knex } from 'knex';
import type { Report, ReportAnswer } from '../contract/card';
import { today } from './day';
import { type Desk, loadDesk } from './desk';
import { addHeard } from './heardCalls';
import type { Holder } from './holder';
import { BadInput, ChangedMeanwhile, NotHere } from './problem';
import { seenBy } from './seen';
import { sheetOf } from './sheetPage';
import { saveThing, thingAt } from './store/store';
import { sheetMark } from './views/cardSteps';

type Write = <V>(work: (trx: Knex.Transaction, move: string) => Promise<V>) => Promise<V>;

const NOT_YOURS = 'This set is not yours any more. Tell your coordinator what you did.';
const OTHER_SHEET =
  'The steps of this set have changed since you began. Tell your coordinator what you did; load the newest steps before you go on.';
const GONE = 'This set is not in the list any more. Tell your coordinator.';
const CLASH = 'Somebody wrote something else of this set at the same time. Look at it, and say it once more.';
const NEWER =
  'At the desk something newer was written of what it holds. Look at it together with your coordinator.';
const NOT_READY = 'Something stands in the way of these steps by now. Tell your coordinator what you did.';

/**
 * Takes what somebody reports of their own sets, each for itself and in the order in which it happened. One that was taken before counts once, and is
 * answered as taken; one that cannot be taken is answered with its reason, and nothing of it is kept.
 */
export async function takeReports(
  db: Knex,
  write: Write,
  holder: Holder,
  reports: readonly Report[],
): Promise<ReportAnswer[]> {
  const inOrder = [...reports].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const answers: ReportAnswer[] = [];
  for (const report of inOrder) {
    const why = await takeOne(db, write, holder, report);
    answers.push({ id: report.id, taken: why === null, why: why ?? '' });
  }
  return answers;
}

/** Others may write of the same set meanwhile: then it is read anew. */
const MOST_TRIES = 8;

/** @returns why it cannot be taken; `null` where it is */
async function takeOne(
  db: Knex,
  write: Write,
  holder: Holder,
  report: Report,
  tries = MOST_TRIES,
): Promise<string | null> {
  const { session, planId } = holder;
  try {
    // What a sheet gives is worked out before the transaction: that takes longer than a row should be held.
    const asNow = await changeOf(db, holder, report);
    if (typeof asNow === 'string') return (await isTaken(db, report.id)) ? null : asNow;
    return await write(async (trx) => {
      const [row] = await trx('report')
        .insert({
          id: report.id,
          workspace_id: session.workspace.id,
          unit_id: report.unitId,
          what: report.what,
          document: JSON.stringify({ ...report, planId }),
          by: session.name,
          at: report.at,
        })
        .onConflict('id')
        .ignore()
        .returning('id');
      if (!row) return null;
      const held = await thingAt(trx, 'unit', session.workspace.id, report.unitId);
      if (held.value.personId === null || held.value.personId !== session.personId)
        throw new Refused(NOT_YOURS);
      if (isOlder(report, held.value)) throw new Refused(NEWER);
      const unit = asNow(held.value);
      if (unit !== held.value)
        await saveThing(trx, 'unit', session.workspace.id, unit.id, held.version, unit);
      if (report.what === 'heard') await logHeard(trx, holder, report, unit);
      return null;
    });
  } catch (error) {
    if (error instanceof Refused) return error.message;
    if (error instanceof NotHere) return GONE;
    if (error instanceof ChangedMeanwhile)
      return tries > 1 ? takeOne(db, write, holder, report, tries - 1) : CLASH;
    if (error instanceof BadInput) return NOT_READY;
    throw error;
  }
}

/** What was heard at a place that stands for a channel goes into the log of its plan; both ways are two calls. */
async function logHeard(
  trx: Knex.Transaction,
  { session, planId }: Holder,
  { id, at, check, whom, channelId, readability }: Report & { what: 'heard' },
  { id: unitId, nickname }: Unit,
): Promise<void> {
  const row = await trx('channel')
    .where({ id: channelId, plan_id: planId, workspace_id: session.workspace.id, deleted_at: null })
    .first('document');
  const channel = row && ChannelSchema.safeParse(row.document).data;
  if (!channel || channelId === null) return;
  const kind = kindOf(channel);
  const other: Party = { name: whom || 'somebody', id: null };
  const mine: Party = { name: nickname, id: unitId };
  const call = (id: string, from: Party, to: Party, how: Heard['readability']): Heard => ({
    id,
    // A clock that is ahead writes nothing of what is to come.
    at: new Date(Math.min(Date.parse(at), Date.now())).toISOString(),
    planId,
    channelId,
    way: kind === 'listen' ? 'unknown' : kind,
    from: from.name,
    fromId: from.id,
    to: to.name,
    toId: to.id,
    heard: check !== 'not-heard',
    readability: how,
    strength: 'unknown',
    fromWhere: '',
    toWhere: '',
    settled: 'open',
    by: session.name.slice(0, 60),
    note: '',
  });
  await addHeard(
    trx,
    session.workspace.id,
    call(id, other, mine, check === 'not-heard' ? 'unknown' : readability),
  );
  // How well it came to the other side they know themselves.
  if (check === 'two-way')
    await addHeard(trx, session.workspace.id, call(randomUUID(), mine, other, 'unknown'));
}

interface Party {
  readonly name: string;
  readonly id: string | null;
}

/** Whether a report on the memory is from a day before the last word on it. */
function isOlder({ what, at }: Report, unit: Unit): boolean {
  const day = memoryWord(unit)?.day ?? 'unknown';
  return (what === 'done' || what === 'showed') && day !== 'unknown' && day > dayOf(at);
}

/** A report that is answered with its reason; nothing of it is kept. */
class Refused extends Error {}

async function isTaken(db: Knex, id: string): Promise<boolean> {
  return (await db('report').where({ id }).first('id')) !== undefined;
}

/** What a report makes of a set, or why it cannot be taken. */
async function changeOf(
  db: Knex,
  { session, planId }: Holder,
  report: Report,
): Promise<((unit: Unit) => Unit) | string> {
  const by = session.name.slice(0, 60);
  const day = dayOf(report.at);
  const entry = (evidence: object) => (unit: Unit) =>
    withEvidence(unit, { id: report.id, day, by, ...evidence } as Evidence);
  switch (report.what) {
    case 'step':
      return (unit) => unit;
    case 'done': {
      const desk = await loadDesk(db, session, planId, report.of);
      if (!isStillThat(desk, report)) return OTHER_SHEET;
      const { of, way } = report;
      return seenBy(desk, { what: 'loaded', of, way, day, by }, report.id, new Date(report.at));
    }
    case 'showed': {
      const note = `step ${report.step} showed ${report.showed}${report.note && `: ${report.note}`}`;
      return entry({ what: 'contradicted', note: note.slice(0, 200) });
    }
    case 'condition':
      return entry({ what: 'condition', is: report.is, note: report.note });
    case 'cells':
      return (unit) =>
        unit.batteryChanged !== 'unknown' && unit.batteryChanged >= day
          ? unit
          : { ...unit, batteryChanged: day };
    case 'test-heard':
      return (unit) => {
        const noted = entry({
          what: 'checked',
          check: 'area-filter-proven',
          number: null,
          result: 'pass',
          note: '',
        })(unit);
        const isNewer = unit.testHeard === 'unknown' || unit.testHeard < day;
        return isNewer ? { ...noted, testHeard: day } : noted;
      };
    case 'heard':
      // Silence is no result: it stands in the log alone.
      if (report.check === 'not-heard') return (unit) => unit;
      return entry({
        what: 'checked',
        check: report.check,
        number: report.number,
        result: 'pass',
        note: report.whom,
      });
    default:
      return report satisfies never;
  }
}

/** Whether a sheet that somebody worked by is still the one that this set has for that state of the plan. */
function isStillThat(desk: Desk, { unitId, sheet }: Report & { what: 'done' }): boolean {
  const data = sheetOf(desk, unitId);
  return data !== undefined && sheetMark(data) === sheet;
}

/** The day here of a moment on a phone, whose clock may be ahead. */
function dayOf(at: string): string {
  const [earlier = today()] = [format(new Date(at), 'yyyy-MM-dd'), today()].sort();
  return earlier;
}

/** How far somebody is with the steps of a set, by what their phone reported; `undefined` where nothing was. */
export async function progressOf(
  db: Knex,
  workspaceId: string,
  unitId: string,
): Promise<{ step: number; steps: number; of: number; sheet: string; at: string; by: string } | undefined> {
  const row = await db('report')
    .where({ workspace_id: workspaceId, unit_id: unitId, what: 'step' })
    .orderBy('at', 'desc')
    .orderByRaw(`(document->>'step')::int desc`)
    .first('document', 'at', 'by');
  if (!row) return undefined;
  const { step, steps, of, sheet } = row.document;
  return { step, steps, of, sheet, at: new Date(row.at).toISOString(), by: row.by };
}
