// What the npm commands share. Plain Node, since it runs before anything is installed.
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const DATA = join(ROOT, '.data');

export function say(text) {
  process.stderr.write(`${text}\n`);
}

export function fail(text) {
  say(text);
  process.exit(1);
}

/** Runs a command to its end with its output shown; answers its exit code. */
export function run(command, args, options = {}) {
  return spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options }).status ?? 1;
}

/** The programs of the installed packages, on the path. */
export const withBin = {
  ...process.env,
  PATH: `${join(ROOT, 'node_modules/.bin')}:${process.env.PATH}`,
  ASTRO_TELEMETRY_DISABLED: '1',
};

/** Installs the npm packages when the lock file is newer than what is installed. */
export function ensurePackages() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major !== 20) fail(`Node 20 is needed; this is ${process.version}.`);
  const lock = readFileSync(join(ROOT, 'package-lock.json'));
  const mark = createHash('sha256').update(lock).digest('hex');
  const markFile = join(ROOT, 'node_modules', '.umbrex-lock');
  if (existsSync(markFile) && readFileSync(markFile, 'utf8') === mark) return;
  say('Installing the npm packages (one to three minutes the first time)…');
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) fail('npm ci failed; its words stand above.');
  writeFileSync(markFile, mark);
}

/** Installs the first of some Debian packages that there is when a program is missing: by apt as root or through sudo, else says the one command to run. */
export function ensureProgram(isThere, packageNames, what) {
  if (isThere()) return;
  const ways = packageNames.map((name) => `apt-get install -y --no-install-recommends ${name}`);
  const install = `apt-get update && (${ways.join(' || ')})`;
  const isRoot = process.getuid?.() === 0;
  const hasSudo = !isRoot && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
  if (!isRoot && !hasSudo) fail(`${what} is missing. Run this once, then again:\n  sudo sh -c '${install}'`);
  say(`Installing ${what} from Debian's packages…`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const status = isRoot
    ? run('sh', ['-c', install], { env })
    : run('sudo', ['-n', 'sh', '-c', install], { env });
  if (status !== 0 || !isThere())
    fail(`${what} could not be installed. Run:\n  ${isRoot ? install : `sudo sh -c '${install}'`}`);
}

export const hasPostgres = () =>
  existsSync('/usr/lib/postgresql') &&
  readdirSync('/usr/lib/postgresql').some((version) =>
    existsSync(`/usr/lib/postgresql/${version}/bin/initdb`),
  );

/** Debian's Chromium: the one without a window where it is there, which does the same work with a sixth less of the processor. */
export const chromiumPath = () =>
  [
    process.env.CHROMIUM,
    '/usr/bin/chromium-headless-shell',
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
  ].find((path) => path && existsSync(path));

export const ensurePostgres = () => ensureProgram(hasPostgres, ['postgresql'], 'PostgreSQL');
/** Reads PDF files back in the tests. */
export const ensurePoppler = () =>
  ensureProgram(
    () => spawnSync('pdftotext', ['-v'], { stdio: 'ignore' }).status === 0,
    ['poppler-utils'],
    'poppler-utils',
  );
export const ensureChromium = () =>
  ensureProgram(() => chromiumPath() !== undefined, ['chromium-headless-shell', 'chromium'], 'Chromium');

/**
 * Where the private database lives: the project's own data folder. As root the server runs as the user postgres, who may not
 * reach a checkout in root's home; then a folder of its own under /var/lib is used, named after this checkout.
 */
export function databaseHome() {
  const inside = join(DATA, 'pg');
  mkdirSync(DATA, { recursive: true });
  if (process.getuid?.() !== 0) return inside;
  const reachable =
    spawnSync('setpriv', ['--reuid=postgres', '--regid=postgres', '--init-groups', 'test', '-x', DATA])
      .status === 0;
  // A socket path may be 107 characters at most.
  if (reachable && inside.length < 90) return inside;
  const mark = createHash('sha256').update(ROOT).digest('hex').slice(0, 12);
  mkdirSync('/var/lib/umbrex', { recursive: true });
  return `/var/lib/umbrex/${mark}`;
}

export function pg(command, home) {
  return execFileSync(join(ROOT, 'scripts/pg.sh'), [command], {
    encoding: 'utf8',
    env: { ...process.env, PG_HOME: home },
  }).trim();
}

/** The wanted port when it is free, else any free one. */
export function freePort(wanted) {
  const probe = (port) =>
    new Promise((resolve) => {
      const server = createServer();
      server.once('error', () => resolve(0));
      server.listen(port, '127.0.0.1', () => {
        const found = server.address().port;
        server.close(() => resolve(found));
      });
    });
  return probe(wanted).then((port) => port || probe(0));
}

const SOURCES = [
  'core/src',
  'web/src',
  'web/public',
  'web/migrations',
  'web/astro.config.mjs',
  'package-lock.json',
];

function sourceMark() {
  const hash = createHash('sha256');
  const add = (path) => {
    const full = join(ROOT, path);
    if (statSync(full).isDirectory()) for (const name of readdirSync(full).sort()) add(join(path, name));
    else hash.update(path).update(readFileSync(full));
  };
  SOURCES.forEach(add);
  return hash.digest('hex');
}

/** Whether the application is to be built anew, and how a build that went well is kept in mind. */
export function buildMark() {
  const markFile = join(ROOT, 'web/dist/.mark');
  const mark = sourceMark();
  const isOld = !existsSync(markFile) || readFileSync(markFile, 'utf8') !== mark;
  return { isOld, keep: () => writeFileSync(markFile, mark) };
}

/** Builds the application when its sources changed since the last build. */
export function ensureBuild() {
  const { isOld, keep } = buildMark();
  if (!isOld) return;
  say('Building (half a minute)…');
  if (run('npm', ['run', '-s', 'build'], { env: withBin }) !== 0)
    fail('The build failed; its words stand above.');
  keep();
}

/** Starts the stand-in for a repeater directory on a free port; answers its address. */
export async function startDirectory() {
  const child = spawn(process.execPath, ['sim/directory/server.mjs'], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise((resolve, reject) => {
    child.stdout.once('data', (words) => resolve(String(words).trim()));
    child.once('exit', (code) => reject(new Error(`the stand-in directory ended with ${code}`)));
  });
  return { url, stop: () => child.kill('SIGTERM') };
}

/** Starts the production server and waits until it is healthy. */
export async function startServer(databaseUrl, port, env = {}) {
  const child = spawn(process.execPath, ['web/server.mjs'], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      HOST: '127.0.0.1',
      PORT: String(port),
      NODE_ENV: 'production',
      ...env,
    },
  });
  const gone = new Promise((resolve) => child.once('exit', resolve));
  for (let i = 0; i < 500; i++) {
    if (child.exitCode !== null) fail('The server ended at once; its words stand above.');
    try {
      const answer = await fetch(`http://127.0.0.1:${port}/api/health`);
      if (answer.ok) return { child, gone };
    } catch {
      // not up yet
    }
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  child.kill('SIGTERM');
  return fail('The server is not healthy after 100 seconds.');
}
