import type { BENCH_STATES, BenchDay } from '../model/index';

/** What became of a set, and when, in minutes since the day began; `null` where it was said on another day. */
export interface BenchMark {
  readonly setId: string;
  readonly state: (typeof BENCH_STATES)[number];
  readonly atMin: number | null;
}

/** As late as a day can go, in minutes. */
const DAY_MIN = 1440;

/** A bench day once something is said of a set: what is begun moves to now and keeps its length, what is done ends now. */
export function marked(day: BenchDay, { setId, state, atMin }: BenchMark): BenchDay {
  const tasks = day.tasks.map((task) => {
    if (task.setId !== setId || atMin === null) return task;
    const at = Math.min(DAY_MIN, Math.max(0, atMin));
    if (state === 'begun')
      return { ...task, fromMin: at, toMin: Math.min(DAY_MIN, at + task.toMin - task.fromMin) };
    if (state === 'done') {
      const fromMin = Math.min(task.fromMin, at);
      return { ...task, fromMin, toMin: Math.max(fromMin, at) };
    }
    return task;
  });
  return { ...day, tasks, progress: { ...day.progress, [setId]: state } };
}
