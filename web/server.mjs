import { randomBytes } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import { withAssets } from './assets.mjs';
import { compressed } from './compressed.mjs';

// Production start: serve, and stop cleanly on SIGTERM or SIGINT.
process.env.ASTRO_NODE_AUTOSTART = 'disabled'; // before entry.mjs is loaded
// Who has this word can make the first account from another machine, while there is none.
const isMadeUp = !process.env.UMBREX_FIRST_WORD;
process.env.UMBREX_FIRST_WORD ||= randomBytes(12).toString('base64url');
const { startServer } = await import('./dist/server/entry.mjs');
const { server } = startServer(); // reads HOST and PORT
if (isMadeUp && process.env.LOG_LEVEL !== 'silent')
  process.stdout.write(`While nobody has an account: /first, with the word ${process.env.UMBREX_FIRST_WORD}
`);

const [handle] = server.server.listeners('request');
server.server.removeAllListeners('request');
const answer = withAssets(fileURLToPath(new URL('./dist/client', import.meta.url)), compressed(handle));
server.server.on('request', (request, response) => {
  // Browsers speak the newer protocol; what speaks this one passes requests on for somebody else.
  if (request.httpVersion === '1.0') request.headers['x-umbrex-http10'] = '1';
  answer(request, response);
});
server.server.once('error', (error) => {
  console.error(error); // a port in use: without this the process ends with exit code 0
  process.exit(1);
});

// Longer than a proxy or client keeps an idle connection, so that none sends into one that is just being closed.
server.server.keepAliveTimeout = 65_000;
server.server.headersTimeout = 66_000;

let stopping = false;
for (const signal of ['SIGTERM', 'SIGINT']) {
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    server.server.close(() => process.exit(0)); // waits for requests in flight
    server.server.closeIdleConnections();
    // Streams of live updates never end by themselves; their browsers come back to the next start.
    setTimeout(() => server.server.closeAllConnections(), 1500).unref();
    setTimeout(() => process.exit(1), 10_000).unref();
  });
}
