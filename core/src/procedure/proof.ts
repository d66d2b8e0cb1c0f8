import type { Finding } from '../findings/index';
import type { Image } from '../fit/index';
import {
  type Description,
  type Memory,
  type SlotContent,
  type SlotValues,
  slotReader,
  slotsOf,
} from '../model/index';
import { loadByFile } from './cable';
import type { KeyEvent } from './events';
import type { Sheet, SheetStep } from './sheet';
import { VirtualDevice } from './virtual';

/** How fast somebody works through a sheet, in milliseconds between the keys of a step and between steps. */
export interface Pace {
  readonly name: 'calm' | 'slow';
  readonly betweenKeysMs: number;
  readonly betweenStepsMs: number;
}

/** Somebody who knows the keys, and somebody who looks for each (common practice, no source). */
export const CALM: Pace = { name: 'calm', betweenKeysMs: 300, betweenStepsMs: 1500 };
export const SLOW: Pace = { name: 'slow', betweenKeysMs: 800, betweenStepsMs: 4500 };

/** What came out of replaying a sheet on the virtual device. */
export interface Proof {
  /** Whether the memory is the wanted one after a calm replay; a sheet that is not proven is not ready. */
  readonly proven: boolean;
  /** Whether it also holds at the slow pace; if not, the sheet says to have things ready. */
  readonly slowToo: boolean;
  readonly firstDifference: Finding | null;
  readonly findings: readonly Finding[];
  /** The display after each step of the calm replay. */
  readonly screens: readonly (readonly string[])[];
  /** After each step, how long the set waits for the next key before it forgets, in milliseconds; `undefined` where it does not. */
  readonly windowsMs: readonly (number | undefined)[];
  /** Minutes at the calm pace. */
  readonly minutes: number;
}

/**
 * Proves a sheet: replays its key events on a virtual device that holds what the image starts from, then compares the memory
 * with the image, field by field, and every other slot and setting with what it was. A set without keys of its own for it is proven
 * by its data file instead.
 */
export function prove(description: Description, image: Image, sheet: Sheet): Proof {
  const stops = sheet.findings.find((finding) => finding.severity === 'error');
  if (sheet.way === 'file' && !stops) return proveByFile(description, image, sheet);
  if (stops || !description.behaviour)
    return {
      proven: false,
      slowToo: false,
      firstDifference: stops ?? { code: 'steps-not-known', severity: 'error' },
      findings: sheet.findings,
      screens: [],
      windowsMs: [],
      minutes: 0,
    };
  const calm = replay(description, sheet.steps, CALM, image.before, sheet.clears);
  const difference =
    firstDifference(description, image, calm.memory) ?? stillPicked(calm) ?? calm.brokenPromise;
  const slow = replay(description, sheet.steps, SLOW, image.before, sheet.clears);
  const slowToo =
    difference === null && (firstDifference(description, image, slow.memory) ?? stillPicked(slow)) === null;
  const findings: Finding[] = [...calm.radiates];
  if (difference === null && !slowToo)
    findings.push({ code: 'proof-too-slow', severity: 'warning', step: (slow.brokenAt ?? 0) + 1 });
  return {
    proven: difference === null,
    slowToo,
    firstDifference: difference,
    findings,
    screens: calm.screens,
    windowsMs: calm.windowsMs,
    minutes: calm.ms / 60_000,
  };
}

/** A set that a program loads: its data file is sent to a virtual one, read back, and compared in the same way. */
function proveByFile(description: Description, image: Image, sheet: Sheet): Proof {
  const { memory, refused } = loadByFile(description, image);
  const difference = refused ?? firstDifference(description, image, memory);
  return {
    proven: difference === null,
    slowToo: difference === null,
    firstDifference: difference,
    findings: sheet.findings,
    screens: [],
    windowsMs: [],
    minutes: 0,
  };
}

export interface Replay {
  readonly memory: Memory;
  readonly screens: readonly (readonly string[])[];
  readonly windowsMs: readonly (number | undefined)[];
  readonly brokenPromise: Finding | null;
  readonly brokenAt: number | undefined;
  readonly radiates: readonly Finding[];
  /** The tone picked by hand in the end, as a place in the operator's list. */
  readonly picked: number;
  readonly ms: number;
}

/**
 * Does the steps on a virtual device at a pace; `events` of a step may be anything a hand can do.
 * @param before what the set holds at the start; as from the factory where nothing is given
 * @param picked the tone picked by hand at the start, as a place in the operator's list
 */
export function replay(
  description: Description,
  steps: readonly Pick<SheetStep, 'events' | 'promises'>[],
  pace: Pace,
  before?: Memory,
  picked = 0,
): Replay {
  const device = new VirtualDevice(description, before, picked);
  const screens: string[][] = [];
  const windowsMs: (number | undefined)[] = [];
  const radiates: Finding[] = [];
  let brokenPromise: Finding | null = null;
  let brokenAt: number | undefined;
  let ms = 0;
  const happen = (event: KeyEvent) => {
    device.take(event);
    ms += event.kind === 'wait' ? event.ms : event.heldMs;
  };
  steps.forEach((step, i) => {
    const sentBefore = device.emissions().length;
    step.events.forEach((event, k) => {
      if (k > 0) happen({ kind: 'wait', ms: pace.betweenKeysMs });
      happen(event);
    });
    const screen = device.screen();
    screens.push(screen);
    windowsMs.push(device.windowMs());
    if (step.promises !== undefined && !screen.some((line) => line.includes(step.promises as string))) {
      brokenAt ??= i;
      brokenPromise ??= {
        code: 'proof-screen-differs',
        severity: 'error',
        step: i + 1,
        wanted: step.promises,
        found: screen.join(' / '),
      };
    }
    if (device.emissions().length > sentBefore)
      radiates.push({ code: 'may-radiate', severity: 'warning', step: i + 1 });
    happen({ kind: 'wait', ms: pace.betweenStepsMs });
  });
  return {
    memory: device.memory(),
    screens,
    windowsMs,
    brokenPromise,
    brokenAt,
    radiates,
    picked: device.pickedTone(),
    ms,
  };
}

/** A tone picked by hand that the steps were to clear, and did not. */
function stillPicked({ picked }: Replay): Finding | null {
  return picked === 0 ? null : { code: 'proof-still-picked', severity: 'error' };
}

/** The first place where a memory is not as the image wants it; every slot outside the image must be as it was before. */
export function firstDifference(description: Description, image: Image, memory: Memory): Finding | null {
  const { before } = image;
  const read = slotReader(description);
  for (const slot of slotsOf(description)) {
    const wanted = image.slots.get(slot.number);
    const found = memory.slots.get(slot.number) ?? null;
    const differs = wanted
      ? contentDifference(wanted.content, read(slot, found))
      : valueDifference(before.slots.get(slot.number) ?? null, found);
    if (differs) return { code: 'proof-differs', severity: 'error', number: slot.number, ...differs };
  }
  for (const [setting, value] of Object.entries({ ...before.settings, ...image.settings }))
    if (memory.settings[setting] !== value)
      return {
        code: 'proof-setting-differs',
        severity: 'error',
        setting,
        wanted: String(value),
        found: String(memory.settings[setting]),
      };
  return null;
}

interface Difference {
  readonly field: string;
  readonly wanted: string;
  readonly found: string;
}

function contentDifference(wanted: SlotContent, found: SlotContent | null): Difference | null {
  for (const key of Object.keys(wanted) as (keyof SlotContent)[]) {
    const value = found ? found[key] : 'empty';
    if (wanted[key] !== value) return { field: key, wanted: String(wanted[key]), found: String(value) };
  }
  return null;
}

function valueDifference(wanted: SlotValues, found: SlotValues): Difference | null {
  if (wanted === null || found === null)
    return wanted === found
      ? null
      : { field: 'slot', wanted: wanted ? 'used' : 'empty', found: found ? 'used' : 'empty' };
  for (const [field, value] of Object.entries(wanted))
    if (found[field] !== value) return { field, wanted: String(value), found: String(found[field]) };
  return null;
}
