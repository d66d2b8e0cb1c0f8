import { reviewPlan } from '@umbrex/core/check';
import { type Board, BoardFitter, spellable } from '@umbrex/core/fit';
import { maskSecretTones } from '@umbrex/core/formats';
import { type Description, numbersWith, type Unit } from '@umbrex/core/model';
import { format } from 'date-fns';
import type { Knex } from 'knex';
import { allows } from './auth/roles';
import type { Session } from './auth/session';
import { Kept } from './kept';
import { listDescriptions, type ReadDescription } from './repositories/descriptions';
import { listPlans, loadPlan, type PlanState } from './repositories/plans';
import { listUnits } from './repositories/units';
import type { Workspace } from './repositories/workspaces';

const fitters = new Kept<BoardFitter>(20);

/** Everything a page of one plan shows. */
export interface Desk {
  readonly session: Session;
  readonly workspace: Workspace;
  readonly plans: readonly { id: string; name: string }[];
  readonly state: PlanState;
  readonly units: readonly { unit: Unit; version: number }[];
  readonly descriptions: readonly ReadDescription[];
  readonly board: Board;
}

/** Loads a plan with the fleet and computes its board, by the same core that the browser's worker uses. */
export async function loadDesk(db: Knex, session: Session, planId: string): Promise<Desk> {
  const { workspace } = session;
  const [plans, whole, allUnits, descriptions] = await Promise.all([
    listPlans(db, workspace.id),
    loadPlan(db, workspace.id, planId),
    listUnits(db, workspace.id),
    listDescriptions(db, workspace.id),
  ]);
  const state = allows(session.role, 'member') ? whole : { ...whole, plan: maskSecretTones(whole.plan) };
  const units = allUnits.filter(({ unit }) => maySee(session, unit));
  // One fitter for each set of devices that is looked at, so that a page after an edit judges only what the edit touched.
  const fleet = units.map((u) => u.unit);
  const fitter = fitters.of(
    `${workspace.id} ${fleet.map(({ id }) => id).join(' ')}`,
    () => new BoardFitter(),
  );
  const board = fitter.board(
    state.plan,
    fleet,
    descriptions.map((d) => d.description),
    numbersWith(state.plan),
  );
  return { session, workspace, plans, state, units, descriptions, board };
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

/** How many things wait in each stage of the work. */
export function waiting({ state, board }: Desk): Record<'gather' | 'arrange' | 'fit', number> {
  const unknownCells = board.kinds.flatMap((kind) => kind.cells.filter((cell) => cell.verdict === 'unknown'));
  const wrong = reviewPlan(state.plan, { today: today() }).filter(({ next }) => next !== 'know');
  // Which events a set has no switch for is known; only what somebody can look into is counted.
  const gather = Object.values(board.unitFindings).filter((findings) =>
    findings.some(({ code }) => code !== 'alert-no-switch' && code !== 'alert-always-on'),
  ).length;
  return { gather, arrange: wrong.length, fit: unknownCells.length };
}

/** The calendar day here, as YYYY-MM-DD. */
export function today(): string {
  return format(new Date(), 'yyyy-MM-dd');
}
