import type { NumberingWishes, TogetherNumbering } from '@umbrex/core/fit';
import type { Plan } from '@umbrex/core/model';
import { wrap } from 'comlink';
import { type Fleet, fleetOf } from './fleet';
import type { TogetherJob } from './together.worker';

/** A computation that can be stopped: then nothing comes of it. */
export interface Stoppable<T> {
  readonly result: Promise<T>;
  readonly stop: () => void;
}

/** Numbers a fleet with some groups kept in a row, in a worker of its own, which ends with it. */
export function numberTogetherInWorker(
  plan: Plan,
  fleet: Fleet,
  wishes: NumberingWishes,
  groupIds: readonly string[],
): Stoppable<TogetherNumbering | null> {
  const worker = new Worker(new URL('./together.worker.ts', import.meta.url), { type: 'module' });
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = () => reject(new Error('the worker of the numbering failed'));
  });
  const found = wrap<TogetherJob>(worker).number(plan, fleetOf(fleet), wishes, groupIds);
  const result = Promise.race([found, failed]).finally(() => worker.terminate());
  return { result, stop: () => worker.terminate() };
}
