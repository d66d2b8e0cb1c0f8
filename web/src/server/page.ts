import { kindOf } from '@umbrex/core/model';
import { z } from 'zod';
import type { EntryGroup } from '../islands/EntryLine/useEntryLine';
import { getConfig } from './config';
import { getDb } from './db';
import { type Desk, fitPart, loadDesk, waiting } from './desk';
import { NotHere } from './problem';

/** Loads what a page of a plan needs; `undefined` when there is no such plan. */
export async function planPage(planId: string | undefined): Promise<Desk | undefined> {
  if (!z.uuid().safeParse(planId).success || planId === undefined) return undefined;
  try {
    return await loadDesk(getDb(), planId);
  } catch (error) {
    if (error instanceof NotHere) return undefined;
    throw error;
  }
}

/** What the layout shows around a page. */
export function frame(desk: Desk) {
  const { plan } = desk.state;
  const groups = plan.groups.map((group): EntryGroup => {
    const kinds = plan.channels.filter((channel) => channel.groupId === group.id).map(kindOf);
    const most = (['repeater', 'direct', 'listen'] as const).find(
      (kind) => kinds.length > 0 && kinds.filter((k) => k === kind).length * 2 >= kinds.length,
    );
    return { id: group.id, name: group.name, kind: most ?? 'empty' };
  });
  return {
    workspaceName: desk.workspace.name,
    // Where no tables are, lines are read with the US ones; the rules still answer unknown.
    plan: {
      id: plan.id,
      name: plan.name,
      country: plan.country === 'other' ? ('US' as const) : plan.country,
    },
    plans: desk.plans,
    groups,
    waiting: waiting(desk),
    demo: getConfig().UMBREX_DEMO === '1',
  };
}

/** What an island starts from: the desk without the keys of the devices. */
export function deskProps(desk: Desk) {
  return {
    ...desk.state,
    units: desk.units.map(({ unit }) => unit),
    descriptions: desk.descriptions.map(({ description }) => fitPart(description)),
    board: desk.board,
  };
}
