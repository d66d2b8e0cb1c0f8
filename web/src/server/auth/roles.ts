import { z } from 'zod';

/** What somebody is in a workspace, from the most to the least they may do. */
export const RoleSchema = z.enum(['coordinator', 'editor', 'member', 'observer']);
export type Role = z.infer<typeof RoleSchema>;

/** Whether a role may do what needs another. */
export function allows(role: Role, needed: Role): boolean {
  return RoleSchema.options.indexOf(role) <= RoleSchema.options.indexOf(needed);
}
