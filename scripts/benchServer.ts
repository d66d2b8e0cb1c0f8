import { Fleet, type Served } from './fleet';
import { ensureBuild, ensurePostgres } from './lib.mjs';

/*
 * A plan read by 100 clients at once against the health answer asked by as many: medians of seven rounds after one to warm up,
 * the two in turn on one server with the demo's plan. Every answer is looked at; one that is not right is counted and said.
 */
const CLIENTS = 100;
const EACH = 5;
const ROUNDS = 7;

ensurePostgres();
ensureBuild();
const fleet = await Fleet.make();
try {
  const served = await fleet.serve();
  await served.signIn();
  const [{ id }] = (await (await served.call('GET', '/api/plans')).json()) as [{ id: string }];
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
  const median = (list: number[]) =>
    (list.toSorted((a, b) => a - b)[ROUNDS >> 1] ?? Number.NaN) / EACH / CLIENTS;
  const [read, health] = [median(times.plan), median(times.health)];
  process.stdout.write(
    `plan read by ${CLIENTS} clients / health answer to as many: ${(read / health).toFixed(2)}  (plan ${read.toFixed(2)} ms, health ${health.toFixed(2)} ms a request, ${errors} errors)\n`,
  );
  await served.stop();
  if (errors > 0) process.exitCode = 1;
} finally {
  await fleet.end();
}
