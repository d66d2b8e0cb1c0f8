import { z } from 'zod';
import { LineSchema } from './channel';
import type { Description } from './description';
import { writtenLists } from './lists';
import { factoryMemory, factoryValues, type Memory, type Native } from './memory';
import { slotsOf } from './slots';

// In the order of the alphabet, however a database gives it back: two readings compare by their text.
const inOrder = <V>(values: Record<string, V>): Record<string, V> =>
  Object.fromEntries(Object.entries(values).sort(([a], [b]) => (a < b ? -1 : 1)));
const name = LineSchema.max(41);

/** One place of a set as somebody read it: each field in the set's own words, frequencies in hertz. */
export const HeldPlaceSchema = z.strictObject({
  number: z.number().int().min(0).max(99_999),
  values: z.record(name, z.union([LineSchema.max(40), z.number()])).overwrite(inOrder),
});
export type HeldPlace = z.infer<typeof HeldPlaceSchema>;

/** Settings of the whole set as somebody read them, in the set's own words, by their ids. */
export const HeldSettingsSchema = z.record(name, LineSchema.max(40)).overwrite(inOrder);

/** What was read of a set: the places and settings that are not as the factory left them. */
export interface Held {
  readonly places: readonly HeldPlace[];
  readonly settings: Readonly<Record<string, string>>;
}

/** What somebody read that the description has no place, no setting or no value for; without a number it is about the whole set. */
export interface NotUnderstood {
  readonly number: number | null;
  readonly field: string;
  readonly value: string;
}

/**
 * The memory of a set with what was read of it laid over the factory's; what was not read counts as the factory's.
 * What the description does not know comes back by name, and the factory's value stands there.
 */
export function heldMemory(
  description: Description,
  held: Held,
): { memory: Memory; notUnderstood: readonly NotUnderstood[] } {
  const factory = factoryMemory(description);
  const notUnderstood: NotUnderstood[] = [];
  const lists = writtenLists(description);
  const native = nativeReader(description, lists);
  const slots = new Map(factory.slots);
  const byNumber = new Map(slotsOf(description).map((slot) => [slot.number, slot]));
  for (const { number, values } of held.places) {
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
    if (!hasFrequency && frequency && values[frequency.id] === undefined)
      notUnderstood.push({ number, field: frequency.id, value: '' });
    else if (hasFrequency)
      slots.set(number, { ...factoryValues(description, slot.fixed ? undefined : 0), ...read });
  }
  const settings = { ...factory.settings };
  for (const [id, shown] of Object.entries(held.settings)) {
    const list = lists[description.settings.find((setting) => setting.id === id)?.list ?? ''] ?? [];
    const index = list.findIndex((item) => item.shown === shown);
    if (index < 0) notUnderstood.push({ number: null, field: id, value: shown });
    else settings[id] = index;
  }
  return { memory: { slots, settings }, notUnderstood };
}

/** What a memory holds besides what it left the factory with, in the set's own words: the other way of `heldMemory`. */
export function heldOf(description: Description, memory: Memory): Held {
  const shown = shownWriter(description);
  const lists = writtenLists(description);
  const own = new Set(ownPlaces(description, memory));
  return {
    places: slotsOf(description).flatMap(({ number }): HeldPlace[] => {
      const values = memory.slots.get(number);
      if (!values || !own.has(number)) return [];
      const entries = Object.entries(values).map(([field, value]) => [field, shown(field, value)] as const);
      return [{ number, values: inOrder(Object.fromEntries(entries)) }];
    }),
    settings: inOrder(
      Object.fromEntries(
        description.settings.flatMap(({ id, list, factory }) => {
          const at = memory.settings[id] ?? factory;
          const item = lists[list]?.[at];
          return at === factory || !item ? [] : [[id, item.shown] as const];
        }),
      ),
    ),
  };
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

/** Turns a field's value as the set holds it into the set's words. */
export function shownWriter(description: Description): (field: string, value: Native) => string | number {
  const lists = writtenLists(description);
  const fields = new Map(description.fields.map((field) => [field.id, field]));
  return (id, value) => {
    const list = fields.get(id)?.list;
    return list === undefined ? value : (lists[list]?.[Number(value)]?.shown ?? value);
  };
}

/** The other way of `shownWriter`; `undefined` for what the set cannot hold. */
function nativeReader(
  description: Description,
  lists: ReturnType<typeof writtenLists>,
): (field: string, value: string | number) => Native | undefined {
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
    if (field.holds === 'fleetId') return isFleetId(description, String(value)) ? String(value) : undefined;
    return typeof value === 'number' && canHear(description, value) ? value : undefined;
  };
}

/** Whether a set can hold this as an ID; nothing is one too. Where nobody knows its digits, any will do. */
export function isFleetId({ identity }: Pick<Description, 'identity'>, text: string): boolean {
  return (
    text === '' ||
    (/^\d{1,8}$/.test(text) && (typeof identity !== 'object' || text.length === identity.digits))
  );
}

/** Whether a frequency (hertz) can be entered on a set at all; where nobody knows what it hears, any that is whole. */
export function canHear({ receive }: Pick<Description, 'receive'>, hz: number): boolean {
  if (receive === 'unknown') return Number.isInteger(hz) && hz > 0;
  return hz % receive.stepHz === 0 && receive.bands.some(({ fromHz, toHz }) => hz >= fromHz && hz <= toHz);
}
