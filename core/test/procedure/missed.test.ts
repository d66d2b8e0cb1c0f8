import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { factoryMemory } from '@umbrex/core/model';
import {
  missChance,
  Round,
  roundTimes,
  type Stop,
  scanOf,
  scanReport,
  scanTrades,
  type Timing,
  VirtualDevice,
} from '@umbrex/core/procedure';
import { scanOfPlan } from '@umbrex/core/scanned';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { memoryAfter } from '../support/memory';
import { channel, OSTREL, plan } from '../support/plans';
import { runs } from '../support/runs';

const stop = (i: number, hasPriority = false): Stop => ({
  number: i,
  hz: 150_000_000 + i * 25_000,
  tone: 'off',
  resumeMs: 2000,
  hasPriority,
});

it('a place whose number a setting of the whole set names has priority, also where nobody said how that stands', () => {
  const FIELD = shipped('field-mobile');
  const { memory } = (() => {
    const fit = fitPlan(
      {
        ...plan([
          channel('One', 154.25, null, { service: 'other' }),
          channel('Two', 155.1625, null, { service: 'other', scan: 'priority' }),
        ]),
        country: 'other',
      },
      fitDevice(FIELD),
    );
    return { memory: memoryAfter(FIELD, fit.image) };
  })();
  const priority = (settings: Readonly<Record<string, number>>) =>
    scanOf(FIELD, { ...memory, settings }).flatMap(({ number, hasPriority }) =>
      hasPriority ? [number] : [],
    );
  expect(priority(memory.settings)).toEqual([2]);
  // The list of numbers begins with NONE: 1 is place 1.
  expect(priority({ ...memory.settings, prioA: 1 })).toEqual([1]);
  expect(priority({ ...memory.settings, prioA: 0 })).toEqual([]);
  // Not said: as from the factory.
  expect(priority({})).toEqual(priority(factoryMemory(FIELD).settings));
});

/** Whether the set's own scanner, begun at 0, stops on a call before it ends; found out by letting it run. */
function catches(stops: readonly Stop[], timing: Timing, at: Stop, fromMs: number, callMs: number): boolean {
  const round = new Round(stops, timing, 0);
  const signals = [{ hz: at.hz, tone: 'off', fromMs, toMs: fromMs + callMs }];
  while (round.nextMs < fromMs + callMs + timing.everyMs) round.step(round.nextMs, signals);
  return round.caught.some(({ atMs }) => atMs < fromMs + callMs);
}

const anyScan = fc
  .record({
    count: fc.integer({ min: 1, max: 9 }),
    everyMs: fc.integer({ min: 10, max: 40 }),
    decide: fc.double({ min: 0, max: 1, noNaN: true }),
    lookEvery: fc.option(fc.integer({ min: 20, max: 600 })),
    priority: fc.array(fc.boolean(), { minLength: 9, maxLength: 9 }),
    callMs: fc.integer({ min: 1, max: 700 }),
  })
  .map(({ count, everyMs, decide, lookEvery, priority, callMs }) => ({
    stops: Array.from({ length: count }, (_, i) => stop(i, lookEvery !== null && i % 3 === 0 && priority[i])),
    timing: { everyMs, decideMs: Math.floor(everyMs * decide), lookEveryMs: lookEvery } satisfies Timing,
    callMs,
  }));

describe('the chance to miss a call', () => {
  it('is that of the set’s own scanner: of every start in a whole period, at twenty settings', () => {
    fc.assert(
      fc.property(anyScan, fc.nat(), ({ stops, timing, callMs }, pick) => {
        const times = roundTimes(stops, timing);
        const at = stops[pick % stops.length] as Stop;
        const chance = missChance(times, timing, (i) => stops[i] === at, callMs);
        // From the second period on, so that a scan that was just begun is behind us. All of it, or an even part of a long one.
        const every = Math.max(1, Math.floor(times.periodMs / 1500));
        let [missed, tried] = [0, 0];
        for (let s = 0; s < times.periodMs; s += every) {
          tried++;
          if (!catches(stops, timing, at, times.periodMs + 2000 + s, callMs)) missed++;
        }
        if (every === 1) expect(missed / tried).toBeCloseTo(chance, 9);
        // Each boundary of a gap may fall beside a start that was tried.
        const gaps = times.visitsMs.flat().length + 2;
        expect(Math.abs(missed / tried - chance)).toBeLessThanOrEqual(
          (every === 1 ? 1e-9 : 1) * (gaps / tried) + 1e-9,
        );
      }),
      { numRuns: runs(20), seed: 20_261_130 },
    );
  }, 120_000);
  it.each([
    // Worked by hand: (L - d) of a round of T are caught, and all once L - d reaches T.
    [10, 40, 0, 100, 1 - 100 / 400],
    [10, 40, 15, 100, 1 - 85 / 400],
    [10, 40, 40, 40, 1],
    [10, 40, 40, 30, 1],
    [1, 40, 10, 50, 0],
    [5, 200, 100, 1100, 0],
    [5, 200, 100, 1099, 1 / 1000],
  ])(
    '%i places of %i ms that take %i to decide, a call of %i ms: %f',
    (count, everyMs, decideMs, callMs, chance) => {
      const timing: Timing = { everyMs, decideMs, lookEveryMs: null };
      const stops = Array.from({ length: count }, (_, i) => stop(i));
      expect(missChance(roundTimes(stops, timing), timing, (i) => i === 0, callMs)).toBeCloseTo(chance, 12);
    },
  );
  it('priority, by hand: ten places of 100 ms, a look each 500 ms at one of them: four of the round, then the look', () => {
    const timing: Timing = { everyMs: 100, decideMs: 0, lookEveryMs: 500 };
    const stops = Array.from({ length: 10 }, (_, i) => stop(i, i === 0));
    const times = roundTimes(stops, timing);
    // A round of ten needs two and a half looks: 1,250 ms in place of 1,000.
    expect(times.roundMs).toBe(1250);
    // The place with priority is come by each 500 ms at least: a call of half a second is never missed there.
    expect(missChance(times, timing, (i) => i === 0, 500)).toBe(0);
    expect(missChance(times, timing, (i) => i === 5, 500)).toBeCloseTo(1 - 500 / 1250, 1);
  });
  it('of a set without places is not asked, and of a call nobody waits for is certain', () => {
    const timing: Timing = { everyMs: 100, decideMs: 0, lookEveryMs: 500 };
    expect(roundTimes([], timing)).toEqual({ periodMs: 0, roundMs: 0, visitsMs: [] });
    expect(missChance(roundTimes([], timing), timing, () => false, 500)).toBe(1);
  });
  it('a call is heard at each place that listens there and opens for it', () => {
    const twice = [stop(0), { ...stop(1), hz: stop(0).hz, tone: '100.0' }, stop(2), stop(3)];
    const scan = { everyMs: 100, decideMs: 0, resumeMs: 0, priority: 'none', search: 'none' } as const;
    const chances = scanReport({ scan }, twice, 100)?.places.map((place) => place.missChance);
    // What the second waits for opens the first as well; a call without a tone opens the first alone.
    expect(chances).toEqual([0.75, 0.5, 0.75, 0.75]);
  });
});

describe('a plan on a set that scans', () => {
  it('is told by the virtual set: it stops on as many of a hundred calls as it should', () => {
    const description = shipped('bank-scanner');
    const channels = Array.from({ length: 12 }, (_, i) =>
      channel(`C${i}`, 152 + i * 0.025, null, { service: 'other' }),
    );
    const of = plan(channels);
    const found = scanOfPlan(of, description, 200);
    const chance = found?.channels[4]?.place?.missChance ?? Number.NaN;
    expect(chance).toBeCloseTo(1 - (200 - 15) / (12 * 40), 9);
    const memory = memoryAfter(description, fitPlan(of, fitDevice(description)).image);
    let missed = 0;
    for (let k = 0; k < 96; k++) {
      const device = new VirtualDevice(description, memory);
      const fromMs = 4000 + k * 5;
      device.receive([{ hz: 152_100_000, tone: 'off', fromMs, toMs: fromMs + 200 }]);
      device.take({ kind: 'key', key: 'scan', heldMs: 100 });
      device.take({ kind: 'wait', ms: 6000 });
      if (device.caught().catches.length === 0) missed++;
    }
    expect(Math.abs(missed / 96 - chance)).toBeLessThan(2 / 96);
  });
  it.each(SHIPPED.map(({ id }) => id))(
    '%s: one chance for each channel that it scans, none where it does not',
    (id) => {
      const description = shipped(id);
      const found = scanOfPlan(OSTREL, description, 2000);
      expect(found === null).toBe(typeof description.scan !== 'object');
      if (!found) return;
      expect(found.channels.map(({ name }) => name)).toEqual(OSTREL.channels.map(({ name }) => name));
      const numbers = new Set(found.stops.map(({ number }) => number));
      for (const { place } of found.channels) {
        if (!place) continue;
        expect(numbers.has(place.number)).toBe(true);
        expect(place.missChance).toBeGreaterThanOrEqual(0);
        expect(place.missChance).toBeLessThanOrEqual(1);
      }
    },
  );
  it('what its scan is asked by is what the virtual set scans by', () => {
    const description = shipped('bank-scanner');
    const { image } = fitPlan(OSTREL, fitDevice(description));
    const stops = scanOf(description, memoryAfter(description, image));
    expect(stops.length).toBeGreaterThan(5);
    expect(stops.every(({ number }) => image.slots.has(number ?? -1))).toBe(true);
  });
});

describe('leaving places out of a scan', () => {
  const scan = { everyMs: 100, decideMs: 20, resumeMs: 0, priority: 'none', search: 'none' } as const;
  it('no other choice of as many does better for what must be heard', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ isMust: fc.boolean(), weight: fc.nat(3), canLeaveOut: fc.boolean() }), {
          minLength: 1,
          maxLength: 7,
        }),
        fc.integer({ min: 50, max: 900 }),
        (wishes, callMs) => {
          const stops = wishes.map((_, i) => stop(i));
          const trades = scanTrades({ scan }, stops, wishes, callMs);
          for (const { leftOut, worstMust } of trades) {
            for (const number of leftOut)
              expect(wishes[number]).toMatchObject({ isMust: false, canLeaveOut: true });
            for (let mask = 0; mask < 1 << stops.length; mask++) {
              const out = stops.filter((_, i) => mask & (1 << i));
              const isAllowed = out.every(
                ({ number }) => wishes[number ?? -1]?.canLeaveOut && !wishes[number ?? -1]?.isMust,
              );
              if (!isAllowed || out.length !== leftOut.length) continue;
              const kept = stops.filter((one) => !out.includes(one));
              const timing: Timing = { everyMs: 100, decideMs: 20, lookEveryMs: null };
              const times = roundTimes(kept, timing);
              const musts = kept.flatMap((one, k) =>
                wishes[one.number ?? -1]?.isMust ? [missChance(times, timing, (i) => i === k, callMs)] : [],
              );
              expect(worstMust).toBeLessThanOrEqual(Math.max(0, ...musts) + 1e-12);
            }
          }
          // The more is left out, the less is missed of what must be heard; and the one that matters least goes first.
          for (const [i, trade] of trades.entries()) {
            const before = trades[i - 1];
            if (before) expect(trade.worstMust).toBeLessThanOrEqual(before.worstMust + 1e-12);
          }
        },
      ),
      { numRuns: runs(60) },
    );
  });
  it('what weighs least goes first, of equal ones the later, and what must be heard or may not go stays', () => {
    const weights = [3, 1, 2, 1, 0, 0];
    const wishes = weights.map((weight, i) => ({ isMust: i === 4, weight, canLeaveOut: i !== 5 }));
    const stops = wishes.map((_, i) => stop(i));
    expect(scanTrades({ scan }, stops, wishes, 500).map(({ leftOut }) => leftOut)).toEqual([
      [],
      [3],
      [1, 3],
      [1, 2, 3],
      [0, 1, 2, 3],
    ]);
  });
  it('priority goes to what must be heard where that serves the worst of it, and says what it costs the others', () => {
    const withPriority = { ...scan, priority: { everyMs: 500, most: 1 } } as const;
    const wishes = Array.from({ length: 10 }, (_, i) => ({ isMust: i === 3, weight: i, canLeaveOut: true }));
    const stops = wishes.map((_, i) => stop(i));
    const [without] = scanTrades({ scan }, stops, wishes, 520);
    const [best] = scanTrades({ scan: withPriority }, stops, wishes, 520, 1);
    expect(without).toMatchObject({ priority: [], worstMust: 0.5, others: 0.5 });
    expect(best).toMatchObject({ priority: [3], worstMust: 0 });
    expect(best?.others).toBeGreaterThan(0.5);
  });
});
