import { createServer, type RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, expect, it } from 'vitest';
import { compressed } from '../compressed.mjs';

const half = '<p>a page, half of it</p>'.repeat(200);
/** As the server of pages does it: the rest of the page is an error, which is written, and then the connection is cut. */
const stops: RequestListener = (_, response) => {
  response.writeHead(200, { 'content-type': 'text/html' });
  response.write(half);
  response.write('Internal server error', () => response.destroy(new Error('on purpose')));
};
const ends: RequestListener = (_, response) => {
  response.writeHead(200, { 'content-type': 'text/html' });
  response.write(half);
  response.end();
};
const server = createServer((request, response) =>
  compressed(request.url === '/stops' ? stops : ends)(request, response),
);
const address = await new Promise<string>((done) =>
  server.listen(0, '127.0.0.1', () => done(`http://127.0.0.1:${(server.address() as AddressInfo).port}`)),
);
afterAll(() => server.close());

it.each(['gzip', 'br', 'deflate', 'identity'])(
  'a page that comes to a stop half way ends its answer (%s)',
  async (encoding) => {
    const ended = fetch(`${address}/stops`, {
      headers: { 'accept-encoding': encoding },
      signal: AbortSignal.timeout(4000),
    })
      .then((answer) => answer.text())
      .catch((error: Error) => error.name);
    expect(await ended).not.toBe('TimeoutError');
    const whole = await fetch(`${address}/ends`, { headers: { 'accept-encoding': encoding } });
    expect([whole.headers.get('content-encoding') ?? 'identity', await whole.text()]).toEqual([
      encoding,
      half,
    ]);
  },
);
