import type { Finding } from '../findings/index';
import {
  type Description,
  hasField,
  type Memory,
  type Native,
  type Slot,
  type SlotValues,
  slotsOf,
} from '../model/index';
import { knownOf, valuesOnceUsed } from './known';

/** What a set shall hold, as far as somebody decides it: places and settings that are not named stay as they are. */
export interface Wanted {
  /** `null` for a place that shall be empty. */
  readonly slots: ReadonlyMap<number, SlotValues>;
  readonly settings: Readonly<Record<string, number>>;
}

/** One place that must change: what is known of it now, and what it shall hold. */
export interface PlaceChange {
  readonly slot: Slot;
  readonly was: 'empty' | 'used' | 'unknown';
  /** The known values of a used place. */
  readonly before: Readonly<Record<string, Native>>;
  /** Everything it shall hold; `null` when it shall be empty. */
  readonly to: SlotValues;
  /** The fields that must be set, or may have to be since nobody knows them, in the description's order. */
  readonly fields: readonly string[];
}

/** One setting of the whole set that must change; without `from` nobody knows how it stands. */
export interface SettingChange {
  readonly id: string;
  readonly from: number | undefined;
  readonly to: number;
}

/** What turns one memory into another one. */
export interface Changes {
  readonly places: readonly PlaceChange[];
  readonly settings: readonly SettingChange[];
}

/** Whether nothing at all is wanted of a set: then nothing is said of what it holds. */
export function wantsNothing({ slots, settings }: Wanted): boolean {
  return slots.size === 0 && Object.keys(settings).length === 0;
}

/** Whether a set holds all that is wanted, as far as is known of it. */
export function changesNothing({ places, settings }: Changes): boolean {
  return places.length === 0 && settings.length === 0;
}

/** What of a set must change for it to hold what is wanted, in the set's order; what is not known counts as to be set. */
export function diff(description: Description, now: Memory, wanted: Wanted): Changes {
  const places = slotsOf(description).flatMap((slot): PlaceChange[] => {
    const to = wanted.slots.get(slot.number);
    if (to === undefined) return [];
    const { state: was } = knownOf(description, slot, now);
    const before = now.slots.get(slot.number) ?? {};
    if (to === null) return was === 'empty' ? [] : [{ slot, was, before, to, fields: [] }];
    const from = was === 'empty' ? valuesOnceUsed(description, slot.region) : before;
    const fields = description.fields.flatMap(({ id }) =>
      hasField(slot.region, id) && to[id] !== undefined && from[id] !== to[id] ? [id] : [],
    );
    // A free place is used as soon as one of its fields is; nothing need be set where all is as it shall be.
    return fields.length === 0 && was !== 'empty' ? [] : [{ slot, was, before, to, fields }];
  });
  const settings = description.settings.flatMap(({ id }): SettingChange[] => {
    const [from, to] = [now.settings[id], wanted.settings[id]];
    return to === undefined || from === to ? [] : [{ id, from, to }];
  });
  return { places, settings };
}

/** Whether something of a place must be set of which nobody knows how it stands. */
export function isUnseen({ was, before, fields }: Pick<PlaceChange, 'was' | 'before' | 'fields'>): boolean {
  return was === 'unknown' || (was === 'used' && fields.some((field) => before[field] === undefined));
}

/** A memory with changes done to it: `apply(a, diff(a, b))` holds what `b` names, and everything else as `a` has it. */
export function apply(memory: Memory, { places, settings }: Changes): Memory {
  const slots = new Map(memory.slots);
  for (const { slot, to } of places)
    slots.set(slot.number, to === null ? null : { ...slots.get(slot.number), ...to });
  return {
    slots,
    settings: { ...memory.settings, ...Object.fromEntries(settings.map(({ id, to }) => [id, to])) },
  };
}

/** A memory with what is wanted in it, and everything else as it was. */
export function withWanted(description: Description, memory: Memory, wanted: Wanted): Memory {
  return apply(memory, diff(description, memory, wanted));
}

/** The first place or setting in which a whole memory is not as another one; `null` when they are the same in every field. */
export function firstDifference(description: Description, wanted: Memory, found: Memory): Finding | null {
  for (const { number, region } of slotsOf(description)) {
    const [shall, has] = [wanted.slots.get(number) ?? null, found.slots.get(number) ?? null];
    const differs = valueDifference(shall, has, (field) => hasField(region, field));
    if (differs) return { code: 'proof-differs', severity: 'error', number, ...differs };
  }
  for (const { id } of description.settings)
    if (wanted.settings[id] !== found.settings[id])
      return {
        code: 'proof-setting-differs',
        severity: 'error',
        setting: id,
        wanted: String(wanted.settings[id]),
        found: String(found.settings[id]),
      };
  return null;
}

/** Whether two whole memories of one kind are the same in every place and setting. */
export function isSameMemory(description: Description, a: Memory, b: Memory): boolean {
  return firstDifference(description, a, b) === null;
}

function valueDifference(
  wanted: SlotValues,
  found: SlotValues,
  counts: (field: string) => boolean,
): { field: string; wanted: string; found: string } | null {
  if (wanted === null || found === null)
    return wanted === found
      ? null
      : { field: 'slot', wanted: wanted ? 'used' : 'empty', found: found ? 'used' : 'empty' };
  for (const field of new Set([...Object.keys(wanted), ...Object.keys(found)]))
    if (counts(field) && wanted[field] !== found[field])
      return { field, wanted: String(wanted[field]), found: String(found[field]) };
  return null;
}
