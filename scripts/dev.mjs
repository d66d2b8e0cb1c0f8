// npm run dev: the private database of the demo and Astro's development server.
import {
  databaseHome,
  ensurePackages,
  ensurePostgres,
  fail,
  pg,
  run,
  startDirectory,
  withBin,
} from './lib.mjs';

ensurePackages();
ensurePostgres();
const home = databaseHome();
const env = { ...withBin, DATABASE_URL: pg('start', home), UMBREX_DEMO: '1' };
const directory = await startDirectory();
env.UMBREX_DIRECTORY_URL = directory.url;
if (run('tsx', ['scripts/migrate.ts', '--demo'], { env }) !== 0)
  fail('The database could not be made ready; see above.');
process.on('SIGINT', () => {}); // the development server gets it too, and ends first
run('npm', ['run', '-s', 'dev', '-w', 'web'], { env });
directory.stop();
pg('stop', home);
