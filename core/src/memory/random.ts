import {
  type Description,
  type Field,
  hasField,
  type ListItem,
  type Memory,
  type Native,
  type Slot,
  type SlotValues,
  type Steps,
  slotsOf,
  stepsOf,
  writtenLists,
} from '../model/index';
import { constantValues } from './known';

/** A source of chance that gives the same numbers for the same seed, each from 0 up to, but not, 1. */
export function chanceOf(seed: number): () => number {
  let state = seed >>> 0 || 1;
  // xorshift32 (Marsaglia, 2003): good enough to make memories that differ, and the same in every run.
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
}

/**
 * A whole memory that agrees with what is known of a set, with chance for the rest: free places empty or used, every field at any value
 * it can have. Half of the unknown free places are used, fewer where the set cannot hold so many at once.
 */
export function completed(description: Description, known: Memory, chance: () => number): Memory {
  const lists = writtenLists(description);
  const slots = new Map<number, SlotValues>();
  const places = slotsOf(description);
  const constant = new Map(
    description.regions.map((region) => [region, constantValues(description, region)] as const),
  );
  const free = places.filter(({ region }) => region.content.kind === 'free');
  const room = Math.max(
    0,
    (description.capacity ?? free.length) - free.filter(({ number }) => known.slots.get(number)).length,
  );
  const open = free.filter(({ number }) => known.slots.get(number) === undefined);
  const isUsed = (slot: Slot) =>
    slot.fixed !== undefined ||
    chance() < (open.length === 0 ? 0 : Math.min(0.5, (0.8 * room) / open.length));
  let filled = 0;
  for (const slot of places) {
    const { number, region } = slot;
    const there = known.slots.get(number);
    const counts = region.content.kind === 'free' && there === undefined;
    if (there === null || (there === undefined && (!isUsed(slot) || (counts && filled >= room)))) {
      slots.set(number, null);
      continue;
    }
    if (counts) filled++;
    const values: Record<string, Native> = { ...constant.get(region), ...there };
    for (const field of description.fields)
      if (hasField(region, field.id) && values[field.id] === undefined)
        values[field.id] = anyValue(description, field, lists[field.list ?? ''], chance);
    slots.set(number, values);
  }
  const settings = Object.fromEntries(
    description.settings.map(({ id, list }) => [
      id,
      known.settings[id] ?? Math.floor(chance() * (lists[list]?.length ?? 1)),
    ]),
  );
  return { slots, settings };
}

function anyValue(
  { receive, transmit, names, identity }: Description,
  field: Field,
  list: readonly ListItem[] | undefined,
  chance: () => number,
): Native {
  const below = (count: number) => Math.floor(chance() * count);
  const digits = (count: number) => Array.from({ length: count }, () => below(10)).join('');
  if (list && list.length > 0) return below(list.length);
  switch (field.holds) {
    case 'receiveHz': {
      if (receive === 'unknown' || receive.bands.length === 0) return 0;
      const band = receive.bands[below(receive.bands.length)];
      return onAnyStep(receive, band ?? { fromHz: 0, toHz: 0 }, below);
    }
    case 'transmitHz': {
      // As it hears, or on any step, of a whole kilohertz where nobody knows them, of a band in which it sends.
      const band = transmit === 'unknown' ? undefined : transmit.bands[below(transmit.bands.length)];
      if (!band || chance() < 0.5) return 0;
      return onAnyStep(receive === 'unknown' ? { stepHz: 1000 } : receive, band, below);
    }
    case 'name': {
      if (typeof names !== 'object') return '';
      const letters = [...names.characters];
      const text = Array.from({ length: 1 + below(names.length) }, () => letters[below(letters.length)]);
      return text.join('').trim();
    }
    case 'areaCode':
      return digits(6);
    case 'fleetId':
      return typeof identity === 'object' ? digits(identity.digits) : '';
    default:
      return field.factory;
  }
}

/** Any frequency (hertz) of a band that is a whole number of one of a set's steps. */
function onAnyStep(
  steps: Steps,
  { fromHz, toHz }: { readonly fromHz: number; readonly toHz: number },
  below: (count: number) => number,
): number {
  const all = stepsOf(steps);
  const stepHz = all[all.length > 1 ? below(all.length) : 0] ?? 1;
  const first = Math.ceil(fromHz / stepHz);
  return (first + below(Math.floor(toHz / stepHz) - first + 1)) * stepHz;
}
