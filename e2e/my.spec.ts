import { readFileSync } from 'node:fs';
import { type BrowserContext, type Page, test as plain } from '@playwright/test';
import jsQR from 'jsqr';
import { Fleet, query, type Served } from '../scripts/fleet';
import { axeFindings, COLOUR_RULES, expect, open, planPath, ready, test } from './support';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } as const;

/** Waits until a card stands there. */
const seen = (page: Page, name: string | RegExp) =>
  expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
/** Day or night as the phone prefers it, once what fades has faded. */
async function inTheme(page: Page, colorScheme: 'light' | 'dark'): Promise<void> {
  await page.emulateMedia({ colorScheme });
  await page.waitForTimeout(500);
}
/** How far to the right the page goes. */
const width = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth);

/** What a picture of a code says, read by another library than drew it. */
async function decoded(page: Page, name: string): Promise<string | undefined> {
  const { data, side } = await page.getByRole('img', { name }).evaluate(async (image: HTMLImageElement) => {
    const side = 600;
    const canvas = Object.assign(document.createElement('canvas'), { width: side, height: side });
    const context = canvas.getContext('2d') as CanvasRenderingContext2D;
    context.fillStyle = 'white';
    context.fillRect(0, 0, side, side);
    await image.decode();
    context.drawImage(image, 20, 20, side - 40, side - 40);
    return { data: [...context.getImageData(0, 0, side, side).data], side };
  });
  return jsQR(new Uint8ClampedArray(data), side, side)?.data;
}

/** A link to somebody's card, made as a coordinator makes it. */
async function linkFor(page: Page, name: string): Promise<string> {
  const path = await planPath(page);
  await open(page, `${path}/people`);
  await page.getByRole('button', { name, exact: true }).click();
  const part = page.getByRole('region', { name: `Card of ${name}` });
  await part.getByRole('button', { name: 'Make a link' }).click();
  await expect(part.getByText(/\/my\/[\w-]{40,}/)).toBeVisible();
  const address = await part.getByText(/\/my\/[\w-]{40,}/).textContent();
  expect(await decoded(page, 'The same address, for the camera of a phone')).toBe(address);
  return address ?? '';
}

test('a coordinator gives out a link to a card; it shows one person’s sets, and nothing once it is taken back', async ({
  page,
  browser,
}) => {
  const address = await linkFor(page, 'Ada Brunlow');
  const phone = await browser.newContext(PHONE);
  const card = await phone.newPage();
  await card.goto(address);
  await seen(card, 'Ada Brunlow');
  const bar = card.getByRole('navigation', { name: 'Your card' });
  await bar.getByRole('link', { name: 'My sets' }).click();
  await card.getByRole('link', { name: /^Watch 3/ }).click();
  await seen(card, 'Watch 3');
  const channel = card.locator('li', { hasText: 'Kelp Stairs' }).first();
  await channel.locator('summary').click();
  await expect(channel).toContainText('Over a repeater');
  await expect(channel).toContainText('If nobody answers: S4 (Watch direct), as the net says');
  await expect(card.getByText('Hold for 2 seconds: LIST')).toBeVisible();
  // What stands on the display gives the channel, on this set and on others.
  await bar.getByRole('link', { name: 'Plan' }).click();
  await card.getByLabel('What stands on the display').fill('r5');
  await expect(card.getByText('Kelp Stairs by its label')).toBeVisible();
  await card.getByLabel('What stands on the display').fill('151.9550');
  await expect(card.getByText(/Not of this plan: .*151\.955/)).toBeVisible();
  await card.getByLabel('What stands on the display').fill('zzz');
  await expect(card.getByText(/Nothing of this plan/)).toBeVisible();
  // On which channel somebody is reached.
  await card.getByLabel('Whom do you want to reach').selectOption({ label: 'Bertil Noss' });
  await expect(card.getByText(/Theirs, Neighbour 6/).first()).toBeVisible();
  // All of it in both themes, and at the least width.
  await card.setViewportSize({ width: 360, height: 740 });
  for (const place of ['today', 'sets', 'plan', 'more']) {
    await card.goto(`${address}#${place}`);
    await expect(bar.locator('[aria-current="page"]')).toHaveAttribute('href', `#${place}`);
    expect(await axeFindings(card), place).toEqual([]);
    await inTheme(card, 'dark');
    expect(await axeFindings(card, COLOUR_RULES), `${place} at night`).toEqual([]);
    await inTheme(card, 'light');
    expect(await width(card), place).toBeLessThanOrEqual(360);
    for (const link of await bar.getByRole('link').all()) {
      const box = await link.boundingBox();
      expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(44);
    }
  }
  // Taken back, it shows nothing at its next request, and nothing of it stays on the phone.
  await open(page, `${await planPath(page)}/people`);
  await page.getByRole('button', { name: 'Ada Brunlow', exact: true }).click();
  await page.getByRole('button', { name: /^Take back the link/ }).click();
  await expect(page.getByText('Taken back')).toBeVisible();
  await card.reload();
  await seen(card, 'This link shows nothing any more');
  await expect(card.getByText('Watch 3')).toHaveCount(0);
  const kept = await card.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const asked = indexedDB.open('umbrex-hand');
        asked.onsuccess = () => {
          const all = asked.result.transaction('card').objectStore('card').count();
          all.onsuccess = () => resolve(all.result);
        };
      }),
  );
  expect(kept).toBe(0);
  await phone.close();
});

test.describe('a member who signed in', () => {
  test.use({ role: 'member', ...PHONE });
  test('works a sheet step by step; what it showed instead leads back', async ({ page }) => {
    await page.goto('/my');
    await seen(page, 'Ada Brunlow');
    await page.getByRole('link', { name: /^Watch 3/ }).click();
    await page.getByRole('link', { name: 'Load it, step by step' }).click();
    await expect(page.getByRole('heading', { name: 'Hazards' })).toBeVisible();
    expect(await axeFindings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Begin' }).click();
    const count = page.getByText(/^\d+ of \d+$/);
    await expect(count).toHaveText(/^1 of/);
    // By button, by key, and back.
    await page.getByRole('button', { name: /^(It shows that|Done)$/ }).click();
    await page.locator('main').click();
    await page.keyboard.press(' ');
    await page.keyboard.press('ArrowRight');
    await expect(count).toHaveText(/^4 of/);
    await page.getByRole('button', { name: 'Back', exact: true }).click();
    await expect(count).toHaveText(/^3 of/);
    expect(await axeFindings(page)).toEqual([]);
    await inTheme(page, 'dark');
    expect(await axeFindings(page, COLOUR_RULES)).toEqual([]);
    await inTheme(page, 'light');
    for (let n = 3; n < 7; n++) await page.keyboard.press('ArrowRight');
    await expect(count).toHaveText(/^7 of/);
    // One of the displays that the virtual set shows when the hand slips.
    await page.getByRole('button', { name: 'It showed something else' }).click();
    const dialog = page.getByRole('dialog', { name: 'Step 7 showed something else' });
    await dialog.getByRole('button', { name: /GO TO 9__/ }).click();
    await expect(dialog.getByText(/Most likely the key 1 .*Nothing was harmed/)).toBeVisible();
    expect(await axeFindings(page)).toEqual([]);
    await dialog.getByRole('button', { name: 'Then go on at step 3' }).click();
    await expect(count).toHaveText(/^3 of/);
    // It stays there over a reload; and none of them is one of the displays.
    await page.reload();
    await page.getByRole('button', { name: 'Go on at step 3' }).click();
    await expect(count).toHaveText(/^3 of/);
    await page.getByRole('button', { name: 'It showed something else' }).click();
    await page.getByRole('button', { name: 'None of these' }).click();
    await page.getByLabel(/write what it shows/).fill('ERR 4');
    await page.getByRole('button', { name: 'Tell your coordinator, and stop here' }).click();
    await expect(page.getByText('Noted for your coordinator')).toBeVisible();
    await page.keyboard.press('Escape');
    // It is on its way until it was sent.
    await page.goto('/my#more');
    await expect(page.getByText('All of it was sent.')).toBeVisible();
    await page.goto('/my#sets');
    // The desk has it.
    const path = await planPath(page);
    const unit = /set\/([\w-]+)/.exec(
      (await page.getByRole('link', { name: 'Watch 3' }).getAttribute('href')) ?? '',
    );
    await open(page, `${path}/devices/${unit?.[1]}`);
    await expect(page.getByText('step 3 showed ERR 4')).toBeVisible();
  });

  test('says what happened to a set', async ({ page }) => {
    await page.goto('/my#sets');
    await page.getByRole('link', { name: /^Watch 3/ }).click();
    await page.getByText('Say something of Watch 3').click();
    await page.getByLabel('On which place').selectOption({ index: 2 });
    await page.getByLabel('With whom').fill('Bertil');
    await page.getByRole('button', { name: 'We heard each other' }).click();
    await expect(page.getByText(/^Noted: spoken with both ways/)).toBeVisible();
    await page.getByLabel('A word on it').fill('in the boat');
    await page.getByRole('button', { name: 'Lost' }).click();
    await expect(page.getByText('Noted: it is lost.')).toBeVisible();
    expect(await axeFindings(page)).toEqual([]);
    const unit = /set\/([\w-]+)/.exec(page.url())?.[1];
    await open(page, `${await planPath(page)}/devices/${unit}`);
    await expect(page.getByText(/it is lost \(in the boat\)/)).toBeVisible();
    // Whoever signs out leaves nothing of theirs on the phone.
    await page.getByText(/, member, demo/).click();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL(/sign-in/);
    await page.goto('/my');
    // Sent to sign in by the server, or told so by the page that this phone kept.
    await expect(
      page
        .getByText('You are not signed in')
        .or(page.getByRole('button', { name: 'Sign in' }))
        .first(),
    ).toBeVisible();
    await expect(page.getByText('Ada Brunlow')).toHaveCount(0);
  });
});

plain.describe('without a network', () => {
  plain.describe.configure({ mode: 'serial' });
  let fleet: Fleet;
  plain.beforeAll(async () => {
    fleet = await Fleet.make();
  });
  plain.afterAll(() => fleet.end());

  /** A card that was opened once by a link, on a phone of its own. */
  async function opened(served: Served, context: BrowserContext): Promise<{ page: Page; unitId: string }> {
    const [{ id: planId }] = (await (await served.call('GET', '/api/plans')).json()) as [{ id: string }];
    const [person] = (await query(
      fleet.databaseUrl,
      `select person.id from person join unit on unit.document->>'personId' = person.id::text where unit.document->>'nickname' = 'Watch 3'`,
    )) as [{ id: string }];
    const [unit] = (await query(
      fleet.databaseUrl,
      `select id from unit where document->>'nickname' = 'Watch 3'`,
    )) as [{ id: string }];
    const until = new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10);
    const made = await served.call('POST', '/api/team/links', {
      kind: 'card',
      personId: person.id,
      planId,
      until,
      hidesTones: false,
    });
    expect(made.status).toBe(201);
    const page = await context.newPage();
    await page.goto(`${served.url}${(await made.json()).path}`);
    await seen(page, 'Ada Brunlow');
    return { page, unitId: unit.id };
  }
  const ticks = () =>
    query(
      fleet.databaseUrl,
      `select (document->>'step')::int as step, at from report where what = 'step' order by at, step`,
    ) as Promise<{ step: number; at: Date }[]>;

  plain(
    'a page that was kept is there at once, and the one of another build at the visit after',
    async ({ browser }) => {
      const served = await fleet.serve();
      await served.signIn();
      const context = await browser.newContext(PHONE);
      const { page } = await opened(served, context);
      const address = page.url().split('#')[0] ?? '';
      const isKept = async () => {
        await page.goto(`${address}#more`);
        await expect(page.getByText('work without a network')).toBeVisible();
      };
      await isKept();
      /** What stands in the cache, and what is put there in place of the page. */
      const inCache = (work: 'paths' | 'earlier') =>
        page.evaluate(async (what) => {
          const cache = await caches.open('umbrex-hand-shell');
          const html = (await (await cache.match('/my'))?.text()) ?? '';
          const headers = { 'content-type': 'text/html' };
          if (what === 'earlier')
            await cache.put(
              '/my',
              new Response(html.replace('<title>Your card', '<title>Earlier'), { headers }),
            );
          return (await cache.keys()).map(({ url }) => new URL(url).pathname);
        }, work);
      // An earlier page is shown at once, without asking; the server's own is kept meanwhile, and shown next.
      await inCache('earlier');
      await page.reload();
      await expect(page).toHaveTitle(/^Earlier/);
      await isKept();
      await expect(async () => {
        await page.reload();
        expect(await page.title()).toMatch(/^Your card/);
      }).toPass();
      // Where the server has another build its page is not mixed with parts of this one: it is fetched whole at the next visit.
      const before = await inCache('paths');
      await page.route(address, async (route) => {
        if (route.request().isNavigationRequest()) return route.continue();
        const answer = await route.fetch();
        await route.fulfill({
          response: answer,
          body: `${await answer.text()}<script src="/_astro/other.abc.js"></script>`,
        });
      });
      await page.reload();
      await expect(async () => expect(await inCache('paths')).toContain('/my/another-build')).toPass();
      expect((await inCache('paths')).filter((path) => path !== '/my/another-build').sort()).toEqual(
        before.sort(),
      );
      await page.unroute(address);
      await page.reload();
      await expect(async () => expect(await inCache('paths')).not.toContain('/my/another-build')).toPass();
      await context.close();
      await served.stop();
    },
  );

  plain(
    'ten steps that were done while the server was away arrive once, in order, with their times',
    async ({ browser }) => {
      plain.setTimeout(180_000);
      const first = await fleet.serve();
      await first.signIn();
      const context = await browser.newContext(PHONE);
      const { page, unitId } = await opened(first, context);
      const address = page.url().split('#')[0] ?? '';
      await page.goto(`${address}#more`);
      await expect(page.getByText('work without a network')).toBeVisible();
      await page.goto(`${address}#steps/${unitId}`);
      await page.getByRole('button', { name: 'Begin' }).click();
      const count = page.getByText(/^\d+ of \d+$/);
      await expect(count).toHaveText(/^1 of/);
      await first.stop();
      const begun = Date.now();
      for (let n = 1; n <= 4; n++) {
        await page.keyboard.press('ArrowRight');
        await expect(count).toHaveText(new RegExp(`^${n + 1} of`));
      }
      // The virtual set works on the phone.
      await page.getByRole('button', { name: 'It showed something else' }).click();
      await expect(page.getByRole('button', { name: 'None of these' })).toBeVisible();
      await page.keyboard.press('Escape');
      // Loaded anew, and closed and opened again: it is where it was.
      await page.reload();
      await page.getByRole('button', { name: 'Go on at step 5' }).click();
      for (let n = 5; n <= 7; n++) {
        await page.keyboard.press('ArrowRight');
        await expect(count).toHaveText(new RegExp(`^${n + 1} of`));
      }
      await page.close();
      const again = await context.newPage();
      await again.goto(address);
      await seen(again, 'Ada Brunlow');
      await expect(again.getByText(/No network: this is as it was/)).toBeVisible();
      await expect(again.getByText(/The link is good until/)).toBeVisible();
      expect(await axeFindings(again)).toEqual([]);
      await inTheme(again, 'dark');
      expect(await axeFindings(again, COLOUR_RULES)).toEqual([]);
      await inTheme(again, 'light');
      await again.goto(`${address}#plan`);
      await again.getByLabel('What stands on the display').fill('R5');
      await expect(again.getByText('Kelp Stairs by its label')).toBeVisible();
      await again.goto(`${address}#steps/${unitId}`);
      await again.getByRole('button', { name: 'Go on at step 8' }).click();
      const onceMore = again.getByText(/^\d+ of \d+$/);
      for (let n = 8; n <= 10; n++) {
        await again.keyboard.press('ArrowRight');
        await expect(onceMore).toHaveText(new RegExp(`^${n + 1} of`));
      }
      // Back and forth counts nothing twice.
      await again.getByRole('button', { name: 'Back', exact: true }).click();
      await again.keyboard.press('ArrowRight');
      await again.goto(`${address}#more`);
      await expect(again.getByText('10 things wait for the network')).toBeVisible();
      // What was kept can be printed.
      for (const print of ['Pocket card', 'Sheet of Watch 3']) {
        const saved = again.waitForEvent('download');
        // The paper that is usual where this browser is at home.
        await again.getByRole('button', { name: `${print}, Letter` }).click();
        const path = await (await saved).path();
        expect(readFileSync(path).subarray(0, 5).toString()).toBe('%PDF-');
      }
      await expect(again.getByText('Sheet of Watch 3 was given to the browser to save.')).toBeVisible();
      expect(await ticks()).toEqual([]);
      const ended = Date.now();
      const second = await fleet.serve({ PORT: new URL(first.url).port });
      await again.getByRole('button', { name: 'Send now' }).click();
      await expect(again.getByText('All of it was sent.')).toBeVisible();
      const rows = await ticks();
      expect(rows.map(({ step }) => step)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
      for (const { at } of rows) {
        expect(at.getTime()).toBeGreaterThanOrEqual(begun - 1000);
        expect(at.getTime()).toBeLessThanOrEqual(ended);
      }
      // Sent again they count no more.
      await again.reload();
      await expect(again.getByText('All of it was sent.')).toBeVisible();
      expect((await ticks()).length).toBe(10);
      await second.stop();
      await context.close();
    },
  );

  plain(
    'what cannot be taken is shown with its reason; a card that was never opened says so',
    async ({ browser }) => {
      plain.setTimeout(120_000);
      const served = await fleet.serve();
      await served.signIn();
      const context = await browser.newContext(PHONE);
      const { page, unitId } = await opened(served, context);
      const address = page.url().split('#')[0] ?? '';
      await page.goto(`${address}#more`);
      await expect(page.getByText('work without a network')).toBeVisible();
      await page.goto(`${address}#set/${unitId}`);
      await page.getByText('Say something of Watch 3').click();
      await served.stop();
      await page.getByRole('button', { name: 'Cells changed' }).click();
      await page.goto(`${address}#more`);
      await expect(page.getByText('1 thing waits for the network')).toBeVisible();
      // Meanwhile the set was given to somebody else.
      await query(
        fleet.databaseUrl,
        `update unit set document = jsonb_set(document, '{personId}', 'null') where id = '${unitId}'`,
      );
      const next = await fleet.serve({ PORT: new URL(served.url).port });
      await page.getByRole('button', { name: 'Send now' }).click();
      await expect(page.getByText('Not taken: Watch 3: its cells were changed')).toBeVisible();
      await expect(page.getByText(/This set is not yours any more/)).toBeVisible();
      await page.reload();
      await expect(page.getByText(/This set is not yours any more/)).toBeVisible();
      await page.getByRole('button', { name: 'I have seen it' }).click();
      await expect(page.getByText('All of it was sent.')).toBeVisible();
      await next.stop();
      // Another card on the same phone, never opened with a network.
      const other = await context.newPage();
      await other.goto(`${new URL(address).origin}/my/${'a'.repeat(43)}`);
      await seen(other, 'No network, and nothing kept here');
      await context.close();
    },
  );

  plain(
    'the list of a bench day is ticked while the server is away, over a reload, and arrives once',
    async ({ browser }) => {
      plain.setTimeout(120_000);
      const first = await fleet.serve();
      await first.signIn();
      const context = await browser.newContext();
      const page = await context.newPage();
      const headers = { origin: first.url };
      await context.request.post(`${first.url}/api/session/demo`, { data: { role: 'coordinator' }, headers });
      await page.goto(first.url);
      await page.waitForURL(/plans/);
      const [, path = ''] = /(\/plans\/[\w-]+)/.exec(page.url()) ?? [];
      const address = `${first.url}${path}/bench`;
      await page.goto(address);
      const list = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^Done / }) });
      await expect(list.first()).toBeVisible();
      const isKept = () =>
        page.evaluate(async () => {
          const worker = await navigator.serviceWorker.getRegistration();
          const page = await caches.match(window.location.pathname);
          return Boolean(worker?.active && page);
        });
      await expect(async () => expect(await isKept()).toBe(true)).toPass();
      const names = await list.getByRole('link').allTextContents();
      expect(names.length).toBeGreaterThan(3);
      await first.stop();
      const done = (name: string) => page.getByRole('button', { name: `Done ${name}`, exact: true });
      const line = (name: string) =>
        page
          .getByRole('listitem')
          .filter({ has: page.getByRole('link', { name, exact: true }) })
          .first();
      for (const name of names.slice(0, 2)) {
        await done(name).click();
        await expect(line(name)).toContainText('done');
      }
      await expect(page.getByText(/^The server does not answer. 2 ticks wait in this browser/)).toBeVisible();
      // Loaded anew, and closed and opened again, with no server.
      await page.reload();
      await expect(line(names[0] ?? '')).toContainText('done');
      await page.close();
      const again = await context.newPage();
      await again.goto(address);
      await ready(again);
      await again.getByRole('button', { name: `Done ${names[2]}`, exact: true }).click();
      await expect(again.getByText(/3 ticks wait/)).toBeVisible();
      const ticks = () =>
        query(fleet.databaseUrl, `select what, unit_id from report where what = 'bench-done' order by at`);
      expect(await ticks()).toEqual([]);
      const second = await fleet.serve({ PORT: new URL(first.url).port });
      await again.getByRole('button', { name: 'Send now' }).click();
      await expect(again.getByText(/ticks wait/)).toHaveCount(0);
      await again.reload();
      for (const name of names.slice(0, 3))
        await expect(
          again
            .getByRole('listitem')
            .filter({ has: again.getByRole('link', { name, exact: true }) })
            .first(),
        ).toContainText('done');
      expect((await ticks()).length).toBe(3);
      // Whoever signs out leaves no list behind.
      await again.getByText(/, coordinator, demo/).click();
      await again.getByRole('button', { name: 'Sign out' }).click();
      await again.waitForURL(/sign-in/);
      expect(
        await again.evaluate(() =>
          caches.keys().then((names) => names.some((name) => name.startsWith('umbrex-desk'))),
        ),
      ).toBe(false);
      await second.stop();
      await context.close();
    },
  );
});
