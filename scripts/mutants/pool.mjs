// The workers: each is a process of its own; one that does not come back in time, or ends by itself, is given up and another begun.
import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const WORKER = fileURLToPath(new URL('./worker.mjs', import.meta.url));

/**
 * Gives work to workers until there is none left.
 * @param texts where the worker finds the texts that it changes
 * @param next the next work, with `limitMs` after which it is given up; nothing where there is none
 * @param tell is told each answer; `undefined` where the worker was given up, or came to its end over it
 */
export async function everyone(count, texts, next, tell) {
  const one = async () => {
    let worker;
    for (let work = next(); work; work = next()) {
      worker ??= fork(WORKER, [texts], {
        stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
        serialization: 'advanced',
      });
      const answer = await answerOf(worker, work);
      if (answer === undefined) {
        worker.kill('SIGKILL');
        worker = undefined;
      }
      tell(work, answer);
    }
    worker?.kill('SIGKILL');
  };
  await Promise.all(Array.from({ length: count }, one));
}

function answerOf(worker, { limitMs, ...work }) {
  return new Promise((resolve) => {
    const end = (result) => {
      clearTimeout(late);
      worker.off('message', end);
      worker.off('exit', gone);
      resolve(result);
    };
    const gone = () => end(undefined);
    const late = setTimeout(gone, limitMs);
    worker.on('message', end);
    worker.on('exit', gone);
    worker.send(work);
  });
}
