import { afterAll, beforeAll, describe, expect, it } from 'vitest';

// Read once, before any part of the application is loaded.
process.env.UMBREX_FIRST_WORD = 'kelp-and-gannet';
const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { readBytes } = await import('../src/server/endpoint');
const { ownPath } = await import('../src/server/ownPath');
const { Refused } = await import('../src/server/problem');
const { Visitor } = await import('./routes');
const db = getDb();

const first = (word: string | undefined, address = '192.0.2.7') =>
  new Visitor(address, { 'x-forwarded-for': address }).send(
    'POST',
    '/api/accounts/first',
    {},
    {
      login: 'ines',
      name: 'Ines Korvald',
      password: 'wind over the fell',
      workspaceName: 'Storm Watch',
      ...(word !== undefined && { word }),
    },
  );

beforeAll(async () => {
  await ensureWorkspace(db, false);
});
afterAll(() => db.destroy());

describe('the first account, from another machine', () => {
  it('takes the word that stands where the server was started, and no other', async () => {
    for (const word of [undefined, '', 'kelp', 'kelp-and-gannets', 'KELP-AND-GANNET'])
      expect(await first(word)).toMatchObject({ status: 401, body: { error: 'wrong-word' } });
    expect(await db('account')).toEqual([]);
  });
  it('is not to be guessed: ten tries from one place, then none for a while, not even the right one', async () => {
    for (let i = 0; i < 10; i++) expect((await first('wrong', '198.51.100.4')).status).toBe(401);
    expect((await first('kelp-and-gannet', '198.51.100.4')).status).toBe(429);
    expect(await db('account')).toEqual([]);
  });
  it('once it is made the word is good for nothing more', async () => {
    expect((await first('kelp-and-gannet')).status).toBe(201);
    expect((await db('workspace').first()).name).toBe('Storm Watch');
    expect((await first('kelp-and-gannet')).status).toBe(403);
    expect(await db('account')).toHaveLength(1);
  });
});

describe('where one goes after signing in', () => {
  it.each([
    ['/', '/'],
    ['/plans/1/today?x=1#y', '/plans/1/today?x=1#y'],
    [null, '/'],
    ['', '/'],
    ['https://evil.example/x', '/'],
    ['//evil.example/x', '/'],
    ['/\t/evil.example/x', '/'],
    ['/\n/evil.example/x', '/'],
    ['/\\evil.example/x', '/'],
    ['\\\\evil.example', '/'],
    ['/.//evil.example', '/'],
    ['/a/..//evil.example', '/'],
    ['javascript:alert(1)', '/'],
    ['http://[', '/'],
    ['plans/1', '/plans/1'],
  ])('%j: %s', (wanted, path) => {
    expect(ownPath(wanted)).toBe(path);
    expect(new URL(ownPath(wanted), 'https://ours.example').host).toBe('ours.example');
  });
});

describe('a body', () => {
  const request = (body: BodyInit, headers = {}) =>
    new Request('http://127.0.0.1/', { method: 'POST', body, headers, duplex: 'half' } as RequestInit);
  /** A sender that never ends, and how much was taken from it. */
  function endless() {
    let sent = 0;
    const body = new ReadableStream({
      pull(controller) {
        sent += 1000;
        controller.enqueue(new Uint8Array(1000));
      },
    });
    return { body, sent: () => sent };
  }
  it('is read to its end, byte by byte', async () =>
    expect(Buffer.from(await readBytes(request('wind over the fell'), 18)).toString()).toBe(
      'wind over the fell',
    ));
  it('that says that it is too long is not read at all', async () => {
    const { body, sent } = endless();
    await expect(readBytes(request(body, { 'content-length': '5001' }), 5000)).rejects.toThrow(Refused);
    expect(sent()).toBeLessThanOrEqual(1000);
  });
  it('that goes on is read no further than it may be long', async () => {
    const { body, sent } = endless();
    await expect(readBytes(request(body), 5000)).rejects.toThrow('at most');
    expect(sent()).toBeLessThanOrEqual(8000);
  });
  it('that is not there is empty', async () =>
    expect((await readBytes(new Request('http://127.0.0.1/'), 10)).byteLength).toBe(0));
});
