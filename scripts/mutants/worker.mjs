// One worker: looks which tests come by which changes, and then whether one of them notices a change.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import fc from 'fast-check';
import { ROOT } from '../lib.mjs';
import { loader } from './modules.mjs';
import { testsBy, vitest } from './suite.mjs';

process.env.UMBREX_NEAR = '1';
// The first that is wrong is enough: what is smaller is not looked for.
fc.configureGlobal({ endOnFailure: true });

const { covering, switched, counted } = JSON.parse(readFileSync(process.argv[2], 'utf8'));
let of;
const { load, forget } = loader({ vitest, 'fast-check': fc }, (name) => of?.[name]);
globalThis.umbrexHits = new Float64Array(counted.length);
globalThis.__stryker__ ??= {};
const seen = globalThis.__stryker__;

process.on('message', async (work) => {
  process.send(await (work.what === 'cover' ? cover(work.file) : look(work)));
});

const testsOf = (file) => testsBy(() => load(join(ROOT, file)));

/** The tests of a file, with how long each takes and the changes it comes by; first what is come by in loading it. */
async function cover(file) {
  of = covering;
  forget();
  seen.activeMutant = undefined;
  const came = () => {
    const hits = {};
    globalThis.umbrexHits.forEach((times, n) => {
      if (times > 0) for (const id of counted[n]) hits[id] = (hits[id] ?? 0) + times;
    });
    globalThis.umbrexHits.fill(0);
    return hits;
  };
  came();
  const tests = testsOf(file);
  const atLoad = came();
  const each = [];
  for (const { name, run } of tests) {
    const from = performance.now();
    const wrong = await wrongIn(run);
    each.push({ name, ms: performance.now() - from, hits: came(), wrong });
  }
  return { file, atLoad, each };
}

/** Runs tests with one change on, up to the first that fails. */
async function look({ id, file, text, runs, hitLimit }) {
  of = { [file]: text ?? switched[file] };
  forget();
  const tests = new Map();
  seen.activeMutant = id;
  seen.hitCount = 0;
  seen.hitLimit = hitLimit;
  const from = performance.now();
  try {
    for (const { file: testFile, at } of runs) {
      if (!tests.has(testFile)) {
        try {
          tests.set(testFile, testsOf(testFile));
        } catch (error) {
          return { id, by: testFile, wrong: String(error), ms: performance.now() - from };
        }
      }
      const test = tests.get(testFile)[at];
      // A change may leave fewer rows to a test that goes through a list: that alone fails nothing.
      if (!test) continue;
      const wrong = await wrongIn(test.run);
      if (wrong !== undefined)
        return {
          id,
          by: `${testFile} ${test?.name}`,
          at,
          file: testFile,
          wrong,
          ms: performance.now() - from,
        };
    }
    return { id, ms: performance.now() - from };
  } finally {
    seen.activeMutant = undefined;
  }
}

async function wrongIn(run) {
  try {
    await run({});
    return undefined;
  } catch (error) {
    return String(error?.message ?? error).slice(0, 300);
  }
}
