import type { Finding } from '../findings/index';
import type { Image, WantedSlot } from '../fit/index';
import {
  type Description,
  isLoadedByProgram,
  type Slot,
  slotsOf,
  type Unit,
  writtenLists,
} from '../model/index';
import type { KeyEvent } from './events';
import { slotsInTurn } from './visits';
import { Writer } from './writer';

/** A run of like presses, as it is drawn: the key's legend, how often, how long held; or a pause. */
export type DrawnKeys =
  | { readonly kind: 'key'; readonly legend: string; readonly times: number; readonly heldMs?: number }
  | { readonly kind: 'pause'; readonly ms: number };

/** One numbered step of a sheet. */
export interface SheetStep {
  /** The slot it is about; `null` where it is about the whole set. */
  readonly slotNumber: number | null;
  readonly says: string;
  readonly keys: readonly DrawnKeys[];
  readonly events: readonly KeyEvent[];
  /** What the manual promises on the display afterwards. */
  readonly promises: string | undefined;
}

/** The steps that turn a device's present memory into the wanted one. */
export interface Sheet {
  /** By keys, by a file that a program sends, or by nobody knows which keys. */
  readonly way: 'keys' | 'file' | 'unknown';
  readonly steps: readonly SheetStep[];
  readonly presses: number;
  /** Slots whose contents go; empty slots are not among them. */
  readonly overwrites: readonly number[];
  /** The tone picked by hand that its first steps clear, as a place in the operator's list; 0 where there is none to clear. */
  readonly clears: number;
  readonly findings: readonly Finding[];
}

/**
 * Composes the recipes of a description into the steps for an image. Slots that already hold what is wanted get no step.
 * Reads the recipes alone, never the behaviour, so that replaying the sheet is a test of both.
 * @param pickedTone what is known of a tone picked by hand on this set
 */
export function writeSheet(
  description: Description,
  image: Image,
  pickedTone: Unit['pickedTone'] = 'unknown',
): Sheet {
  const recipes = description.recipes;
  if (!recipes) {
    const isByFile = isLoadedByProgram(description);
    return {
      way: isByFile ? 'file' : 'unknown',
      steps: [],
      presses: 0,
      clears: 0,
      overwrites: overwritten(description, image),
      findings: isByFile ? [] : [{ code: 'steps-not-known', severity: 'error' }],
    };
  }
  const slots = slotsOf(description);
  const lists = writtenLists(description);
  const start = slots.find((slot) => slot.number === recipes.startNumber);
  if (!start) throw new RangeError(`recipes.startNumber: ${recipes.startNumber}`);
  const writer = new Writer(description, recipes, slots, lists, start);
  const findings: Finding[] = [];
  const clears = recipes.clearPicked ? pickedPlace(description, lists, pickedTone) : 0;
  if (clears > 0) writer.clearPicked(clears);
  let isBegun = false;
  const changes = new Map(
    slots.flatMap((slot) => {
      const wanted = image.slots.get(slot.number);
      const fields = wanted ? changedFields(description, slot, wanted) : [];
      return wanted && fields.length > 0 ? [[slot.number, { wanted, fields }] as const] : [];
    }),
  );
  for (const slot of slotsInTurn(recipes, slots, start, ({ number }) => changes.has(number))) {
    const change = changes.get(slot.number);
    if (!change) continue;
    const { wanted, fields: changed } = change;
    if (!isBegun) writer.once(recipes.begin);
    isBegun = true;
    for (const field of changed)
      if (!recipes.order.includes(field)) findings.push({ code: 'no-recipe', severity: 'error', field });
    writer.slot(
      slot,
      wanted,
      recipes.order.filter((field) => changed.includes(field)),
    );
  }
  for (const setting of description.settings) {
    const to = image.settings[setting.id];
    const from = image.before.settings[setting.id] ?? setting.factory;
    if (to === undefined || to === from) continue;
    if (!recipes.settings[setting.id])
      findings.push({ code: 'no-recipe', severity: 'error', field: setting.title });
    if (!isBegun) writer.once(recipes.begin);
    isBegun = true;
    writer.setting(setting, from, to);
  }
  if (isBegun) writer.once(recipes.finish);
  return {
    way: 'keys',
    steps: writer.steps,
    presses: writer.presses,
    clears,
    overwrites: overwritten(description, image),
    findings,
  };
}

/** The place of a tone in the operator's list; 0 where none is picked, nobody knows, or the set has no such list. */
function pickedPlace(
  { operatorTone }: Description,
  lists: ReturnType<typeof writtenLists>,
  tone: Unit['pickedTone'],
): number {
  if (typeof operatorTone !== 'object' || tone === 'off' || tone === 'unknown') return 0;
  return Math.max(
    0,
    (lists[operatorTone.list] ?? []).findIndex(({ means }) => means === tone),
  );
}

/** The slots that hold something now and shall hold something else, in the set's order. */
function overwritten(description: Description, image: Image): number[] {
  return slotsOf(description).flatMap((slot) => {
    const wanted = image.slots.get(slot.number);
    const goes = wanted && wanted.present !== null && changedFields(description, slot, wanted).length > 0;
    return goes ? [slot.number] : [];
  });
}

/** The fields of a slot that must be set. An empty slot takes the factory's values once it has its frequency. */
function changedFields(description: Description, slot: Slot, wanted: WantedSlot): string[] {
  const before = wanted.present ?? (slot.fixed ? {} : afterFrequency(description));
  return Object.entries(wanted.values).flatMap(([field, value]) => (before[field] === value ? [] : [field]));
}

function afterFrequency(description: Description): Record<string, number | string> {
  return Object.fromEntries(
    description.fields.flatMap((field) => (field.holds === 'receiveHz' ? [] : [[field.id, field.factory]])),
  );
}
