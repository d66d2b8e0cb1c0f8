import { chanceOf, completed, isSameMemory, unknownMemory } from '../memory/index';
import { type Description, slotsOf, writtenLists } from '../model/index';
import { VirtualDevice } from './device/device';
import { CALM, minutesAt } from './replay';
import { doRuns } from './runs';
import type { SheetStep } from './step';
import { Writer } from './writer';

/** What to do when nobody knows any more what the set shows: the way back to where the steps of a sheet begin. */
export interface WayBack {
  readonly steps: readonly SheetStep[];
  /** Where it then stands: on this number, or, where it is `null`, on a place that nobody knows. */
  readonly standsOn: number | null;
  readonly minutes: number;
  /** From how many screens it was tried, each with several memories and places. */
  readonly screens: number;
}

/** With how many memories and places it is tried from each screen. */
const TRIES = 3;
const SEED = 77_031;

const known = new WeakMap<Description, WayBack | null>();

/**
 * The way back to where the steps begin, from whatever a set shows: tried on the virtual one from each of its modes, with memories and
 * places by chance. It ends where the steps begin and leaves everything as it was; one that does not is none.
 */
export function wayBack(description: Description): WayBack | null {
  const before = known.get(description);
  if (before !== undefined) return before;
  const found = triedWayBack(description);
  known.set(description, found);
  return found;
}

function triedWayBack(description: Description): WayBack | null {
  const { recipes, behaviour } = description;
  if (!recipes?.start || !behaviour) return null;
  const slots = slotsOf(description);
  const writer = new Writer(description, recipes, slots, writtenLists(description), undefined);
  writer.part = 'start';
  writer.once(recipes.start.steps);
  if (writer.stuck.length > 0) return null;
  const { steps } = writer;
  const chance = chanceOf(SEED);
  const begins = modeAfter(new VirtualDevice(description), steps);
  const modes = Object.keys(behaviour.modes);
  for (const mode of modes)
    for (let n = 0; n < TRIES; n++) {
      const memory = completed(description, unknownMemory(description), chance);
      const number = slots[Math.floor(chance() * slots.length)]?.number ?? recipes.startNumber;
      const device = new VirtualDevice(description, memory, 0, { mode, number });
      if (modeAfter(device, steps) !== begins) return null;
      if (!isSameMemory(description, memory, device.memory())) return null;
    }
  return {
    steps,
    standsOn: recipes.start.atStart ? recipes.startNumber : null,
    minutes: minutesAt(steps, CALM),
    screens: modes.length,
  };
}

/** The mode that steps end in. */
function modeAfter(device: VirtualDevice, steps: readonly SheetStep[]): string {
  for (const { runs } of steps)
    doRuns(
      runs,
      (event) => device.take(event),
      () => device.screen(),
      CALM.betweenKeysMs,
    );
  return device.snapshot().mode;
}
