import { type BenchJob, BenchJobSchema, scheduleBench } from '@umbrex/core/bench';
import highs from 'highs';
import { describe, expect, it } from 'vitest';
import { runs } from '../support/runs';
import { modelOf, randomJob, wrongWith } from './jobs';

const seeds = (count: number) => Array.from({ length: count }, (_, i) => i + 1);
const day = (more: Partial<BenchJob> = {}): BenchJob => ({
  format: 'umbrex/bench@1',
  untilMin: 240,
  people: [{ id: 'ada', fromMin: 0, toMin: 240 }],
  stands: [],
  masters: [],
  sets: [],
  ...more,
});
const keys = (id: string, minutes: number, personId: string | null = null) => ({
  id,
  personId,
  ways: [{ way: 'keys' as const, minutes, masterIds: [] }],
});
const copied = (id: string, minutes: number, ...masterIds: string[]) => ({
  id,
  personId: null,
  ways: [{ way: 'copy' as const, minutes, masterIds }],
});

describe('a bench day', () => {
  it('with nothing to do is done at once', () =>
    expect(scheduleBench(day())).toEqual({ finishMin: 0, lowerBoundMin: 0, tasks: [], unscheduled: [] }));
  it('one person does one after the other', () => {
    const found = scheduleBench(day({ sets: [keys('a', 10), keys('b', 20)] }));
    expect([found.finishMin, found.lowerBoundMin, found.unscheduled]).toEqual([30, 30, []]);
  });
  it('a master comes before its copies, and serves one at a time', () => {
    const people = ['ada', 'bo', 'cy'].map((id) => ({ id, fromMin: 0, toMin: 240 }));
    const found = scheduleBench(
      day({
        people,
        masters: [{ id: 'm', setId: 'first' }],
        sets: [copied('x', 5, 'm'), copied('y', 5, 'm'), keys('first', 12)],
      }),
    );
    expect(found.tasks.map(({ setId, fromMin, toMin }) => [setId, fromMin, toMin])).toEqual([
      ['first', 0, 12],
      [expect.stringMatching(/[xy]/), 12, 17],
      [expect.stringMatching(/[xy]/), 17, 22],
    ]);
  });
  it('people with sets of their own do them when they are there', () => {
    const people = [
      { id: 'ada', fromMin: 0, toMin: 240 },
      { id: 'bo', fromMin: 60, toMin: 90 },
    ];
    const found = scheduleBench(day({ people, sets: [keys('bos', 30, 'bo'), keys('other', 30)] }));
    expect(found.tasks.find(({ setId }) => setId === 'bos')).toMatchObject({
      personId: 'bo',
      fromMin: 60,
      toMin: 90,
    });
    expect([found.finishMin, found.lowerBoundMin]).toEqual([90, 90]);
  });
  it.each([
    ['for which there is no time', day({ sets: [keys('a', 241)] })],
    ['of somebody who is not there', day({ sets: [keys('a', 10, 'nobody')] })],
    ['without a way', day({ sets: [{ id: 'a', personId: null, ways: [] }] })],
    [
      'that wants a stand where there is none',
      day({ sets: [{ id: 'a', personId: null, ways: [{ way: 'file', minutes: 3, masterIds: [] }] }] }),
    ],
    [
      'that could only be copied from itself',
      day({ masters: [{ id: 'm', setId: 'a' }], sets: [copied('a', 3, 'm')] }),
    ],
    [
      'that could only be copied from what is never loaded',
      day({
        masters: [{ id: 'm', setId: 'b' }],
        sets: [copied('a', 3, 'm'), { id: 'b', personId: null, ways: [] }],
      }),
    ],
    ['with nobody there at all', day({ people: [], sets: [keys('a', 10)] })],
  ] as const)('a set %s is named', (_, job) => {
    const found = scheduleBench(job as BenchJob);
    expect(found.unscheduled).toContain('a');
    expect(wrongWith(job as BenchJob, found)).toEqual([]);
  });
  it('most sets come before an early finish', () => {
    // The long one alone would be the earlier finish of one set only.
    const found = scheduleBench(
      day({
        untilMin: 60,
        people: [{ id: 'ada', fromMin: 0, toMin: 60 }],
        sets: [keys('long', 50), keys('a', 30), keys('b', 30)],
      }),
    );
    expect([found.unscheduled, found.finishMin]).toEqual([['long'], 60]);
  });
  it('reads no document that is none', () => {
    const { sets: _, ...less } = day();
    for (const bad of [
      less,
      { ...day(), more: 1 },
      { ...day(), untilMin: -1 },
      day({ sets: [keys('a', 1), keys('a', 2)] }),
      { ...day(), format: 'other' },
      day({ sets: [keys('a', 0)] }),
    ])
      expect(BenchJobSchema.safeParse(bad).success).toBe(false);
  });
  it('a very large one ends, and is right', { timeout: 120_000 }, () => {
    const job = randomJob(5, { sets: 400, people: 40, stands: 20, masters: 10 });
    const large = {
      ...job,
      people: Array.from({ length: 40 }, (_, i) => ({ id: `p${i}`, fromMin: 0, toMin: 2000 })),
    };
    const sets = Array.from({ length: 1000 }, (_, i) => ({
      ...(job.sets[i % job.sets.length] as (typeof job.sets)[0]),
      id: `s${i}`,
    }));
    expect(wrongWith({ ...large, sets }, scheduleBench({ ...large, sets }))).toEqual([]);
  });
  it('can be stopped, and answers the best until then', () => {
    const job = randomJob(3);
    let asked = 0;
    const found = scheduleBench(job, () => ++asked > 1);
    expect(wrongWith(job, found)).toEqual([]);
    expect(found.finishMin).toBeGreaterThanOrEqual(scheduleBench(job).finishMin);
  });
});

describe('bench days by chance', () => {
  it('60 of them, up to 60 sets: nothing is wrong with one, 95 of 100 are within 5 % of the bound (of 200: 192)', {
    timeout: 240_000,
  }, () => {
    const count = runs(60);
    let near = 0;
    for (const seed of seeds(count)) {
      const job = randomJob(seed);
      const found = scheduleBench(job);
      expect([seed, wrongWith(job, found)]).toEqual([seed, []]);
      if (found.finishMin <= found.lowerBoundMin * 1.05) near++;
    }
    expect(near / count).toBeGreaterThanOrEqual(0.95);
  });
  it('small ones are done as early as a solver of mixed-integer models says, and their bound is none above that', async () => {
    const solver = await highs();
    for (const seed of seeds(runs(30))) {
      const job = randomJob(seed, { sets: 5, people: 3, stands: 2, masters: 2 }, true);
      const found = scheduleBench(job);
      expect([seed, wrongWith(job, found), found.unscheduled]).toEqual([seed, [], []]);
      const { Status, ObjectiveValue } = solver.solve(modelOf(job), { time_limit: 30 });
      expect(Status).toBe('Optimal');
      expect([seed, found.finishMin]).toEqual([seed, Math.round(ObjectiveValue)]);
      expect(found.lowerBoundMin).toBeLessThanOrEqual(Math.round(ObjectiveValue));
    }
  });
});
