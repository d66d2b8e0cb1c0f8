import { type Proof, type Sheet, type SheetStep, type SlotLine, sheetBlocks } from '@umbrex/core/procedure';
import { expect, it } from 'vitest';

// The steps of a sheet by place, by hand: two at place 5, one at place 7, two more at 5 that are names, one of the whole set.

const step = (slotNumber: number | null, part: SheetStep['part'] = 'work') =>
  ({ slotNumber, part }) as unknown as SheetStep;
const STEPS = [step(5), step(5), step(7), step(5, 'names'), step(5, 'names'), step(null, 'end')];
const blocks = (windowsMs: readonly (number | undefined)[], screens: readonly string[][] = []) =>
  sheetBlocks(
    { steps: STEPS } as unknown as Sheet,
    { windowsMs, screens } as unknown as Proof,
    [{ number: 5 }, { number: 9 }] as unknown as SlotLine[],
  );

it('steps of one place and one part stand together, with their numbers and what is shown after each', () => {
  const found = blocks([], [['A'], ['B'], [], ['D']]);
  expect(found.map(({ slotNumber, part, line }) => [slotNumber, part, line?.number])).toEqual([
    [5, 'work', 5],
    [7, 'work', undefined],
    [5, 'names', 5],
    [null, 'end', undefined],
  ]);
  expect(found.map(({ steps }) => steps.map(({ n, screen }) => [n, ...screen]))).toEqual([
    [
      [1, 'A'],
      [2, 'B'],
    ],
    [[3]],
    [[4, 'D'], [5]],
    [[6]],
  ]);
});

it('another part of the work at the same place is a block of its own', () => {
  const steps = [step(5), step(5, 'names'), step(5, 'names')];
  const found = sheetBlocks(
    { steps } as unknown as Sheet,
    { windowsMs: [], screens: [] } as unknown as Proof,
    [],
  );
  expect(found.map((block) => [block.part, block.steps.length])).toEqual([
    ['work', 1],
    ['names', 2],
  ]);
});

it('the least time between two keys is told where it is short, whichever step it is of', () => {
  const times = (...ms: (number | undefined)[]) => blocks(ms).map(({ windowS }) => windowS);
  expect(times(5000, 3000, 8000)).toEqual([3, 8, undefined, undefined]);
  expect(times(3000, 5000, 8001, undefined, 4000, 900)).toEqual([3, undefined, 4, 0.9]);
  expect(times()).toEqual([undefined, undefined, undefined, undefined]);
});
