// The end-to-end tests: two databases are made once (the demo, and one where nobody has begun), each spec file copies the one it
// wants, and Playwright runs with the words it is given. To be called by scripts/pg.sh run.
import pg from 'pg';
import { chromiumPath, fail, run, startDirectory, withBin } from './lib.mjs';

const server = process.env.DATABASE_URL;
if (!server) fail('scripts/pg.sh run node scripts/e2e.mjs');
const admin = new pg.Client({ connectionString: server });
await admin.connect();
for (const [name, words] of [
  ['template_demo', ['--demo']],
  ['template_empty', []],
]) {
  await admin.query(`create database ${name}`);
  const url = new URL(server);
  url.pathname = `/${name}`;
  if (run('tsx', ['scripts/migrate.ts', ...words], { env: { ...withBin, DATABASE_URL: url.href } }) !== 0)
    fail('The test database could not be made ready.');
}
await admin.end();
const directory = await startDirectory();
const status = run('playwright', ['test', ...process.argv.slice(2)], {
  env: {
    ...withBin,
    CHROMIUM: chromiumPath(),
    UMBREX_TEMPLATES: server,
    UMBREX_DIRECTORY_URL: directory.url,
  },
});
directory.stop();
process.exit(status);
