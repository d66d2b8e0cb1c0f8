import { changeOfSet, type Touched } from '@umbrex/core/change';
import { isThere } from '@umbrex/core/evidence';
import type { Names } from '@umbrex/core/fields';
import { type Description, type Plan, slotsOf, type Unit } from '@umbrex/core/model';
import type { Knex } from 'knex';
import type { State } from '../../contract/revisions';
import { allows } from '../../contract/roles';
import { type DiffLine, diffLines } from '../../messages/revisions';
import { contentMark } from '../contentMark';
import { today } from '../day';
import { type Desk, inForce } from '../desk';
import { Kept } from '../kept';
import { planFor } from '../planFor';
import { attempt, calledBy, loadedStateOf } from '../sheetPage';
import { listThings } from '../store/store';

/** What was published of a plan, and how the draft differs from the newest of it that was not withdrawn. */
export async function revisionsView(db: Knex, desk: Desk) {
  const { session, revisions, state } = desk;
  // One that was withdrawn is nothing to go by: the draft may be published as it was.
  const basis = revisions.find(({ withdrawn }) => withdrawn === null);
  const last = basis && (await planFor(db, session, state.plan.id, basis.number)).plan;
  return {
    revisions,
    basis: basis?.number ?? null,
    inForce: inForce(revisions, today())?.number ?? null,
    /** What the draft would bring; `undefined` before anything was published. */
    changes: last && diffLines(last, state.plan, await namesOf(db, desk, [last, state.plan])),
    mayPublish: allows(session.role, 'coordinator'),
    mayEdit: allows(session.role, 'editor'),
    today: today(),
  };
}

/** What two states of a plan call their channels and groups, and what else they name. */
export async function namesOf(db: Knex, desk: Desk, plans: readonly Plan[]): Promise<Names> {
  const people = allows(desk.session.role, 'editor')
    ? (await listThings(db, 'person', desk.workspace.id)).map(({ value: { id, name } }) => ({ id, name }))
    : [];
  const newestFirst = plans.toReversed();
  return {
    channel: once(newestFirst.flatMap(({ channels }) => channels)),
    group: once(newestFirst.flatMap(({ groups }) => groups)),
    team: desk.teams,
    kind: desk.descriptions.map(({ description: { id, title } }) => ({ id, name: title })),
    unit: desk.units.map(({ unit: { id, nickname } }) => ({ id, name: nickname })),
    person: people,
  };
}

const once = (all: readonly { readonly id: string; readonly name: string }[]) => [
  ...new Map(all.toReversed().map(({ id, name }) => [id, { id, name }])).values(),
];

/** What two states of a plan mean for one set. */
export interface SetBetween extends Touched {
  readonly unitId: string;
  readonly nickname: string;
  readonly personId: string | null;
  readonly kind: string;
  readonly labels: readonly string[];
}
/** What they mean for one person: so many of their sets, so many minutes. */
export interface PersonBetween {
  readonly name: string;
  readonly sets: number;
  readonly of: number;
  readonly minutes: number;
}

/** What changes of sets between two states come to, by all that they depend on. */
const between = new Kept<{ touched: Touched | undefined }>(2000);

/** How two states of a plan differ: by channel, by set, by person. @throws NotHere where there is no such state */
export async function compareView(db: Knex, desk: Desk, from: State, to: State) {
  const { session, state, workspace } = desk;
  const [before, after] = await Promise.all(
    [from, to].map(async (of) => (await planFor(db, session, state.plan.id, of)).plan),
  );
  if (!before || !after) return undefined;
  const lines: DiffLine[] = diffLines(before, after, await namesOf(db, desk, [before, after]));
  const sets = await setsBetween(desk, before, after);
  const mayEdit = allows(session.role, 'editor');
  const people = mayEdit ? await listThings(db, 'person', workspace.id) : [];
  return {
    from,
    to,
    lines,
    sets,
    away: desk.units.filter(({ unit }) => !isThere(unit)).length,
    people: peopleBetween(
      desk,
      sets,
      people.map(({ value }) => value),
    ),
    mayEdit,
  };
}

async function setsBetween(desk: Desk, before: Plan, after: Plan): Promise<SetBetween[]> {
  const plans = contentMark([before, after]);
  const kinds = new Map(desk.descriptions.map((kind) => [kind.description.id, kind]));
  const marks = new Map<string, string>();
  const sets: SetBetween[] = [];
  for (const { unit } of desk.units) {
    const kind = kinds.get(unit.descriptionId);
    // Nothing is asked of one that is lost or broken.
    if (!kind || !isThere(unit)) continue;
    const { description } = kind;
    const mark = marks.get(description.id) ?? contentMark(description);
    marks.set(description.id, mark);
    await new Promise((resolve) => setImmediate(resolve));
    const others = calledBy(desk, description, unit);
    const states = {
      was: loadedStateOf(desk, description, unit, before),
      now: loadedStateOf(desk, description, unit, after),
    };
    const called = others.map(({ nickname, fleetId }) => [nickname, fleetId]);
    const compute = () => attempt(() => changeOfSet(before, after, description, states, others), unit.id);
    const { touched } = between.of(`${plans} ${mark} ${contentMark([states, called])}`, () => ({
      touched: compute(),
    }));
    if (!touched || touched.way === 'none') continue;
    const { id: unitId, nickname, personId } = unit;
    sets.push({
      ...touched,
      unitId,
      nickname,
      personId,
      kind: description.title,
      labels: labelsOf(description, touched),
    });
  }
  return sets;
}

/** Places by the labels that the set shows. */
function labelsOf(description: Description, { slots }: Touched): string[] {
  const changed = new Set(slots);
  return slotsOf(description).flatMap(({ number, label }) => (changed.has(number) ? [label] : []));
}

function peopleBetween(
  { units }: Desk,
  sets: readonly SetBetween[],
  people: readonly { id: string; name: string }[],
): PersonBetween[] {
  const heldBy = (id: string) =>
    units.filter(({ unit }: { unit: Unit }) => unit.personId === id && isThere(unit)).length;
  return people.flatMap(({ id, name }) => {
    const mine = sets.filter(({ personId }) => personId === id);
    const minutes = mine.reduce((sum, set) => sum + Math.ceil(set.minutes), 0);
    return mine.length > 0 ? [{ name, sets: mine.length, of: heldBy(id), minutes }] : [];
  });
}
