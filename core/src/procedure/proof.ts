import type { Finding } from '../findings/index';
import {
  chanceOf,
  completed,
  firstDifference,
  isWhollyKnown,
  type Wanted,
  withWanted,
} from '../memory/index';
import { type Description, factoryMemory, type Memory, slotsOf } from '../model/index';
import { loadByFile } from './cable';
import type { Whereabouts } from './device/device';
import { CALM, type Replay, replay, SLOW } from './replay';
import type { Sheet } from './sheet';

/** On how many memories that agree with what is known a sheet is tried where something is unknown. */
export const TRIES_UNKNOWN = 20;
/** From how many places and modes a sheet is tried where all of the memory is known, and where a step of it turns until something shows. */
const TRIES_KNOWN = 2;
const TRIES_TURNING = 6;
const SEED = 20_261;

/** What came out of replaying a sheet on the virtual device. */
export interface Proof {
  /** Whether every replay ended with what is wanted, and nothing else changed; a sheet that is not proven is not ready. */
  readonly proven: boolean;
  /** Whether it also holds at the slow pace; if not, the sheet says to have things ready. */
  readonly slowToo: boolean;
  readonly firstDifference: Finding | null;
  readonly findings: readonly Finding[];
  /** How many memories, places and modes it was begun from. */
  readonly tried: number;
  /** The display after each step of the calm replays, line by line, where it was the same in all of them; a line that differed is left out. */
  readonly screens: readonly (readonly string[])[];
  /** After each step, how long the set waits for the next key before it forgets, in milliseconds; `undefined` where it does not. */
  readonly windowsMs: readonly (number | undefined)[];
  /** The display before the first step, where it was the same in all of them. */
  readonly begins: readonly string[];
  /** Minutes at the calm pace, the longest of the replays. */
  readonly minutes: number;
}

const NOT_REPLAYED = { slowToo: false, tried: 0, screens: [], begins: [], windowsMs: [], minutes: 0 };

/**
 * Proves a sheet: does it on virtual devices, and compares what each then holds with what it held before and with what is wanted, in every
 * place, field and setting. Where something is not known of the set, it is done on many memories that agree with what is; where the sheet
 * brings the set to its start itself, from many places and out of every mode, by turns calm and slow.
 * @param now what is known of the set; @param wanted what it shall hold
 */
export function prove(description: Description, now: Memory, wanted: Wanted, sheet: Sheet): Proof {
  const stops = sheet.findings.find((finding) => finding.severity === 'error');
  if (sheet.way === 'file' && !stops) return proveByFile(description, now, wanted, sheet);
  if (stops || !description.behaviour) {
    const firstDifference = stops ?? { code: 'steps-not-known' as const, severity: 'error' as const };
    return { proven: false, firstDifference, findings: sheet.findings, ...NOT_REPLAYED };
  }
  const calm: Replay[] = [];
  let difference: Finding | null = null;
  let slowDiffers: number | undefined;
  const turns = sheet.steps.some(({ runs }) => runs.some((run) => run.do === 'until'));
  const isKnown = isWhollyKnown(description, now);
  const goesTo = sheet.steps.find(({ slotNumber }) => slotNumber !== null)?.slotNumber ?? null;
  const tries = isKnown ? (turns ? TRIES_TURNING : TRIES_KNOWN) : TRIES_UNKNOWN;
  const begun = beginnings(description, now, tries, goesTo);
  for (const [i, { memory, from }] of begun.entries()) {
    const shall = withWanted(description, sheet.resets ? factoryMemory(description) : memory, wanted);
    const wrong = (done: Replay) =>
      firstDifference(description, shall, done.memory) ?? stillPicked(done) ?? done.brokenPromise;
    const isSlow = begun.length > TRIES_KNOWN && i % 2 === 1;
    if (!isSlow) {
      const done = replay(description, sheet.steps, CALM, { memory, picked: sheet.clears, from });
      calm.push(done);
      difference = wrong(done);
      if (difference) break;
    }
    if (isSlow || begun.length <= TRIES_KNOWN) {
      const done = replay(description, sheet.steps, SLOW, { memory, picked: sheet.clears, from });
      if (wrong(done)) slowDiffers ??= done.brokenAt ?? 0;
    }
  }
  const findings: Finding[] = [...(calm[0]?.radiates ?? [])];
  const slowToo = difference === null && slowDiffers === undefined;
  if (difference === null && slowDiffers !== undefined)
    findings.push({ code: 'proof-too-slow', severity: 'warning', step: slowDiffers + 1 });
  return {
    proven: difference === null,
    slowToo,
    firstDifference: difference,
    findings,
    tried: begun.length,
    screens: commonScreens(calm.map(({ screens }) => screens)),
    begins: commonScreens(calm.map(({ begins }) => [begins]))[0] ?? [],
    windowsMs: calm[0]?.windowsMs ?? [],
    minutes: Math.max(0, ...calm.map(({ ms }) => ms)) / 60_000,
  };
}

interface Begun {
  readonly memory: Memory;
  readonly from: Whereabouts | undefined;
}

/**
 * The sets a sheet is tried on: memories that agree with what is known, and, where the sheet asks nothing of the start, places and modes.
 * @param goesTo the place that the sheet goes to first
 */
export function beginnings(
  description: Description,
  now: Memory,
  tries: number,
  goesTo: number | null = null,
): Begun[] {
  const { behaviour, recipes } = description;
  const chance = chanceOf(SEED);
  const numbers = slotsOf(description).map(({ number }) => number);
  const modes = Object.keys(behaviour?.modes ?? {});
  return Array.from({ length: tries }, (_, i) => {
    const memory = completed(description, now, chance);
    const any = numbers[Math.floor(chance() * numbers.length)] ?? 0;
    // One of them stands already where the sheet goes first: then nothing is to be turned, and a hand may be too slow for what is open.
    const number = i === 1 && goesTo !== null ? goesTo : any;
    // The first one as the set comes on where the words say, the others out of every mode in turn.
    const from = recipes?.start && i > 0 ? { mode: modes[i % modes.length] ?? '', number } : undefined;
    return { memory, from };
  });
}

/** A set that a program loads: its data file is sent to virtual ones, read back, and compared in the same way. */
function proveByFile(description: Description, now: Memory, wanted: Wanted, sheet: Sheet): Proof {
  const { difference, tried } = tryFile(description, now, wanted);
  return {
    ...NOT_REPLAYED,
    proven: difference === null,
    slowToo: difference === null,
    firstDifference: difference,
    findings: sheet.findings,
    tried,
  };
}

/** What a data file comes to on virtual sets that agree with what is known of this one: the first difference, if there is any. */
export function tryFile(
  description: Description,
  now: Memory,
  wanted: Wanted,
): { readonly difference: Finding | null; readonly tried: number } {
  const tries = isWhollyKnown(description, now) ? 1 : TRIES_UNKNOWN;
  const begun = beginnings(description, now, tries);
  let difference: Finding | null = null;
  for (const { memory } of begun) {
    const loaded = loadByFile(description, memory, wanted);
    difference =
      loaded.refused ?? firstDifference(description, withWanted(description, memory, wanted), loaded.memory);
    if (difference) break;
  }
  return { difference, tried: begun.length };
}

/** What every display showed alike after each step. */
function commonScreens(replays: readonly (readonly (readonly string[])[])[]): string[][] {
  const [first = [], ...others] = replays;
  return first.map((screen, i) =>
    screen.filter((line, k) => others.every((other) => other[i]?.[k] === line)),
  );
}

/** A tone picked by hand that the steps were to clear, and did not. */
function stillPicked({ picked }: Replay): Finding | null {
  return picked === 0 ? null : { code: 'proof-still-picked', severity: 'error' };
}
