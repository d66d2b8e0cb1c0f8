import type { Finding } from '../findings/index';
import type { Description, Memory } from '../model/index';
import { VirtualDevice, type Whereabouts } from './device/device';
import type { KeyEvent } from './events';
import { doRuns, handMs, showsWords } from './runs';
import type { SheetStep } from './step';

/** How fast somebody works through a sheet, in milliseconds between the keys of a step and between steps. */
export interface Pace {
  readonly name: 'calm' | 'slow';
  readonly betweenKeysMs: number;
  readonly betweenStepsMs: number;
}

/** Somebody who knows the keys, and somebody who looks for each (common practice, no source). */
export const CALM: Pace = { name: 'calm', betweenKeysMs: 300, betweenStepsMs: 1500 };
/** As somebody goes who reads each step twice. */
export const SLOW: Pace = { name: 'slow', betweenKeysMs: 800, betweenStepsMs: 4500 };

/** How long steps take at a pace, in minutes; where presses depend on what the set holds, on average. */
export function minutesAt(steps: readonly Replayable[], pace: Pace): number {
  const ms = steps.reduce((sum, { runs }) => sum + handMs(runs, pace.betweenKeysMs) + pace.betweenStepsMs, 0);
  return ms / 60_000;
}

/** What a step needs to be done over again. */
export type Replayable = Pick<SheetStep, 'runs' | 'promises'> & Partial<Pick<SheetStep, 'hides'>>;

/** What a set is when somebody begins with a sheet. */
export interface Beginning {
  /** What it holds; as from the factory where nothing is given. */
  readonly memory?: Memory | undefined;
  /** The tone picked by hand, as a place in the operator's list. */
  readonly picked?: number;
  /** What it does and where it stands; as it comes on where nothing is given. */
  readonly from?: Whereabouts | undefined;
}

/** What came of doing steps on a virtual device. */
export interface Replay {
  readonly memory: Memory;
  /** The display before the first step, and after each. */
  readonly begins: readonly string[];
  readonly screens: readonly (readonly string[])[];
  readonly windowsMs: readonly (number | undefined)[];
  /** The first promise of a display that was not kept, or the first turn that never came to its end. */
  readonly brokenPromise: Finding | null;
  readonly brokenAt: number | undefined;
  readonly radiates: readonly Finding[];
  /** The tone picked by hand in the end, as a place in the operator's list. */
  readonly picked: number;
  readonly ms: number;
}

/** Does the steps on a virtual device at a pace, reading its display where a step turns until something shows. */
export function replay(
  description: Description,
  steps: readonly Replayable[],
  pace: Pace,
  { memory, picked = 0, from }: Beginning = {},
): Replay {
  const device = new VirtualDevice(description, memory, picked, from);
  const begins = device.screen();
  const screens: (readonly string[])[] = [];
  const windowsMs: (number | undefined)[] = [];
  const radiates: Finding[] = [];
  let brokenPromise: Finding | null = null;
  let brokenAt: number | undefined;
  let keys = 0;
  const happen = (event: KeyEvent) => {
    if (event.kind !== 'wait') keys++;
    device.take(event);
  };
  const breaks = (i: number, finding: Finding) => {
    brokenAt ??= i;
    brokenPromise ??= finding;
  };
  steps.forEach((step, i) => {
    const sentBefore = device.emissions().length;
    const keysBefore = keys;
    const before = device.screen();
    const never = doRuns(step.runs, happen, () => device.screen(), pace.betweenKeysMs);
    if (never !== null)
      breaks(i, { code: 'proof-never-shown', severity: 'error', step: i + 1, wanted: never });
    const screen = device.screen();
    screens.push(screen);
    windowsMs.push(device.windowMs());
    if (step.promises !== undefined && !showsWords(screen, step.promises))
      breaks(i, {
        code: 'proof-screen-differs',
        severity: 'error',
        step: i + 1,
        wanted: step.promises,
        found: screen.join(' / '),
      });
    // Gone from where it stood: the same word may belong to another line, as a name of “7” under the title “7 TITLE”.
    if (step.hides !== undefined && !isGone(before, screen, step.hides))
      breaks(i, {
        code: 'proof-still-shown',
        severity: 'error',
        step: i + 1,
        gone: step.hides,
        found: screen.join(' / '),
      });
    if (device.emissions().length > sentBefore)
      radiates.push({ code: 'may-radiate', severity: 'warning', step: i + 1 });
    // Where nothing is to be done, since it shows what it shall, a hand goes on to the next step.
    happen({ kind: 'wait', ms: keys === keysBefore ? pace.betweenKeysMs : pace.betweenStepsMs });
  });
  return {
    memory: device.memory(),
    begins,
    screens,
    windowsMs,
    brokenPromise,
    brokenAt,
    radiates,
    picked: device.pickedTone(),
    ms: device.nowMs(),
  };
}

/** Whether a text is gone from where it stood: a line that stays as it was may have the same word of its own, no other line shows it. */
function isGone(before: readonly string[], now: readonly string[], text: string): boolean {
  const shows = (line: string | undefined) => line !== undefined && showsWords([line], text);
  if (!now.some(shows)) return true;
  const isElsewhere = now.some((line, i) => shows(line) && line !== before[i]);
  return !isElsewhere && before.some((line, i) => shows(line) && !shows(now[i]));
}
