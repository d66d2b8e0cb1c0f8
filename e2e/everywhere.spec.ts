import type { Page } from '@playwright/test';
import {
  axeFindings,
  COLOUR_RULES,
  debris,
  entry,
  expect,
  inTheme,
  open,
  planPath,
  ready,
  test,
} from './support';

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
  '/revisions',
  '/revisions/compare?from=1&to=3',
  '/rollout',
  '/air',
  '/air/common?set=kind:any-22-channels&set=kind:page-handheld',
  '/air/log',
  '/air/scan?call=1',
  '/air/trouble?symptom=i-hear-they-dont&tail=none',
  '/bench',
  '/sheets',
  '/nets',
  '/list',
  '/team',
  '/history',
  '/account',
  '/plans',
];

/** What is opened on a view besides the view itself, so that more of its parts are looked at. */
const PREPARE: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  '': async (page) => {
    await page.getByRole('button', { name: /^Gannet Top/ }).click();
    await entry(page).fill('Puffin 467.675 code 9');
  },
  '/directory': async (page) => {
    await page.getByLabel(/Around a place/).fill('Kelp Stairs');
    await page.keyboard.press('Enter');
    await expect(page.getByText('nearest first')).toBeVisible();
  },
  '/rollout': async (page) => {
    await page.getByLabel('Choose Club 7').check();
    await page
      .getByRole('button', { name: /^The message for / })
      .first()
      .click();
  },
  '/air': (page) => page.locator('[data-cell]').nth(3).click(),
  '/bench': async (page) => {
    await page.getByText('Who helps', { exact: true }).click();
    await page.getByText('Which sets', { exact: true }).click();
  },
  '/fit': (page) => page.locator('[id^="cell-"]').nth(2).click(),
  'what a set holds': async (page) => {
    await page.getByText('Say what it holds now').click();
    await page.getByLabel('Memory number').fill('45');
  },
};

// One page walks through all views: what a browser has loaded once it need not load again.
test('axe finds nothing on any view in either theme, no word is a piece of the program, and at 390 px nothing runs out of the page', async ({
  page,
  context,
  baseURL,
}) => {
  test.setTimeout(900_000);
  await context.addCookies([{ name: 'umbrex-theme', value: 'watch', url: baseURL ?? '' }]);
  const path = await planPath(page);
  await open(page, `${path}/sheets`);
  const sheet = (await page.getByRole('link', { name: /^Watch 1 / }).getAttribute('href')) ?? '';
  const views = {
    ...Object.fromEntries(VIEWS.map((view) => [view, path + view])),
    'a sheet': sheet,
    'what a set holds': sheet.replace('sheets', 'devices'),
  };
  const found: Record<string, unknown> = {};
  for (const [view, address] of Object.entries(views)) {
    await open(page, address);
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'watch');
    await PREPARE[view]?.(page);
    const watch = await axeFindings(page);
    await inTheme(page, 'chart');
    const chart = await axeFindings(page, COLOUR_RULES);
    await page.setViewportSize({ width: 390, height: 844 });
    const load = page.getByRole('link', { name: /^Load/ });
    await load.scrollIntoViewIfNeeded();
    await expect(load).toBeInViewport();
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    await page.setViewportSize({ width: 1280, height: 800 });
    const words = (await debris(page)).map((text) => `a piece of the program: ${text}`);
    const all = [
      ...watch,
      ...chart,
      ...words,
      ...(overflow > 0 ? [`${overflow} px too wide at 390 px`] : []),
    ];
    if (all.length > 0) found[view || '/'] = all;
  }
  expect(found).toEqual({});
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

test('on a phone a chosen channel comes into sight, and nothing runs out of the page as it is opened there', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, await planPath(page));
  const overflow = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(await overflow()).toBeLessThanOrEqual(0);
  await page.getByRole('button', { name: /^Kelp Stairs/ }).click();
  await expect(page.getByRole('heading', { name: 'Kelp Stairs' })).toBeInViewport();
  expect(await overflow()).toBeLessThanOrEqual(0);
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
