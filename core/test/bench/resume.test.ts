import {
  type BenchJob,
  type BenchProgress,
  type BenchTask,
  resumeBench,
  scheduleBench,
} from '@umbrex/core/bench';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../support/runs';
import { randomJob, wrongWith } from './jobs';

const ANYBODY = { id: 'ada', fromMin: 0, toMin: 240 };
const keys = (id: string, minutes: number) => ({
  id,
  personId: null,
  ways: [{ way: 'keys' as const, minutes, masterIds: [] }],
});
const day = (more: Partial<BenchJob> = {}): BenchJob => ({
  format: 'umbrex/bench@1',
  untilMin: 240,
  people: [ANYBODY],
  stands: [],
  masters: [],
  sets: [keys('a', 30), keys('b', 30), keys('c', 30)],
  ...more,
});
const taskOf = (tasks: readonly BenchTask[], setId: string) => tasks.find((task) => task.setId === setId);

describe('a day that is under way', () => {
  it('that nobody has begun is the day itself', () => {
    const first = scheduleBench(day());
    expect(resumeBench(day(), [], {}, 0)).toEqual(first);
  });
  it('leaves what is under way where it is, and begins the next after it', () => {
    const { tasks } = scheduleBench(day());
    const [one] = tasks as [BenchTask];
    const rest = resumeBench(day(), tasks, { [one.setId]: 'begun' }, 10);
    expect(taskOf(rest.tasks, one.setId)).toEqual(one);
    expect(rest.tasks.slice(1).map(({ fromMin, toMin }) => [fromMin, toMin])).toEqual([
      [30, 60],
      [60, 90],
    ]);
  });
  it('that is late goes on from now', () => {
    const { tasks } = scheduleBench(day());
    const [one] = tasks as [BenchTask];
    const rest = resumeBench(day(), tasks, { [one.setId]: 'begun' }, 45);
    expect(taskOf(rest.tasks, one.setId)?.toMin).toBe(45);
    expect(rest.tasks[1]?.fromMin).toBe(45);
    expect([rest.finishMin, rest.lowerBoundMin]).toEqual([105, 105]);
  });
  it('does again neither what is done nor what was dropped', () => {
    const { tasks } = scheduleBench(day());
    const rest = resumeBench(day(), tasks, { a: 'done', b: 'dropped' }, 60);
    expect(rest.tasks.map(({ setId }) => setId).sort()).toEqual(['a', 'c']);
    expect(taskOf(rest.tasks, 'c')?.fromMin).toBe(60);
    expect(rest.unscheduled).toEqual([]);
  });
  it('copies from a master once that is done, and never from one that was dropped', () => {
    const copies = day({
      people: [ANYBODY, { id: 'bo', fromMin: 0, toMin: 240 }],
      masters: [{ id: 'm', setId: 'a' }],
      sets: [
        keys('a', 30),
        { id: 'x', personId: null, ways: [{ way: 'copy', minutes: 5, masterIds: ['m'] }] },
      ],
    });
    const { tasks } = scheduleBench(copies);
    expect(taskOf(resumeBench(copies, tasks, { a: 'begun' }, 10).tasks, 'x')).toMatchObject({
      fromMin: 30,
      masterId: 'm',
    });
    expect(taskOf(resumeBench(copies, tasks, { a: 'done' }, 12).tasks, 'x')).toMatchObject({
      fromMin: 12,
      masterId: 'm',
    });
    expect(resumeBench(copies, tasks, { a: 'dropped' }, 10).unscheduled).toEqual(['x']);
  });
  it('of any kind, at any minute, with any of it done, begun or dropped: nothing overlaps, and nothing under way was moved', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 0, max: 200 }),
        fc.infiniteStream(fc.nat(9)),
        (seed, now, luck) => {
          const job = randomJob(seed, { sets: 14, people: 4, stands: 2, masters: 2 });
          const before = scheduleBench(job);
          const next = () => Number(luck.next().value);
          const progress: Record<string, BenchProgress[string]> = {};
          for (const task of before.tasks) {
            // Nobody copies from a set that nobody says is done.
            const master = job.masters.find(({ id }) => id === task.masterId)?.setId;
            if (job.sets.some(({ id }) => id === master) && progress[master ?? ''] !== 'done') continue;
            // People begin what is due, in its order; what is due long ago is done, or somebody left it out.
            if (task.toMin <= now && next() < 8) progress[task.setId] = next() < 7 ? 'done' : 'dropped';
            else if (task.fromMin <= now && task.toMin > now && next() < 7) progress[task.setId] = 'begun';
          }
          const rest = resumeBench(job, before.tasks, progress, now);
          for (const task of before.tasks) {
            const after = taskOf(rest.tasks, task.setId);
            if (progress[task.setId] === 'begun') expect(after).toEqual(task);
            if (progress[task.setId] === 'dropped') expect(after).toBeUndefined();
            if (progress[task.setId] === undefined && after)
              expect(after.fromMin).toBeGreaterThanOrEqual(now);
          }
          const dropped = job.sets.filter(({ id }) => progress[id] === 'dropped').map(({ id }) => id);
          const named = [...rest.tasks.map(({ setId }) => setId), ...rest.unscheduled, ...dropped];
          expect(named.sort()).toEqual(job.sets.map(({ id }) => id).sort());
          // The whole day, as it was and will be, passes the checker that knows nothing of how it was made.
          const left = { ...job, sets: job.sets.filter(({ id }) => !dropped.includes(id)) };
          expect(wrongWith(left, { ...rest, lowerBoundMin: 0 })).toEqual([]);
          expect(rest.finishMin).toBeGreaterThanOrEqual(rest.lowerBoundMin);
        },
      ),
      { numRuns: runs(60) },
    ));
});
