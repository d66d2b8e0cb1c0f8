import type { Recipes, Slot } from '../model/index';
import { turnWheel } from './turns';

/**
 * The order in which places of a wheel are come to with the fewest presses, from where it stands. On a wheel that turns both ways the
 * best way goes one way round to some place and then the other way to the rest, so those are the ways that are compared; on one that
 * turns one way it is the order of the wheel. Of equal ways the wheel's own order is kept.
 * @param places where to come to, and `from` where it stands: places of a wheel of `count`
 */
export function visitOrder(
  places: readonly number[],
  from: number,
  count: number,
  keys: { up: string; down?: string | undefined },
): number[] {
  const ahead = (place: number) => (((place - from) % count) + count) % count;
  const round = [...places].sort((a, b) => ahead(a) - ahead(b));
  if (!keys.down) return round;
  let best = round;
  let least = presses(round, from, count, keys);
  const others = round.flatMap((_, k) => {
    const [on, back] = [round.slice(0, k), round.slice(k).reverse()];
    return [
      [...on, ...back],
      [...back, ...on],
    ];
  });
  for (const order of others) {
    const needs = presses(order, from, count, keys);
    if (needs < least) [best, least] = [order, needs];
  }
  return best;
}

/** How many presses an order needs. */
export function presses(
  order: readonly number[],
  from: number,
  count: number,
  keys: { up: string; down?: string | undefined },
): number {
  let at = from;
  let sum = 0;
  for (const place of order) {
    for (const { times } of turnWheel(at, place, count, keys)) sum += times;
    at = place;
  }
  return sum;
}

/**
 * The slots of a sheet in the order in which they are done: as the set has them, or, from a start, bank by bank, and where places are
 * turned to, with the fewest presses.
 */
export function slotsInTurn(
  recipes: Recipes,
  slots: readonly Slot[],
  start: Slot | null | undefined,
  isChanged: (slot: Slot) => boolean,
): Slot[] {
  const turn = recipes.slotStep.find((step) => step.do === 'turn');
  const changed = slots.filter(isChanged);
  if (turn?.do !== 'turn' || !start) return changed;
  if (turn.what === 'slot') return along(slots, changed, start, turn);
  const banks = [...new Set(changed.map(({ bank }) => bank))];
  return banks.flatMap((bank) => {
    const inBank = slots.filter((slot) => slot.bank === bank);
    // Another bank is entered at its first position.
    const from = start.bank === bank ? start : (inBank[0] ?? start);
    return along(
      inBank,
      changed.filter((slot) => slot.bank === bank),
      from,
      turn,
    );
  });
}

function along(
  wheel: readonly Slot[],
  changed: readonly Slot[],
  from: Slot,
  keys: { up: string; down?: string | undefined },
): Slot[] {
  const places = changed.map((slot) => wheel.indexOf(slot));
  return visitOrder(places, wheel.indexOf(from), wheel.length, keys).flatMap((place) => wheel[place] ?? []);
}
