import type { Description } from './description';
import { slotsOf } from './slots';
import { type HasWays, hasField } from './ways';

/** A value as the device itself holds it: a place in a list, hertz for a frequency, text for a name. */
export type Native = number | string;

/** What a slot holds, by field id; `null` for a free slot that is empty. */
export type SlotValues = Readonly<Record<string, Native>> | null;

/**
 * A device's memory, or what is known of it: its places by number, and the settings of the whole set. A place that is not here is unknown,
 * and so is a field of a used place, or a setting, that is not here. A device itself knows all of its own.
 */
export interface Memory {
  readonly slots: ReadonlyMap<number, SlotValues>;
  readonly settings: Readonly<Record<string, number>>;
}

/**
 * What a slot holds at the factory, or right after a free slot was given a frequency (hertz).
 * @param region where only the fields that a region has are meant
 */
export function factoryValues(
  description: Pick<Description, 'fields'>,
  receiveHz?: number,
  region?: HasWays,
): Record<string, Native> {
  const values: Record<string, Native> = {};
  for (const field of description.fields) {
    if (region && !hasField(region, field.id)) continue;
    const isFrequency = FREQUENCIES.has(field.holds);
    if (!isFrequency) values[field.id] = field.factory;
    else if (receiveHz !== undefined)
      values[field.id] = field.holds === 'receiveHz' ? receiveHz : field.factory;
  }
  return values;
}

/** The fields of a place that are a frequency: nothing stands in them while it is empty. */
const FREQUENCIES: ReadonlySet<string> = new Set(['receiveHz', 'offsetHz', 'transmitHz']);

/** The memory of a set as it leaves the factory. */
export function factoryMemory(
  description: Pick<Description, 'fields' | 'regions' | 'settings' | 'loading'>,
): Memory {
  const slots = new Map<number, SlotValues>();
  for (const slot of slotsOf(description))
    slots.set(slot.number, slot.fixed ? factoryValues(description) : null);
  return {
    slots,
    settings: Object.fromEntries(description.settings.map((setting) => [setting.id, setting.factory])),
  };
}
