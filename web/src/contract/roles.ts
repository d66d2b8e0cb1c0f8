/** What somebody is in a workspace, from the most to the least they may do. */
export const ROLES = ['coordinator', 'editor', 'member', 'observer'] as const;
export type Role = (typeof ROLES)[number];

/** Whether a role may do what needs another. */
export function allows(role: Role, needed: Role): boolean {
  return ROLES.indexOf(role) <= ROLES.indexOf(needed);
}
