import {
  type Description,
  factoryMemory,
  factoryValues,
  type HasWays,
  hasField,
  type Memory,
  type Native,
  type Region,
  type Slot,
  type SlotValues,
  slotsOf,
  writtenLists,
} from '../model/index';

/** What an empty place holds, but for its frequency, once something is written to it: the factory's values of its fields. */
export function valuesOnceUsed(
  description: Pick<Description, 'fields'>,
  region: Region,
): Record<string, Native> {
  return Object.fromEntries(
    description.fields.flatMap(({ id, holds, factory }) =>
      holds !== 'receiveHz' && hasField(region, id) ? [[id, factory] as const] : [],
    ),
  );
}

/**
 * What is known of a set that nobody looked at: nothing of its free places and its settings; of the places that the factory set, what no
 * key and no cable can change.
 */
export function unknownMemory(description: Description): Memory {
  const slots = new Map<number, SlotValues>();
  for (const { number, fixed, region } of slotsOf(description))
    if (fixed) slots.set(number, constantValues(description, region));
  const lists = writtenLists(description);
  // What has one value alone is known.
  const settings = description.settings.flatMap(({ id, list }) =>
    lists[list]?.length === 1 ? [[id, 0] as const] : [],
  );
  return { slots, settings: Object.fromEntries(settings) };
}

/** The factory's values of the fields that a place has not: nothing changes them. */
export function constantValues(
  description: Pick<Description, 'fields'>,
  region: HasWays,
): Record<string, Native> {
  return Object.fromEntries(
    Object.entries(factoryValues(description)).filter(([field]) => !hasField(region, field)),
  );
}

/** How much of one place is known: whether it is empty, and of a used one the fields that nobody knows. */
export function knownOf(
  description: Pick<Description, 'fields'>,
  { number, region }: { readonly number: number; readonly region: Region },
  memory: Pick<Memory, 'slots'>,
): { readonly state: 'empty' | 'used' | 'unknown'; readonly unknown: readonly string[] } {
  const values = memory.slots.get(number);
  if (values === null) return { state: 'empty', unknown: [] };
  const unknown = description.fields.flatMap(({ id }) =>
    hasField(region, id) && values?.[id] === undefined ? [id] : [],
  );
  return { state: values === undefined ? 'unknown' : 'used', unknown };
}

/** The places of which something is not known, in the set's order. */
export function unknownPlaces(description: Description, memory: Memory): number[] {
  return slotsOf(description).flatMap((slot) => {
    const { state, unknown } = knownOf(description, slot, memory);
    return state === 'unknown' || unknown.length > 0 ? [slot.number] : [];
  });
}

/** Whether every place and every setting of a set is known. */
export function isWhollyKnown(description: Description, memory: Memory): boolean {
  return (
    description.settings.every(({ id }) => memory.settings[id] !== undefined) &&
    unknownPlaces(description, memory).length === 0
  );
}

/** The used places whose known values are not the factory's: what somebody put there. */
export function changedSinceFactory(description: Description, memory: Memory): number[] {
  const factory = factoryMemory(description);
  return slotsOf(description).flatMap(({ number, region }) => {
    const values = memory.slots.get(number);
    if (values === undefined || values === null) return [];
    const before = factory.slots.get(number) ?? null;
    const same =
      before !== null &&
      Object.entries(values).every(([field, value]) => !hasField(region, field) || before[field] === value);
    return same ? [] : [number];
  });
}

/** Whether a kind of set can be emptied place by place. */
export function canErase(
  { recipes }: Pick<Description, 'recipes'>,
  { region }: Pick<Slot, 'region'>,
): boolean {
  return recipes?.erase?.regions.includes(region.id) ?? false;
}
