import { allows } from '../../contract/roles';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { planFor } from '../planFor';

/** The channels to print. For everybody, unless a member asks for their own: a list that is printed gets about. */
export async function listView({ session, state }: Desk, forMembers: boolean) {
  const mayAsk = allows(session.role, 'member');
  const isWhole = forMembers && mayAsk;
  const { plan } = isWhole ? state : await planFor(getDb(), { ...session, role: 'observer' }, state.plan.id);
  const groups = plan.groups
    .map((group) => ({ group, channels: plan.channels.filter(({ groupId }) => groupId === group.id) }))
    .filter(({ channels }) => channels.length > 0);
  return { plan, groups, isWhole, mayAsk };
}
