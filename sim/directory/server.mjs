// A stand-in for an online repeater directory: invented entries around Ostrel with the faults that listings have. It answers
// the documented shape (docs/directory.md) and nothing else. Port from the first argument; it prints its address and waits.
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';

const read = (file) => JSON.parse(readFileSync(new URL(file, import.meta.url), 'utf8'));
const ENTRIES = read('./entries.json');
const PLACES = read('./places.json');
const FORMAT = 'umbrex/directory@1';

/** A flat measure is near enough to choose by; who asks measures again. */
function metres(a, b) {
  const east = (b.longitudeDeg - a.longitudeDeg) * Math.cos((a.latitudeDeg * Math.PI) / 180);
  return Math.hypot(b.latitudeDeg - a.latitudeDeg, east) * 111_195;
}

function answer(url) {
  const number = (name) => Number(url.searchParams.get(name) ?? Number.NaN);
  switch (url.pathname) {
    case '/places': {
      const words = (url.searchParams.get('name') ?? '').trim().toLowerCase();
      return [
        200,
        { format: FORMAT, places: PLACES.filter(({ name }) => name.toLowerCase().includes(words)) },
      ];
    }
    case '/stations': {
      const from = { latitudeDeg: number('latitudeDeg'), longitudeDeg: number('longitudeDeg') };
      const within = number('withinM');
      if (![from.latitudeDeg, from.longitudeDeg, within].every(Number.isFinite))
        return [400, { error: 'latitudeDeg, longitudeDeg and withinM are needed, as numbers' }];
      // A little more than was asked, and in no order, as sources do.
      const entries = ENTRIES.filter((entry) => metres(from, entry) <= within * 1.1);
      return [200, { format: FORMAT, source: 'Ostrel Station Book', entries }];
    }
    default:
      return [404, { error: 'only /places and /stations are here' }];
  }
}

const server = createServer((request, response) => {
  const [status, body] = answer(new URL(request.url ?? '/', 'http://127.0.0.1'));
  response.writeHead(status, { 'content-type': 'application/json; charset=utf-8' });
  response.end(JSON.stringify(body));
});
server.listen(Number(process.argv[2] ?? 0), '127.0.0.1', () => {
  process.stdout.write(`http://127.0.0.1:${server.address().port}\n`);
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(0));
