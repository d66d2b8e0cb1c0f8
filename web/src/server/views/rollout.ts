import { memoryWord, onLoan } from '@umbrex/core/evidence';
import type { Cell } from '@umbrex/core/fit';
import type { Prepared } from '@umbrex/core/flow';
import { isKnown, STANDINGS, type Standing } from '@umbrex/core/standing';
import type { Knex } from 'knex';
import { allows } from '../../contract/roles';
import type { Coverage, RolloutRow } from '../../contract/rollout';
import { evidenceText, evidenceWhen } from '../../messages/rollout';
import { today } from '../day';
import type { Desk } from '../desk';
import { setsWithSheets } from '../sheetPage';
import { standings } from '../standings';
import { listThings } from '../store/store';

/** How far a published state of the plan is in the sets: each set with its standing, and each channel with its sets. */
export async function rolloutView(db: Knex, desk: Desk) {
  const { session, workspace, state, shown, revisions } = desk;
  if (shown === 'draft') return undefined;
  const { plan } = state;
  const mayEdit = allows(session.role, 'editor');
  const people = mayEdit ? (await listThings(db, 'person', workspace.id)).map(({ value }) => value) : [];
  const person = new Map(people.map((one) => [one.id, one]));
  const planNames = new Map(desk.plans.map(({ id, name }) => [id, name]));
  const standingFor = await standings(db, desk, shown);
  const rows: RolloutRow[] = [];
  const coverage = new Map(plan.channels.map(({ id }) => [id, { of: 0, usable: 0, held: 0 }]));
  for await (const { unit, version, kind, prepared } of setsWithSheets(desk)) {
    const { description } = kind;
    const holder = unit.personId === null ? undefined : person.get(unit.personId);
    const word = memoryWord(unit);
    const standing = prepared && standingFor({ unit, description, prepared });
    const isDone = !standing || !WAITS.has(standing.state);
    rows.push({
      unitId: unit.id,
      version,
      nickname: unit.nickname,
      kind: description.title,
      personId: unit.personId,
      holder: holder?.name ?? unit.holder,
      teamIds: [...new Set([...(holder?.teamIds ?? []), ...(unit.roleId ? [unit.roleId] : [])])],
      standing: standing ?? null,
      way: prepared?.sheet.way ?? 'unknown',
      presses: isDone ? 0 : (prepared?.sheet.presses ?? 0),
      minutes: isDone ? 0 : Math.ceil(prepared?.proof.minutes ?? 0),
      word: word
        ? `${evidenceText(word, (id) => (id === plan.id ? null : planNames.get(id)))}, ${evidenceWhen(word)}`
        : '',
      lentTo: onLoan(unit)?.to ?? '',
    });
    if (prepared && standing?.state !== 'away') count(coverage, prepared, isKnown(unit.holds));
  }
  const names = new Map(plan.channels.map(({ id, name }) => [id, name]));
  return {
    number: shown,
    head: revisions.find(({ number }) => number === shown),
    rows: rows.sort(byWhatIsToDo),
    coverage: [...coverage].map(
      ([channelId, sets]): Coverage => ({ channelId, name: names.get(channelId) ?? '', ...sets }),
    ),
    teams: mayEdit ? desk.teams : [],
    mayEdit,
    today: today(),
  };
}
export type RolloutView = NonNullable<Awaited<ReturnType<typeof rolloutView>>>;

/** What is to do first; among those by name. */
function byWhatIsToDo(a: RolloutRow, b: RolloutRow): number {
  const at = ({ standing }: RolloutRow) => (standing ? STANDINGS.indexOf(standing.state) : -1);
  return at(a) - at(b) || a.nickname.localeCompare(b.nickname, 'en', { numeric: true });
}

/** The standings of which something is still to do. */
const WAITS: ReadonlySet<Standing['state']> = new Set(['late', 'unknown', 'blocked']);
const USABLE: ReadonlySet<Cell['verdict']> = new Set(['full', 'adapted']);

/** Counts a set for each channel that it should have: usable as the plan means it, and held by what it holds now. */
function count(
  coverage: ReadonlyMap<string, { of: number; usable: number; held: number }>,
  { fit, changes }: Prepared,
  known: boolean,
): void {
  const changing = new Set(changes.places.map(({ slot }) => slot.number));
  for (const { channelId, verdict, slot, findings } of fit.cells) {
    const sets = coverage.get(channelId);
    if (!sets || verdict === 'apart') continue;
    const isMeant = USABLE.has(verdict) || findings.some(({ code }) => code === 'listen-only-by-plan');
    sets.of += 1;
    if (!slot || !isMeant) continue;
    sets.usable += 1;
    if (known && !changing.has(slot.number)) sets.held += 1;
  }
}
