// A stand-in for a set on a cable: it takes a memory file, keeps it, and gives back what it kept.
//   node sim/cable/server.mjs <description.json>     prints its address
//   PUT  /memory   a file of the format umbrex/memory@1; 409 for another kind of set, 400 for what is no such file
//   GET  /memory   what the set holds
// As real sets do, it cuts names to its length, and drops places that it does not have. With LOSE=1 the last place of every
// writing is lost, as on a cable that slips: only reading back and comparing shows that.
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';

const description = JSON.parse(readFileSync(process.argv[2] ?? '', 'utf8'));
const names = typeof description.names === 'object' ? description.names.length : 0;
const nameField = description.fields.find(({ holds }) => holds === 'name')?.id;
const numbers = new Set(
  description.regions.flatMap(({ first, count, size, stride }) =>
    Array.from({ length: count }, (_, k) => first + Math.floor(k / size) * stride + (k % size)),
  ),
);
let slots = new Map();
let settings = {};

function write({ format, descriptionId, slots: given, settings: set = {} }) {
  if (format !== 'umbrex/memory@1' || !Array.isArray(given)) return 400;
  if (descriptionId !== description.id) return 409;
  const kept = given.filter(({ number }) => numbers.has(number));
  if (process.env.LOSE === '1') kept.pop();
  settings = { ...settings, ...set };
  slots = new Map(
    kept.map(({ number, label, values }) => {
      const name = nameField && values[nameField];
      const cut = typeof name === 'string' ? { ...values, [nameField]: name.slice(0, names) } : values;
      return [number, { number, label, values: cut }];
    }),
  );
  return 200;
}

const server = createServer(async (request, response) => {
  const say = (status, body) =>
    response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
  if (request.url !== '/memory') return say(404, { error: 'GET or PUT /memory' });
  if (request.method === 'GET')
    return say(200, {
      format: 'umbrex/memory@1',
      descriptionId: description.id,
      slots: [...slots.values()],
      settings,
    });
  if (request.method !== 'PUT') return say(405, { error: 'GET or PUT' });
  let text = '';
  for await (const chunk of request) text += chunk;
  try {
    const status = write(JSON.parse(text));
    return say(status, status === 200 ? { held: slots.size } : { error: 'not for this set' });
  } catch {
    return say(400, { error: 'no JSON' });
  }
});
server.listen(0, '127.0.0.1', () => process.stdout.write(`http://127.0.0.1:${server.address().port}\n`));
process.on('SIGTERM', () => server.close(() => process.exit(0)));
