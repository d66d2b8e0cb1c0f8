import { z } from 'zod';
import { LineSchema } from './channel';
import type { Description } from './description';
import { listItems } from './lists';
import { factoryMemory, factoryValues, type Memory, type Native } from './memory';
import { slotsOf } from './slots';

/** One place of a set as somebody read it: each field in the set's own words, frequencies in hertz. */
export const HeldPlaceSchema = z.strictObject({
  number: z.number().int().min(0).max(99_999),
  // In the order of the alphabet, however a database gives it back: two readings compare by their text.
  values: z
    .record(LineSchema.max(41), z.union([LineSchema.max(40), z.number()]))
    .overwrite((values) => Object.fromEntries(Object.entries(values).sort(([a], [b]) => (a < b ? -1 : 1)))),
});
export type HeldPlace = z.infer<typeof HeldPlaceSchema>;

/** What somebody read that the description has no place or no value for. */
export interface NotUnderstood {
  readonly number: number;
  readonly field: string;
  readonly value: string;
}

/**
 * The memory of a set with what was read of it laid over the factory's; a field that was not read counts as the factory's.
 * What the description does not know comes back by name, and the place keeps the factory's value there.
 */
export function heldMemory(
  description: Description,
  places: readonly HeldPlace[],
): { memory: Memory; notUnderstood: readonly NotUnderstood[] } {
  const factory = factoryMemory(description);
  if (places.length === 0) return { memory: factory, notUnderstood: [] };
  const notUnderstood: NotUnderstood[] = [];
  const native = nativeReader(description);
  const slots = new Map(factory.slots);
  const byNumber = new Map(slotsOf(description).map((slot) => [slot.number, slot]));
  for (const { number, values } of places) {
    const slot = byNumber.get(number);
    if (!slot) {
      notUnderstood.push({ number, field: '', value: '' });
      continue;
    }
    const read: Record<string, Native> = {};
    for (const [field, value] of Object.entries(values)) {
      const known = native(field, value);
      if (known === undefined) notUnderstood.push({ number, field, value: String(value) });
      else read[field] = known;
    }
    const frequency = description.fields.find(({ holds }) => holds === 'receiveHz');
    const hasFrequency =
      slot.region.content.kind !== 'free' || !frequency || read[frequency.id] !== undefined;
    if (!hasFrequency) notUnderstood.push({ number, field: frequency?.id ?? '', value: '' });
    else slots.set(number, { ...factoryValues(description, slot.fixed ? undefined : 0), ...read });
  }
  return { memory: { ...factory, slots }, notUnderstood };
}

/** The places of a memory that hold something else than at the factory: what a holder would lose. */
export function ownPlaces(description: Description, memory: Memory): number[] {
  const factory = factoryMemory(description);
  return [...memory.slots].flatMap(([number, values]) => {
    const before = factory.slots.get(number) ?? null;
    const same =
      values === null || before === null
        ? values === before
        : Object.entries(values).every(([field, value]) => before[field] === value);
    return same ? [] : [number];
  });
}

/** Turns a field's value in the set's words into what the set itself holds; `undefined` for what it cannot hold. */
function nativeReader(
  description: Description,
): (field: string, value: string | number) => Native | undefined {
  const lists = Object.fromEntries(
    Object.entries(description.lists).map(([id, list]) => [id, listItems(list)]),
  );
  const fields = new Map(description.fields.map((field) => [field.id, field]));
  return (id, value) => {
    const field = fields.get(id);
    if (!field) return undefined;
    if (field.list !== undefined) {
      const index = lists[field.list]?.findIndex(({ shown }) => shown === String(value)) ?? -1;
      return index < 0 ? undefined : index;
    }
    if (field.holds === 'name') return String(value);
    if (field.holds === 'areaCode') return /^\d{6}$/.test(String(value)) ? String(value) : undefined;
    return typeof value === 'number' && Number.isInteger(value) && value >= 0 ? value : undefined;
  };
}
