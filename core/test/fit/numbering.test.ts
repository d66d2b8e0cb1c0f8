import {
  assign,
  type Cell,
  type FitDevice,
  fitDevice,
  fitPlan,
  type Numbering,
  type NumberingKind,
  numberFleet,
  numberingProblem,
  numbersOf,
  numberTogether,
  otherNumbers,
  provenBound,
  togetherModel,
} from '@umbrex/core/fit';
import { chanceOf, completed, unknownMemory } from '@umbrex/core/memory';
import {
  type Channel,
  type Description,
  DescriptionSchema,
  factoryMemory,
  type Numbers,
  type Plan,
} from '@umbrex/core/model';
import fc from 'fast-check';
import highs from 'highs';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { anyPlan, channel, plan, uuid } from '../support/plans';
import { runs } from '../support/runs';

const gains = (most = 6) =>
  fc.integer({ min: 1, max: most }).chain((rows) =>
    fc.integer({ min: rows, max: most }).chain((columns) =>
      fc.array(fc.array(fc.integer({ min: 0, max: 30 }), { minLength: columns, maxLength: columns }), {
        minLength: rows,
        maxLength: rows,
      }),
    ),
  );

/** Every way to give each row a column, tried out. */
function tryAll(gain: readonly (readonly number[])[], row = 0, taken = new Set<number>()): number {
  if (row === gain.length) return 0;
  let best = Number.NEGATIVE_INFINITY;
  for (let column = 0; column < (gain[0]?.length ?? 0); column++) {
    if (taken.has(column)) continue;
    taken.add(column);
    best = Math.max(best, (gain[row]?.[column] ?? 0) + tryAll(gain, row + 1, taken));
    taken.delete(column);
  }
  return best;
}

it('a channel that no set can hold has no number, and takes none from another', () => {
  const far = channel('Far', 851.0125, null, { service: 'other', mode: 'digital' });
  const near = channel('Near', 462.5625, 462.5625);
  for (const channels of [
    [far, near],
    [near, far],
  ]) {
    const devices = [shipped('page-handheld'), shipped('guided-handheld')].map((d) => fitDevice(d));
    const kinds = devices.map((device, i): NumberingKind => ({ key: `k${i}`, device, weight: 3 }));
    const found = numberFleet(plan(channels), kinds, { last: {}, pins: {} });
    const numberOf = (id: string) => found.channels.find((one) => one.channelId === id)?.number;
    expect(numberOf(far.id)).toBeNull();
    expect(numberOf(near.id)).toEqual(expect.any(Number));
  }
});

describe('the assignment is the best there is', () => {
  it('on the example of SciPy’s manual for linear_sum_assignment (typed from memory), costs turned round', () => {
    const cost = [
      [4, 1, 3],
      [2, 0, 5],
      [3, 2, 2],
    ];
    const { columnOf, total, bound } = assign(
      cost.map((row) => row.map((c) => -c)),
      3,
    );
    expect(columnOf).toEqual([1, 0, 2]);
    expect([-total, -bound]).toEqual([5, 5]);
  });
  it('as trying out every one says, and its prices prove it', () =>
    fc.assert(
      fc.property(gains(), (gain) => {
        const { columnOf, total, bound } = assign(gain, gain[0]?.length ?? 0);
        expect(new Set(columnOf).size).toBe(gain.length);
        expect(total).toBe(tryAll(gain));
        expect(bound).toBe(total);
      }),
      { numRuns: runs(400) },
    ));
  it('as an independent solver says (HiGHS, through its package)', async () => {
    const solver = await highs();
    const random = fc.sample(gains(12), { numRuns: runs(25), seed: 5 });
    for (const gain of random) {
      const columns = gain[0]?.length ?? 0;
      const x = (i: number, j: number) => `x_${i}_${j}`;
      const cells = gain.flatMap((row, i) => row.map((value, j) => ({ value, i, j })));
      const model = [
        'Maximize',
        ` obj: ${cells.map(({ value, i, j }) => `${value} ${x(i, j)}`).join(' + ')}`,
        'Subject To',
        ...gain.map((row, i) => ` r${i}: ${row.map((_, j) => x(i, j)).join(' + ')} = 1`),
        ...Array.from(
          { length: columns },
          (_, j) => ` c${j}: ${gain.map((_row, i) => x(i, j)).join(' + ')} <= 1`,
        ),
        'Binary',
        ...cells.map(({ i, j }) => ` ${x(i, j)}`),
        'End',
      ].join('\n');
      expect(assign(gain, columns).total).toBe(Math.round(solver.solve(model).ObjectiveValue));
    }
  });
  it('and any prices at all give a bound that holds', () =>
    fc.assert(
      fc.property(
        gains(5),
        fc.array(fc.integer({ min: -40, max: 40 }), { minLength: 10, maxLength: 10 }),
        (gain, prices) => {
          const columns = gain[0]?.length ?? 0;
          const bound = provenBound(gain, prices.slice(0, gain.length), prices.slice(5, 5 + columns));
          expect(bound).toBeGreaterThanOrEqual(tryAll(gain));
        },
      ),
    ));
  it('refuses what is no assignment', () => {
    expect(() => assign([[1], [2]], 1)).toThrow(RangeError);
    expect(() => assign([[0.5]], 1)).toThrow(RangeError);
    expect(() => assign([[1, 2]], 3)).toThrow(RangeError);
    expect(assign([], 4)).toMatchObject({ total: 0, bound: 0 });
  });
});

/** A set of free slots with the given numbers and nothing else to it, that exists only here. */
function freeSet(id: string, first: number, count: number): Description {
  const { behaviour: _b, recipes: _r, ...rest } = shipped('page-handheld');
  const region = rest.regions.find((r) => r.content.kind === 'free');
  if (!region) throw new Error('no free region');
  const at = {
    ...region,
    id: 'only',
    first,
    count,
    size: count,
    stride: count,
    banks: [],
    label: '{number}',
  };
  return DescriptionSchema.parse({
    ...rest,
    id,
    title: id,
    regions: [{ ...at, ways: [{ by: ['keys'], fields: rest.fields.map((f) => f.id) }] }],
  });
}
const kindOf = (description: Description, weight = 1): NumberingKind => ({
  key: description.id,
  device: fitDevice(description),
  weight,
});
const none = { last: {}, pins: {} };
const repeater = (name: string, output: number, input: number, more: Partial<Channel> = {}) =>
  channel(name, output, input, { bandwidth: 'wide', ...more });
/** One place more, that is a channel from the factory, under a letter. */
function withFactoryPlace(description: Description): Description {
  const [hz] = [462_550_000];
  const fixed = {
    ...(description.regions[0] as Description['regions'][number]),
    id: 'made',
    first: 90,
    count: 1,
    size: 1,
    stride: 1,
    label: 'R{position}',
    content: {
      kind: 'fixed' as const,
      channels: [{ receiveHz: hz, transmitHz: 467_550_000, bandwidth: 'wide' as const }],
    },
    ways: [
      {
        by: ['keys'],
        fields: description.fields
          .filter(({ holds }) => holds !== 'receiveHz' && holds !== 'offsetHz')
          .map((f) => f.id),
      },
    ],
  };
  return DescriptionSchema.parse({ ...description, regions: [...description.regions, fixed] });
}
/** A network scanner of three blocks with two places each, whose places are read by their number: 1-2, 3-4, 5-6. */
const blocksOfTwo = DescriptionSchema.parse({
  ...(({ behaviour: _b, recipes: _r, keyMap: _k, ...rest }) => rest)(shipped('network-scanner')),
  id: 'blocks-of-two',
  regions: shipped('network-scanner')
    .regions.filter(({ content }) => content.kind === 'free')
    .map((region) => ({
      ...region,
      first: 1,
      count: 6,
      size: 2,
      stride: 2,
      banks: ['A', 'B', 'C'],
      label: '{number}',
    })),
});
const sorted = (sort: string, n: number): Channel =>
  sort === 'talk'
    ? gmrs(`T${n}`, n)
    : sort === 'listen'
      ? channel(`L${n}`, 462.6 + n * 0.05, null, { service: 'gmrs' })
      : sort === 'fixed'
        ? repeater(`F${n}`, 462.55, 467.55, { service: 'gmrs', transmitTone: n % 2 ? '100.0' : '131.8' })
        : channel(`${sort} ${n}`, 771.1 + n * 0.1, null, {
            mode: 'digital',
            service: 'other',
            trunk: { network: sort, carries: 'control', isLocal: true },
          });
const gmrs = (name: string, n: number, tier: Channel['tier'] = 'should') =>
  channel(name, 462.5625 + 0.025 * n, 462.5625 + 0.025 * n, { id: uuid(700 + n), tier, bandwidth: 'narrow' });

describe('one number for each channel across a fleet', () => {
  it('five channels, four sets, the sum written out', () => {
    // Sets: P holds 1-2 (three of them), Q holds 2-4, R holds 4-5, S holds 1-5. P and R have two places: C, which must be in, and B, the
    // first that should; Q takes D too. Values: must 3, should 2, nice 1; ten times as much to talk; gains count double.
    // By number, the weight of the sets that have it: 1: P3+S = 4, 2: P3+Q+S = 5, 3: Q+S = 2, 4: Q+R+S = 3, 5: R+S = 2.
    // C at 2: 2·30·5 = 300, B at 1: 2·20·4 = 160, D at 4 on Q and S: 2·20·2 = 80, A and E on S alone: 2·10 each; a number of one
    // figure is worth 6 by itself: 5·6. Sum 610.
    const fleet = [
      kindOf(freeSet('set-p', 1, 2), 3),
      kindOf(freeSet('set-q', 2, 3)),
      kindOf(freeSet('set-r', 4, 2)),
      kindOf(freeSet('set-s', 1, 5)),
    ];
    const five = [
      gmrs('A', 0, 'nice'),
      gmrs('B', 1),
      gmrs('C', 2, 'must'),
      gmrs('D', 3),
      gmrs('E', 4, 'nice'),
    ];
    const found = numberFleet(plan(five), fleet, none);
    expect([found.total, found.bound]).toEqual([610, 610]);
    expect(found.channels.map(({ number }) => number)).toEqual([3, 1, 2, 4, 5]);
    expect(found.channels.map(({ there, able }) => [there, able])).toEqual([
      [1, 1],
      [4, 6],
      [5, 6],
      [2, 2],
      [1, 1],
    ]);
    expect(found.channels[2]?.elsewhere).toEqual([{ key: 'set-r', home: null }]);
  });
  it('keeps a number unless a change gains more than half as much again', () => {
    const [a] = [gmrs('A', 0)];
    const at = (weights: readonly [number, number], last: number) => {
      const fleet = [kindOf(freeSet('one', 1, 1), weights[0]), kindOf(freeSet('two', 2, 1), weights[1])];
      return numberFleet(plan([a]), fleet, { last: { [a.id]: last }, pins: {} }).channels[0];
    };
    expect(at([2, 3], 1)).toMatchObject({ number: 1, kept: true });
    expect(at([2, 4], 1)).toMatchObject({ number: 2, kept: false });
  });
  it('holds pins, says what each costs, and which cannot be', () => {
    const fleet = [kindOf(freeSet('one', 1, 3), 4), kindOf(freeSet('two', 3, 3), 1)];
    const [a, b] = [gmrs('A', 0), gmrs('B', 1)];
    const free = numberFleet(plan([a, b]), fleet, none);
    const held = numberFleet(plan([a, b]), fleet, { last: {}, pins: { [a.id]: 5, [b.id]: 9 } });
    expect(held.channels[0]).toMatchObject({ number: 5, pinned: true, there: 1 });
    // A at 5 is held by one of five: 2·20·1; B takes 3, held by all: 2·20·5. Without the pin: 3 and 1, 2·20·5 + 2·20·4. Each has one figure.
    expect([held.total, free.total]).toEqual([240 + 12, 360 + 12]);
    expect(held.channels[0]?.price).toBe(120);
    expect(held.findings).toEqual([{ code: 'pin-impossible', channelId: b.id, number: 9 }]);
    const twice = numberFleet(plan([a, b]), fleet, { last: {}, pins: { [a.id]: 3, [b.id]: 3 } });
    expect(twice.findings).toEqual([{ code: 'pin-twice', channelId: b.id, number: 3 }]);
  });
  const fleetOf = (weights: readonly number[]) =>
    SHIPPED.map((d, i) => kindOf(d, weights[i % weights.length] ?? 1));
  it('is never worse than first fit, proves itself, gives no number twice, and is the same again', () =>
    fc.assert(
      fc.property(
        anyPlan,
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 3, maxLength: 3 }),
        (any: Plan, weights) => {
          const fleet = fleetOf(weights);
          const found = numberFleet(any, fleet, none);
          expect(found.total).toBeGreaterThanOrEqual(found.firstFit);
          expect(found.bound).toBe(found.total);
          const numbers = found.channels.flatMap(({ number }) => number ?? []);
          expect(new Set(numbers).size).toBe(numbers.length);
          expect(numberFleet(any, fleet, none)).toEqual(found);
          // What was chosen once is kept when it is asked again.
          const last = Object.fromEntries(
            found.channels.flatMap(({ channelId, number }) => (number === null ? [] : [[channelId, number]])),
          );
          expect(numberFleet(any, fleet, { last, pins: {} }).channels.map(({ number }) => number)).toEqual(
            found.channels.map(({ number }) => number),
          );
        },
      ),
      { numRuns: runs(60) },
    ));
  it('promises what the fit then does: as many sets read it there as it says, on any plan and on held sets', () =>
    fc.assert(
      fc.property(anyPlan, fc.integer({ min: 1, max: 1000 }), (any, seed) => {
        const chance = chanceOf(seed);
        const fleet = SHIPPED.map((d, i): NumberingKind => {
          const isHeld = i % 2 === 1;
          const memory = isHeld ? completed(d, unknownMemory(d), chance) : factoryMemory(d);
          return { key: d.id, device: fitDevice(d, memory), weight: 1 + (i % 4) };
        });
        expectAsPromised(any, fleet, numberFleet(any, fleet, none));
      }),
      { numRuns: runs(30) },
    ));
  it('the best of it is the best of all numberings, each of them fitted and counted: capacity, networks, factory places', () =>
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('talk', 'listen', 'north', 'south', 'fixed'), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.array(fc.constantFrom('must', 'should', 'nice'), { minLength: 4, maxLength: 4 }),
        fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 5, maxLength: 5 }),
        (sorts, tiers, weights) => {
          const few = plan(
            sorts.map((sort, n) => ({ ...sorted(sort, n), tier: tiers[n] ?? 'nice', id: uuid(900 + n) })),
          );
          const fleet = [
            freeSet('wide', 1, 4),
            freeSet('high', 3, 3),
            { ...freeSet('full', 1, 4), capacity: 2 },
            withFactoryPlace(freeSet('made', 2, 3)),
            blocksOfTwo,
          ].map((d, i) => kindOf(d, weights[i]));
          const found = numberFleet(few, fleet, none);
          expectAsPromised(few, fleet, found);
          expect(found.bound).toBe(found.total);
          const { best, luck } = bestOf(few, fleet);
          if (luck === 0) expect(found.total).toBe(best);
          expect(best).toBeGreaterThanOrEqual(found.total);
          // One channel more on each of those sets, talked on and a must, with the ease of a number.
          expect(best - found.total).toBeLessThanOrEqual(luck * 2 * 3 * 10 + (luck > 0 ? 6 : 0));
        },
      ),
      {
        numRuns: runs(60),
        // Two channels that share a place leave a full set room for a third by luck.
        examples: [
          [
            ['talk', 'fixed', 'talk', 'fixed'],
            ['must', 'must', 'must', 'must'],
            [1, 2, 1, 1, 1],
          ],
        ],
      },
    ));
  it('a set keeps a factory place that is the channel already, and says under which label', () => {
    const north = repeater('North', 462.55, 467.55, { id: uuid(990) });
    const fleet = [kindOf(shipped('page-handheld'), 9), kindOf(shipped('guided-handheld'), 2)];
    const found = numberFleet(plan([north]), fleet, none);
    expect(found.channels[0]).toMatchObject({
      number: 1,
      there: 2,
      elsewhere: [{ key: 'page-handheld', home: 'R1' }],
    });
  });
  it('another number is what holding it fast would give, and says who moves for it', () =>
    fc.assert(
      fc.property(anyPlan, (any) => {
        const fleet = fleetOf([3, 1, 2]);
        const free = numberFleet(any, fleet, none);
        const one = any.channels[0];
        if (!one) return;
        const others = otherNumbers(any, fleet, none, one.id);
        expect(others.map(({ number }) => number)).not.toContain(free.channels[0]?.number);
        // The least loss first; of equal ones the lowest number.
        expect(others).toEqual(others.toSorted((a, b) => a.lessPoints - b.lessPoints || a.number - b.number));
        for (const { number, numbers, lessPoints, there, moves } of others) {
          const held = numberFleet(any, fleet, { last: {}, pins: { [one.id]: number } });
          expect(numbersOf(held)).toEqual(numbers);
          expect(free.total - held.total).toBe(lessPoints);
          expect(held.channels[0]).toMatchObject({ number, there });
          const before = numbersOf(free);
          expect(moves).toEqual(
            any.channels.slice(1).flatMap(({ id }) => (before[id] === numbers[id] ? [] : [id])),
          );
        }
      }),
      { numRuns: runs(20) },
    ));
  it('other numbers stand by what they lose, not by their size', () => {
    const one = gmrs('A', 0);
    const fleet = [
      kindOf(freeSet('most', 30, 1), 9),
      kindOf(freeSet('some', 20, 1), 6),
      kindOf(freeSet('few', 7, 1), 2),
      kindOf(freeSet('more', 41, 1), 4),
    ];
    const others = otherNumbers(plan([one]), fleet, none, one.id);
    expect(others.map(({ number, talking }) => [number, talking])).toEqual([
      [20, 6],
      [41, 4],
      [7, 2],
    ]);
  });
  it('are looked for among those that look best for it, however many there are', () => {
    const one = gmrs('A', 0);
    const fleet = [1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => kindOf(freeSet(`set-${n}`, n, 1), n));
    expect(otherNumbers(plan([one]), fleet, none, one.id).map(({ number }) => number)).toEqual([8, 7, 6]);
    expect(otherNumbers(plan([one]), fleet, none, one.id, 1).map(({ number }) => number)).toEqual([8]);
  });
  it('sets that only listen do not drive away from those that talk', () => {
    const one = gmrs('A', 0);
    const fleet = [kindOf(freeSet('talks', 7, 1), 2), kindOf(shipped('wideband-receiver'), 9)];
    expect(numberFleet(plan([one]), fleet, none).channels[0]).toMatchObject({
      number: 7,
      talking: 2,
      there: 11,
    });
  });
  it('is what people read: a label with a zone is no number, one letter is where it is the only one', () => {
    const read = (id: string) => [...fitDevice(shipped(id)).slotRead].map(([n, { label }]) => [n, label]);
    expect(read('bank-scanner')).toEqual([]);
    // R4, S4 and L4 are three fours; S15 to S22 are the only ones.
    expect(read('page-handheld').slice(0, 9)).toEqual([
      ...[15, 16, 17, 18, 19, 20, 21, 22].map((n) => [n, `S${n}`]),
      [45, 'M45'],
    ]);
    // A five is 5, and not P5.
    expect(read('preset-radio').slice(3, 6)).toEqual([
      [4, '4'],
      [5, '5'],
      [6, '6'],
    ]);
    expect(read('preset-radio').at(-1)).toEqual([40, 'P40']);
    // On an alert radio AREA 3 is no channel.
    expect(read('menu-alert').map(([, label]) => label)).toEqual([
      'CH1',
      'CH2',
      'CH3',
      'CH4',
      'CH5',
      'CH6',
      'CH7',
    ]);
  });
});

const cellsOf = (any: Plan, fleet: readonly NumberingKind[], numbers: Numbers) =>
  fleet.map(({ device }) => fitPlan(any, device, numbers).cells);

/** Whether a channel sits where its number is read on a set. */
const isAt = (device: FitDevice, { slot }: Cell, number: number | undefined): boolean =>
  slot !== null && number !== undefined && device.slotRead.get(number)?.number === slot.number;

/** Counts on the fits themselves who reads each channel at its number, and who talks there. */
function countedOn(any: Plan, fleet: readonly NumberingKind[], numbers: Numbers) {
  const counts = any.channels.map(() => ({ there: 0, talking: 0 }));
  cellsOf(any, fleet, numbers).forEach((cells, kind) => {
    const { device, weight } = fleet[kind] as NumberingKind;
    cells.forEach((cell, row) => {
      const count = counts[row];
      if (!count || !isAt(device, cell, numbers[cell.channelId])) return;
      count.there += weight;
      if (cell.verdict !== 'listen') count.talking += weight;
    });
  });
  return counts;
}

/**
 * As many find each channel as the numbering says. On a set that is full to its last place a channel that it had no room for may come to
 * that place, since others share one, and then more find it than was said.
 */
function expectAsPromised(any: Plan, fleet: readonly NumberingKind[], found: Numbering): void {
  const numbers = numbersOf(found);
  const counts = countedOn(any, fleet, numbers);
  const full = fleet.filter(({ device }) => {
    const taken = fitPlan(any, device, numbers).image.slots;
    const { capacity = device.freeSlots.length } = device.description;
    const used = device.freeSlots.filter(({ number }) => taken.has(number) || device.filled.has(number));
    return used.length >= Math.min(capacity, device.freeSlots.length) && device.freeSlots.length > 0;
  });
  const luck = full.reduce((sum, { weight }) => sum + weight, 0);
  if (luck === 0) expect(counts).toEqual(found.channels.map(({ there, talking }) => ({ there, talking })));
  found.channels.forEach(({ there, talking }, row) => {
    expect(counts[row]?.there).toBeGreaterThanOrEqual(there);
    expect(counts[row]?.talking).toBeGreaterThanOrEqual(talking);
    expect((counts[row]?.there ?? 0) - there).toBeLessThanOrEqual(luck);
  });
}

/**
 * Every numbering of a few channels by 1 to 6, fitted, and what the best comes to by hand: none of these sets asks for more values
 * anywhere. And the weight of the sets on which more channels come in than they have places, since some share one: who comes in so is
 * counted in what is best, and is promised by nobody (`expectAsPromised`).
 */
function bestOf(any: Plan, fleet: readonly NumberingKind[]): { best: number; luck: number } {
  const lucky = new Set<NumberingKind>();
  const totals = numberingsOf(any.channels).map((numbers) => {
    cellsOf(any, fleet, numbers).forEach((cells, k) => {
      const kind = fleet[k] as NumberingKind;
      const { capacity = Number.POSITIVE_INFINITY } = kind.device.description;
      const isFree = (slot: { number: number }) =>
        kind.device.freeSlots.some(({ number }) => number === slot.number);
      const inFree = cells.filter(({ slot }) => slot && isFree(slot)).length;
      if (inFree > Math.min(capacity, kind.device.freeSlots.length)) lucky.add(kind);
    });
    const counts = countedOn(any, fleet, numbers);
    return any.channels.reduce((sum, { tier }, row) => {
      const { there = 0, talking = 0 } = counts[row] ?? {};
      const value = { must: 3, should: 2, nice: 1 }[tier];
      return sum + (there === 0 ? 0 : 2 * value * (10 * talking + (there - talking)) + 6);
    }, 0);
  });
  return {
    best: Math.max(...totals),
    luck: [...lucky].reduce((sum, { weight }) => sum + weight, 0),
  };
}

/** Every way to give channels different numbers of 1 to 6, or none. */
function numberingsOf(channels: readonly Channel[]): Record<string, number>[] {
  return channels.reduce<Record<string, number>[]>(
    (all, { id }) =>
      all.flatMap((numbers) => [
        numbers,
        ...[1, 2, 3, 4, 5, 6]
          .filter((n) => !Object.values(numbers).includes(n))
          .map((n) => ({ ...numbers, [id]: n })),
      ]),
    [{}],
  );
}

describe('more channels than places', () => {
  const small = freeSet('small-set', 1, 4);
  const two = (names: readonly [string, number, Channel['tier'], number][]) => {
    const channels = names.map(([name, n, tier, group]) => ({
      ...gmrs(name, n, tier),
      groupId: uuid(group),
    }));
    return fitPlan(plan(channels), fitDevice(small)).cells.map(({ slot, findings }) => [
      slot?.number ?? null,
      ...findings.flatMap(({ code }) => (['no-free-slot', 'group-split'].includes(code) ? [code] : [])),
    ]);
  };
  it('what must be in goes first, then group by group, and a group that is split says so', () =>
    expect(
      two([
        ['A', 0, 'nice', 1],
        ['B', 1, 'should', 1],
        ['C', 2, 'should', 2],
        ['D', 3, 'should', 1],
        ['E', 4, 'must', 2],
        ['F', 5, 'should', 2],
      ]),
    ).toEqual([
      [null, 'no-free-slot', 'group-split'],
      [2],
      [4],
      [3],
      [1],
      [null, 'no-free-slot', 'group-split'],
    ]));
  it('a group of which all are in, or none, is not split, whatever else is said of its channels', () => {
    const full: [string, number, Channel['tier'], number][] = [
      ['A', 0, 'must', 1],
      ['B', 1, 'must', 1],
      ['C', 2, 'must', 1],
      ['D', 3, 'must', 1],
    ];
    expect(two([...full, ['E', 4, 'nice', 2]])).toEqual([[1], [2], [3], [4], [null, 'no-free-slot']]);
    expect(two([...full, ['E', 4, 'nice', 1], ['F', 5, 'nice', 1]]).slice(3)).toEqual([
      [4],
      [null, 'no-free-slot', 'group-split'],
      [null, 'no-free-slot', 'group-split'],
    ]);
  });
  it('with places enough, the order of the plan stands', () =>
    expect(
      two([
        ['A', 0, 'nice', 1],
        ['B', 1, 'must', 2],
        ['C', 2, 'should', 1],
      ]),
    ).toEqual([[1], [2], [3]]));
});

describe('groups kept in a row', () => {
  const fleet = (): NumberingKind[] => [
    { key: 'a', device: fitDevice(freeSet('low', 1, 8)), weight: 3 },
    { key: 'b', device: fitDevice(freeSet('high', 5, 8)), weight: 2 },
  ];
  const [ONE, TWO] = [uuid(801), uuid(802)];
  const mixed = (n: number): Channel[] =>
    Array.from({ length: n }, (_, i) =>
      channel(`C${i}`, 150 + i * 0.025, null, {
        id: uuid(810 + i),
        groupId: i % 2 ? TWO : ONE,
        service: 'other',
        tier: i < 2 ? 'must' : 'nice',
      }),
    );
  const solved = async () => {
    const solver = await highs();
    return (model: string) => {
      const { Status, ObjectiveValue, Columns } = solver.solve(model);
      if (Status !== 'Optimal') return null;
      const values = Object.fromEntries(
        Object.entries(Columns).map(([name, column]) => [
          name,
          'Primal' in column ? Number(column.Primal) : 0,
        ]),
      );
      return { isOptimal: true, objective: ObjectiveValue, values };
    };
  };
  /** Every way to number the channels of a few, tried out. */
  const tried = (problem: ReturnType<typeof numberingProblem>, together: readonly string[]): number => {
    const { channels, numbers, gain } = problem;
    let best = 0;
    const fits = (at: readonly (number | null)[]) =>
      together.every((groupId) => {
        const rows = channels.flatMap((c, i) => (c.groupId === groupId ? [i] : []));
        const taken = rows.flatMap((i) => at[i] ?? []);
        return taken.length === 0 || Math.max(...taken) - Math.min(...taken) < rows.length;
      });
    const walk = (row: number, at: (number | null)[], sum: number): void => {
      if (row === channels.length) {
        if (sum > best && fits(at)) best = sum;
        return;
      }
      walk(row + 1, [...at, null], sum);
      numbers.forEach((number, column) => {
        const value = gain[row]?.[column] ?? 0;
        if (value > 0 && !at.includes(number)) walk(row + 1, [...at, number], sum + value);
      });
    };
    walk(0, [], 0);
    return best;
  };
  it('is the best of all that keep them, tried out one by one, and costs what it says', async () => {
    const solve = await solved();
    const few = plan(mixed(4));
    const problem = numberingProblem(few, fleet(), { last: {}, pins: {} });
    for (const together of [[ONE], [TWO], [ONE, TWO]]) {
      const found = numberTogether(few, fleet(), { last: {}, pins: {} }, together, solve);
      expect(found?.total).toBe(tried(problem, together));
      expect(found?.bound).toBe(found?.total);
      expect(found?.price).toBe(
        numberFleet(few, fleet(), { last: {}, pins: {} }).total - (found?.total ?? 0),
      );
    }
  });
  it('stands in a row, with a pin where it is wanted', async () => {
    const many = plan(mixed(8));
    const pins = { [uuid(810)]: 7 };
    const found = numberTogether(many, fleet(), { last: {}, pins }, [ONE, TWO], await solved());
    const numbersIn = (groupId: string) =>
      many.channels.flatMap(({ id, groupId: of }) =>
        of === groupId ? (found?.channels.find(({ channelId }) => channelId === id)?.number ?? []) : [],
      );
    for (const groupId of [ONE, TWO]) {
      const taken = numbersIn(groupId);
      expect(new Set(taken).size).toBe(taken.length);
      expect(Math.max(...taken) - Math.min(...taken)).toBeLessThan(4);
    }
    expect(found?.channels[0]).toMatchObject({ number: 7, pinned: true });
  });
  it('asks for a channel only where it gains, and for one with a pin nowhere else', () => {
    const many = plan(mixed(3));
    const pins = { [uuid(811)]: 7 };
    const problem = numberingProblem(many, fleet(), { last: {}, pins });
    const asked = new Set(togetherModel(problem, [ONE]).match(/x\d+_\d+/g));
    const expected = problem.channels.flatMap((_, row) =>
      problem.numbers.flatMap((number, column) => {
        const isAsked = row === 1 ? number === 7 : (problem.gain[row]?.[column] ?? 0) > 0;
        return isAsked ? [`x${row}_${column}`] : [];
      }),
    );
    expect([...asked].sort()).toEqual(expected.sort());
    for (const nothing of [0, -5]) {
      const gain = problem.gain.with(0, (problem.gain[0] ?? []).with(3, nothing));
      expect(togetherModel({ ...problem, gain }, [ONE])).not.toMatch(/x0_3\b/);
    }
    expect(togetherModel(problem, [ONE])).toContain(`x1_${problem.numbers.indexOf(7)} = 1`);
  });
  it('without any group it is the same sum as the assignment', async () => {
    const many = plan(mixed(8));
    const found = numberTogether(many, fleet(), { last: {}, pins: {} }, [], await solved());
    expect(found).toMatchObject({
      total: numberFleet(many, fleet(), { last: {}, pins: {} }).total,
      price: 0,
    });
  });
});
