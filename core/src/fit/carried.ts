import type { Carried, Plan, Unit } from '../model/index';

/** Whose word it is that a set carries some groups and not all. */
export type CarriedBy = 'unit' | 'team' | 'kind';

/** The groups of the plan that a set carries, and who says so; `null` where nobody does: then it carries all. */
export interface Carries {
  readonly by: CarriedBy;
  readonly groupIds: readonly string[];
}

/**
 * The groups that a set carries of a plan. What is said of the set goes before what is said of the team that it is set up for, and that
 * before what is said of its kind: the nearer one knows better what it is for.
 */
export function carriedBy(
  { carried }: Partial<Pick<Plan, 'carried'>>,
  { id, roleId, descriptionId }: Pick<Unit, 'id' | 'roleId' | 'descriptionId'>,
): Carries | null {
  const { units = {}, teams = {}, kinds = {} } = carried ?? {};
  const said = (by: CarriedBy, groupIds: readonly string[] | undefined) => groupIds && { by, groupIds };
  return (
    said('unit', units[id]) ??
    said('team', roleId === null ? undefined : teams[roleId]) ??
    said('kind', kinds[descriptionId]) ??
    null
  );
}

/** Whether a set carries a group. */
export function doesCarry(carries: Carries | null, groupId: string): boolean {
  return carries === null || carries.groupIds.includes(groupId);
}

/** What is carried, with what is said of one kind, team or set put in; without groups nothing is said of it. */
export function withCarried(
  carried: Carried,
  of: keyof Carried,
  id: string,
  groupIds: readonly string[] | undefined,
): Carried {
  const { [id]: _, ...others } = carried[of];
  return { ...carried, [of]: groupIds ? { ...others, [id]: [...groupIds] } : others };
}
