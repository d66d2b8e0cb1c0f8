// npm run mutants:sample -- core/src/fit core/src/procedure/turns.ts [--of 120] [--seed 1] [--by core/test/procedure/keys.test.ts,…]:
// changes one thing in the code at a time, at chance, and looks whether a test notices. Says what lived, so that somebody can write the
// test or say why no test can. The whole of rules/ and fit/judge.ts is `npm run mutants`; of larger folders a whole run takes days, and a
// sample tells the rate; a small file is gone through whole by the tests that are of it alone.
import { spawn } from 'node:child_process';
import {
  cpSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { createInjector } from 'typed-inject';
import { fail, ROOT, say } from './lib.mjs';

const words = process.argv.slice(2);
const figure = (name, usual) => {
  const at = words.indexOf(name);
  return at < 0 ? usual : Number(words.splice(at, 2)[1]);
};
const [most, seed] = [figure('--of', 120), figure('--seed', 1)];
const by = words.indexOf('--by');
/** The tests that are run; all of core's, unless some are named. */
const TESTS = by < 0 ? ['core/test/**/*.test.ts'] : words.splice(by, 2)[1].split(',');
const folders =
  words.length > 0 ? words : ['core/src/fit', 'core/src/procedure', 'core/src/procedure/device'];

// A copy of what core's tests read; packages are looked up where they are.
const at = mkdtempSync(join(tmpdir(), 'umbrex-mutants-'));
process.on('exit', () => rmSync(at, { recursive: true, force: true }));
for (const folder of ['core', 'cli', 'demo', 'devices', 'docs', 'sim', 'package.json', 'tsconfig.base.json'])
  cpSync(join(ROOT, folder), join(at, folder), { recursive: true });
symlinkSync(join(ROOT, 'node_modules'), join(at, 'node_modules'));

const picked = await changed();
say(`${picked.length} changes in ${folders.join(', ')}; looking which tests come by them`);
config();
const { timeOf, testsOf } = await baseline();
const kills = new Map();
const lived = [];
const queue = [...picked];
await Promise.all([worker(), worker()]);
const killed = picked.length - lived.length;
say(
  `${killed} of ${picked.length} were noticed (${Math.round((100 * killed) / picked.length)} %); seed ${seed}`,
);

/** Puts switches into the code, of which a test run turns one on: as many as are wanted, at chance. */
async function changed() {
  const silent = new Proxy(
    {},
    { get: (_, name) => (String(name).startsWith('is') ? () => false : () => {}) },
  );
  const make = createInjector()
    .provideValue('logger', silent)
    .provideValue('getLogger', () => silent);
  const names = folders.flatMap((one) =>
    one.endsWith('.ts')
      ? [one]
      : readdirSync(join(ROOT, one))
          .filter((name) => name.endsWith('.ts') && name !== 'index.ts')
          .map((name) => `${one}/${name}`),
  );
  const files = names.map((name) => ({
    name,
    content: readFileSync(join(ROOT, name), 'utf8'),
    mutate: true,
  }));
  const found = await make.injectFunction(createInstrumenter).instrument(files, {
    plugins: null,
    excludedMutations: ['StringLiteral'],
    ignorers: [],
    noHeader: false,
  });
  const left = found.mutants.filter(({ status }) => status === undefined);
  const chance = xorshift(seed);
  const some = Array.from(
    { length: Math.min(most, left.length) },
    () => left.splice(Math.floor(chance() * left.length), 1)[0],
  );
  const ids = new Set(some.map(({ id }) => id));
  const kept = (all) => all.filter((id) => ids.has(id));
  for (const { name, content } of found.files) {
    const text = content
      .replace(/stryCov_9fa48\(((?:"\d+"(?:, )?)+)\)/g, (_, list) => {
        const own = kept(list.match(/\d+/g));
        return own.length > 0 ? `stryCov_9fa48(${own.map((id) => `"${id}"`).join(', ')})` : '0';
      })
      .replace(/stryMutAct_9fa48\("(\d+)"\)/g, (call, id) => (ids.has(id) ? call : 'false'));
    writeFileSync(join(at, name), text);
  }
  return some.map(({ id, fileName, location, mutatorName, replacement }) => ({
    id,
    file: fileName,
    line: location.start.line + 1,
    mutatorName,
    replacement,
  }));
}

function xorshift(from) {
  let state = from * 2_654_435_761;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
}

/** How the copy's tests are run: in the order that is wanted, in one worker, and with a word on which changes each file came by. */
function config() {
  mkdirSync(join(at, 'seen'));
  writeFileSync(
    join(at, 'setup.ts'),
    `import { writeFileSync } from 'node:fs';
import { afterAll, expect } from 'vitest';
if (process.env.SEEN) afterAll(() => {
  const seen = (globalThis as any).__stryker__?.mutantCoverage?.static ?? {};
  const path = expect.getState().testPath ?? '';
  writeFileSync(process.env.SEEN + '/' + path.replaceAll('/', '_') + '.json', JSON.stringify({ path, ids: Object.keys(seen) }));
  for (const id of Object.keys(seen)) delete seen[id];
});
`,
  );
  writeFileSync(
    join(at, 'vitest.config.ts'),
    `import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
const order = (process.env.ORDER ?? '').split(',').filter(Boolean);
class InOrder {
  async shard(files: any[]) { return files; }
  async sort(files: any[]) {
    const at = (file: any) => order.findIndex((one) => file.moduleId.endsWith(one));
    return [...files].sort((a, b) => at(a) - at(b));
  }
}
// Core's own rooms, in the copy.
const { exports } = JSON.parse(readFileSync(new URL('./core/package.json', import.meta.url), 'utf8'));
export default defineConfig({
  resolve: {
    alias: Object.entries(exports).map(([room, file]) => ({
      find: '@umbrex/core' + room.slice(1),
      replacement: fileURLToPath(new URL('./core/' + file, import.meta.url)),
    })),
  },
  test: {
    include: order.length > 0 ? order : ${JSON.stringify(TESTS)},
    environment: 'node', isolate: false, maxWorkers: 1, fileParallelism: false, pool: 'threads',
    testTimeout: 120_000, setupFiles: ['setup.ts'], sequence: { sequencer: InOrder as any },
  },
});
`,
  );
}

/** Runs tests of the copy, up to the first that fails. @returns what they wrote, and how they ended */
function tests(more, limitMs) {
  return new Promise((resolve) => {
    const child = spawn(
      join(ROOT, 'node_modules/.bin/vitest'),
      ['run', '--root', at, '--bail', '1', ...(more.words ?? [])],
      {
        cwd: at,
        detached: true,
        stdio: ['ignore', 'pipe', 'pipe'],
        env: { ...process.env, UMBREX_NEAR: '1', NO_COLOR: '1', ...more.env },
      },
    );
    let wrote = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (wrote += part));
    // A change that makes an endless loop is noticed as well.
    const stop = setTimeout(() => process.kill(-child.pid, 'SIGKILL'), limitMs);
    child.on('close', (status) => {
      clearTimeout(stop);
      resolve({ status, wrote });
    });
  });
}

/** Which tests come by each change, and how long each takes, in milliseconds. */
async function baseline() {
  const report = join(at, 'report.json');
  const { status, wrote } = await tests(
    { words: ['--reporter=json', `--outputFile=${report}`], env: { SEEN: join(at, 'seen') } },
    3_600_000,
  );
  if (status !== 0) fail(`The tests fail without any change:\n${wrote.slice(-2000)}`);
  const bare = (path) => path.slice(path.indexOf('/core/test/') + 1);
  const { testResults } = JSON.parse(readFileSync(report, 'utf8'));
  const timeOf = new Map(
    testResults.map(({ name, startTime, endTime }) => [bare(name), endTime - startTime]),
  );
  const testsOf = new Map();
  for (const name of readdirSync(join(at, 'seen'))) {
    const { path, ids } = JSON.parse(readFileSync(join(at, 'seen', name), 'utf8'));
    for (const id of ids) testsOf.set(id, [...(testsOf.get(id) ?? []), bare(path)]);
  }
  return { timeOf, testsOf };
}

/** One change after another: quick tests first, and those that noticed others before. */
async function worker() {
  for (let change = queue.shift(); change; change = queue.shift()) {
    const cost = (file) => (timeOf.get(file) ?? 0) / (1 + 4 * (kills.get(file) ?? 0));
    const files = [...(testsOf.get(change.id) ?? [])].sort((a, b) => cost(a) - cost(b));
    const limitMs = 60_000 + 4 * files.reduce((sum, file) => sum + (timeOf.get(file) ?? 0), 0);
    const env = { ORDER: files.join(','), __STRYKER_ACTIVE_MUTANT__: change.id };
    const { status, wrote } =
      files.length > 0 ? await tests({ env, words: ['--reporter=dot'] }, limitMs) : { status: 0, wrote: '' };
    const by = /FAIL\s+(\S+\.test\.ts)/.exec(wrote)?.[1];
    if (by) kills.set(by, (kills.get(by) ?? 0) + 1);
    if (status === 0) tellLived(change);
    // A run that ends otherwise than by a failed test or its time says nothing of the change.
    else if (status !== null && !by)
      fail(`The tests did not run on ${change.file}:${change.line}:\n${wrote.slice(-2000)}`);
  }
}

/** Says at once what lived: a long run may be stopped. */
function tellLived(change) {
  lived.push(change);
  const { file, line, mutatorName, replacement } = change;
  say(`lived  ${file}:${line}  ${mutatorName}  ${replacement.replaceAll(/\s+/g, ' ').slice(0, 100)}`);
}
