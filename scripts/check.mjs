// npm run check: types, lint and boundaries, two at a time, each named; exit 1 when one finds something. With `--fast` only what
// answers in seconds: types of core, lint, boundaries. With `--build` the application is built beside them.
import { spawn } from 'node:child_process';
import { buildMark, ROOT, say, withBin } from './lib.mjs';

const CHECKS = [
  [
    'types of the web application',
    'astro',
    ['check', '--root', 'web', '--minimumFailingSeverity', 'warning'],
  ],
  ['types of command line, tests and scripts', 'tsc', ['-p', '.']],
  ['types of core, without Node or DOM', 'tsc', ['-p', 'core'], 'fast'],
  ['lint and format', 'biome', ['check', '--error-on-warnings', '.'], 'fast'],
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
    'fast',
  ],
  ['words of the shipped steps, held against their keys', 'tsx', ['scripts/words.ts'], 'fast'],
];
const words = process.argv.slice(2);
const waiting = CHECKS.filter(([, , , fast]) => !words.includes('--fast') || fast);
const mark = words.includes('--build') ? buildMark() : undefined;
if (mark?.isOld) waiting.unshift(['the build', 'npm', ['run', '-s', 'build']]);
let failed = 0;

/** Runs a command to its end and shows what it said in one piece. */
function done([title, command, args]) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, env: withBin, stdio: ['ignore', 'pipe', 'pipe'] });
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => said.push(part));
    child.once('error', (error) => said.push(Buffer.from(`${error.message}\n`)));
    child.once('close', (code) => {
      const ok = code === 0;
      if (!ok || process.env.UMBREX_WORDS) process.stderr.write(Buffer.concat(said));
      say(`${ok ? 'ok    ' : 'FAILED'} ${title}`);
      if (!ok) failed++;
      else if (title === 'the build') mark?.keep();
      resolve(undefined);
    });
  });
}

async function worker() {
  for (let next = waiting.shift(); next; next = waiting.shift()) await done(next);
}
await Promise.all([worker(), worker()]);
process.exit(failed === 0 ? 0 : 1);
