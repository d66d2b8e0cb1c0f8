import { median, onDemo } from './benchDemo';
import type { Served } from './fleet';

/*
 * A plan read by 100 clients at once against the health answer asked by as many: medians of seven rounds after one to warm up,
 * the two in turn on one server with the demo's plan. Every answer is looked at; one that is not right is counted and said.
 */
const CLIENTS = 100;
const EACH = 5;
const ROUNDS = 7;

await onDemo(async (served, id) => {
  const plan = await (await served.call('GET', `/api/plans/${id}`)).text();
  let errors = 0;
  const round = async (path: string, right: (text: string) => boolean): Promise<number> => {
    const start = performance.now();
    await Promise.all(Array.from({ length: CLIENTS }, () => client(served, path, right)));
    return performance.now() - start;
  };
  const client = async (to: Served, path: string, right: (text: string) => boolean) => {
    for (let i = 0; i < EACH; i++) {
      const answer = await to.call('GET', path).catch(() => null);
      if (!answer?.ok || !right(await answer.text())) errors++;
    }
  };
  const times = { plan: [] as number[], health: [] as number[] };
  for (let i = -1; i < ROUNDS; i++) {
    const read = await round(`/api/plans/${id}`, (text) => text === plan);
    const health = await round('/api/health', (text) => text.includes('"ok":true'));
    if (i < 0) continue;
    times.plan.push(read);
    times.health.push(health);
  }
  const each = (list: number[]) => median(list) / EACH / CLIENTS;
  const [read, health] = [each(times.plan), each(times.health)];
  process.stdout.write(
    `plan read by ${CLIENTS} clients / health answer to as many: ${(read / health).toFixed(2)}  (plan ${read.toFixed(2)} ms, health ${health.toFixed(2)} ms a request, ${errors} errors)\n`,
  );
  if (errors > 0) process.exitCode = 1;
});
