import type { Description, Recipes, Slot } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lettersTapped } from '../../src/procedure/letters';
import { firstBankCopies, mod, slotAfter } from '../../src/procedure/slotMove';
import { turnWheel } from '../../src/procedure/turns';
import { typedText } from '../../src/procedure/typed';
import { letterUntil, turnUntil } from '../../src/procedure/until';
import { presses, visitOrder } from '../../src/procedure/visits';
import type { About, Wording } from '../../src/procedure/wording';
import { runs } from '../support/runs';

// The small parts that steps are written with, each by hand or against a search: turning, tapping, typing, and coming to another place.

/** Every order of a few things. */
const ordersOf = <T>(things: readonly T[]): T[][] =>
  things.length === 0
    ? [[]]
    : things.flatMap((one, i) => ordersOf(things.toSpliced(i, 1)).map((rest) => [one, ...rest]));

describe('fewest presses', () => {
  it('come from the order of places too: none of all orders needs fewer', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 23 }),
        fc.uniqueArray(fc.nat(22), { minLength: 1, maxLength: 5 }),
        fc.nat(22),
        fc.constantFrom({ up: 'u' }, { up: 'u', down: 'd' }),
        (count, wanted, at, keys) => {
          const places = wanted.filter((place) => place < count);
          const from = at % count;
          const order = visitOrder(places, from, count, keys);
          expect([...order].sort((a, b) => a - b)).toEqual([...places].sort((a, b) => a - b));
          const least = Math.min(...ordersOf(places).map((one) => presses(one, from, count, keys)));
          expect(presses(order, from, count, keys)).toBe(least);
        },
      ),
      { numRuns: runs(300) },
    ));
  it('places 1, 2, 3 and 15 of sixteen from 0: back to 15 first, then on to 3, five presses by hand', () => {
    const keys = { up: 'u', down: 'd' };
    expect(visitOrder([1, 2, 3, 15], 0, 16, keys)).toEqual([15, 1, 2, 3]);
    // As many either way round: the wheel's own order.
    expect(visitOrder([15, 1], 0, 16, keys)).toEqual([1, 15]);
    for (const place of [16, -1, 0.5]) {
      expect(() => turnWheel(place, 0, 16, keys)).toThrow(RangeError);
      expect(() => turnWheel(0, place, 16, keys)).toThrow(RangeError);
    }
    expect(turnWheel(15, 0, 16, keys)).toEqual([{ key: keys.up, times: 1 }]);
    expect(presses([15, 1, 2, 3], 0, 16, keys)).toBe(5);
    expect(presses([1, 2, 3, 15], 0, 16, keys)).toBe(7);
  });
  it('of as many presses the one with fewer held, on whichever side; a tap says nothing of a time', () => {
    const keys = { up: 'u', down: 'd', big: { by: 3, heldMs: 900 } };
    expect(turnWheel(0, 3, 4, keys)).toStrictEqual([{ key: 'd', times: 1 }]);
    expect(turnWheel(3, 0, 4, keys)).toStrictEqual([{ key: 'u', times: 1 }]);
    expect(turnWheel(0, 3, 9, keys)).toStrictEqual([{ key: 'u', times: 1, heldMs: 900 }]);
    expect(turnWheel(0, 6, 9, keys)).toStrictEqual([{ key: 'd', times: 1, heldMs: 900 }]);
    expect(turnWheel(2, 2, 9, keys)).toStrictEqual([]);
  });
  it('equals a search over all places a wheel can be brought to, one press at a time', () => {
    const places = 23;
    for (const keys of [
      { up: 'u' },
      { up: 'u', down: 'd' },
      { up: 'u', down: 'd', big: { by: 10, heldMs: 900 } },
    ])
      for (let to = 0; to < places; to++) {
        const moves = [1, ...(keys.down ? [-1] : []), ...(keys.big ? [10, -10] : [])];
        let reached = new Set([4]);
        let presses = 0;
        for (; !reached.has(to); presses++)
          reached = new Set(
            [...reached].flatMap((at) => moves.map((by) => (((at + by) % places) + places) % places)),
          );
        const turns = turnWheel(4, to, places, keys);
        expect(
          turns.reduce((sum, turn) => sum + turn.times, 0),
          `to ${to}`,
        ).toBe(presses);
        const end = turns.reduce((at, t) => at + t.times * (t.key === 'u' ? 1 : -1) * (t.heldMs ? 10 : 1), 4);
        expect((((end - to) % places) + places) % places).toBe(0);
      }
  });
});

describe('turning until it shows', () => {
  const shown = (place: number) => `P${place}`;
  it('is one run up the wheel; the mean and the most are those of all places it may stand on', () => {
    expect(turnUntil({ count: 4, up: 'u' }, 2, shown)).toEqual([
      { do: 'until', key: 'u', shows: ['P2'], as: 'words', mean: 1.5, most: 3 },
    ]);
    expect(turnUntil({ count: 4, up: 'u', isTop: true }, 2, shown)[0]).toMatchObject({ as: 'top' });
    // One that may have to go round once more counts that too: 0, 1, 2, 3 and 4.
    expect(turnUntil({ count: 4, up: 'u', mayGoRound: true }, 2, shown)[0]).toMatchObject({
      mean: 2,
      most: 4,
    });
  });
  it('holds first, until one of the last places before it is shown', () => {
    const [held, taps] = turnUntil({ count: 60, up: 'u', big: { by: 10, heldMs: 900 } }, 5, shown);
    expect(held).toMatchObject({
      heldMs: 900,
      shows: ['P56', 'P57', 'P58', 'P59', 'P0', 'P1', 'P2', 'P3', 'P4', 'P5'],
      mean: 2.5,
      most: 5,
    });
    expect(taps).toMatchObject({ shows: ['P5'], mean: 4.5, most: 9 });
    expect(taps && 'heldMs' in taps).toBe(false);
    // A wheel no longer than one held press has no use for it, and neither has one where it saves nothing.
    expect(turnUntil({ count: 10, up: 'u', big: { by: 10, heldMs: 900 } }, 5, shown)).toHaveLength(1);
    expect(turnUntil({ count: 12, up: 'u', big: { by: 1, heldMs: 900 } }, 5, shown)).toHaveLength(1);
  });
  it('of a letter looks at the beginning, from any place of its wheel', () =>
    expect(letterUntil('k', 5, 'AB')).toEqual({
      do: 'until',
      key: 'k',
      shows: ['AB'],
      as: 'beginning',
      mean: 2,
      most: 4,
    }));
});

describe('tapped letters', () => {
  const KEYS = { two: 'ABC', three: 'DEF', zero: ' ' };
  it('are as many presses as their place on the key; two of one key want a pause between them', () => {
    expect(lettersTapped('AF B', KEYS, 900)).toEqual([
      { do: 'press', key: 'two', times: 1 },
      { do: 'press', key: 'three', times: 3 },
      { do: 'press', key: 'zero', times: 1 },
      { do: 'press', key: 'two', times: 2 },
    ]);
    expect(lettersTapped('CA', KEYS, 900)).toEqual([
      { do: 'press', key: 'two', times: 3 },
      { do: 'wait', ms: 900 },
      { do: 'press', key: 'two', times: 1 },
    ]);
  });
  it('are none for no letters, and not possible where no key has one', () => {
    expect(lettersTapped('', KEYS, 900)).toEqual([]);
    expect(lettersTapped('AX', KEYS, 900)).toBeNull();
  });
});

describe('what a step types', () => {
  const recipes = {
    items: { tone: { number: '23' } },
    frequencyEntry: { digits: 6, unitHz: 1000 },
  } as unknown as Recipes;
  const receive = 'unknown' as Description['receive'];
  const wording = {
    listFor: (field: string) => (field === 'tone' ? [{ shown: 'OFF', typed: '0000' }, { shown: 'X' }] : []),
    sideHz: () => 467_550_000,
  } as unknown as Wording;
  const typed = (what: Parameters<typeof typedText>[0], about: Partial<About> = {}, width = 0) =>
    typedText(
      what,
      width,
      {
        slot: { number: 7, position: 3 } as Slot,
        to: { tone: 0, rx: 462_550_000, area: '099001' },
        before: {},
        field: 'tone',
        belongsTo: 7,
        ...about,
      },
      { recipes, receive, wording },
    );
  const setting = (to: number) =>
    ({ setting: { id: 's', list: [{ typed: '11' }, {}], from: 0, to } }) as never;
  it.each([
    ['slotNumber', {}, 3, '007'],
    ['slotNumber', {}, 0, '7'],
    ['position', {}, 2, '03'],
    ['itemNumber', {}, 0, '23'],
    ['itemNumber', { field: 'none' }, 0, undefined],
    ['frequency', { field: 'rx' }, 0, '462550'],
    ['frequency', { field: 'none' }, 0, undefined],
    ['transmitFrequency', {}, 0, '467550'],
    ['areaCode', { field: 'area' }, 0, '099001'],
    ['text', {}, 0, undefined],
    ['listCode', {}, 0, '0000'],
    ['listCode', { to: { tone: 1 } }, 0, undefined],
    ['listCode', { to: { tone: 9 } }, 0, undefined],
    ['listCode', setting(0), 0, '11'],
    ['listCode', setting(1), 0, undefined],
    ['listCode', setting(9), 0, undefined],
  ] as const)('%s, %o, in %i figures: %s', (what, about, width, text) =>
    expect(typed(what, about as never, width)).toBe(text),
  );
  it('is no frequency where nobody wrote how one is typed', () =>
    expect(
      typedText(
        'frequency',
        0,
        { slot: {} as Slot, to: { rx: 462_550_000 }, before: {}, field: 'rx', belongsTo: 7 },
        { recipes: { items: {} } as unknown as Recipes, receive, wording },
      ),
    ).toBeUndefined());
});

describe('another place', () => {
  const place = (number: number, bank: number, position: number, region = 'a') =>
    ({ number, bank, position, region }) as unknown as Slot;
  const slots = [
    place(1, 0, 1),
    place(2, 0, 2),
    place(5, 1, 1),
    place(6, 1, 2),
    place(7, 1, 3),
    place(9, 2, 1, 'b'),
  ];
  const moved = (at: number, move: Parameters<typeof slotAfter>[2], entry = '') =>
    slotAfter(slots, at, move, entry, 5);
  it.each([
    ['next', 0, 1],
    ['next', 5, 0],
    ['previous', 0, 5],
    ['previous', 3, 2],
    ['start', 0, 2],
    ['nextInBank', 0, 1],
    ['nextInBank', 1, 0],
    ['nextInBank', 4, 2],
    ['nextInBank', 5, 5],
    ['previousInBank', 2, 4],
    ['previousInBank', 3, 2],
    ['nextBank', 0, 2],
    ['nextBank', 4, 5],
    ['nextBank', 5, 0],
  ] as const)('%s from the place %i is %i', (move, at, to) => expect(moved(at, move)).toBe(to));
  it('is the one whose number was typed, and none for another number', () => {
    expect([moved(0, 'entry', '006'), moved(0, 'entry', '8')]).toEqual([3, -1]);
  });
  it('of the first bank is copied to those of its region alone', () => {
    const numbers = (at: number) =>
      firstBankCopies(slots, at).map((pair) => pair.map(({ number }) => number));
    expect(numbers(3)).toEqual([
      [1, 1],
      [2, 2],
      [5, 1],
      [6, 2],
      [7, 7],
    ]);
    expect(numbers(5)).toEqual([[9, 9]]);
  });
  it('is counted round both ends', () => {
    expect([mod(-1, 5), mod(5, 5), mod(7, 5), mod(3, 0)]).toEqual([4, 0, 2, 0]);
  });
});
