import { type Description, type Slot, slotsOf } from '@umbrex/core/model';
import { slotsInTurn } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';

const slots = slotsOf(shipped('bank-handheld'));
const banks = [...new Set(slots.map(({ bank }) => bank))];
const inBank = (bank: number | undefined) => slots.filter((slot) => slot.bank === bank);
const [first = [], second = []] = [inBank(banks[0]), inBank(banks[1])];
const turning = (what: 'slot' | 'position') =>
  ({ slotStep: [{ do: 'turn', what, up: 'up', down: 'down', says: '' }] }) as unknown as NonNullable<
    Description['recipes']
  >;
const typing = { slotStep: [{ do: 'type', what: 'slotNumber', says: '' }] } as unknown as NonNullable<
  Description['recipes']
>;
const order = (recipes: typeof typing, start: Slot | null | undefined, ...changed: (Slot | undefined)[]) =>
  slotsInTurn(recipes, slots, start, (slot) => changed.includes(slot)).map(({ number }) => number);
const numbers = (...of: (Slot | undefined)[]) => of.map((slot) => slot?.number);

describe('the order in which places are done', () => {
  const [a, b, c] = [first[0], first[2], first.at(-1)];
  const [x, y] = [second[2], second.at(-1)];
  it('there are two banks of several places', () =>
    expect([banks.length > 1, first.length > 4, second.length > 4]).toEqual([true, true, true]));
  it('is that of the set where a number is typed, or nobody knows where it begins', () => {
    expect(order(typing, y, c, a, x, b)).toEqual(numbers(a, b, c, x));
    expect(order(turning('slot'), null, c, a, x)).toEqual(numbers(a, c, x));
    expect(order(turning('slot'), undefined, c, a)).toEqual(numbers(a, c));
  });
  it('on one wheel through all banks: the near ones first, round the end where that is shorter', () => {
    // From the last place of all, the first one is one step on.
    const last = slots.at(-1);
    expect(order(turning('slot'), last, a, b, last)).toEqual(numbers(last, a, b));
    expect(order(turning('slot'), first[1], a, b, x)).toEqual(numbers(a, b, x));
  });
  it('in banks of their own: all of one bank before the next, which is entered at its first place', () => {
    expect(order(turning('position'), c, a, c, x, y)).toEqual(numbers(c, a, y, x));
    expect(order(turning('position'), y, x, y)).toEqual(numbers(y, x));
  });
});
