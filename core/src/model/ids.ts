import { z } from 'zod';

/**
 * An id as descriptions use it, which is also the name of a property: none that every object has anyway, since a look-up would then find what
 * nobody wrote.
 */
export const idOf = (most: number) =>
  z
    .string()
    .regex(new RegExp(`^[a-z][a-zA-Z0-9-]{0,${most - 1}}$`))
    .refine(isNoCommonName, 'this name is taken in every object');

/** Whether something can be the name of a property of one's own. */
export function isNoCommonName(name: string): boolean {
  return !(name in Object.prototype);
}
