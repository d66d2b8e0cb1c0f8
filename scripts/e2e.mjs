// The end-to-end tests: two databases are made once (the demo, and one where nobody has begun), each spec file copies the one it
// wants, and Playwright runs with the words it is given. To be called by scripts/pg.sh run.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import pg from 'pg';
import { chromiumPath, fail, freePort, ROOT, run, startDirectory, withBin } from './lib.mjs';

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
await proven();
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

/** Proves the sheets of the demo once: what a build proved stands in the database, and so in every copy of it. */
async function proven() {
  const url = new URL(server);
  url.pathname = '/template_demo';
  const port = await freePort(0);
  const child = spawn(process.execPath, ['web/server.mjs'], {
    cwd: ROOT,
    stdio: 'ignore',
    env: {
      ...process.env,
      DATABASE_URL: url.href,
      HOST: '127.0.0.1',
      PORT: String(port),
      NODE_ENV: 'production',
      UMBREX_DEMO: '1',
      LOG_LEVEL: 'silent',
    },
  });
  const at = `http://127.0.0.1:${port}`;
  const kept = new pg.Client({ connectionString: url.href });
  await kept.connect();
  try {
    const ask = async (path, options) => {
      for (let i = 0; i < 200; i++) {
        const answer = await fetch(at + path, options).catch(() => null);
        if (answer?.ok) return answer;
        await new Promise((resolve) => setTimeout(resolve, 50));
      }
      return fail(`The test server does not answer ${path}.`);
    };
    const signedIn = await ask('/api/session/demo', {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: at },
      body: JSON.stringify({ role: 'coordinator' }),
    });
    const headers = { cookie: signedIn.headers.get('set-cookie')?.split(';')[0] ?? '' };
    const [{ id }] = await (await ask('/api/plans', { headers })).json();
    await ask(`/plans/${id}/sheets`, { headers });
    // They are written down a few at a time, the last ones a moment after the page.
    for (let before = -1, i = 0; i < 40; i++) {
      const { rows } = await kept.query('select count(*)::int as count from kept_proof');
      if (rows[0].count > 0 && rows[0].count === before) break;
      before = rows[0].count;
      await new Promise((resolve) => setTimeout(resolve, 500));
    }
  } finally {
    await kept.end();
    child.kill('SIGTERM');
    await once(child, 'exit');
  }
}
