import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { brotliDecompressSync, gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { packAssets, withAssets } from '../assets.mjs';

const home = mkdtempSync('/tmp/umbrex-assets.');
const folder = join(home, 'client/_astro');
const script = 'export const tone = 131.8;\n'.repeat(300);
const picture = Buffer.from(Array.from({ length: 3000 }, (_, i) => (i * 7919) % 256));
mkdirSync(folder, { recursive: true });
writeFileSync(join(folder, 'desk.js'), script);
writeFileSync(join(folder, 'short.js'), '1;');
writeFileSync(join(folder, 'mark.png'), picture);
writeFileSync(join(home, 'kept.txt'), 'what nobody shall have');

const server = createServer((asked, answer) =>
  withAssets(join(home, 'client'), (_, rest) => {
    rest.statusCode = 404;
    rest.end('went on');
  })(asked, answer),
);
beforeAll(async () => {
  await packAssets(folder);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
});
afterAll(() => {
  server.close();
  rmSync(home, { recursive: true });
});

/** A raw request: nothing tidies the address or unpacks the answer. */
const get = (path: string, encoding?: string) =>
  new Promise<{ status?: number | undefined; headers: NodeJS.Dict<string | string[]>; body: Buffer }>(
    (done, failed) => {
      const { port } = server.address() as AddressInfo;
      const headers = encoding === undefined ? {} : { 'accept-encoding': encoding };
      request({ host: '127.0.0.1', port, path, headers }, (answer) => {
        const parts: Buffer[] = [];
        answer.on('data', (part) => parts.push(part));
        answer.on('end', () =>
          done({ status: answer.statusCode, headers: answer.headers, body: Buffer.concat(parts) }),
        );
      })
        .on('error', failed)
        .end();
    },
  );

describe('assets', () => {
  it('are packed once, beside their files, where that saves anything', () =>
    expect(readdirSync(folder).sort()).toEqual([
      'desk.js',
      'desk.js.br',
      'desk.js.gz',
      'mark.png',
      'short.js',
    ]));
  it.each([
    ['br, gzip', 'br', brotliDecompressSync],
    ['gzip', 'gzip', gunzipSync],
    ['identity', undefined, (bytes: Buffer) => bytes],
    [undefined, undefined, (bytes: Buffer) => bytes],
  ] as const)(
    'go out as the browser takes them (%s), and are the same then',
    async (asked, encoding, read) => {
      const { status, headers, body } = await get('/_astro/desk.js', asked);
      expect([status, headers['content-encoding'], headers.vary]).toEqual([200, encoding, 'Accept-Encoding']);
      expect(headers['content-type']).toMatch(/javascript/);
      expect(headers['cache-control']).toContain('immutable');
      expect(read(body).toString()).toBe(script);
    },
  );
  it('that are not packed go out as they are', async () => {
    expect((await get('/_astro/short.js', 'br')).body.toString()).toBe('1;');
    const { headers, body } = await get('/_astro/mark.png', 'br');
    expect([headers['content-encoding'], body.equals(picture)]).toEqual([undefined, true]);
  });
  it('are not given again to a browser that has them', async () => {
    const { headers } = await get('/_astro/desk.js');
    const { port } = server.address() as AddressInfo;
    const again = await fetch(`http://127.0.0.1:${port}/_astro/desk.js`, {
      headers: { 'if-none-match': String(headers.etag), 'accept-encoding': 'identity' },
    });
    expect(again.status).toBe(304);
  });
  it.each([
    '/_astro/gone.js',
    '/_astro/',
    '/_astro/../../kept.txt',
    '/_astro/%2e%2e/%2e%2e/kept.txt',
    '/_astro/..%2f..%2fkept.txt',
    '/_astro/%',
    '/_astro/%00',
    '/today',
  ])('what is not there goes on, and nothing outside is given: %s', async (path) => {
    const { status, body } = await get(path);
    expect([status, body.toString()]).toEqual([404, 'went on']);
  });
});
