import { effortOfNumbers } from '@umbrex/core/effort';
import { numberFleet, numberingKinds, numbersOf } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { CALM, minutesAt, replay } from '@umbrex/core/procedure';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { KEYED, SHIPPED, shipped } from './support/devices';
import { OSTREL, unit } from './support/plans';

describe('what loading takes', () => {
  it('the minutes that are counted are those that the virtual device takes, on every pattern with keys', () => {
    let compared = 0;
    for (const description of KEYED) {
      const { sheet } = prepare(OSTREL, description);
      // Where a hand reads the display, how often it presses depends on what is there.
      if (
        sheet.steps.some(({ runs }) => runs.some((run) => run.do === 'until' || ('when' in run && run.when)))
      )
        continue;
      compared++;
      const { ms } = replay(description, sheet.steps, CALM);
      expect(minutesAt(sheet.steps, CALM), description.id).toBeCloseTo(ms / 60_000, 6);
    }
    expect(compared).toBeGreaterThan(8);
  });

  it('other numbers cost what the sheets of the fleet cost more, set by set', () => {
    const ids = ['guided-handheld', 'guided-handheld', 'page-handheld', 'wideband-receiver', 'pocket-radio'];
    const units = ids.map((id, n) => unit(n, id));
    const numbers = numbersOf(
      numberFleet(OSTREL, numberingKinds(units, SHIPPED, NO_GROUNDS, OSTREL), { last: {}, pins: {} }),
    );
    const [first, second] = Object.keys(numbers);
    if (!first || !second) throw new Error('nothing is numbered');
    const swapped = { ...numbers, [first]: numbers[second] as number, [second]: numbers[first] as number };
    const far = { ...numbers, [first]: 400 };
    const plan = (by: Readonly<Record<string, number>>) => ({
      ...OSTREL,
      numbering: { numbers: { ...by }, pins: [] },
    });
    const fleet = units.map((one) => ({ description: shipped(one.descriptionId), unit: one, count: 1 }));
    const presses = (by: Readonly<Record<string, number>>) =>
      fleet.reduce(
        (sum, { description, unit: of }) => sum + prepare(plan(by), description, of).sheet.presses,
        0,
      );
    const more = effortOfNumbers(plan(numbers), fleet, [numbers, swapped, far]);
    expect(more[0]).toEqual({ presses: 0, minutes: 0 });
    expect(more.map((one) => one.presses)).toEqual([
      0,
      presses(swapped) - presses(numbers),
      presses(far) - presses(numbers),
    ]);
    // As many sets of a kind count as there are.
    const twice = fleet.map((one) => ({ ...one, count: 2 }));
    expect(effortOfNumbers(plan(numbers), twice, [far])[0]?.presses).toBe(2 * (more[2]?.presses ?? 0));
  });
});
