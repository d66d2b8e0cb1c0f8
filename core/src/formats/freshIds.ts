import type { Plan } from '../model/index';

/** The same plan under new ids, for taking in a file whose ids are in use already. `newId` answers a UUID each time. */
export function withFreshIds(plan: Plan, newId: () => string): Plan {
  const groups = new Map(plan.groups.map((group) => [group.id, newId()]));
  return {
    ...plan,
    id: newId(),
    groups: plan.groups.map((group) => ({ ...group, id: groups.get(group.id) ?? group.id })),
    channels: plan.channels.map((channel) => ({
      ...channel,
      id: newId(),
      groupId: groups.get(channel.groupId) ?? channel.groupId,
    })),
  };
}
