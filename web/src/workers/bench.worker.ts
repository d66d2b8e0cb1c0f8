import {
  type BenchJob,
  type BenchProgress,
  type BenchSchedule,
  type BenchTask,
  resumeBench,
} from '@umbrex/core/bench';
import { expose } from 'comlink';

const job = {
  schedule: async (
    day: BenchJob,
    tasks: readonly BenchTask[],
    progress: BenchProgress,
    nowMin: number,
  ): Promise<BenchSchedule> => resumeBench(day, tasks, progress, nowMin),
};
export type BenchWork = typeof job;
expose(job);
