import type { Proof } from './proof';
import type { SlotLine } from './readBack';
import type { Sheet } from './sheet';
import type { SheetStep, StepPart } from './step';

/** A set that waits no longer than this for the next key, in seconds, wants its values at hand before one begins (common practice). */
const SHORT_S = 8;

/** The steps that belong together on a sheet: those of one place, or of one part of the work. */
export interface SheetBlock {
  readonly part: StepPart;
  /** The place they are about; `undefined` where it is the whole set, or a place that is emptied. */
  readonly line: SlotLine | undefined;
  readonly slotNumber: number | null;
  /** The least time the set waits for a key in it, in seconds, where that is short; then its values must be at hand before it is begun. */
  readonly windowS: number | undefined;
  readonly steps: readonly {
    /** Its number on the sheet, from 1. */
    readonly n: number;
    readonly step: SheetStep;
    /** What the set shows after it. */
    readonly screen: readonly string[];
  }[];
}

/** The steps of a sheet in blocks, with their numbers and what the set shows after each. */
export function sheetBlocks({ steps }: Sheet, proof: Proof, lines: readonly SlotLine[]): SheetBlock[] {
  const blocks: (SheetBlock & { windowS: number | undefined; steps: SheetBlock['steps'][number][] })[] = [];
  let last: SheetStep | undefined;
  steps.forEach((step, i) => {
    if (step.slotNumber !== last?.slotNumber || step.part !== last.part)
      blocks.push({
        part: step.part,
        line: lines.find((line) => line.number === step.slotNumber),
        slotNumber: step.slotNumber,
        windowS: undefined,
        steps: [],
      });
    last = step;
    const block = blocks.at(-1);
    const waitsS = (proof.windowsMs[i] ?? Number.POSITIVE_INFINITY) / 1000;
    if (!block) return;
    if (waitsS <= SHORT_S && waitsS < (block.windowS ?? Number.POSITIVE_INFINITY)) block.windowS = waitsS;
    block.steps.push({ n: i + 1, step, screen: proof.screens[i] ?? [] });
  });
  return blocks;
}
