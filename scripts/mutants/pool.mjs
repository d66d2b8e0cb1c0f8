// The workers: each has a thread of its own; one that does not come back in time is ended and another begun.
import { Worker } from 'node:worker_threads';

const WORKER = new URL('./worker.mjs', import.meta.url);

/**
 * Gives work to workers until there is none left.
 * @param next the next work, with `limitMs` after which it is given up; nothing where there is none
 * @param tell is told each answer; `undefined` where the worker was given up
 */
export async function everyone(count, workerData, next, tell) {
  const one = async () => {
    let worker;
    for (let work = next(); work; work = next()) {
      worker ??= new Worker(WORKER, { workerData, stdout: true, stderr: true });
      const answer = await answerOf(worker, work);
      if (answer === undefined) {
        await worker.terminate();
        worker = undefined;
      }
      tell(work, answer);
    }
    await worker?.terminate();
  };
  await Promise.all(Array.from({ length: count }, one));
}

function answerOf(worker, { limitMs, ...work }) {
  return new Promise((resolve, reject) => {
    const end = (result) => {
      clearTimeout(late);
      worker.off('message', end);
      worker.off('error', reject);
      resolve(result);
    };
    const late = setTimeout(() => end(undefined), limitMs);
    worker.on('message', end);
    worker.on('error', reject);
    worker.postMessage(work);
  });
}
