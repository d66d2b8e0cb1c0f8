import type { Plan } from '../model/index';

/** The same plan under new ids, for taking in a file whose ids are in use already. `newId` answers a UUID each time. */
export function withFreshIds(plan: Plan, newId: () => string): Plan {
  const groups = new Map(plan.groups.map((group) => [group.id, newId()]));
  const ids = new Map(plan.channels.map((channel) => [channel.id, newId()]));
  const { numbering } = plan;
  return {
    ...plan,
    numbering: numbering && {
      numbers: Object.fromEntries(
        Object.entries(numbering.numbers).flatMap(([id, number]) => {
          const fresh = ids.get(id);
          return fresh ? [[fresh, number]] : [];
        }),
      ),
      pins: numbering.pins.flatMap((id) => ids.get(id) ?? []),
    },
    id: newId(),
    groups: plan.groups.map((group) => ({ ...group, id: groups.get(group.id) ?? group.id })),
    channels: plan.channels.map((channel) => ({
      ...channel,
      id: ids.get(channel.id) ?? channel.id,
      groupId: groups.get(channel.groupId) ?? channel.groupId,
    })),
  };
}
