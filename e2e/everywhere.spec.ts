import { axeFindings, COLOUR_RULES, entry, expect, open, planPath, ready, test } from './support';

const VIEWS = [
  '',
  '/today',
  '/people',
  '/devices',
  '/describe',
  '/stations',
  '/map',
  '/directory',
  '/check',
  '/reference?q=D023I',
  '/fit',
  '/numbers',
  '/sheets',
  '/nets',
  '/list',
  '/team',
  '/history',
  '/account',
];

for (const view of [...VIEWS, 'a sheet', 'what a set holds'])
  test(`axe finds nothing on ${view || '/'}, in either theme`, async ({ page, context, baseURL }) => {
    test.setTimeout(120_000);
    await context.addCookies([{ name: 'umbrex-theme', value: 'watch', url: baseURL ?? '' }]);
    const path = await planPath(page);
    await open(page, path + (VIEWS.includes(view) ? view : '/sheets'));
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'watch');
    if (view === '') {
      await page.getByRole('button', { name: /^Gannet Top/ }).click();
      await entry(page).fill('Puffin 467.675 code 9');
    }
    if (view === '/directory') {
      await page.getByLabel(/Around a place/).fill('Kelp Stairs');
      await page.keyboard.press('Enter');
      await expect(page.getByText('nearest first')).toBeVisible();
    }
    if (view === '/fit') await page.locator('[id^="cell-"]').nth(2).click();
    if (view === 'a sheet') {
      await page.getByRole('link', { name: /^Watch 1 / }).click();
      await ready(page);
    }
    if (view === 'what a set holds') {
      await page.goto(
        (await page.getByRole('link', { name: /^Watch 1 / }).getAttribute('href'))?.replace(
          'sheets',
          'devices',
        ) ?? '',
      );
      await ready(page);
      await page.getByText('Say what it holds now').click();
      await page.getByLabel('Memory number').fill('45');
    }
    expect(await axeFindings(page), 'watch').toEqual([]);
    await page.evaluate(() => document.documentElement.setAttribute('data-theme', 'chart'));
    // Colours of buttons change over a moment, on a busy machine a longer one.
    await page.evaluate(async () => {
      await new Promise(requestAnimationFrame);
      await Promise.all(document.getAnimations().map(({ finished }) => finished.catch(() => undefined)));
    });
    expect(await axeFindings(page, COLOUR_RULES), 'chart').toEqual([]);
  });

test.describe('somebody who is not signed in', () => {
  test.use({ role: null });
  for (const theme of ['chart', 'watch'])
    test(`axe finds nothing on the way in and on a link that is used up, ${theme} theme`, async ({
      page,
      context,
      baseURL,
    }) => {
      await context.addCookies([{ name: 'umbrex-theme', value: theme, url: baseURL ?? '' }]);
      for (const address of ['/sign-in', '/link/a-link-that-nobody-was-given']) {
        await open(page, address);
        expect(await axeFindings(page), address).toEqual([]);
      }
    });
});

test('at 390 px nothing runs out of the page, and the stages are at hand', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const path = await planPath(page);
  await open(page, `${path}/sheets`);
  const sheet = await page.getByRole('link', { name: /^Watch 1 / }).getAttribute('href');
  for (const address of [
    ...VIEWS.map((view) => path + view),
    sheet ?? '',
    sheet?.replace('sheets', 'devices') ?? '',
  ]) {
    await open(page, address);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow, address).toBeLessThanOrEqual(0);
    const load = page.getByRole('link', { name: /^Load/ });
    await load.scrollIntoViewIfNeeded();
    await expect(load).toBeInViewport();
  }
  await open(page, path);
  await page.getByRole('button', { name: /^Kelp Stairs/ }).click();
  await expect(page.getByRole('heading', { name: 'Kelp Stairs' })).toBeInViewport();
});

test('keys: views, theme, signs, and switching single letters off', async ({ page }) => {
  const path = await planPath(page);
  await open(page, path);
  await page.keyboard.press('n');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'watch');
  await page.keyboard.press('g');
  await page.keyboard.press('f');
  await expect(page.getByRole('heading', { name: 'Fit board' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'watch');
  await ready(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Signs and keys' })).toBeVisible();
  await page.getByLabel(/Single keys work/).uncheck();
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'watch');
});

test('security headers stand on every answer, and no script may come from the page', async ({ page }) => {
  const answer = await page.request.get(await planPath(page));
  const headers = answer.headers();
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-frame-options']).toBe('DENY');
  expect(headers['content-security-policy']).toMatch(/script-src 'self'/);
  expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe-inline/);
});

test('what is not there is said with a way back', async ({ page }) => {
  const answer = await page.request.get('/plans/00000000-0000-4000-8000-000000000000');
  expect(answer.status()).toBe(404);
  expect(await answer.text()).toContain('There is no such page');
});
