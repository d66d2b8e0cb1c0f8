import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync } from 'node:fs';
import { type AddressInfo, connect, createServer, type Socket } from 'node:net';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { Fleet, query, type Served } from '../scripts/fleet';

let fleet: Fleet;
test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
  fleet = await Fleet.make();
});
test.afterAll(() => fleet.end());

interface State {
  readonly plan: { id: string; channels: Record<string, unknown>[] };
  readonly channelVersions: Record<string, number>;
}
async function stateOf(served: Served): Promise<State> {
  const [{ id }] = (await (await served.call('GET', '/api/plans')).json()) as { id: string }[] as [
    { id: string },
  ];
  return (await served.call('GET', `/api/plans/${id}`)).json() as Promise<State>;
}
async function signedIn(): Promise<Served> {
  const served = await fleet.serve();
  await served.signIn();
  return served;
}

test('two servers, 1,000 rival edits: none is lost, and each refused one sees the newer state', async () => {
  test.setTimeout(300_000);
  const servers = [await signedIn(), await signedIn()];
  const [first] = servers as [Served, Served];
  const { plan, channelVersions } = await stateOf(first);
  // On each of two channels two rivals, one at each server.
  const fields = plan.channels.slice(0, 2).map((channel) => {
    const id = String(channel.id);
    return {
      channel,
      id,
      path: `/api/channels/${id}`,
      started: channelVersions[id] ?? 0,
      saved: [] as number[],
    };
  });
  let refused = 0;
  /** Writes until 250 edits of its own are saved, each from the newest state it knows. */
  const rival = async (n: number) => {
    const served = servers[n % 2] as Served;
    const field = fields[n < 2 ? 0 : 1] as (typeof fields)[number];
    let version = field.started;
    for (let k = 0; k < 250; ) {
      const note = `rival ${n}, edit ${k}`;
      const answer = await served.call('PUT', field.path, { version, value: { ...field.channel, note } });
      const body = await answer.json();
      if (answer.status === 200) {
        field.saved.push(body.version);
        version = body.version;
        k++;
      } else {
        expect(answer.status).toBe(409);
        expect(body.current.version).toBeGreaterThan(version);
        expect(body.current.value.note).toMatch(/^rival \d, edit \d+$/);
        version = body.current.version;
        refused++;
      }
    }
  };
  await Promise.all(Array.from({ length: 4 }, (_, n) => rival(n)));
  const { channelVersions: ended } = await stateOf(first);
  for (const { id, started, saved } of fields) {
    // Every version from the first to the last was made by exactly one of the two.
    expect(saved.sort((a, b) => a - b)).toEqual(Array.from({ length: 500 }, (_, i) => started + 1 + i));
    expect(ended[id]).toBe(started + 500);
  }
  expect(refused).toBeGreaterThan(100);
  for (const served of servers) expect(await served.stop()).toBe(0);
});

test('what one server writes, a browser at another hears of, without what it is', async () => {
  const [writer, reader] = [await signedIn(), await signedIn()];
  await reader.signIn('observer');
  const stream = await reader.call('GET', '/api/events');
  expect(stream.headers.get('content-type')).toContain('text/event-stream');
  // Pages go out packed; what comes line by line does not wait to be packed.
  expect(stream.headers.get('content-encoding')).toBeNull();
  expect((await reader.call('GET', '/sign-in')).headers.get('content-encoding')).toBe('gzip');
  const chunks = (stream.body as ReadableStream<Uint8Array>).getReader();
  let heard = '';
  const until = async (words: string) => {
    while (!heard.includes(words)) {
      const { value, done } = await chunks.read();
      if (done) throw new Error('the stream ended');
      heard += new TextDecoder().decode(value);
    }
  };
  await until('retry:');
  await new Promise((resolve) => setTimeout(resolve, 500)); // the other process is listening by then
  const id = randomUUID();
  await writer.call('POST', '/api/people', { value: { id, name: 'Heard of nobody' } });
  await until(id);
  expect(heard).toContain('"kind":"person"');
  expect(heard).not.toContain('Heard of nobody');
  // A server that is asked to end does not wait for the stream.
  expect(await reader.stop()).toBe(0);
  await writer.stop();
});

test('while the database is away a page says so, and goes on by itself when it is back', async ({
  browser,
}) => {
  const url = new URL(fleet.databaseUrl);
  const sockets = new Set<Socket>();
  let isAway = false;
  // A wire to the database that can be cut.
  const wire = createServer((near) => {
    if (isAway) {
      near.destroy();
      return;
    }
    const far = connect(Number(url.port), url.hostname);
    for (const socket of [near, far]) {
      sockets.add(socket);
      socket.on('error', () => undefined);
      socket.on('close', () => {
        near.destroy();
        far.destroy();
      });
    }
    near.pipe(far).pipe(near);
  }).listen(0, '127.0.0.1');
  await once(wire, 'listening');
  const through = new URL(url);
  through.hostname = '127.0.0.1';
  through.port = String((wire.address() as AddressInfo).port);
  const served = await fleet.serve({ DATABASE_URL: through.href });
  await served.signIn();
  const context = await browser.newContext({ baseURL: served.url });
  const page = await context.newPage();
  await page.goto('/sign-in');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  isAway = true;
  for (const socket of sockets) socket.destroy();
  const answer = await page.goto('/sign-in');
  expect(answer?.status()).toBe(503);
  await expect(page.getByRole('heading', { name: 'The database does not answer' })).toBeVisible();
  const refused = await served.call('POST', '/api/people', { value: { id: randomUUID(), name: 'Not kept' } });
  expect(refused.status).toBe(503);
  isAway = false;
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible({ timeout: 30_000 });
  expect((await served.call('GET', '/api/plans')).status).toBe(200);
  await context.close();
  await served.stop();
  for (const socket of sockets) socket.destroy();
  wire.close();
});

test('killed 50 times while it writes: every edit it acknowledged is there, and no import is half there', async () => {
  test.setTimeout(600_000);
  const acknowledged: string[] = [];
  const batches: string[][] = [];
  let killed = 0;
  for (let round = 0; round < 50; round++) {
    const served = await signedIn();
    let running = true;
    let answered = 0;
    const write = async () => {
      while (running) {
        const id = randomUUID();
        const single = await served
          .call('POST', '/api/people', { value: { id, name: `Single ${id}` } })
          .catch(() => null);
        if (single?.status === 201) {
          acknowledged.push(id);
          answered++;
        }
        const ids = Array.from({ length: 12 }, () => randomUUID());
        batches.push(ids);
        const people = ids.map((each) => ({ id: each, name: `Batch ${each}` }));
        const batch = await served.call('POST', '/api/roster/import', { people }).catch(() => null);
        if (batch?.status === 201) {
          acknowledged.push(...ids);
          answered++;
        }
      }
    };
    const writers = [write(), write()];
    // It is killed in the middle of its work, however fast the machine is: after some answers, and then at any moment.
    while (answered < 1 + (round % 4)) await new Promise((resolve) => setTimeout(resolve, 5));
    await new Promise((resolve) => setTimeout(resolve, (round * 37) % 60));
    await served.kill();
    killed++;
    running = false;
    await Promise.all(writers);
  }
  const served = await signedIn();
  const people = await (await served.call('GET', '/api/roster/export?what=people&as=csv')).text();
  expect(killed).toBe(50);
  expect(acknowledged.length).toBeGreaterThan(100);
  expect(acknowledged.filter((id) => !people.includes(id))).toEqual([]);
  const there = batches.map((ids) => ids.filter((id) => people.includes(id)).length);
  expect(there.filter((n) => n !== 0 && n !== 12)).toEqual([]);
  await served.stop();
});

test('killed while it publishes and while sets are ticked: a whole revision or none, and every tick it acknowledged', async () => {
  test.setTimeout(300_000);
  const [first] = [await signedIn()];
  const { plan } = await stateOf(first);
  const base = `/api/plans/${plan.id}`;
  // A few sets are enough: each look at the draft makes all sheets.
  const rows = async <T>(text: string, values: unknown[] = []) =>
    (await query(fleet.databaseUrl, text, values)) as T[];
  await rows(
    `update unit set deleted_at = now() where document->>'nickname' not in ('Watch 1', 'Deck 1', 'Truck 1', 'Neighbour 1')`,
  );
  const [unit] = await rows<{ id: string }>(`select id from unit where document->>'nickname' = 'Truck 1'`);
  const published = () => rows<{ number: number }>('select number from revision order by number');
  const before = (await published()).length;
  const acknowledged = { numbers: [] as number[], ticks: [] as string[] };
  /** What an answer says, and nothing where the server died before it had said it all. */
  const said = (answer: Promise<Response>) =>
    answer.then(async (it) => ({ status: it.status, value: await it.json() })).catch(() => null);
  /** Looks at the draft, publishes it, and says how long that took. */
  const publish = async (served: Served) => {
    const view = (await said(served.call('GET', `${base}/publishing`)))?.value;
    const started = performance.now();
    const answer =
      view &&
      (await said(
        served.call('POST', `${base}/revisions`, {
          draft: view.draft,
          after: view.after,
          reason: 'tried to the end',
          effectiveFrom: '2026-11-29',
          overruled: view.blockers.map(({ mark }: { mark: string }) => ({ mark, reason: 'settled by hand' })),
          decided: [],
        }),
      ));
    if (answer?.status === 201) acknowledged.numbers.push(answer.value.number);
    return performance.now() - started;
  };
  /** Ticks one set again and again. */
  const tick = async (served: Served, goesOn: () => boolean) => {
    // A timeline keeps its last 200 entries.
    for (let n = 0; goesOn() && n < 25; n++) {
      const [at] = await rows<{ version: number }>('select version from unit where id = $1', [unit?.id]);
      const by = `tick ${randomUUID().slice(0, 8)}`;
      const seen = { what: 'prepared', done: 'charged', day: '2026-11-29', by };
      const answer = await served
        .call('POST', `${base}/seen`, { sets: [{ id: unit?.id, version: at?.version }], seen })
        .catch(() => null);
      if (answer?.status === 201) acknowledged.ticks.push(by);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  };
  const wholeMs = await publish(first);
  expect(acknowledged.numbers).toHaveLength(1);
  await first.stop();
  for (let round = 0; round < 6; round++) {
    const served = await signedIn();
    let running = true;
    const ticking = tick(served, () => running);
    const publishing = publish(served);
    // In the middle of its work, later and later, up to where it is done.
    await served.call('GET', `${base}/publishing`).catch(() => null);
    await new Promise((resolve) => setTimeout(resolve, (wholeMs * round) / 5));
    await served.kill();
    running = false;
    await Promise.all([ticking, publishing]);
  }
  const served = await signedIn();
  const numbers = (await published()).map(({ number }) => number);
  expect(numbers).toEqual(numbers.map((_, i) => i + 1));
  expect(numbers.length).toBeGreaterThanOrEqual(before + acknowledged.numbers.length);
  for (const number of acknowledged.numbers) expect(numbers).toContain(number);
  // Each that is there is there as a whole: its document, and the sheets that it gives.
  for (const number of numbers) {
    expect((await served.call('GET', `${base}/revisions/${number}`)).status).toBe(200);
    expect((await served.call('GET', `/plans/${plan.id}/sheets/${unit?.id}?of=${number}`)).status).toBe(200);
  }
  const [ticked] = await rows<{ text: string }>('select document::text as text from unit where id = $1', [
    unit?.id,
  ]);
  expect(acknowledged.ticks.length).toBeGreaterThan(3);
  expect(acknowledged.ticks.filter((by) => !ticked?.text.includes(by))).toEqual([]);
  await served.stop();
});

test('a backup that is restored gives the same export, to the byte', async () => {
  const file = join(mkdtempSync('/tmp/umbrex-backup.'), 'all.dump');
  const exported = async () => {
    const served = await signedIn();
    const { plan } = await stateOf(served);
    const paths = [
      `/api/plans/${plan.id}/export`,
      '/api/roster/export?what=people&as=csv',
      '/api/roster/export?what=devices&as=csv',
      '/api/stations/geojson',
    ];
    const texts = await Promise.all(paths.map(async (path) => (await served.call('GET', path)).text()));
    return { served, plan, texts };
  };
  const before = await exported();
  fleet.npm('node', ['scripts/backup.mjs', 'backup', file]);
  const [channel] = before.plan.channels;
  const { channelVersions } = await stateOf(before.served);
  await before.served.call('DELETE', `/api/channels/${channel?.id}`, {
    version: channelVersions[String(channel?.id)],
  });
  await before.served.call('POST', '/api/people', { value: { id: randomUUID(), name: 'After the backup' } });
  await before.served.stop();
  const changed = await exported();
  expect(changed.texts).not.toEqual(before.texts);
  await changed.served.stop();
  expect(() => fleet.npm('node', ['scripts/backup.mjs', 'restore', file])).toThrow(); // it asks for --replace
  expect(() => fleet.npm('node', ['scripts/backup.mjs', 'restore', 'package.json', '--replace'])).toThrow();
  fleet.npm('node', ['scripts/backup.mjs', 'restore', file, '--replace']);
  const after = await exported();
  expect(after.texts).toEqual(before.texts);
  await after.served.stop();
});
