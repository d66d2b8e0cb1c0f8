import type { Composed } from './flow';
import { canErase, diff, isUnseen, type PlaceChange, unknownMemory, valuesOnceUsed } from './memory/index';
import { type Description, factoryMemory, type Memory, type SlotValues } from './model/index';
import { type Proof, prove, type Sheet, type SheetStep, type StepPart, writeSheet } from './procedure/index';

/** Where somebody may have stopped: among the steps of one place, or of one part that is about the whole set. */
export interface Halt {
  readonly part: StepPart;
  readonly slotNumber: number | null;
}

/** A halt as it stands in an address: `work-12`, `settings`. */
export const haltText = ({ part, slotNumber }: Halt) =>
  slotNumber === null ? part : `${part}-${slotNumber}`;

/** The halts of a sheet, in its order. */
export function haltsOf({ steps }: Pick<Sheet, 'steps'>): Halt[] {
  return steps.flatMap(({ part, slotNumber }: SheetStep, i) =>
    i > 0 && steps[i - 1]?.part === part && steps[i - 1]?.slotNumber === slotNumber
      ? []
      : [{ part, slotNumber }],
  );
}

/** What is left of a sheet, and its proof. */
export interface Resumed extends Pick<Composed, 'now' | 'changes' | 'sheet'> {
  readonly proof: Proof;
  readonly halt: Halt;
}

/**
 * What is left to do of a sheet when somebody stopped at one of its halts, somewhere among its steps: what comes before is done, what
 * comes after is as it was, and of that place itself nothing is known. `null` where it is no halt of this sheet, or so near its beginning
 * that the whole sheet is begun again.
 */
export function resumed(description: Description, prepared: Composed, at: string): Resumed | null {
  const { sheet, wanted } = prepared;
  const halts = haltsOf(sheet);
  const found = halts.findIndex((halt) => haltText(halt) === at);
  const halt = halts[found];
  // The last steps follow from where the last place is left: that place is done once more.
  const stop = halt?.part === 'end' ? found - 1 : found;
  const part = halts[stop]?.part;
  if (!halt || part === undefined || part === 'start' || part === 'reset') return null;
  const now = memoryAt(description, prepared, halts, stop);
  const changes = diff(description, now, wanted);
  const rest = writeSheet(description, changes, { pickedTone: sheet.clears > 0 ? 'off' : 'unknown' });
  return { halt, now, changes, sheet: rest, proof: prove(description, now, wanted, rest) };
}

/** What is known of a set whose sheet was left at a halt. */
function memoryAt(
  description: Description,
  { now, sheet, changes, wanted }: Composed,
  halts: readonly Halt[],
  stop: number,
): Memory {
  const base = sheet.resets ? factoryMemory(description) : now;
  const slots = new Map<number, SlotValues>(base.slots);
  const unseen = unknownMemory(description);
  const forget = (number: number) => {
    const fixed = unseen.slots.get(number);
    if (fixed === undefined) slots.delete(number);
    else slots.set(number, fixed);
  };
  const whenIs = (part: StepPart, number: number | null) =>
    halts.findIndex((halt) => halt.part === part && halt.slotNumber === number);
  for (const change of changes.places) {
    const { slot, to } = change;
    const at = whenIs(to === null ? 'erase' : 'work', slot.number);
    if (at < 0 || at > stop) continue;
    const named = whenIs('names', slot.number);
    if (at === stop) forget(slot.number);
    else if (to === null) slots.set(slot.number, null);
    else slots.set(slot.number, doneTo(description, change, base, nameAt(named, stop)));
  }
  const whole = whenIs('settings', null);
  const settings = { ...base.settings };
  for (const { id } of whole >= 0 && whole <= stop ? changes.settings : []) {
    if (whole === stop) delete settings[id];
    else settings[id] = wanted.settings[id] ?? 0;
  }
  return { slots, settings };
}

/** How it stands with the name of a place whose other fields are done. */
const nameAt = (named: number, stop: number): 'set' | 'unknown' | 'as-before' =>
  named < stop ? 'set' : named === stop ? 'unknown' : 'as-before';

/** A place whose fields are set, but maybe for its name. */
function doneTo(
  description: Description,
  change: PlaceChange,
  base: Memory,
  name: ReturnType<typeof nameAt>,
): SlotValues {
  const { slot, to } = change;
  const isEmpty = change.was === 'empty' || (isUnseen(change) && canErase(description, slot));
  const before = isEmpty ? valuesOnceUsed(description, slot.region) : (base.slots.get(slot.number) ?? {});
  const nameField = description.fields.find(({ holds }) => holds === 'name')?.id;
  const done = Object.entries({ ...before, ...to }).flatMap(([field, value]) => {
    if (field !== nameField || name === 'set') return [[field, value] as const];
    const was = before[field];
    return name === 'as-before' && was !== undefined ? [[field, was] as const] : [];
  });
  return Object.fromEntries(done);
}
