import type { Plan } from '../model/index';

/** The same plan under new ids, for taking in a file whose ids are in use already. `newId` answers a UUID each time. */
export function withFreshIds(plan: Plan, newId: () => string): Plan {
  const groups = new Map(plan.groups.map((group) => [group.id, newId()]));
  const ids = new Map(plan.channels.map((channel) => [channel.id, newId()]));
  const { numbering, carried } = plan;
  const fresh = (of: Readonly<Record<string, readonly string[]>>) =>
    Object.fromEntries(
      Object.entries(of).map(([id, groupIds]) => [id, groupIds.map((group) => groups.get(group) ?? group)]),
    );
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
    carried: { kinds: fresh(carried.kinds), teams: fresh(carried.teams), units: fresh(carried.units) },
    id: newId(),
    groups: plan.groups.map((group) => ({ ...group, id: groups.get(group.id) ?? group.id })),
    channels: plan.channels.map((channel) => ({
      ...channel,
      id: ids.get(channel.id) ?? channel.id,
      groupId: groups.get(channel.groupId) ?? channel.groupId,
    })),
  };
}
