import {
  fitDevice,
  fitPlan,
  numbersOf as keptNumbers,
  type NumberingKind,
  numberFleet,
  numberingKinds,
  numberingProblem,
  numberingWishes,
  numberTogether,
  otherNumbers,
  togetherModel,
} from '@umbrex/core/fit';
import { type Channel, factoryMemory } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { mobile, type Raw, region } from '../support/mobile';
import { channel, plan, unit, uuid } from '../support/plans';

// Numbers of three channels on one and on two kinds of set, reckoned by hand. A set that finds a channel where it talks gains 60 points for
// one that must be had, 40 for one that should, 20 for a nice one, half as much again where the number is the last one; each number of two
// figures is worth 4 by itself.

const [A, B, C] = [
  channel('AAA', 462.65, 462.65, { tier: 'must' }),
  channel('BBB', 462.675, 462.675, { tier: 'should' }),
  channel('CCC', 462.7, 462.7, { tier: 'nice' }),
] as const;
const THREE = plan([A, B, C]);

/** A kind with free places at these numbers, so many times in the fleet. */
const kind = (key: string, first: number, count: number, weight: number): NumberingKind => {
  const description = mobile((raw: Raw) => {
    raw.regions = [{ ...region(raw, 'free'), first, count, size: count, stride: count }];
  });
  return { key, weight, device: fitDevice(description) };
};
const FIVE = kind('five', 11, 5, 3);
const TWO = kind('two', 13, 2, 2);
const NONE = { last: {}, pins: {} };
const numbersOf = ({ channels }: { channels: readonly { number: number | null }[] }) =>
  channels.map(({ number }) => number);

describe('one kind, three sets', () => {
  it('the first channels have the lowest numbers; the sum is reached and proven', () => {
    const numbering = numberFleet(THREE, [FIVE], NONE);
    expect(numbering).toEqual({
      total: 184 + 124 + 64,
      bound: 372,
      firstFit: 372,
      findings: [],
      channels: [A, B, C].map(({ id }, i) => ({
        channelId: id,
        number: 11 + i,
        there: 3,
        talking: 3,
        able: 3,
        pinned: false,
        kept: false,
        price: 0,
        elsewhere: [],
      })),
    });
  });
  it('a number stays where it was', () => {
    const numbering = numberFleet(THREE, [FIVE], { last: { [A.id]: 14 }, pins: {} });
    expect(numbersOf(numbering)).toEqual([14, 11, 12]);
    expect(numbering.channels.map(({ kept }) => kept)).toEqual([true, false, false]);
    expect(numbering).toMatchObject({ total: 274 + 124 + 64, bound: 462, firstFit: 372 });
  });
  it('one held fast says what it costs', () => {
    const numbering = numberFleet(THREE, [FIVE], { last: { [A.id]: 14 }, pins: { [A.id]: 15 } });
    expect(numbersOf(numbering)).toEqual([15, 11, 12]);
    expect(numbering.channels[0]).toMatchObject({ pinned: true, kept: false, price: 90 });
    expect(numbering.total).toBe(372);
  });
  it('one that cannot be, and two on one', () => {
    expect(numberFleet(THREE, [FIVE], { last: {}, pins: { [A.id]: 99 } })).toMatchObject({
      findings: [{ code: 'pin-impossible', channelId: A.id, number: 99 }],
      total: 372,
    });
    const twice = numberFleet(THREE, [FIVE], { last: {}, pins: { [A.id]: 15, [B.id]: 15 } });
    expect(twice.findings).toEqual([{ code: 'pin-twice', channelId: B.id, number: 15 }]);
    expect(numbersOf(twice)).toEqual([15, 11, 12]);
  });
  it('one that is only heard counts a tenth', () => {
    const heard = { ...A, transmitHz: null };
    expect(numberFleet(plan([heard, B]), [FIVE], NONE)).toMatchObject({
      channels: [{ there: 3, talking: 0 }, { talking: 3 }],
      total: 3 * 6 + 4 + 124,
    });
  });
});

describe('two kinds: three sets with 11 to 15, two with 13 and 14', () => {
  it('what all have goes where all have it', () => {
    const numbering = numberFleet(THREE, [FIVE, TWO], NONE);
    expect(numbersOf(numbering)).toEqual([13, 14, 11]);
    expect(numbering).toMatchObject({ total: 304 + 204 + 64, bound: 572, firstFit: 372 });
    expect(numbering.channels.map(({ there, able }) => [there, able])).toEqual([
      [5, 5],
      [5, 5],
      [3, 3],
    ]);
  });
  it('a set that has it elsewhere is named', () => {
    const numbering = numberFleet(THREE, [FIVE, TWO], { last: {}, pins: { [A.id]: 11 } });
    expect(numbersOf(numbering)).toEqual([11, 13, 12]);
    expect(numbering.channels[0]).toMatchObject({
      there: 3,
      able: 5,
      pinned: true,
      price: 572 - (184 + 204 + 64),
      elsewhere: [{ key: 'two', home: null }],
    });
  });
  it('other numbers, with what they cost and who moves', () => {
    expect(otherNumbers(THREE, [FIVE, TWO], NONE, A.id)).toEqual([
      {
        number: 14,
        there: 5,
        talking: 5,
        lessPoints: 0,
        moves: [B.id],
        numbers: { [A.id]: 14, [B.id]: 13, [C.id]: 11 },
      },
      {
        number: 11,
        there: 3,
        talking: 3,
        lessPoints: 120,
        moves: [B.id, C.id],
        numbers: { [A.id]: 11, [B.id]: 13, [C.id]: 12 },
      },
      {
        number: 12,
        there: 3,
        talking: 3,
        lessPoints: 120,
        moves: [B.id],
        numbers: { [A.id]: 12, [B.id]: 13, [C.id]: 11 },
      },
    ]);
    const numbers = (most: number) =>
      otherNumbers(THREE, [FIVE, TWO], NONE, A.id, most).map(({ number }) => number);
    expect(numbers(9)).toEqual([14, 11, 12, 15]);
    expect(numbers(1)).toEqual([14]);
    expect(otherNumbers(THREE, [FIVE], NONE, uuid(9))).toEqual([]);
  });
  it('what others hold fast is not offered', () => {
    const held = otherNumbers(THREE, [FIVE, TWO], { last: {}, pins: { [B.id]: 14 } }, A.id);
    expect(held.map(({ number, moves }) => [number, moves])).toEqual([
      [11, [C.id]],
      [12, []],
      [15, []],
    ]);
  });
  it('a channel that is nowhere has none, and none is offered', () => {
    const far = channel('DDD', 155.16, null);
    const numbering = numberFleet(plan([A, far]), [FIVE], NONE);
    expect(numbering.channels[1]).toMatchObject({
      number: null,
      there: 0,
      able: 0,
      kept: false,
      elsewhere: [],
    });
    expect(otherNumbers(plan([A, far]), [FIVE], NONE, far.id)).toEqual([]);
    // Also where the plan once had a number for it.
    expect(
      numberFleet(plan([A, far]), [FIVE], { last: { [far.id]: 12 }, pins: {} }).channels[1],
    ).toMatchObject({
      number: null,
      kept: false,
    });
  });
});

describe('a place of the factory’s', () => {
  const home = channel('AAA', 462.5625, 462.5625, { tier: 'must' });
  const factory: NumberingKind = { key: 'factory', weight: 3, device: fitDevice(mobile()) };
  it('is its number where most read it', () => {
    const numbering = numberFleet(plan([home]), [factory, TWO], NONE);
    // Three sets at F1, and 6 points for a number of one figure, against two at 13.
    expect(numbering).toMatchObject({ total: 3 * 60 + 6, bound: 186 });
    expect(numbering.channels[0]).toMatchObject({
      number: 1,
      there: 3,
      able: 5,
      elsewhere: [{ key: 'two', home: null }],
    });
  });
  it('stays where it is whatever the number', () => {
    const numbering = numberFleet(plan([home]), [factory, TWO], { last: {}, pins: { [home.id]: 13 } });
    expect(numbering.channels[0]).toMatchObject({
      number: 13,
      there: 2,
      elsewhere: [{ key: 'factory', home: 'F1' }],
    });
    expect(fitPlan(plan([home]), factory.device, { [home.id]: 13 }).cells[0]?.slot?.number).toBe(1);
  });
});

describe('what is to be written', () => {
  it('a place that has it already is worth more, by what need not be set', () => {
    const description = mobile((raw: Raw) => {
      raw.regions = [region(raw, 'free')];
    });
    const fresh = factoryMemory(description);
    const values = { rx: 462_650_000, off: 0, enc: 0, dec: 0, pow: 2, wid: 1, mute: 0, name: '' };
    const device = fitDevice(description, {
      slots: new Map(fresh.slots).set(15, values),
      settings: fresh.settings,
    });
    const numbering = numberFleet(plan([A]), [{ key: 'has', weight: 1, device }], NONE);
    // At 15 nothing is to be set but for the name; anywhere else the frequency too.
    expect(numbersOf(numbering)).toEqual([15]);
    expect(numbering.total).toBe(60 + 4);
  });
});

describe('a fleet and its wishes', () => {
  it('counts the sets of a kind, and no repeater', () => {
    const little = mobile();
    const units = [unit(1, little.id), unit(2, little.id), unit(3, 'repeater')];
    const kinds = numberingKinds(units, [little, shipped('repeater')], NO_GROUNDS, {});
    expect(kinds.map(({ key, weight }) => [key, weight])).toEqual([['little-mobile', 2]]);
    expect(kinds[0]?.device.description).toBe(little);
  });
  it('what a plan says', () => {
    expect(numberingWishes({ numbering: null })).toEqual(NONE);
    const numbering = { numbers: { a: 5, b: 6 }, pins: ['b', 'c'] } as never;
    expect(numberingWishes({ numbering })).toEqual({ last: { a: 5, b: 6 }, pins: { b: 6 } });
  });
});

describe('groups in a row', () => {
  const two = plan([A, B]);
  const problem = (pins: Record<string, number> = {}, channels: readonly Channel[] = two.channels) =>
    numberingProblem(plan(channels), [TWO], { last: {}, pins });
  it('as a model, written down by hand', () => {
    expect(togetherModel(problem(), [A.groupId]).split('\n')).toEqual([
      'Maximize',
      ' obj: 124 x0_0',
      ' + 124 x0_1',
      ' + 84 x1_0',
      ' + 84 x1_1',
      'Subject To',
      ' c0: x0_0 + x0_1 <= 1',
      ' c1: x1_0 + x1_1 <= 1',
      ' c2: x0_0 + x1_0 <= 1',
      ' c3: x0_1 + x1_1 <= 1',
      ' c4: y0_0 + y0_1 = 1',
      ' c5: x0_0 + x1_0 - y0_0 <= 0',
      ' c6: x0_1 + x1_1 - y0_0 - y0_1 <= 0',
      'Binary',
      ...['x0_0', 'x0_1', 'x1_0', 'x1_1', 'y0_0', 'y0_1'].map((name) => ` ${name}`),
      'End',
    ]);
  });
  it('with one held fast', () => {
    expect(togetherModel(problem({ [A.id]: 14 }), []).split('\n')).toEqual([
      'Maximize',
      ' obj: 124 x0_1',
      ' + 84 x1_0',
      ' + 84 x1_1',
      'Subject To',
      ' c0: x0_1 = 1',
      ' c1: x1_0 + x1_1 <= 1',
      ' c2: x0_1 + x1_1 <= 1',
      'Binary',
      ...['x0_1', 'x1_0', 'x1_1'].map((name) => ` ${name}`),
      'End',
    ]);
  });
  it('of a group without channels, and of nothing at all', () => {
    expect(togetherModel(problem(), [uuid(99)])).not.toContain('y0');
    expect(togetherModel(problem({}, []), [A.groupId]).split('\n')).toEqual([
      'Maximize',
      ' obj: 0 none',
      'Subject To',
      'Binary',
      'End',
    ]);
  });
  it('a channel of another group has no part in the row', () => {
    const apart = [A, { ...B, groupId: uuid(5) }];
    expect(togetherModel(problem({}, apart), [A.groupId])).toContain(' c5: x0_0 - y0_0 <= 0\n');
  });
  it('what a solver answers', () => {
    const answer = (values: Record<string, number>, isOptimal = true) =>
      numberTogether(two, [TWO], NONE, [A.groupId], () => ({ isOptimal, objective: 0, values }));
    expect(numberTogether(two, [TWO], NONE, [A.groupId], () => null)).toBeNull();
    const both = answer({ x0_1: 0.999, x1_0: 1, x1_1: 0.001 });
    expect(both).toMatchObject({ total: 208, bound: 208, price: 0, firstFit: 208, findings: [] });
    expect(both && numbersOf(both)).toEqual([14, 13]);
    const one = answer({ x0_1: 1 }, false);
    expect(one).toMatchObject({ total: 124, bound: 208, price: 84 });
    expect(one && numbersOf(one)).toEqual([14, null]);
    expect(one?.channels.map(({ price }) => price)).toEqual([0, 0]);
  });
});

describe('numbers that can be had', () => {
  const set = mobile((raw) => {
    raw.regions = [region(raw, 'free')];
  });
  const kinds = [{ key: 'one', device: fitDevice(set, factoryMemory(set)), weight: 1 }];
  const [a, b] = [channel('AAA', 462.65, 462.65), channel('BBB', 462.675, 462.675)];
  it('stand in their order, with those that somebody holds', () =>
    expect(
      numberingProblem(plan([a, b]), kinds, { last: {}, pins: { [a.id]: 3, [b.id]: 13 } }).numbers,
    ).toEqual([3, 11, 12, 13, 14, 15]));
  it('a number that is held counts in the bound as in the sum', () => {
    const numbering = numberFleet(plan([a, b]), kinds, { last: {}, pins: { [a.id]: 15 } });
    expect(numbering.channels.map(({ number }) => number)).toEqual([15, 11]);
    expect(numbering.bound).toBe(numbering.total);
  });
  it('what has none is not among them; what is held without a number is not held', () => {
    expect(keptNumbers({ channels: [{ channelId: 'a', number: null }] as never })).toStrictEqual({});
    expect(numberingWishes({ numbering: { numbers: {}, pins: ['a'] } as never })).toStrictEqual({
      last: {},
      pins: {},
    });
  });
  it('sets of one kind that carry the same groups count together', () => {
    const alike = [unit(1, set.id), unit(2, set.id)];
    const carried = { kinds: { [set.id]: [uuid(1)] }, teams: {}, units: {} };
    const weights = (of: object) =>
      numberingKinds(alike, [set], NO_GROUNDS, { carried: of as never }).map(({ weight }) => weight);
    expect(weights(carried)).toEqual([2]);
    expect(weights({ kinds: {}, teams: {}, units: { [uuid(1)]: [uuid(1)] } })).toEqual([1, 1]);
  });
});
