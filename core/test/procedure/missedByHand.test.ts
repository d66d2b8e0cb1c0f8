import { factoryMemory } from '@umbrex/core/model';
import { missChance, roundTimes, scanOf, scanReport, scanTrades } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { little } from '../support/little';
import { stop } from '../support/stops';

// A scan of 100 ms a place and 50 ms to decide, reckoned on paper.

const QUIET = { everyMs: 100, decideMs: 50, lookEveryMs: null };
const LOOKS = { ...QUIET, lookEveryMs: 300 };
const FIRST = [stop(1, { hasPriority: true }), stop(2), stop(3)];
const SCAN = { everyMs: 100, decideMs: 50, resumeMs: 0, priority: 'none', search: 'none' } as const;
const LOOKING = { ...SCAN, priority: { everyMs: 300, most: 1 } } as const;

describe('when a scan comes by', () => {
  it('without a look, place by place: also where one has priority and nobody looks, or one looks and none has', () => {
    const round = { periodMs: 300, roundMs: 300, visitsMs: [[0], [100], [200]] };
    expect(roundTimes(FIRST, QUIET)).toEqual(round);
    expect(roundTimes([stop(1), stop(2), stop(3)], LOOKS)).toEqual(round);
    expect(roundTimes([], LOOKS)).toEqual({ periodMs: 0, roundMs: 0, visitsMs: [] });
  });
  it('a look every third step: look, 3, 1; look, 2, 3; look, 1, 2, and so on from the front', () =>
    expect(roundTimes(FIRST, LOOKS)).toEqual({
      periodMs: 900,
      roundMs: 450,
      visitsMs: [
        [0, 200, 300, 600, 700],
        [400, 800],
        [100, 500],
      ],
    }));
});

describe('what is missed', () => {
  const times = roundTimes(FIRST, LOOKS);
  it('between 400 and 800, and from there to 1300, all but the last 200 ms before the set comes by', () =>
    expect(missChance(times, LOOKS, (i) => i === 1, 250)).toBeCloseTo(500 / 900, 12));
  it('heard at two places it is missed between the visits to either', () =>
    expect(missChance(times, LOOKS, (i) => i > 0, 250)).toBeCloseTo(200 / 900, 12));
  it('all that nobody listens to, and all that is over before it decides', () => {
    expect(missChance(times, LOOKS, () => false, 250)).toBe(1);
    expect(missChance(times, LOOKS, () => true, 50)).toBe(1);
    expect(missChance(times, LOOKS, () => true, 40)).toBe(1);
  });
  it('is told of each place; one that waits for no tone hears another’s call on its frequency too', () => {
    const stops = [stop(1), stop(2, { hz: 1_000_000, tone: '100.0' }), stop(3)];
    expect(scanReport({ scan: SCAN }, stops, 150)).toEqual({
      roundMs: 300,
      places: [
        // Looked for once in 300 ms, for at least 100 of them.
        { number: 1, hasPriority: false, missChance: 200 / 300 },
        // At 0 and at 100: of 200 ms until the next look 100 are lost.
        { number: 2, hasPriority: false, missChance: 100 / 300 },
        { number: 3, hasPriority: false, missChance: 200 / 300 },
      ],
    });
  });
  it('nobody can say of a set that does not scan, or of which nobody knows how', () => {
    for (const scan of ['none', 'unknown'] as const) {
      expect(scanReport({ scan }, [stop(1)], 500)).toBeNull();
      expect(scanTrades({ scan }, [stop(1)], [{ isMust: true, weight: 0, canLeaveOut: true }], 500)).toEqual(
        [],
      );
    }
  });
});

describe('what leaving out buys', () => {
  const wish = (weight: number, isMust = false, canLeaveOut = true) => ({ weight, isMust, canLeaveOut });
  it('the lightest goes first, whatever its number, and the numbers are told in their order', () =>
    expect(
      scanTrades(
        { scan: SCAN },
        [stop(9), stop(30), stop(20), stop(5)],
        [wish(0, true), wish(1), wish(2), wish(0, false, false)],
        150,
      ),
    ).toEqual([
      { leftOut: [], priority: [], roundMs: 400, worstMust: 0.75, others: 0.75 },
      { leftOut: [30], priority: [], roundMs: 300, worstMust: 200 / 300, others: 200 / 300 },
      { leftOut: [20, 30], priority: [], roundMs: 200, worstMust: 0.5, others: 0.5 },
    ]));
  it('where all that is left must be heard, nothing is missed of others', () =>
    expect(scanTrades({ scan: SCAN }, [stop(1)], [wish(0, true)], 60)).toEqual([
      { leftOut: [], priority: [], roundMs: 100, worstMust: 0.9, others: 0 },
    ]));
  it('priority is given only as often as there is, and only where it serves', () => {
    const stops = [stop(1), stop(2), stop(3), stop(4), stop(5), stop(6)];
    const wishes = stops.map((_, i) => wish(i, i === 0, false));
    expect(scanTrades({ scan: LOOKING }, stops, wishes, 250, 0)[0]?.priority).toEqual([]);
    expect(scanTrades({ scan: LOOKING }, stops, wishes, 250, 1)[0]?.priority).toEqual([1]);
    // One place alone is looked at all the time.
    expect(scanTrades({ scan: LOOKING }, [stop(1)], [wish(0, true)], 250, 1)[0]?.priority).toEqual([]);
  });
});

it('a setting gives priority only where it names a place for that', () => {
  const set = (holds: object) =>
    little((raw) => {
      raw.scan = SCAN;
      raw.lists.places = [{ kind: 'numbers', from: 0, to: 6, shown: '{n}' }];
      raw.settings = [{ id: 'bell', title: 'Bell', list: 'places', factory: 2, ...holds }];
      delete raw.recipes.settings.bell;
    });
  const priority = (of: ReturnType<typeof set>) =>
    scanOf(of, { ...factoryMemory(of), settings: { bell: 2 } }).flatMap(({ number, hasPriority }) =>
      hasPriority ? [number] : [],
    );
  expect(priority(set({}))).toEqual([]);
  expect(priority(set({ holds: 'priorityNumber' }))).toEqual([2]);
});
