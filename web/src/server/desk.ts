import { type OnAir, reviewPlan, statesSaid } from '@umbrex/core/check';
import { type Board, BoardFitter, boardFor, spellable } from '@umbrex/core/fit';
import { groundsOf } from '@umbrex/core/grounds';
import {
  type Description,
  loadingDay,
  numbersWith,
  type Person,
  type Plan,
  type Station,
  type Unit,
} from '@umbrex/core/model';
import type { Grounds } from '@umbrex/core/rules';
import { onAirOf } from '@umbrex/core/stations';
import type { Knex } from 'knex';
import type { RevisionHead, State } from '../contract/revisions';
import { allows } from '../contract/roles';
import type { PlanState } from '../contract/routes';
import type { Session } from './auth/session';
import { today } from './day';
import { Kept } from './kept';
import { planFor } from './planFor';
import { proofs } from './proofs';
import { listDescriptions, type ReadDescription } from './repositories/descriptions';
import { listPlans } from './repositories/plans';
import { listRevisions } from './repositories/revisions';
import type { Workspace } from './repositories/workspaces';
import { listThings } from './store/store';

const fitters = new Kept<BoardFitter>(20);

/** Everything a page of one plan shows. */
export interface Desk {
  readonly session: Session;
  readonly workspace: Workspace;
  readonly plans: readonly { id: string; name: string; archived: boolean }[];
  /** The plan in the state that is shown, the draft or a published one. */
  readonly state: PlanState;
  readonly shown: State;
  /** What is worked on, whatever is shown. */
  readonly draft: { readonly state: PlanState; readonly board: Board };
  /** What was published of it, newest first. */
  readonly revisions: readonly RevisionHead[];
  /** Every set there is. What is computed of one set may depend on others, whoever asks; nobody is shown them by that. */
  readonly fleet: readonly Unit[];
  /** The sets that this person may see. */
  readonly units: readonly { unit: Unit; version: number }[];
  readonly descriptions: readonly ReadDescription[];
  /** Who sends with each set of the whole fleet, today. */
  readonly grounds: Grounds;
  /** The same on another day, as YYYY-MM-DD. */
  readonly groundsOn: (day: string) => Grounds;
  /** What the list of stations says of repeaters. */
  readonly onAir: readonly OnAir[];
  readonly teams: readonly { id: string; name: string }[];
  /** What the whole fleet can do, and the part of it about the sets that this person may see. */
  readonly whole: Board;
  readonly board: Board;
}

/**
 * Loads a plan with the fleet and computes its board, by the same core that the browser's worker uses.
 * @param of its draft, a published state by number, or `published`: the one that sets should hold now, and the draft where there is none
 */
export async function loadDesk(
  db: Knex,
  session: Session,
  planId: string,
  of: State | 'published' = 'draft',
): Promise<Desk> {
  const { workspace } = session;
  // Both at once: without the database a page waits for it no longer than before.
  const [revisions] = await Promise.all([listRevisions(db, workspace.id, planId), proofs.read(db)]);
  const shown = of === 'published' ? (inForce(revisions, today())?.number ?? 'draft') : of;
  const [plans, drafted, state, all, descriptions, people, stations, teams] = await Promise.all([
    listPlans(db, workspace.id),
    planFor(db, session, planId),
    planFor(db, session, planId, shown),
    listThings(db, 'unit', workspace.id),
    listDescriptions(db, workspace.id),
    listThings(db, 'person', workspace.id),
    listThings(db, 'station', workspace.id),
    listThings(db, 'team', workspace.id),
  ]);
  const fleet = all.map(({ value }) => value);
  const units = all.flatMap(({ value, version }) =>
    maySee(session, value) ? [{ unit: value, version }] : [],
  );
  const kinds = descriptions.map(({ description }) => description);
  const grounds = groundsFor(state.plan, all, people, stations);
  const days = new Map<string, Grounds>();
  const groundsOn = (day: string) => {
    const of = days.get(day) ?? groundsFor(state.plan, all, people, stations, day);
    days.set(day, of);
    return of;
  };
  const seen = new Set(units.map(({ unit }) => unit.id));
  // One fitter for each plan, so that a page after an edit judges only what the edit touched, and a draft only what was not published.
  const fitter = fitters.of(`${workspace.id} ${planId}`, () => new BoardFitter(2));
  const wholeOf = (plan: Plan, by: Grounds) => fitter.board(plan, fleet, kinds, by, numbersWith(plan));
  const whole = wholeOf(state.plan, grounds);
  const board = boardFor(whole, seen);
  const draftBoard =
    shown === 'draft'
      ? board
      : boardFor(wholeOf(drafted.plan, groundsFor(drafted.plan, all, people, stations)), seen);
  return {
    session,
    workspace,
    plans,
    state,
    shown,
    draft: { state: drafted, board: draftBoard },
    revisions,
    fleet,
    units,
    descriptions,
    grounds,
    groundsOn,
    onAir: onAirOf(stations.map(({ value }) => value)),
    teams: teams.map(({ value: { id, name } }) => ({ id, name })),
    whole,
    board,
  };
}

/**
 * The revision that sets should hold on a day: of those that were not withdrawn the newest that is in force by then, else the newest.
 * @param revisions newest first
 * @param day as YYYY-MM-DD
 */
export function inForce(revisions: readonly RevisionHead[], day: string): RevisionHead | undefined {
  const standing = revisions.filter(({ withdrawn }) => withdrawn === null);
  return standing.find(({ effectiveFrom }) => effectiveFrom <= day) ?? standing[0];
}

/** What is known of whoever sends with the fleet, and of the repeaters, on the day on which the plan's sets are loaded. */
function groundsFor(plan: Plan, ...[units, people, stations, day]: Roster): Grounds {
  const values = <T>(held: readonly { value: T }[]) => held.map(({ value }) => value);
  return groundsOf(values(units), values(people), values(stations), day ?? loadingDay(plan, today()));
}
type Held<T> = readonly { readonly value: T }[];
type Roster = [units: Held<Unit>, people: Held<Person>, stations: Held<Station>, day?: string];

/** The same for one person: of licences what the rules ask, and no name, of the sets that they may see. */
export async function groundsSeenBy(db: Knex, session: Session, planId: string): Promise<Grounds> {
  const { id } = session.workspace;
  const [{ plan }, units, people, stations] = await Promise.all([
    planFor(db, session, planId),
    listThings(db, 'unit', id),
    listThings(db, 'person', id),
    listThings(db, 'station', id),
  ]);
  const seen = units.flatMap(({ value }) => (maySee(session, value) ? [value.id] : []));
  return groundsOnly(groundsFor(plan, units, people, stations), seen);
}

/** What is known of whoever sends with some sets only. */
export function groundsOnly(grounds: Grounds, unitIds: readonly string[]): Grounds {
  const each = unitIds.map((id) => [id, grounds.each[id] ?? null] as const);
  return { ...grounds, each: Object.fromEntries(each) };
}

/** Editors see every device; members the ones they hold. */
function maySee({ role, personId }: Session, unit: Unit): boolean {
  return allows(role, 'editor') || (role === 'member' && personId !== null && unit.personId === personId);
}

/** A description without its keys: all that the fit needs, a tenth of the size. Which names its keys can spell stays with it. */
export function fitPart(description: Description): Description {
  const { behaviour: _b, recipes: _r, ...rest } = description;
  return { ...rest, names: spellable(description) };
}

/** How many things wait in each stage of the work on the draft. */
export function waiting({
  draft: { state, board },
  onAir,
}: Desk): Record<'gather' | 'arrange' | 'fit', number> {
  const unknownCells = board.kinds.flatMap((kind) => kind.cells.filter((cell) => cell.verdict === 'unknown'));
  const wrong = reviewPlan(state.plan, { today: today(), said: statesSaid(state.plan, onAir) }).filter(
    ({ next }) => next !== 'know',
  );
  // Which events a set has no switch for is known; only what somebody can look into is counted.
  const gather = Object.values(board.unitFindings).filter((findings) =>
    findings.some(({ code }) => code !== 'alert-no-switch' && code !== 'alert-always-on'),
  ).length;
  return { gather, arrange: wrong.length, fit: unknownCells.length };
}
