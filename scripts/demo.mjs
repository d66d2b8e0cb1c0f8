// npm run demo: everything from nothing to a running application on this machine. Ctrl-C stops all it started.
import {
  databaseHome,
  ensureBuild,
  ensurePackages,
  ensurePostgres,
  fail,
  freePort,
  pg,
  run,
  say,
  startDirectory,
  startServer,
  withBin,
} from './lib.mjs';

const known = ['--fresh'];
const stray = process.argv.slice(2).find((word) => !known.includes(word));
if (stray) fail(`npm run demo knows ${known.join(', ')}, not ${stray}`);

ensurePackages();
ensurePostgres();
ensureBuild();

const home = databaseHome();
say(`Starting the private database in ${home}`);
const url = pg('start', home);
const stopDatabase = () => {
  try {
    pg('stop', home);
  } catch (error) {
    say(`The database did not stop cleanly: ${error.message}`);
  }
};
const words = process.argv.includes('--fresh') ? ['--demo', '--fresh'] : ['--demo'];
if (run('tsx', ['scripts/migrate.ts', ...words], { env: { ...withBin, DATABASE_URL: url } }) !== 0) {
  stopDatabase();
  fail('The database could not be made ready; see above.');
}

const directory = await startDirectory();
const port = await freePort(Number(process.env.PORT ?? 4780));
const { child, gone } = await startServer(url, port, {
  UMBREX_DEMO: '1',
  UMBREX_DIRECTORY_URL: directory.url,
  LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
});
process.stdout.write(
  `\n  Umbrex is ready:  http://127.0.0.1:${port}/\n  Ctrl-C stops it; the data stays. npm run demo -- --fresh begins again.\n\n`,
);

let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    child.kill('SIGTERM');
  });
await gone;
directory.stop();
stopDatabase();
say(stopping ? 'Stopped.' : 'The server ended by itself; its words stand above.');
process.exit(stopping ? 0 : 1);
