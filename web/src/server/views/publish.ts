import { reviewPlan, statesSaid } from '@umbrex/core/check';
import { isThere } from '@umbrex/core/evidence';
import type { Person, Plan } from '@umbrex/core/model';
import { blockersOf, choicesOf, costOf, type SheetCost, sheetCost } from '@umbrex/core/publish';
import { isKnown } from '@umbrex/core/standing';
import type { Knex } from 'knex';
import type { PublishView } from '../../contract/revisions';
import type { DraftNames } from '../../messages/revisions';
import { contentMark } from '../contentMark';
import { today } from '../day';
import { type Desk, inForce } from '../desk';
import { revisionPlan } from '../repositories/revisions';
import { loadedBy, namePressesOf, setsWithSheets, stopsOf } from '../sheetPage';
import { listThings } from '../store/store';

/** What the sheet for the draft of every set that is there comes to. */
async function sheetCosts(desk: Desk, current: Plan | undefined): Promise<SheetCost[]> {
  const costs: SheetCost[] = [];
  const isLoadedNow = current && loadedBy(desk, current);
  for await (const { unit, kind, prepared } of setsWithSheets(desk)) {
    if (!isThere(unit)) continue;
    const isUpToDate = isKnown(unit.holds) && isLoadedNow?.(unit) === true;
    costs.push(
      sheetCost(unit, prepared, {
        isUpToDate,
        stops: prepared ? stopsOf(desk, unit, kind.description, prepared) : [],
        namePresses: prepared ? namePressesOf(prepared) : 0,
        minutes: prepared?.proof.minutes ?? 0,
      }),
    );
  }
  return costs;
}

/** What a coordinator looks at before a draft is published: what stops it, what it costs, and which choices it makes. */
export async function publishView(db: Knex, desk: Desk): Promise<PublishView> {
  const { plan } = desk.state;
  const { workspace, grounds, revisions } = desk;
  const people: Person[] = (await listThings(db, 'person', workspace.id)).map(({ value }) => value);
  const [newest] = revisions;
  const now = inForce(revisions, today());
  const sheets = await sheetCosts(desk, now && (await revisionPlan(db, workspace.id, plan.id, now.number)));
  return {
    draft: contentMark(plan),
    after: newest?.number ?? 0,
    sheets,
    away: desk.units.flatMap(({ unit }) => (isThere(unit) ? [] : [unit.id])),
    before: Object.fromEntries((newest?.overruled ?? []).map(({ mark, reason }) => [mark, reason])),
    blockers: blockersOf(
      plan,
      reviewPlan(plan, { today: today(), said: statesSaid(plan, desk.onAir) }),
      sheets,
      grounds.unsettled,
    ),
    cost: costOf(sheets),
    choices: choicesOf(plan, sheets, people, newest?.decided ?? []),
  };
}

/** What ids stand for in what is said of a draft. */
export function draftNames({ state, descriptions, fleet }: Desk): DraftNames {
  return {
    channels: new Map(state.plan.channels.map(({ id, name }) => [id, name])),
    kinds: new Map(descriptions.map(({ description: { id, title } }) => [id, title])),
    units: new Map(fleet.map(({ id, nickname }) => [id, nickname])),
  };
}
