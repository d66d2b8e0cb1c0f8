// npm run check: types, lint and boundaries, each named; exit 1 when one finds something.
import { run, say, withBin } from './lib.mjs';

const CHECKS = [
  ['types of core, without Node or DOM', 'tsc', ['-p', 'core']],
  ['types of command line, tests and scripts', 'tsc', ['-p', '.']],
  [
    'types of the web application',
    'astro',
    ['check', '--root', 'web', '--minimumFailingSeverity', 'warning'],
  ],
  ['lint and format', 'biome', ['check', '--error-on-warnings', '.']],
  [
    'boundaries',
    'depcruise',
    [
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
      'core/src',
      'cli/src',
      'web/src',
      'web/migrations',
      'demo',
      'devices/read.ts',
    ],
  ],
];
let failed = 0;
for (const [title, command, args] of CHECKS) {
  const ok = run(command, args, { env: withBin }) === 0;
  say(`${ok ? 'ok    ' : 'FAILED'} ${title}`);
  if (!ok) failed++;
}
if (process.env.UMBREX_COUNTS) process.stdout.write(`${CHECKS.length - failed} ${failed}\n`);
process.exit(failed === 0 ? 0 : 1);
