import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { fitBoard } from '@umbrex/core/fit';
import { readPlan } from '@umbrex/core/formats';
import { type Plan, UnitSchema } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { shippedDescriptions } from '../devices/read';
import { wallList } from '../web/src/server/print/lists';
import { median } from './benchDemo';
import { Fleet, query } from './fleet';
import { chromiumPath, ensureBuild, ensureChromium, ensurePostgres } from './lib.mjs';

/*
 * What somebody with a phone waits for: how much script a card is, and how long it takes from the cache on a throttled phone, beside the first time
 * on the same one; and the wall list of 250 channels and 80 sets beside the fit that it shows.
 */
const ROUNDS = 5;
/** A phone of the middle sort: four times slower than this machine, 1.6 Mbit/s, 150 ms (common practice, as remembered). */
const SLOWER = 4;
const NETWORK = { offline: false, downloadThroughput: 200_000, uploadThroughput: 94_000, latency: 150 };

await benchWall();
ensurePostgres();
ensureBuild();
ensureChromium();
const fleet = await Fleet.make();
const browser = await chromium.launch({
  executablePath: chromiumPath() ?? 'chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
try {
  const served = await fleet.serve();
  await served.signIn();
  const [{ id: planId }] = (await (await served.call('GET', '/api/plans')).json()) as [{ id: string }];
  const [person] = (await query(
    fleet.databaseUrl,
    `select document->>'personId' as id from unit where document->>'nickname' = 'Watch 3'`,
  )) as [{ id: string }];
  const until = new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10);
  const made = await served.call('POST', '/api/team/links', {
    kind: 'card',
    personId: person.id,
    planId,
    until,
    hidesTones: false,
  });
  const address = served.url + (await made.json()).path;
  const times = { first: [] as number[], cached: [] as number[] };
  let bytes = 0;
  for (let round = -1; round < ROUNDS; round++) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const visit = async () => {
      const page = await context.newPage();
      const session = await context.newCDPSession(page);
      await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
      await session.send('Network.enable');
      await session.send('Network.emulateNetworkConditions', NETWORK);
      const start = performance.now();
      await page.goto(address, { waitUntil: 'commit' });
      await page.getByRole('heading', { level: 1 }).waitFor();
      const ms = performance.now() - start;
      // Kept once it says so; only then it may be looked at without the server.
      await page.goto(`${address}#more`);
      await page.getByText('work without a network').waitFor({ timeout: 120_000 });
      const scripts = await page.evaluate(() =>
        performance
          .getEntriesByType('resource')
          .filter(({ name }) => /\/_astro\/.*\.js$/.test(name) && !/worker/.test(name))
          .map((one) => [one.name, (one as PerformanceResourceTiming).encodedBodySize] as const),
      );
      // What came from the cache has its size as it is unpacked there: only the first time tells.
      bytes ||= [...new Map(scripts.toReversed())].reduce((sum, [, size]) => sum + size, 0);
      await page.close();
      return ms;
    };
    const first = await visit();
    const cached = await visit();
    await context.close();
    if (round < 0) continue;
    times.first.push(first);
    times.cached.push(cached);
  }
  const [first, cached] = [median(times.first), median(times.cached)];
  process.stdout.write(
    `a card from the cache / the first time, on a phone ${SLOWER} times slower: ${(cached / first).toFixed(2)}  (cached ${cached.toFixed(0)} ms, first ${first.toFixed(0)} ms, wanted at most 1000)\n` +
      `script of the card, compressed: ${(bytes / 1000).toFixed(1)} kB  (wanted at most 120)\n`,
  );
  await served.stop();
} finally {
  await browser.close();
  await fleet.end();
}

/** The wall list of a large plan, beside the fit of the fleet whose places stand in it. */
async function benchWall(): Promise<void> {
  const read = readPlan(readFileSync(new URL('../demo/ostrel-plan.json', import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(JSON.stringify(read.findings));
  const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
  const plan: Plan = {
    ...read.value,
    channels: Array.from({ length: 250 }, (_, i) => {
      const channel = read.value.channels[i % read.value.channels.length];
      if (!channel) throw new Error('the demo plan is empty');
      return { ...channel, id: uuid(i), name: `${channel.name} ${i}` };
    }),
  };
  const descriptions = shippedDescriptions();
  const units = Array.from({ length: 80 }, (_, i) =>
    UnitSchema.parse({
      id: uuid(10_000 + i),
      descriptionId: descriptions[i % descriptions.length]?.id ?? '',
      nickname: `Set ${i}`,
      holder: '',
      serial: '',
      firmware: '1.06',
    }),
  );
  const times = { fit: [] as number[], print: [] as number[] };
  let size = 0;
  for (let round = -1; round < ROUNDS; round++) {
    const start = performance.now();
    const { kinds } = fitBoard(plan, units, descriptions, NO_GROUNDS);
    const fitted = performance.now();
    size = (await wallList({ title: 'Wall list', state: 'bench', day: '' }, plan, kinds, 'A4')).byteLength;
    if (round < 0) continue;
    times.fit.push(fitted - start);
    times.print.push(performance.now() - fitted);
  }
  const [fit, print] = [median(times.fit), median(times.print)];
  process.stdout.write(
    `wall list of 250 channels and 80 sets as PDF / the fit that it shows: ${(print / fit).toFixed(2)}  (print ${print.toFixed(0)} ms, fit ${fit.toFixed(0)} ms, ${Math.round(size / 1000)} kB)\n`,
  );
}
