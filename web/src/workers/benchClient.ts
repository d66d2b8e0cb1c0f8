import type { BenchJob, BenchProgress, BenchSchedule, BenchTask } from '@umbrex/core/bench';
import { wrap } from 'comlink';
import type { BenchWork } from './bench.worker';
import type { Stoppable } from './togetherClient';

/** Works out what is left of a bench day, in a worker of its own, which ends with it. */
export function benchInWorker(
  day: BenchJob,
  tasks: readonly BenchTask[],
  progress: BenchProgress,
  nowMin: number,
): Stoppable<BenchSchedule> {
  const worker = new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' });
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = () => reject(new Error('the worker of the bench day failed'));
  });
  const found = wrap<BenchWork>(worker).schedule(day, tasks, progress, nowMin);
  const result = Promise.race([found, failed]).finally(() => worker.terminate());
  return { result, stop: () => worker.terminate() };
}
