import { fitDevice, fitPlan } from './fit/index';
import { compose, startOf, type UnitState } from './flow';
import { heldMemory } from './memory/index';
import { type Description, type Numbers, numbersWith, type Plan } from './model/index';
import { CALM, minutesAt } from './procedure/index';

/** What loading a fleet takes at the keys. */
export interface Effort {
  readonly presses: number;
  readonly minutes: number;
}

/** Sets that are loaded alike, and how many there are of them. */
export interface LoadedAlike {
  readonly description: Description;
  readonly unit: UnitState;
  readonly count: number;
}

/**
 * How much more or less it takes to load a fleet under other numbers of the same plan, in presses and in minutes at the calm pace. Only
 * sets whose places differ are worked out; those that a program loads take none.
 * @param numberings the numbers to compare with those of the plan
 */
export function effortOfNumbers(
  plan: Plan,
  fleet: readonly LoadedAlike[],
  numberings: readonly Numbers[],
): Effort[] {
  const more = numberings.map(() => ({ presses: 0, minutes: 0 }));
  for (const { description, unit, count } of fleet) {
    const { memory } = heldMemory(description, unit.holds);
    const device = fitDevice(description, startOf(description, memory, unit).now, unit);
    const placesWith = (numbers: Numbers) =>
      fitPlan(plan, device, numbers)
        .cells.map(({ slot }) => slot?.number)
        .join();
    const placesNow = placesWith(numbersWith(plan));
    let now: Effort | undefined;
    numberings.forEach((numbers, i) => {
      const sum = more[i];
      if (!sum || placesWith(numbers) === placesNow) return;
      now ??= effortOn(plan, description, unit);
      const then = effortOn({ ...plan, numbering: { numbers: { ...numbers }, pins: [] } }, description, unit);
      sum.presses += count * (then.presses - now.presses);
      sum.minutes += count * (then.minutes - now.minutes);
    });
  }
  return more;
}

function effortOn(plan: Plan, description: Description, unit: UnitState): Effort {
  const { sheet } = compose(plan, description, unit);
  return { presses: sheet.presses, minutes: minutesAt(sheet.steps, CALM) };
}
