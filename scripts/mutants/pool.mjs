// The workers: each is a process of its own; one that does not come back in time, or ends by itself, is given up and another begun.
import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const WORKER = fileURLToPath(new URL('./worker.mjs', import.meta.url));
/** Those that are at work: one in an endless loop would outlive whoever began it. */
const atWork = new Set();
process.on('exit', () => {
  for (const worker of atWork) worker.kill('SIGKILL');
});
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(1));

function begin(texts) {
  const worker = fork(WORKER, [texts], {
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    serialization: 'advanced',
  });
  atWork.add(worker);
  worker.once('exit', () => atWork.delete(worker));
  return worker;
}

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
      // It may have ended since, by something that a change left behind.
      if (!worker?.connected) worker = begin(texts);
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
