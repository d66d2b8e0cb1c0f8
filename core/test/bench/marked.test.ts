import { marked } from '@umbrex/core/bench';
import { type BenchDay, BenchDaySchema } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { uuid } from '../support/plans';

const task = (n: number, fromMin: number, toMin: number) => ({
  setId: uuid(n),
  personId: uuid(90),
  standId: null,
  masterId: null,
  way: 'keys' as const,
  fromMin,
  toMin,
});
const DAY: BenchDay = BenchDaySchema.parse({
  id: uuid(1),
  name: 'Bench day',
  planId: uuid(2),
  revision: 3,
  day: '2026-12-05',
  setIds: [uuid(10), uuid(11)],
  tasks: [task(10, 20, 35), task(11, 35, 50)],
});
const timesOf = ({ tasks }: BenchDay) => tasks.map(({ fromMin, toMin }) => [fromMin, toMin]);

describe('what is said of a set on a bench day', () => {
  it.each([
    ['begun later than it was to be keeps its length', 'begun', 30, [30, 45]],
    ['begun earlier as well', 'begun', 5, [5, 20]],
    ['done later than it was to be ends then', 'done', 60, [20, 60]],
    ['done before it was to begin took no time', 'done', 10, [10, 10]],
    ['said on another day moves nothing', 'done', null, [20, 35]],
    ['left out moves nothing', 'dropped', 30, [20, 35]],
    ['begun at the very end stays in the day', 'begun', 1435, [1435, 1440]],
    ['said before the day began counts from its beginning', 'begun', -40, [0, 15]],
  ] as const)('%s', (_, state, atMin, times) => {
    const now = marked(DAY, { setId: uuid(10), state, atMin });
    expect(timesOf(now)).toEqual([times, [35, 50]]);
    expect(now.progress).toEqual({ [uuid(10)]: state });
    expect(BenchDaySchema.parse(now)).toEqual(now);
  });
  it('of a set that has no place in it only what became of it is kept', () => {
    const now = marked(DAY, { setId: uuid(77), state: 'done', atMin: 12 });
    expect(timesOf(now)).toEqual(timesOf(DAY));
    expect(now.progress).toEqual({ [uuid(77)]: 'done' });
  });
});
