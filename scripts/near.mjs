// npm run test:near: what a change touches, in under two minutes: quick checks, the tests that import what changed (properties with
// a tenth of their runs), and the end-to-end specs of the screens that changed. Compared with HEAD, or, when nothing is uncommitted,
// with the commit before. `npm run test:e2e -- WORDS` runs end-to-end tests alone, with Playwright's words. The whole suite is npm test.
import { execFileSync } from 'node:child_process';
import { ensureBuild, ensureChromium, ensurePostgres, ROOT, run, say, withBin } from './lib.mjs';

/** Which screens a spec walks through; what is in no row is left to the whole suite. */
const SPECS = [
  [/islands\/(PlanDesk|EntryLine|desk)|pages\/plans\/\[planId\]\/index/, 'plan'],
  [
    /islands\/(FitBoard|HeldDesk|DeviceDesk|MarkForm|ReadBack)|pages\/.*(fit|sheets|devices)|components\//,
    'fit-and-sheet',
  ],
  [/islands\/(PeopleDesk|Station|RosterImport|Team|SignIn|Enrol|Account|NetDesk|Today)/, 'gather'],
  [/islands\/CheckDesk|messages\//, 'check'],
  [/islands\/ListingDesk|sim\/directory/, 'directory'],
  [/islands\/NumberDesk|together/, 'numbers'],
  [/islands\/RecordDesk/, 'record'],
  [/islands\/DescribeDesk/, 'describe'],
  [/server\/auth|pages\/api/, 'roles'],
];
const git = (...words) =>
  execFileSync('git', words, { cwd: ROOT, encoding: 'utf8' }).split('\n').filter(Boolean);

const words = process.argv.slice(2);
if (words[0] === '--e2e') process.exit(endToEnd(words.slice(1)));

const uncommitted = [
  ...git('diff', '--name-only', 'HEAD'),
  ...git('ls-files', '--others', '--exclude-standard'),
];
const changed = uncommitted.length > 0 ? uncommitted : git('diff', '--name-only', 'HEAD~1');
say(`${changed.length} changed files`);
const steps = [() => run(process.execPath, ['scripts/check.mjs', '--fast'], { env: withBin })];
const code = changed.filter((file) => /^(core|cli|web|demo|devices)\/.*\.(ts|tsx|json)$/.test(file));
if (code.length > 0) {
  ensurePostgres();
  steps.push(() =>
    run('./scripts/pg.sh', ['run', 'vitest', 'related', '--run', '--passWithNoTests', ...code], {
      env: { ...withBin, UMBREX_NEAR: '1' },
    }),
  );
}
const specs = SPECS.flatMap(([path, spec]) =>
  changed.some((file) => path.test(file)) ? [`${spec}.spec`] : [],
);
const own = changed.flatMap((file) => /^e2e\/(.*\.spec)\.ts$/.exec(file)?.[1] ?? []);
const wanted = [...new Set([...own, ...specs])];
if (wanted.length > 0) steps.push(() => endToEnd(wanted));
process.exit(steps.map((step) => step()).some((status) => status !== 0) ? 1 : 0);

function endToEnd(names) {
  ensurePostgres();
  ensureChromium();
  ensureBuild();
  return run('./scripts/pg.sh', ['run', process.execPath, 'scripts/e2e.mjs', ...names], { env: withBin });
}
