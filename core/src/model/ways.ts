import { z } from 'zod';
import { idOf } from './ids';

/** How the fields of a place can be set: by the set's own keys, or by a file that a program sends it over a cable or from a phone. */
export const WAYS = ['keys', 'file'] as const;
/** One of them. */
export type Way = (typeof WAYS)[number];

/** Fields of a place, and all the ways in which they can be set. */
export const WaySchema = z.strictObject({
  by: z.array(z.enum(WAYS)).min(1).max(WAYS.length),
  fields: z.array(idOf(41)).min(1).max(60),
});

/** What of a region says how its places are set. A field that is in none of them never changes. */
export interface HasWays {
  readonly ways: readonly z.infer<typeof WaySchema>[];
}

/** The fields of each list of ways, worked out once: sheets and proofs ask for them at every place. */
const known = new WeakMap<HasWays['ways'], Readonly<Record<Way, readonly string[]>> & { all: Set<string> }>();

function fieldsOf({ ways }: HasWays) {
  const found = known.get(ways);
  if (found) return found;
  const by = (way: Way) => ways.flatMap((one) => (one.by.includes(way) ? one.fields : []));
  const fields = { keys: by('keys'), file: by('file'), all: new Set(ways.flatMap((one) => one.fields)) };
  known.set(ways, fields);
  return fields;
}

/** The fields of a region that can be set in one way; none where its places are locked to it. */
export function fieldsBy(region: HasWays, way: Way): readonly string[] {
  return fieldsOf(region)[way];
}

/** Whether a place of a region has a field at all, in whatever way it is set. */
export function hasField(region: HasWays, field: string): boolean {
  return fieldsOf(region).all.has(field);
}

/** The ways of a region after a change of the fields of each. */
export function waysWith(
  region: HasWays,
  change: (fields: readonly string[], way: Way) => readonly string[],
): z.infer<typeof WaySchema>[] {
  return joined(change(fieldsBy(region, 'keys'), 'keys'), change(fieldsBy(region, 'file'), 'file'));
}

/** One list of ways out of the fields that keys set and those that a file sets: each field stands in it once. */
function joined<Id>(keys: readonly Id[], file: readonly Id[]) {
  const both = keys.filter((field) => file.includes(field));
  const only = (fields: readonly Id[]) => fields.filter((field) => !both.includes(field));
  const ways: { by: Way[]; fields: Id[] }[] = [
    { by: ['keys', 'file'], fields: both },
    { by: ['keys'], fields: only(keys) },
    { by: ['file'], fields: only(file) },
  ];
  return ways.filter(({ fields }) => fields.length > 0);
}

/**
 * Reads a region as descriptions wrote it before ways were one list: `keypad` and `cable`, each with its fields. Anything else is as it
 * stands; what is wrong with it is for the schema to say.
 */
export function waysFromTwoLists(region: unknown): unknown {
  if (typeof region !== 'object' || region === null || 'ways' in region || !('keypad' in region))
    return region;
  const { keypad, cable = [], ...rest } = region as { keypad: unknown; cable?: unknown };
  if (!Array.isArray(keypad) || !Array.isArray(cable)) return region;
  return { ...rest, ways: joined<unknown>([...new Set(keypad)], [...new Set(cable)]) };
}
