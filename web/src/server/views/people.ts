import { maySend } from '@umbrex/core/fit';
import { headOf, type Person } from '@umbrex/core/model';
import { neverTested } from '@umbrex/core/rules';
import { allows } from '../../contract/roles';
import { channelNames } from '../../messages/channelState';
import { counted } from '../../messages/labels';
import { today } from '../day';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { listMembers } from '../repositories/accounts';
import { listCardLinks } from '../repositories/cards';
import { listOutbox } from '../repositories/outbox';
import { listThings } from '../store/store';

/** The roster with its teams, and what each may transmit on with the sets they hold. */
export async function peopleView(desk: Desk) {
  const { workspace, state, units } = desk;
  const [people, teams] = await Promise.all([
    listThings(getDb(), 'person', workspace.id),
    listThings(getDb(), 'team', workspace.id),
  ]);
  return {
    planId: state.plan.id,
    people,
    teams,
    units: units.map(({ unit }) => unit),
    head: headOf(state.plan),
    planVersion: state.version,
    /** The links to cards of this plan, for those who give them out. */
    cardLinks: allows(desk.session.role, 'coordinator')
      ? await listCardLinks(getDb(), workspace.id, state.plan.id)
      : null,
    mayTalk: Object.fromEntries(people.map(({ value }) => [value.id, mayTalkText(value, desk)])),
    today: today(),
  };
}

/** What somebody sends on with the sets they hold, as the board and their sheets have it, in words. */
function mayTalkText({ id }: Person, { units, whole, state }: Desk): string {
  const sets = units.flatMap(({ unit }) => (unit.personId === id ? [unit.id] : []));
  if (sets.length === 0) return 'Holds no set of the list.';
  const { sends, unknown, of } = maySend(whole, new Set(sets), state.plan);
  const doubt = unknown > 0 ? `, ${unknown} not known` : '';
  return `Sends on ${sends} of ${counted(of, 'channel')}${doubt}. Check your local rules.`;
}

/** The nets; whom one can choose for them is for those who may change them. */
export async function netsView({ session, workspace, state: { plan } }: Desk) {
  const mayEdit = allows(session.role, 'editor');
  const mayLink = allows(session.role, 'coordinator');
  const names = channelNames(plan);
  const [nets, people] = await Promise.all([
    listThings(getDb(), 'net', workspace.id),
    mayEdit ? listThings(getDb(), 'person', workspace.id) : [],
  ]);
  return {
    planId: plan.id,
    /** Whether there is a calendar for them, and the links to it for those who give them out. */
    hasCalendar: allows(session.role, 'member'),
    links: mayLink ? await listCardLinks(getDb(), workspace.id, plan.id) : null,
    today: today(),
    nowMs: Date.now(),
    nets,
    // One on which nobody answers yet, or any more, says so wherever a net is on it.
    channels: plan.channels.map((channel) => ({
      id: channel.id,
      name: names.get(channel.id) ?? '',
      forNets: channel.transmitHz !== null && !neverTested(channel, plan),
    })),
    people: people.map(({ value }) => value.name),
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    mayEdit,
  };
}

/** Who belongs to the workspace, as what, and the mails that nobody sent. */
export async function teamView({ workspace }: Desk) {
  const [members, outbox, people] = await Promise.all([
    listMembers(getDb(), workspace.id),
    listOutbox(getDb(), workspace.id),
    listThings(getDb(), 'person', workspace.id),
  ]);
  return { members, outbox, people: people.map(({ value: { id, name } }) => ({ id, name })) };
}
