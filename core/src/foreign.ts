import type { Cell } from './fit/index';
import { afterSheet, ownPlaces, type Prepared, prepare, type UnitState } from './flow';
import { canErase, diff, heldMemory, isUnseen } from './memory/index';
import {
  type Channel,
  type Description,
  type Memory,
  type Plan,
  type SlotContent,
  type SlotValues,
  slotReader,
  slotsOf,
} from './model/index';
import { type Proof, prove, type Sheet, writeSheet } from './procedure/index';

/** One channel of somebody else's in a set beside what the plan has there: where, by which steps, and what to put back. */
export interface Foreign {
  readonly cell: Cell;
  readonly prepared: Prepared;
  /** What stood there before: something, nothing, or nobody knows. */
  readonly before: SlotContent | null | 'unknown';
  /** The channels of the plan that stand at that place, by id; until it is put back they are not there. */
  readonly displaces: readonly string[];
}

/** Places that a plan uses in a set, by number, with its channels. */
export type UsedPlaces = Readonly<Record<number, readonly string[]>>;

/**
 * Fits one channel that is in no plan to a set, and leaves all else as it is: a place that neither the plan nor the holder uses, else one of the
 * plan's, which has to be put back. `null` where the set cannot take it at all.
 * @param used the places that the plan uses in this set
 */
export function addForeign(
  plan: Plan,
  description: Description,
  unit: UnitState,
  channel: Channel,
  used: UsedPlaces,
): Foreign | null {
  const { memory: known } = heldMemory(description, unit.holds);
  const own = ownPlaces(description, known, unit.holds.wrote);
  const [group] = plan.groups;
  const alone: Plan = {
    ...plan,
    groups: group ? [group] : [],
    channels: [{ ...channel, groupId: group?.id ?? channel.groupId, tier: 'must' }],
    numbering: null,
    setup: {},
    carried: { kinds: {}, teams: {}, units: {} },
  };
  /** @param keeps numbers that are left alone */
  const tried = (keeps: readonly number[]): Foreign | null => {
    // What an earlier state of the plan wrote stays, whatever this one channel wants.
    const state = {
      ...unit,
      keeps: [...new Set([...unit.keeps, ...keeps])],
      holds: { ...unit.holds, wrote: {} },
      carriesGroups: null,
    };
    const prepared = prepare(alone, description, state);
    const [cell] = prepared.fit.cells;
    if (!cell?.slot) return null;
    const { number } = cell.slot;
    return {
      cell,
      prepared,
      before: beforeAt(description, prepared, known, number),
      displaces: used[number] ?? [],
    };
  };
  const taken = Object.keys(used).map(Number);
  return tried([...taken, ...own]) ?? tried(own);
}

function beforeAt(
  description: Description,
  { changes }: Prepared,
  known: Memory,
  number: number,
): Foreign['before'] {
  const change = changes.places.find(({ slot }) => slot.number === number);
  if (change && isUnseen(change)) return 'unknown';
  const slot = slotsOf(description).find((one) => one.number === number);
  const values = known.slots.get(number);
  if (!slot || values === undefined) return 'unknown';
  return slotReader(description)(slot, values);
}

/** The way back from somebody else's channel to what stood there: its steps with their proof, or why there are none. */
export type PutBack =
  | { readonly is: 'steps'; readonly sheet: Sheet; readonly proof: Proof }
  /** Nobody knows what stood there; or it was empty, and no step is known that empties such a place. */
  | { readonly is: 'not-known' }
  | { readonly is: 'stays' };

/**
 * What brings a set from a foreign channel back to what is known that it held before.
 * @param unit as it was before the channel was added
 */
export function putBack(description: Description, unit: UnitState, { prepared, before }: Foreign): PutBack {
  if (before === 'unknown' || prepared.changes.places.some(isUnseen)) return { is: 'not-known' };
  const { memory: known } = heldMemory(description, unit.holds);
  const settings: Record<string, number> = {};
  for (const { id, from } of prepared.changes.settings) {
    if (from === undefined) return { is: 'not-known' };
    settings[id] = from;
  }
  const slots = new Map<number, SlotValues>();
  for (const { slot } of prepared.changes.places) {
    const values = known.slots.get(slot.number);
    if (values === undefined) return { is: 'not-known' };
    if (values === null && !canErase(description, slot)) return { is: 'stays' };
    slots.set(slot.number, values);
  }
  const now = afterSheet(description, prepared);
  const wanted = { slots, settings };
  const sheet = writeSheet(description, diff(description, now, wanted), {
    pickedTone: unit.pickedTone ?? 'unknown',
    resets: false,
  });
  return { is: 'steps', sheet, proof: prove(description, now, wanted, sheet) };
}
