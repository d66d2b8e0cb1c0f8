import type { Prepared } from '@umbrex/core/flow';
import { type Standing, standingOf } from '@umbrex/core/standing';
import { toTryOf } from '@umbrex/core/verify';
import type { Knex } from 'knex';
import { describedMark } from './contentMark';
import { today } from './day';
import type { Desk } from './desk';
import { revisionPlan } from './repositories/revisions';
import { attempt, heldThenBy, loadedBy, stopsOf } from './sheetPage';
import { type PreparedSet, toTryFor } from './verification';

/**
 * Tells of any set how it stands towards a published state, the one that the desk shows: the same for the rollout and for its holder's card.
 */
export async function standings(
  db: Knex,
  desk: Desk,
  shown: number,
): Promise<(set: PreparedSet) => Standing> {
  const { workspace, state, revisions } = desk;
  const { plan } = state;
  const others = revisions.flatMap(({ number, withdrawn }) =>
    number !== shown && withdrawn === null ? [number] : [],
  );
  const holds = new Map<number, ReturnType<typeof loadedBy>>([[shown, loadedBy(desk)]]);
  for (const number of others)
    holds.set(number, loadedBy(desk, await revisionPlan(db, workspace.id, plan.id, number)));
  const marks = new Map(
    desk.descriptions.map(({ description }) => [description.id, describedMark(description)]),
  );
  const day = today();
  const toTry = toTryFor(desk);
  const heldThen = heldThenBy(desk);
  return ({ unit, description, prepared }) =>
    standingOf(
      {
        unit,
        planId: plan.id,
        described: marks.get(description.id) ?? '',
        stops: stopsOf(desk, unit, description, prepared),
        wantsAnything: wantsAnything(prepared),
        holds: (number) => holds.get(number)?.(unit) === true,
        heldThen: () => heldThen(unit),
        toTry: () => attempt(() => toTryOf(toTry({ unit, description, prepared }).found), unit.id),
      },
      shown,
      others,
      day,
    );
}

/** Whether the plan puts or sets anything in a set. */
function wantsAnything({ fit, wanted }: Prepared): boolean {
  return fit.image.slots.size > 0 || Object.keys(wanted.settings).length > 0;
}
