import { type Image, wantedBy } from '@umbrex/core/fit';
import { type Changes, diff, withWanted } from '@umbrex/core/memory';
import { type Description, factoryMemory, type Memory, type SlotValues, type Unit } from '@umbrex/core/model';

/** What a set as from the factory holds once an image is in it. */
export function memoryAfter(description: Description, image: Image): Memory {
  return withWanted(description, factoryMemory(description), wantedBy(image));
}

/** What turns a set as from the factory into one that holds an image. */
export function changesFor(description: Description, image: Image): Changes {
  return diff(description, factoryMemory(description), wantedBy(image));
}

/** A unit's contents as somebody read them; the rest as the factory left it. */
export function read(
  places: readonly { number: number; values: Record<string, string | number> | null }[],
  settings: Record<string, string> = {},
): Unit['holds'] {
  return {
    what: 'read',
    on: '2026-11-01',
    rest: 'factory',
    places: [...places],
    settings,
    wrote: {},
  };
}

/** A set that nobody has looked at. */
export const UNSEEN: Unit['holds'] = {
  what: 'unknown',
  on: 'unknown',
  rest: 'unknown',
  places: [],
  settings: {},
  wrote: {},
};

/** What a place holds: its values, nothing, or what nobody has looked at. */
export type HeldPlace = SlotValues | 'unseen';

/** A memory as from the factory but for some places and settings. */
export function holding(
  description: Description,
  places: Readonly<Record<number, HeldPlace>> = {},
  settings: Readonly<Record<string, number>> = {},
): Memory {
  const fresh = factoryMemory(description);
  const slots = new Map(fresh.slots);
  for (const [number, values] of Object.entries(places))
    if (values === 'unseen') slots.delete(Number(number));
    else slots.set(Number(number), values);
  return { slots, settings: { ...fresh.settings, ...settings } };
}
