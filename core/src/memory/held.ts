import {
  canHear,
  canSend,
  type Description,
  factoryMemory,
  type Held,
  type HeldPlace,
  hasField,
  inOrder,
  isFleetId,
  type Memory,
  type Native,
  type SlotValues,
  slotsOf,
  writtenLists,
} from '../model/index';
import { constantValues, unknownMemory, valuesOnceUsed } from './known';

/** What somebody read that the description has no place, no setting or no value for; without a number it is about the whole set. */
export interface NotUnderstood {
  readonly number: number | null;
  readonly field: string;
  readonly value: string;
}

/**
 * What is known of a set's memory, from what somebody read, reset or wrote. The rest is the factory's where somebody said so, else it is
 * unknown, value by value. What the description does not know comes back by name, and stays unknown.
 */
export function heldMemory(
  description: Description,
  held: Held,
): { memory: Memory; notUnderstood: readonly NotUnderstood[] } {
  const rest = held.rest === 'factory' ? factoryMemory(description) : unknownMemory(description);
  const notUnderstood: NotUnderstood[] = [];
  const lists = writtenLists(description);
  const native = nativeReader(description, lists);
  const slots = new Map<number, SlotValues>(rest.slots);
  const byNumber = new Map(slotsOf(description).map((slot) => [slot.number, slot]));
  const frequency = description.fields.find(({ holds }) => holds === 'receiveHz');
  for (const { number, values } of held.places) {
    const slot = byNumber.get(number);
    if (!slot || (values === null && slot.fixed)) {
      notUnderstood.push({ number, field: '', value: '' });
      continue;
    }
    if (values === null) {
      slots.set(number, null);
      continue;
    }
    const read: Record<string, Native> = {};
    for (const [field, value] of Object.entries(values)) {
      const known = native(field, value);
      if (known === undefined) notUnderstood.push({ number, field, value: String(value) });
      else read[field] = known;
    }
    const needs = slot.region.content.kind === 'free' && frequency && hasField(slot.region, frequency.id);
    if (needs && read[frequency.id] === undefined) {
      if (values[frequency.id] === undefined) notUnderstood.push({ number, field: frequency.id, value: '' });
      continue;
    }
    const usual =
      held.rest === 'factory'
        ? { ...constantValues(description, slot.region), ...valuesOnceUsed(description, slot.region) }
        : constantValues(description, slot.region);
    slots.set(number, { ...(slots.get(number) ?? usual), ...read });
  }
  const settings = { ...rest.settings };
  for (const [id, shown] of Object.entries(held.settings)) {
    const list = lists[description.settings.find((setting) => setting.id === id)?.list ?? ''] ?? [];
    const index = list.findIndex((item) => item.shown === shown);
    if (index < 0) notUnderstood.push({ number: null, field: id, value: shown });
    else settings[id] = index;
  }
  return { memory: { slots, settings }, notUnderstood };
}

/**
 * What is known of a memory besides its rest, in the set's own words: the other way of `heldMemory`.
 * @param rest what the places that are not named are to count as
 */
export function heldOf(description: Description, memory: Memory, rest: Held['rest']): Held {
  const shown = shownWriter(description);
  const lists = writtenLists(description);
  const base = rest === 'factory' ? factoryMemory(description) : unknownMemory(description);
  const places = slotsOf(description).flatMap(({ number, region }): HeldPlace[] => {
    const values = memory.slots.get(number);
    if (values === undefined) return [];
    const there = base.slots.get(number);
    if (values === null) return there === null ? [] : [{ number, values: null }];
    const own = Object.entries(values).filter(([field]) => hasField(region, field));
    const isAsRest = there != null && own.every(([field, value]) => there[field] === value);
    if (isAsRest || own.length === 0) return [];
    return [
      { number, values: inOrder(Object.fromEntries(own.map(([id, value]) => [id, shown(id, value)]))) },
    ];
  });
  const settings = description.settings.flatMap(({ id, list }) => {
    const at = memory.settings[id];
    const item = at === undefined ? undefined : lists[list]?.[at];
    return item && at !== base.settings[id] ? [[id, item.shown] as const] : [];
  });
  return { rest, places, settings: inOrder(Object.fromEntries(settings)) };
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
    if (field.holds === 'transmitHz')
      return typeof value === 'number' && (value === 0 || canSend(description, value)) ? value : undefined;
    return typeof value === 'number' && canHear(description, value) ? value : undefined;
  };
}
