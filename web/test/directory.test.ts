import { spawn } from 'node:child_process';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';

type Answer = (request: IncomingMessage, response: ServerResponse) => void;

const sim = spawn(process.execPath, [
  fileURLToPath(new URL('../../sim/directory/server.mjs', import.meta.url)),
]);
let simUrl = '';
let answer: Answer = () => undefined;
// Between the application and the stand-in, so that a test can answer in its place.
const source = createServer((request, response) => answer(request, response));
await new Promise<void>((resolve) => source.listen(0, '127.0.0.1', resolve));
process.env.UMBREX_DIRECTORY_URL = `http://127.0.0.1:${(source.address() as AddressInfo).port}`;
// The environment is read once, when the first part of the application is loaded.
const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { heardEntries } = await import('../src/server/repositories/directory');
const { firstWorkspace } = await import('../src/server/repositories/workspaces');
const { send } = await import('./routes');
const db = getDb();

const through: Answer = (request, response) => {
  void fetch(simUrl + request.url).then(async (from) => {
    response.writeHead(from.status).end(await from.text());
  });
};
const search = (near: unknown, withinM = 50_000) =>
  send('POST', '/api/directory/search', {}, { near, withinM });

beforeAll(async () => {
  simUrl = await new Promise((resolve) => sim.stdout.once('data', (words) => resolve(String(words).trim())));
  await ensureWorkspace(db, true);
});
beforeEach(() => {
  answer = through;
});
afterAll(async () => {
  sim.kill();
  source.close();
  await db.destroy();
});

describe('a directory', () => {
  it('is searched by a place it knows, nearest first, and what it said is kept', async () => {
    const { status, body } = await search('kelp stairs');
    expect(status).toBe(200);
    expect(body).toMatchObject({ ok: true, place: { name: 'Kelp Stairs' } });
    expect(body.reading).toMatchObject({
      source: 'Ostrel Station Book',
      found: [{ entry: { id: 'or-01' } }, {}, {}, {}, {}, {}, {}, {}, {}, {}, {}, {}, {}],
    });
    const id = (await firstWorkspace(db))?.id ?? '';
    expect((await heardEntries(db, id)).map(({ entry }) => entry.id)).toContain('or-06');
    await search('kelp stairs');
    expect((await heardEntries(db, id)).filter(({ entry }) => entry.id === 'or-06')).toHaveLength(1);
  });
  it('is searched by coordinates', async () =>
    expect(
      (await search({ latitudeDeg: 42.15, longitudeDeg: -37.6 }, 5000)).body.reading.found,
    ).toMatchObject([{ entry: { id: 'or-13' } }]));
  it('names the places it knows when a name fits several or none', async () => {
    const several = (await search('e')).body;
    expect(several).toMatchObject({ ok: false, findings: [{ code: 'place-not-found', place: 'e' }] });
    expect(several.places.length).toBeGreaterThan(1);
    expect((await search('nowhere')).body.places).toEqual([]);
  });
  it.each<[string, Answer, string]>([
    ['an error', (_, response) => response.writeHead(500).end('x'), 'directory-no-answer'],
    ['no JSON', (_, response) => response.end('<p>maintenance</p>'), 'directory-no-answer'],
    ['another format', (_, response) => response.end('{"format":"x@9"}'), 'document-format'],
    ['a cut line', (request) => request.socket.destroy(), 'directory-no-answer'],
    ['too much', (_, response) => response.end(`"${'x'.repeat(4_000_001)}"`), 'directory-no-answer'],
    [
      'a way elsewhere',
      (_, response) => response.writeHead(302, { location: 'http://127.0.0.1:1/' }).end(),
      'directory-no-answer',
    ],
  ])('that answers with %s is said, and nothing else breaks', async (_what, wrong, code) => {
    answer = wrong;
    const got = await search({ latitudeDeg: 41, longitudeDeg: -38 });
    expect(got).toMatchObject({ status: 200, body: { ok: false, findings: [{ code }] } });
  });
  it('refuses places that are none, at their path', async () => {
    expect((await search({ latitudeDeg: 91, longitudeDeg: 0 })).body.findings[0].path).toBe(
      '/near/latitudeDeg',
    );
    expect((await search('  ')).status).toBe(400);
    expect((await search('Kelp Stairs', 0)).body.findings[0].path).toBe('/withinM');
  });
});
