import {
  assign,
  type FitDevice,
  fitDevice,
  fitPlan,
  numberFleet,
  provenBound,
  unitKinds,
} from '@umbrex/core/fit';
import { type Description, DescriptionSchema } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import fc from 'fast-check';

import { describe, expect, it } from 'vitest';
import { easeOf, reachOf, worthOf } from '../../src/fit/worth';
import { SHIPPED, shipped } from '../support/devices';
import { anyPlan, channel, plan, unit, uuid } from '../support/plans';
import { runs } from '../support/runs';

describe('what a number is worth (the proportions are ours, see decision 006)', () => {
  it.each([
    [0, 6],
    [1, 6],
    [9, 6],
    [10, 5],
    [11, 4],
    [50, 5],
    [99, 4],
    [100, 3],
    [101, 2],
    [110, 3],
    [999, 2],
    [1000, 1],
    [1001, 0],
    [1010, 1],
  ])('%i by itself: %i points', (number, points) => expect(easeOf(number)).toBe(points));
  const one = (tier: 'must' | 'should' | 'nice') => channel('One', 462.65, 467.65, { tier });
  it.each([
    ['must', true, 0, false, 60],
    ['must', true, 0, true, 90],
    ['must', false, 0, false, 6],
    ['should', true, 0, false, 40],
    ['should', false, 0, true, 6],
    ['nice', true, 3, false, 17],
    ['nice', false, 3, true, 0],
  ] as const)(
    'to a set: %s, talks %s, %i values more, the last one %s: %i',
    (tier, talks, extraFields, isLast, points) =>
      expect(worthOf(one(tier), { talks, extraFields }, isLast)).toBe(points),
  );
});

describe('how many values more a number asks of a set', () => {
  /** Counted on the fit itself: what the place shall hold and does not yet, but for names and scans, which no number changes. */
  const asked = (device: FitDevice, values: Readonly<Record<string, unknown>>, number: number) => {
    const skip = new Set(
      device.description.fields
        .filter(({ holds }) => ['name', 'inScan', 'hasPriority', 'resumeDelayS'].includes(holds))
        .map(({ id }) => id),
    );
    const there = device.present.slots.get(number);
    const factory = new Map(device.description.fields.map(({ id, factory: made }) => [id, made]));
    return Object.entries(values).filter(
      ([id, value]) => !skip.has(id) && (there ? there[id] : factory.get(id)) !== value,
    ).length;
  };
  it('is the difference between what is set there and what is set where it takes least', () =>
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...SHIPPED), fc.nat(), (any, description, pick) => {
        const device = fitDevice(description);
        const one = any.channels[pick % Math.max(1, any.channels.length)];
        if (!one) return;
        const alone = { ...any, channels: [one] };
        const [reached] = reachOf(device, alone);
        const found = [...(reached?.found ?? [])].slice(0, 40);
        const counts = found.map(([number, { extraFields }]) => {
          const { cells, image } = fitPlan(alone, device, { [one.id]: number });
          const at = cells[0]?.slot?.number ?? -1;
          const values = image.slots.get(at)?.values ?? {};
          expect(device.readAs.get(at)).toBe(number);
          return asked(device, values, at) - extraFields;
        });
        // The least is one and the same for all numbers of a channel on a set.
        expect(new Set(counts).size).toBeLessThanOrEqual(1);
        expect(Math.min(0, ...found.map(([, { extraFields }]) => extraFields))).toBe(0);
      }),
      { numRuns: runs(150) },
    ));
  it('a factory place with its frequencies takes fewer than a free one, where both could be had', () => {
    const device = fitDevice(shipped('page-handheld'));
    // The set's own pair is home; a second channel on the same pair with another tone goes elsewhere.
    const [first, second] = reachOf(
      device,
      plan([
        channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' }),
        channel('Ferry', 462.65, 467.65, { transmitTone: '82.5', receiveTone: '82.5' }),
      ]),
    );
    expect(first?.home?.number).toBe(5);
    const costs = new Set([...(second?.found.values() ?? [])].map(({ extraFields }) => extraFields));
    expect(Math.min(...costs)).toBe(0);
    expect(second?.found.has(5)).toBe(false);
  });
});

describe('the assignment at its edges', () => {
  it('nothing to assign', () => expect(assign([], 3)).toMatchObject({ columnOf: [], total: 0, bound: 0 }));
  it('one row, many columns', () =>
    expect(assign([[1, 7, 3]], 3)).toMatchObject({ columnOf: [1], total: 7, bound: 7 }));
  it('a row gives way where another gains more', () =>
    expect(
      assign(
        [
          [9, 8, 0],
          [9, 0, 0],
          [9, 8, 7],
        ],
        3,
      ),
    ).toMatchObject({ columnOf: [1, 0, 2], total: 24, bound: 24 }));
  it('the bound holds whatever the prices are', () =>
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.nat(20), { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 3 }),
        fc.array(fc.integer({ min: -30, max: 30 }), { minLength: 3, maxLength: 3 }),
        fc.array(fc.integer({ min: -30, max: 30 }), { minLength: 3, maxLength: 3 }),
        (gain, rows, columns) => {
          expect(provenBound(gain, rows, columns)).toBeGreaterThanOrEqual(assign(gain, 3).total);
        },
      ),
    ));
  it('the first fit is counted as every set would have it of itself', () => {
    const device = fitDevice(shipped('page-handheld'));
    const channels = [channel('Dispatch', 155.34, null), channel('Works', 156.05, null)];
    const found = numberFleet(plan(channels), [{ key: 'page', device, weight: 3 }], { last: {}, pins: {} });
    // Two channels to listen to, of the middle tier, on three sets: 2 × 2 × 1 × 3 and the ease of M45 and M46.
    expect(found.firstFit).toBe(2 * (12 + 4));
    expect(found.total).toBeGreaterThanOrEqual(found.firstFit);
  });
});

describe('the kinds of a fleet', () => {
  const titles = (...units: Parameters<typeof unit>[]) =>
    unitKinds(
      units.map((one) => unit(...one)),
      SHIPPED,
      NO_GROUNDS,
      {},
    ).map(({ title, key, units: of }) => [title, key, of.length]);
  it('are told apart by what is kept, in a title and a key of their own', () =>
    expect(
      titles(
        [1, 'page-handheld'],
        [2, 'page-handheld', { keeps: [44, 5] }],
        [3, 'page-handheld', { keeps: [5, 44] }],
        [4, 'page-handheld', { keeps: [5] }],
        [5, 'page-handheld', { names: 'never' }],
      ),
    ).toEqual([
      ['Page hand-held', 'page-handheld', 1],
      ['Page hand-held, 2 kept', 'page-handheld keeps 5 44', 2],
      ['Page hand-held, 1 kept', 'page-handheld keeps 5', 1],
      ['Page hand-held', 'page-handheld names never', 1],
    ]));
  it('a repeater by the channel that it carries', () =>
    expect(titles([1, 'repeater', { carries: uuid(7) }], [2, 'repeater']).map(([, key]) => key)).toEqual([
      `repeater carries ${uuid(7)}`,
      'repeater',
    ]));
});

describe('numbers that people read on a display', () => {
  /** Places under these labels, one after another. */
  const labelled = (...labels: string[]): FitDevice => {
    const base = shipped('page-handheld');
    const { behaviour: _b, recipes: _r, keyMap: _k, ...rest } = base;
    return fitDevice(
      DescriptionSchema.parse({
        ...rest,
        regions: labels.map((label, i) => ({
          id: `r${i}`,
          title: 'R',
          first: i + 1,
          count: 1,
          size: 1,
          stride: 1,
          banks: [],
          label,
          content: { kind: 'free' },
          ways: [{ by: ['keys'], fields: ['rx'] }],
        })),
      } satisfies Partial<Record<keyof Description, unknown>>),
    );
  };
  it.each([
    [['050'], { 50: 1 }],
    [['M50'], { 50: 1 }],
    [['23R', '23'], { 23: 2 }],
    [['R4', 'S4'], {}],
    [['4', '04'], {}],
    [['1-3'], {}],
    [['CH'], {}],
    [['99999999999999999999'], {}],
    [['M5', '6', 'X6'], { 5: 1, 6: 2 }],
  ])('%j', (labels, expected) =>
    expect(
      Object.fromEntries([...labelled(...labels).slotRead].map(([number, slot]) => [number, slot.number])),
    ).toEqual(expected),
  );
});
