import { servicesOf } from '@umbrex/core/facts';
import { leftOutAt, lineOfFind, matchesOf, scanningKind } from '@umbrex/core/found';
import { mhzText } from '@umbrex/core/units';
import type { Knex } from 'knex';
import { type FindKnown, type FindsView, SHOWN_FINDS } from '../../contract/finds';
import { leftOutText, matchText } from '../../messages/finds';
import type { Desk } from '../desk';
import { heardEntries } from '../repositories/directory';
import { listThings } from '../store/store';

/** What searches stopped at, newest first, each looked up in the plan, the services of its country and what directories said. */
export async function findsView(db: Knex, desk: Desk): Promise<FindsView> {
  const { workspace, state, descriptions, units, session } = desk;
  const { plan } = state;
  const [finds, entries] = await Promise.all([
    listThings(db, 'find', workspace.id, {}, SHOWN_FINDS),
    heardEntries(db, workspace.id),
  ]);
  const there = new Set(units.map(({ unit }) => unit.descriptionId));
  const kinds =
    finds.length === 0
      ? []
      : descriptions.flatMap(({ description }) => {
          const kind = there.has(description.id) ? scanningKind(plan, description) : null;
          return kind ? [kind] : [];
        });
  const services = servicesOf(plan.country);
  const known = finds.map(({ value: find }): [string, FindKnown] => {
    const matches = matchesOf(find.receiveHz, plan.channels, services, entries);
    return [
      find.id,
      {
        may: matches.slice(0, 4).map(matchText),
        line: lineOfFind(find, matches, mhzText(find.receiveHz)),
        leftOut: leftOutAt(plan, kinds, find.receiveHz).map(leftOutText),
        isInPlan: plan.channels.some(({ receiveHz }) => receiveHz === find.receiveHz),
      },
    ];
  });
  const scanning = new Set(
    descriptions.flatMap(({ description: { id, scan } }) => (typeof scan === 'object' ? [id] : [])),
  );
  return {
    planId: plan.id,
    finds,
    known: Object.fromEntries(known),
    sets: units.flatMap(({ unit: { id, nickname, descriptionId } }) =>
      scanning.has(descriptionId) ? [{ id, name: nickname }] : [],
    ),
    by: session.name.slice(0, 60),
  };
}
