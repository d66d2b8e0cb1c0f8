// For the end-to-end tests: the demo in the throw-away database of DATABASE_URL, served until a signal comes.
import { fail, run, startDirectory, startServer, withBin } from './lib.mjs';

if (run('tsx', ['scripts/migrate.ts', '--demo'], { env: withBin }) !== 0)
  fail('The test database could not be made ready.');
const directory = await startDirectory();
const { child, gone } = await startServer(process.env.DATABASE_URL, Number(process.env.E2E_PORT), {
  UMBREX_DEMO: '1',
  UMBREX_DIRECTORY_URL: directory.url,
  LOG_LEVEL: 'warn',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill('SIGTERM'));
await gone;
directory.stop();
