import type { Finding } from '../findings/index';
import { chanceOf, completed, firstDifference, isSameMemory, isWhollyKnown } from '../memory/index';
import { type Description, type Memory, slotsOf, type Unit, writtenLists } from '../model/index';
import { Bench } from './device/bench';
import { VirtualDevice } from './device/device';
import { CALM, type Pace, SLOW } from './replay';
import { doRuns, pressesOf, showsWords } from './runs';
import type { SheetStep } from './step';
import { Writer } from './writer';

/** One step of copying a set into another of its kind: at which of the two, and what the other one then shows. */
export interface CopyStep {
  readonly on: 'source' | 'target';
  readonly step: SheetStep;
  readonly otherShows: string | undefined;
}

/** Copying from set to set, as the manual has it, and whether it comes out right on two virtual ones. */
export interface Copying {
  readonly before: readonly string[];
  readonly steps: readonly CopyStep[];
  readonly presses: number;
  readonly minutes: number;
  readonly proven: boolean;
  readonly slowToo: boolean;
  readonly firstDifference: Finding | null;
  /** What the set in hand shows after each step of the calm replay. */
  readonly screens: readonly (readonly string[])[];
}

/** The steps of a kind of set that copies itself into another; `undefined` where it does not, or nobody wrote down how. */
export function copySteps(description: Description): { steps: CopyStep[]; presses: number } | undefined {
  const { recipes } = description;
  const slots = slotsOf(description);
  const start = slots.find(({ number }) => number === recipes?.startNumber);
  if (!recipes?.copy || !start) return undefined;
  const writer = new Writer(description, recipes, slots, writtenLists(description), start);
  const steps = recipes.copy.steps.flatMap(({ on, step, otherShows }): CopyStep[] => {
    writer.once([step]);
    const written = writer.steps.at(-1);
    return written ? [{ on, step: written, otherShows }] : [];
  });
  return { steps, presses: pressesOf(steps.flatMap(({ step }) => step.runs)).most };
}

/**
 * Proves that a set is copied into another one: both are virtual, the steps are done on each in turn, and what the second holds is compared
 * with what the first held, place by place. A copy takes everything: whatever the second held is gone.
 */
export function proveCopy(description: Description, source: Memory, target: Memory): Copying | undefined {
  const written = copySteps(description);
  if (!written || !description.behaviour) return undefined;
  const calm = play(description, source, target, written.steps, CALM);
  const slow = play(description, source, target, written.steps, SLOW);
  return {
    before: description.recipes?.copy?.before ?? [],
    ...written,
    minutes: calm.ms / 60_000,
    proven: calm.difference === null,
    slowToo: calm.difference === null && slow.difference === null,
    firstDifference: calm.difference,
    screens: calm.screens,
  };
}

function play(
  description: Description,
  source: Memory,
  target: Memory,
  steps: readonly CopyStep[],
  pace: Pace,
): { difference: Finding | null; screens: (readonly string[])[]; ms: number } {
  const bench = new Bench({
    source: new VirtualDevice(description, source),
    target: new VirtualDevice(description, target),
  });
  const { sets } = bench;
  const screens: (readonly string[])[] = [];
  let broken: Finding | null = null;
  steps.forEach(({ on, step, otherShows }, i) => {
    doRuns(
      step.runs,
      (event) => bench.take(on, event),
      () => sets[on].screen(),
      pace.betweenKeysMs,
    );
    const other = on === 'source' ? 'target' : 'source';
    for (const [set, wanted] of [
      [on, step.promises],
      [other, otherShows],
    ] as const) {
      const screen = sets[set].screen();
      if (set === on) screens.push(screen);
      if (wanted === undefined || showsWords(screen, wanted)) continue;
      const found = screen.join(' / ');
      broken ??= { code: 'proof-screen-differs', severity: 'error', step: i + 1, wanted, found };
    }
    bench.take(on, { kind: 'wait', ms: pace.betweenStepsMs });
  });
  const difference = firstDifference(description, source, sets.target.memory());
  return { difference: difference ?? broken, screens, ms: bench.ms };
}

/** Loading a set from another one of its kind: the steps, and which sets could be the other one. */
export interface CopyOffer {
  readonly copying: Copying;
  /** Nicknames of sets that hold the plan already, and of ones that will once their own sheet is done. */
  readonly ready: readonly string[];
  readonly later: readonly string[];
  /** Why it cannot be: no other set is known to hold the same, or this one has something of its own. */
  readonly why: 'alone' | 'own' | null;
}

/** A set with what is known of its memory once its sheet is done. */
export interface CopyPartner {
  readonly unit: Pick<Unit, 'nickname' | 'keeps' | 'holds'>;
  readonly shall: Memory;
}

/**
 * What copying would do for a set; `undefined` where its kind does not copy. A set that has something of its own is never copied over, and
 * none is copied from of which something is not known: a copy brings that too.
 * @param own the places of the set that hold something of its holder's
 */
export function offerCopy(
  description: Description,
  { unit, shall, before, own }: CopyPartner & { readonly before: Memory; readonly own: readonly number[] },
  others: readonly CopyPartner[],
): CopyOffer | undefined {
  const chance = chanceOf(1);
  const copying = proveCopy(
    description,
    completed(description, shall, chance),
    completed(description, before, chance),
  );
  if (!copying) return undefined;
  const isOwn = unit.keeps.length > 0 || unit.holds.what === 'other' || own.length > 0;
  const isKnown = (memory: Memory) => isWhollyKnown(description, memory);
  const alike = isKnown(shall)
    ? others.filter((other) => isKnown(other.shall) && isSameMemory(description, other.shall, shall))
    : [];
  const named = (isLoaded: boolean) =>
    alike.flatMap((other) => ((other.unit.holds.what === 'plan') === isLoaded ? [other.unit.nickname] : []));
  return {
    copying,
    ready: named(true),
    later: named(false),
    why: isOwn ? 'own' : alike.length === 0 ? 'alone' : null,
  };
}
