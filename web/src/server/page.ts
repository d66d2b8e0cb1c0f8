import { kindOf } from '@umbrex/core/model';
import { z } from 'zod';
import { StateInAddressSchema } from '../contract/revisions';
import { allows } from '../contract/roles';
import type { EntryGroup } from '../islands/desk/entryGroup';
import { getConfig } from './config';
import { today } from './day';
import { getDb } from './db';
import { type Desk, fitPart, groundsOnly, loadDesk, waiting } from './desk';
import { NotHere } from './problem';
import { unreadCount } from './store/store';

/** What a page is asked with. */
interface Asked {
  readonly params: Record<string, string | undefined>;
  readonly locals: App.Locals;
  readonly url: URL;
}

/**
 * Loads what a page of a plan needs; `undefined` when there is no such plan, or no such state of it.
 * @param usual the state that is shown where the address names none (`?of=3`, `?of=draft`); pages that name none show the draft
 */
export async function planPage(
  { params, locals, url }: Asked,
  usual?: 'published',
): Promise<Desk | undefined> {
  const { planId } = params;
  if (!z.uuid().safeParse(planId).success || planId === undefined || !locals.session) return undefined;
  const named = usual && url.searchParams.get('of');
  const of = named ? StateInAddressSchema.safeParse(named).data : usual;
  if (named && of === undefined) return undefined;
  try {
    return await loadDesk(getDb(), locals.session, planId, of);
  } catch (error) {
    if (error instanceof NotHere) return undefined;
    throw error;
  }
}

/** What the layout shows around a page. */
export function frame(desk: Desk) {
  const { plan } = desk.draft.state;
  const counts = waiting(desk);
  const groups = plan.groups.map((group): EntryGroup => {
    const kinds = plan.channels.filter((channel) => channel.groupId === group.id).map(kindOf);
    const most = (['repeater', 'direct', 'listen'] as const).find(
      (kind) => kinds.length > 0 && kinds.filter((k) => k === kind).length * 2 >= kinds.length,
    );
    return { id: group.id, name: group.name, kind: most ?? 'empty' };
  });
  return {
    workspaceName: desk.workspace.name,
    me: {
      name: desk.session.name,
      role: desk.session.role,
      signedIn: desk.session.accountId !== null,
    },
    plan: { id: plan.id, name: plan.name, country: plan.country },
    plans: desk.plans.filter(({ id, archived }) => !archived || id === plan.id),
    groups,
    kinds: kindsInHand(desk),
    waiting: {
      devices: { count: counts.gather, what: 'devices that want a look' },
      check: { count: counts.arrange, what: 'findings of the plan that want something done' },
      fit: { count: counts.fit, what: 'cells that ask something' },
    },
    unread: allows(desk.session.role, 'editor') ? unreadCount(desk.workspace.id) : 0,
    demo: getConfig().UMBREX_DEMO === '1',
    judgedFor: desk.grounds.day > today() ? desk.grounds.day : null,
  };
}

/** The kinds of set in the fleet whose labels stand for channels from the factory on. */
function kindsInHand({ units, descriptions }: Desk) {
  const there = new Set(units.map(({ unit }) => unit.descriptionId));
  return descriptions
    .map(({ description }) => description)
    .filter(({ id, regions }) => there.has(id) && regions.some(({ content }) => content.kind === 'fixed'))
    .map(({ id, title }) => ({ id, title }));
}

/** What an island starts from: the desk without the keys of the devices. */
export function deskProps(desk: Desk) {
  return {
    ...desk.state,
    units: desk.units.map(({ unit }) => unit),
    descriptions: desk.descriptions.map(({ description }) => fitPart(description)),
    board: desk.board,
    grounds: groundsOnly(
      desk.grounds,
      desk.units.map(({ unit }) => unit.id),
    ),
    teams: allows(desk.session.role, 'editor') ? desk.teams : [],
    mayEdit: allows(desk.session.role, 'editor'),
  };
}
