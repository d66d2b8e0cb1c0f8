import type { Image } from '../fit/index';
import {
  type Description,
  type Field,
  type Memory,
  type Native,
  slotsOf,
  writtenLists,
} from '../model/index';
import { mhzText } from '../units/index';

/** One value to set, in the set's own words. */
export interface CardValue {
  readonly title: string;
  readonly shown: string;
  /** It is known to stand so: to be looked at, not to be set. */
  readonly isThere: boolean;
}

/** One place of the set with every value it shall have, in the order in which the set has its items. */
export interface CardSlot {
  readonly number: number;
  readonly label: string;
  readonly channelIds: readonly string[];
  readonly values: readonly CardValue[];
}

/**
 * What to set on a device whose keys nobody has described: per place its values, in the device's words and order, as it shows them.
 * Nothing here says how; that is in its own manual.
 */
export function valuesCard(description: Description, image: Image, now: Memory): CardSlot[] {
  const lists = writtenLists(description);
  return slotsOf(description).flatMap((slot): CardSlot[] => {
    const wanted = image.slots.get(slot.number);
    if (!wanted) return [];
    const values = description.fields.flatMap((field): CardValue[] => {
      const value = wanted.values[field.id];
      if (value === undefined || !slot.settable.includes(field.id)) return [];
      const shown =
        field.list === undefined
          ? typedText(field, value)
          : (lists[field.list]?.[Number(value)]?.shown ?? String(value));
      return [{ title: field.title, shown, isThere: now.slots.get(slot.number)?.[field.id] === value }];
    });
    return [{ number: slot.number, label: slot.label, channelIds: wanted.channelIds, values }];
  });
}

/** A value that is typed: a frequency in MHz, where a transmit frequency of 0 is as it hears; anything else as it is. */
function typedText({ holds }: Field, value: Native): string {
  if (holds === 'transmitHz' && value === 0) return 'as it hears';
  return holds === 'receiveHz' || holds === 'transmitHz' ? `${mhzText(Number(value))} MHz` : String(value);
}
