import { type Page, test as plain } from '@playwright/test';
import { Fleet, query } from '../scripts/fleet';
import { axeFindings, expect, open, planPath, ready, test } from './support';

/** A line and what it comes to, once the page holds it. */
async function note(page: Page, line: string) {
  const input = page.locator('input[name=call]');
  await input.fill(line);
  await expect(page.getByRole('button', { name: 'Note', exact: true })).toBeEnabled();
  await input.press('Enter');
  await expect(input).toHaveValue('');
}

test('a call is one line: it is asked where it says too little, noted, settled, changed and taken back', async ({
  page,
}) => {
  await open(page, `${await planPath(page)}/air/log`);
  const input = page.locator('input[name=call]');
  const log = page.getByRole('region', { name: 'The log' });

  await input.fill('Bot 1 > Club 9 5x5');
  await expect(page.getByText('Nothing is called “Bot 1”')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Note', exact: true })).toBeDisabled();
  await page.getByRole('button', { name: 'Boat 1', exact: true }).click();
  await page.getByRole('button', { name: '5 loud', exact: true }).click();
  await expect(input).toHaveValue('Boat 1 > Club 9 5 loud');
  await note(page, 'Boat 1 > Club 9 5 loud from the pier // by the new aerial');
  const row = log.getByRole('listitem').filter({ hasText: 'by the new aerial' });
  await expect(row).toContainText('heard 5, loud');
  await expect(row).toContainText('from the pier');

  // It stands beside what is computed at once.
  await page.getByRole('button', { name: /^Boat 1 to Club 9, repeater: computed hears, log heard/ }).click();
  await expect(page.getByText('Computed: hears.')).toBeVisible();

  await row.getByRole('button', { name: /^Change/ }).click();
  const change = page.getByLabel('The call as it should be');
  await expect(change).toHaveValue(/Boat 1 > Club 9 on Gannet Top 5 loud from "the pier"/);
  await change.fill((await change.inputValue()).replace(' 5 loud', ' 3'));
  await change.press('Enter');
  await expect(change).toHaveCount(0);
  await expect(log.getByRole('listitem').filter({ hasText: 'by the new aerial' })).toContainText('heard 3');
  await page.reload();
  await ready(page);
  const again = log.getByRole('listitem').filter({ hasText: 'by the new aerial' });
  await expect(again).toContainText('heard 3');
  await again.getByRole('button', { name: /^Take out/ }).click();
  await expect(again).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await ready(page);
  await expect(log.getByRole('listitem').filter({ hasText: 'by the new aerial' })).toHaveCount(1);

  // A disagreement that is no matter of the sets is settled, and is none any more.
  await page.locator('select[name=channel]').selectOption({ label: 'Market day' });
  await page.getByRole('button', { name: 'Show' }).click();
  await ready(page);
  await expect(page.getByText('Ridge 3 did not hear Boat 1')).toBeVisible();
  await page.getByRole('button', { name: /^The signal does not get there/ }).click();
  await expect(page.getByText('Ridge 3 did not hear Boat 1')).toHaveCount(0);
  await expect(page.getByText('agree.')).toBeVisible();
});

test('with a thumb: two names, and a tap writes it down', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, `${await planPath(page)}/air/log`);
  await page.locator('summary').filter({ hasText: 'By tapping' }).click();
  await page.getByLabel(/^Talked/).selectOption('Club 6');
  await page.getByLabel(/^Listened/).selectOption('Club 6');
  await expect(page.getByRole('button', { name: 'Heard 4 of 5' })).toBeDisabled();
  await page.getByLabel(/^Listened/).selectOption('Watch 6');
  await page.getByRole('button', { name: 'Heard 4 of 5' }).click();
  await expect(page.getByText('Noted: Club 6 to Watch 6: 4.')).toBeVisible();
  await page.getByRole('button', { name: 'Turn round' }).click();
  await page.getByRole('button', { name: 'Not heard', exact: true }).click();
  await expect(page.getByText('Noted: Watch 6 to Club 6: not heard.')).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  expect(await axeFindings(page)).toEqual([]);
});

test('a find is noted, looked up, and becomes a channel that is listened to', async ({ page }) => {
  const path = await planPath(page);
  await open(page, `${path}/air/scan`);
  const finds = page.getByRole('region', { name: 'Finds' });
  await finds.getByLabel('MHz').fill('15x');
  await expect(finds.getByText('Write the frequency in MHz')).toBeVisible();
  await finds.getByLabel('MHz').fill('151.820');
  await finds.getByLabel('What was heard').fill('a builder and his crane');
  await finds.getByRole('button', { name: 'Note it' }).click();
  const one = finds.getByRole('listitem').filter({ hasText: 'a builder and his crane' });
  // 47 CFR 95.2763: the first MURS channel.
  await expect(one).toContainText(/MURS/);
  await one.getByRole('button', { name: /^Into the plan/ }).click();
  await expect(one).toContainText('a channel of the plan');
  await open(page, path);
  await expect(page.getByText('151.8200').or(page.getByText('151.820')).first()).toBeVisible();
});

plain.describe('without the server', () => {
  let fleet: Fleet;
  plain.beforeAll(async () => {
    fleet = await Fleet.make();
  });
  plain.afterAll(() => fleet.end());
  plain('calls wait in the browser, over a reload and a closed tab, and arrive once', async ({ browser }) => {
    plain.setTimeout(120_000);
    const first = await fleet.serve();
    await first.signIn();
    const context = await browser.newContext();
    const page = await context.newPage();
    const headers = { origin: first.url };
    await context.request.post(`${first.url}/api/session/demo`, { data: { role: 'editor' }, headers });
    await page.goto(first.url);
    await page.waitForURL(/plans/);
    const [, path = ''] = /(\/plans\/[\w-]+)/.exec(page.url()) ?? [];
    const address = `${first.url}${path}/air/log`;
    await page.goto(address);
    await ready(page);
    const isKept = () =>
      page.evaluate(async () => {
        const worker = await navigator.serviceWorker.getRegistration();
        return Boolean(worker?.active && (await caches.match(window.location.pathname)));
      });
    await expect(async () => expect(await isKept()).toBe(true)).toPass();
    await first.stop();
    await note(page, 'Club 9 > Boat 2 2 weak // while it was away');
    await expect(page.getByText('The server does not answer. 1 call waits')).toBeVisible();
    await page.reload();
    await expect(page.getByText('waits to be sent')).toHaveCount(1);
    await page.close();
    const again = await context.newPage();
    await again.goto(address);
    await ready(again);
    await note(again, 'Boat 2 > Club 9 nothing');
    await expect(again.getByText(/2 calls wait/)).toBeVisible();
    const calls = () =>
      query(
        fleet.databaseUrl,
        `select id from heard where document->>'note' = 'while it was away' or document->>'at' > '2026-11-30'`,
      );
    expect(await calls()).toEqual([]);
    const second = await fleet.serve({ PORT: new URL(first.url).port });
    await again.getByRole('button', { name: 'Send now' }).click();
    await expect(again.getByText('waits to be sent')).toHaveCount(0);
    await again.reload();
    await ready(again);
    await expect(again.getByText('while it was away')).toHaveCount(1);
    expect(await calls()).toHaveLength(2);
    await second.stop();
    await context.close();
  });
});
