import { median, onDemo } from './benchDemo';
import { query } from './fleet';

/*
 * What somebody waits for on the server: each page of the demo's plan when nothing was written since the last one, beside the same page right
 * after a channel was, and beside the health answer. Medians of nine after two to warm up, on one server.
 */
const ROUNDS = 9;
const PAGES = ['', '/today', '/people', '/devices', '/fit', '/check', '/sheets', '/rollout', '/air'];

await onDemo(async (served, id, fleet) => {
  const timed = async (path: string): Promise<number> => {
    const start = performance.now();
    const answer = await served.call('GET', path);
    const text = await answer.text();
    if (!answer.ok || text.length === 0) throw new Error(`${path}: ${answer.status}`);
    return performance.now() - start;
  };
  const write = (n: number) =>
    query(
      fleet.databaseUrl,
      `update channel set document = jsonb_set(document, '{note}', '"bench ${n}"') where id = (select min(id::text)::uuid from channel)`,
    );
  const healths: number[] = [];
  for (let i = 0; i < ROUNDS; i++) healths.push(await timed('/api/health'));
  for (const page of PAGES) {
    const path = `/plans/${id}${page}`;
    const [same, after]: [number[], number[]] = [[], []];
    for (let i = -2; i < ROUNDS; i++) {
      const unchanged = await timed(path);
      await write(i);
      const changed = await timed(path);
      if (i < 0) continue;
      same.push(unchanged);
      after.push(changed);
    }
    const [a, b, health] = [median(same), median(after), median(healths)];
    process.stdout.write(
      `page ${page || '/'}: after an edit / unchanged ${(b / a).toFixed(2)}; unchanged / health ${(a / health).toFixed(0)}  (${a.toFixed(0)} ms, after an edit ${b.toFixed(0)} ms)\n`,
    );
  }
});
