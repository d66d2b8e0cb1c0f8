// npm test: installs what is missing, then checks, unit tests, server tests and end-to-end tests. Last line: N passed, N failed.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import {
  ensureBuild,
  ensureChromium,
  ensurePackages,
  ensurePoppler,
  ensurePostgres,
  ROOT,
  run,
  say,
  withBin,
} from './lib.mjs';

const results = join(ROOT, 'test-results');
let passed = 0;
let failed = 0;
const count = (ok, bad) => {
  passed += ok;
  failed += bad;
};

ensurePackages();
ensurePostgres();
ensureChromium();
ensurePoppler();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

say('\n== check: types, lint, boundaries; and the build beside them');
count(
  ...(timed(() => run(process.execPath, ['scripts/check.mjs', '--build'], { env: withBin })) === 0
    ? [1, 0]
    : [0, 1]),
);

say('\n== unit and server tests');
const vitestFile = join(results, 'vitest.json');
const vitestStatus = timed(() =>
  run(
    './scripts/pg.sh',
    ['run', 'vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${vitestFile}`],
    { env: withBin },
  ),
);
tally(vitestFile, vitestStatus, (report) => [
  report.numPassedTests,
  report.numFailedTests + report.numPendingTests + report.numTodoTests,
  report.success,
]);

say('\n== end-to-end tests in Chromium, against the production build');
ensureBuild();
const e2eFile = join(results, 'e2e.json');
const e2eStatus = timed(() =>
  run('./scripts/pg.sh', ['run', process.execPath, 'scripts/e2e.mjs'], {
    env: { ...withBin, PLAYWRIGHT_JSON_OUTPUT_NAME: e2eFile },
  }),
);
tally(e2eFile, e2eStatus, ({ stats, errors }) => [
  stats.expected,
  stats.unexpected + stats.flaky + stats.skipped,
  errors.length === 0,
]);

process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);

/** Does something and says how long it took. */
function timed(work) {
  const from = Date.now();
  const result = work();
  say(`(${Math.round((Date.now() - from) / 1000)} s)`);
  return result;
}

/** Adds a report's numbers. Skipped and unfinished tests count as failed; so does a runner that failed without saying where. */
function tally(file, status, read) {
  try {
    const [ok, bad, whole] = read(JSON.parse(readFileSync(file, 'utf8')));
    count(ok, bad === 0 && (status !== 0 || !whole) ? 1 : bad);
    if (ok === 0) count(0, 1);
  } catch (error) {
    say(`no report: ${error.message}`);
    count(0, 1);
  }
}
