import {
  type Channel,
  type Description,
  type Field,
  factoryMemory,
  type Holds,
  isForChannels,
  type ListItem,
  type Memory,
  type Slot,
  type SlotContent,
  slotReader,
  slotsOf,
  type Unit,
  writtenLists,
} from '../model/index';
import { ANYBODY, type Sender } from '../rules/index';
import type { Carries } from './carried';
import { isMeantFor } from './meant';

/** A description made ready for many look-ups: slots, lists written out, fields by what they hold, factory memory. */
export interface FitDevice {
  readonly description: Description;
  readonly slots: readonly Slot[];
  readonly slotAt: ReadonlyMap<number, Slot>;
  readonly slotsOn: ReadonlyMap<number, readonly Slot[]>;
  /** The place that people find under a number on its display. */
  readonly slotRead: ReadonlyMap<number, Slot>;
  /** The number that people read at a place, by its memory number. */
  readonly readAs: ReadonlyMap<number, number>;
  /** Receive frequencies of the slots whose preset tone only the set's own make knows; no plan's channel goes there. */
  readonly hiddenOn: ReadonlySet<number>;
  readonly freeSlots: readonly Slot[];
  /** Free slots that hold something now, with the frequency they receive on, in hertz; `null` where nobody knows it. */
  readonly filled: ReadonlyMap<number, number | null>;
  /** What each of those does on the air now. */
  readonly holding: ReadonlyMap<number, SlotContent>;
  readonly lists: Readonly<Record<string, readonly ListItem[]>>;
  readonly field: Readonly<Partial<Record<Holds, Field>>>;
  readonly present: Memory;
  /** For a repeater, the channel of the plan that it carries; `null` where nobody has said which. */
  readonly carries: string | null;
  /** The team or role it is set up for. */
  readonly roleId: string | null;
  /** Who sends with it, and on which day. */
  readonly sender: Sender;
  /** The groups of the plan that it carries, `null` for all. */
  readonly carriesGroups: Carries | null;
  /** The areas and the transmitter of an alert radio that has its own. */
  readonly alerts: Unit['alerts'];
}

/** What of one device counts besides what it holds: the numbers its holder keeps, a repeater's channel, its role, its own areas, who sends with it, which groups it carries. */
export type UnitPart = Partial<Pick<Unit, 'keeps' | 'carries' | 'roleId' | 'alerts'>> & {
  readonly sender?: Sender;
  readonly carriesGroups?: Carries | null;
};

/**
 * Prepares a description for the fit; the present memory is the factory's unless another is given, and a kind by itself is nobody's.
 */
export function fitDevice(
  description: Description,
  present: Memory = factoryMemory(description),
  {
    keeps = [],
    carries = null,
    roleId = null,
    sender = ANYBODY,
    carriesGroups = null,
    alerts = null,
  }: UnitPart = {},
): FitDevice {
  const kept = new Set(keeps);
  const slots = slotsOf(description).filter((slot) => !kept.has(slot.number));
  const slotsOn = new Map<number, Slot[]>();
  for (const slot of slots) {
    const hz = slot.fixed?.receiveHz;
    if (hz === undefined || slot.fixed?.hiddenTone) continue;
    const there = slotsOn.get(hz);
    if (there) there.push(slot);
    else slotsOn.set(hz, [slot]);
  }
  const slotRead = readBy(slots.filter(({ region }) => isForChannels(region)));
  const read = slotReader(description);
  const freeSlots = slots.filter((slot) => slot.region.content.kind === 'free');
  const holding = new Map(
    freeSlots.flatMap((slot) => {
      const content = read(slot, present.slots.get(slot.number) ?? null);
      return content ? [[slot.number, content] as const] : [];
    }),
  );
  return {
    description,
    slots,
    slotAt: new Map(slots.map((slot) => [slot.number, slot])),
    slotsOn,
    slotRead,
    readAs: new Map([...slotRead].map(([number, slot]) => [slot.number, number])),
    hiddenOn: new Set(slots.flatMap((slot) => (slot.fixed?.hiddenTone ? [slot.fixed.receiveHz] : []))),
    freeSlots,
    filled: new Map(
      [...holding].map(([number, content]) => [number, 'receiveHz' in content ? content.receiveHz : null]),
    ),
    holding,
    lists: writtenLists(description),
    field: Object.fromEntries(description.fields.map((field) => [field.holds, field])),
    present,
    carries,
    roleId,
    sender,
    carriesGroups,
    alerts,
  };
}

/**
 * Places by the number that people read: a label that is a number and no more (050 is 50) goes before one with letters (M50, 23R), and
 * letters count only where no other place has that number with other letters (R4 beside S4). A zone and a position (1-3) are no number.
 */
function readBy(slots: readonly Slot[]): Map<number, Slot> {
  const bare = new Map<number, Slot[]>();
  const lettered = new Map<number, Slot[]>();
  for (const slot of slots) {
    const runs = slot.label.match(/\d+/g) ?? [];
    const number = Number(runs[0]);
    if (runs.length !== 1 || !Number.isSafeInteger(number)) continue;
    const into = /^\d+$/.test(slot.label) ? bare : lettered;
    into.set(number, [...(into.get(number) ?? []), slot]);
  }
  return new Map(
    [...new Set([...bare.keys(), ...lettered.keys()])].flatMap((number) => {
      const [slot, ...others] = bare.get(number) ?? lettered.get(number) ?? [];
      return slot && others.length === 0 ? [[number, slot] as const] : [];
    }),
  );
}

/** The values a field can take; `undefined` when there is no such field, `unknown` when nobody has looked them up. */
export function valuesOf(device: FitDevice, holds: Holds): readonly ListItem[] | 'unknown' | undefined {
  const field = device.field[holds];
  if (!field) return undefined;
  if (field.list === undefined || field.list === 'unknown') return 'unknown';
  return device.lists[field.list] ?? 'unknown';
}

/** The free slots for a channel: those that have its frequency now, the empty ones, and last those that hold something else. */
export function freeSlotsFor({ freeSlots, filled }: FitDevice, channel: Channel): readonly Slot[] {
  const meant = freeSlots.filter((slot) => isMeantFor(slot, channel));
  if (filled.size === 0) return meant;
  const rank = ({ number }: Slot) => {
    const has = filled.get(number);
    return has === channel.receiveHz ? 0 : has === undefined ? 1 : 2;
  };
  return meant.toSorted((a, b) => rank(a) - rank(b));
}

/** The fixed slots that receive where a channel does. */
export function fixedSlotsOn({ slotsOn }: FitDevice, channel: Channel): readonly Slot[] {
  return (slotsOn.get(channel.receiveHz) ?? []).filter((slot) => isMeantFor(slot, channel));
}
