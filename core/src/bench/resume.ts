import type { BenchJob, BenchSchedule, BenchTask } from './job';
import { scheduleBench } from './schedule';

/** What became of a set so far: somebody is at it, it is done, or it is left out today. */
export type BenchState = 'begun' | 'done' | 'dropped';
/** What is known of a day that is under way, by the sets' ids. */
export type BenchProgress = Readonly<Record<string, BenchState>>;

/**
 * Works out the rest of a day: what is under way stays where it is, what is done or dropped is left alone, and the other sets go into the
 * time that is left. One that is late counts as under way until now at least.
 * @param tasks the day as it was worked out before
 * @param nowMin minutes since it began
 */
export function resumeBench(
  job: BenchJob,
  tasks: readonly BenchTask[],
  progress: BenchProgress,
  nowMin: number,
  isOver: () => boolean = () => false,
): BenchSchedule {
  const task = new Map(tasks.map((one) => [one.setId, one]));
  const underWay = tasks
    .filter(({ setId }) => progress[setId] === 'begun')
    .map((one) => ({ ...one, fromMin: Math.min(one.fromMin, nowMin), toMin: Math.max(one.toMin, nowMin) }));
  const done = tasks
    .filter(({ setId }) => progress[setId] === 'done')
    .map((one) => ({ ...one, fromMin: Math.min(one.fromMin, nowMin), toMin: Math.min(one.toMin, nowMin) }));
  const busyUntil = (is: (one: BenchTask) => boolean) =>
    underWay.filter(is).reduce((until, { toMin }) => Math.max(until, toMin), nowMin);
  // One that was dropped is no master of anything.
  const masters = job.masters.filter(({ setId }) => progress[setId] !== 'dropped');
  const left: BenchJob = {
    ...job,
    people: job.people.map((person) => ({
      ...person,
      fromMin: Math.max(
        person.fromMin,
        busyUntil(({ personId }) => personId === person.id),
      ),
    })),
    stands: job.stands.map(({ id, fromMin = 0 }) => ({
      id,
      fromMin: Math.max(
        fromMin,
        busyUntil(({ standId }) => standId === id),
      ),
    })),
    masters: masters.map(({ id, setId, fromMin = 0 }) => {
      // It can be copied from once it is done itself, and nobody copies from it.
      const own = progress[setId] === 'begun' ? (task.get(setId)?.toMin ?? 0) : 0;
      return {
        id,
        setId,
        fromMin: Math.max(
          fromMin,
          own,
          busyUntil(({ masterId }) => masterId === id),
        ),
      };
    }),
    sets: job.sets.filter(({ id }) => progress[id] === undefined),
  };
  const rest = scheduleBench(left, isOver);
  const fixed = [...done, ...underWay];
  const last = fixed.reduce((most, { toMin }) => Math.max(most, toMin), 0);
  return {
    finishMin: Math.max(last, rest.finishMin),
    lowerBoundMin: Math.max(last, rest.lowerBoundMin),
    tasks: [...fixed, ...rest.tasks].sort((a, b) => a.fromMin - b.fromMin || a.setId.localeCompare(b.setId)),
    unscheduled: rest.unscheduled,
  };
}
