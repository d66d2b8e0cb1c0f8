import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { test as base, expect, type Page } from '@playwright/test';
import { House } from './house';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** What somebody is in the demo's workspace; `null` for somebody who is not signed in. */
export type DemoRole = 'coordinator' | 'editor' | 'member' | 'observer' | null;

/**
 * A test whose page must not say anything on its console, and whose content policy nothing may break. Signed in as the demo's
 * coordinator, or as `test.use({ role })` says.
 */
export const test = base.extend<{ role: DemoRole; signedIn: undefined; quiet: undefined }, { house: House }>({
  role: ['coordinator', { option: true }],
  house: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright wants to see what a fixture needs.
    async ({}, use) => {
      const house = new House();
      await use(house);
      await house.end();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  /** Each spec file has a database and a server of its own, so that none leans on what another leaves behind. */
  baseURL: async ({ house }, use, info) => use(await house.addressFor(info.file)),
  signedIn: [
    async ({ context, role, house, baseURL }, use) => {
      if (role && baseURL) await context.addCookies(await house.sessionOf(role, baseURL));
      await use(undefined);
    },
    { auto: true },
  ],
  quiet: [
    async ({ page }, use) => {
      const said: string[] = [];
      page.on('console', (message) => {
        // A refused edit (409) or a bad file (400) is said by the browser itself, and is what those tests are about; so is a network that is cut.
        if (
          ['error', 'warning'].includes(message.type()) &&
          !/status of (400|401|403|404|409)|ERR_INTERNET_DISCONNECTED|came to a stop on purpose/.test(
            message.text(),
          )
        )
          said.push(message.text());
      });
      page.on('pageerror', (error) => said.push(String(error)));
      await use(undefined);
      expect(said).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

/** Takes the last edit back, and waits until History says so. */
export async function undoLast(page: Page, path: string): Promise<void> {
  await open(page, `${path}/history`);
  const undone = page.waitForResponse((answer) => answer.url().endsWith('/undo'));
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  expect((await undone).status()).toBe(200);
  await expect(page.getByText('undoing an edit').first()).toBeVisible();
}

/**
 * Opens a page and waits until its islands work. A page that loads itself anew after a press may do so at the same
 * moment, and then the browser gives up one of the two ways: the way is gone once more.
 */
export async function open(page: Page, path: string): Promise<void> {
  for (let tries = 1; ; tries++) {
    const refused = await page.goto(path).then(
      () => undefined,
      (error: Error) => error,
    );
    if (!refused) break;
    if (tries === 5 || !/ERR_ABORTED|interrupted by another navigation/.test(refused.message)) throw refused;
  }
  await ready(page);
}

/** Waits until the islands have come alive: React has taken over their elements, and their effects have run. A page that goes away meanwhile is waited for anew. */
export async function ready(page: Page): Promise<void> {
  await expect(() => alive(page)).toPass();
}

async function alive(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    [...document.querySelectorAll('astro-island')].every((island) => {
      const first = island.querySelector('button, input, select, div');
      const alive = !first || Object.keys(first).some((key) => key.startsWith('__reactProps'));
      return alive && !island.hasAttribute('ssr');
    }),
  );
  await page.evaluate(() => new Promise((done) => requestIdleCallback(() => setTimeout(done, 30))));
}

/** The address of the demo's plan. */
export async function planPath(page: Page): Promise<string> {
  const plans = (await (await page.request.get('/api/plans')).json()) as { id: string; name: string }[];
  const plan = plans.find((candidate) => candidate.name === 'Ostrel plan');
  if (!plan) throw new Error('the demo plan is not there');
  return `/plans/${plan.id}`;
}

const ALL_RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
/** What a change of theme can change. */
export const COLOUR_RULES = ['color-contrast', 'link-in-text-block'];

/** What axe-core finds on the page as it is (WCAG 2.2 AA and good practice). */
export async function axeFindings(page: Page, rules = ALL_RULES): Promise<string[]> {
  // A page that has it already need not read it again.
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(axeSource);
  const results = await page.evaluate(
    // What passes is not written out: selectors of a thousand nodes are most of the work.
    (runOnly) =>
      (globalThis as unknown as { axe: typeof import('axe-core') }).axe.run(document, {
        runOnly,
        resultTypes: ['violations'],
      }),
    rules,
  );
  return results.violations.flatMap((v) =>
    v.nodes.map((node) => `${v.id}: ${node.html.slice(0, 140)} ${node.failureSummary?.slice(0, 200)}`),
  );
}

/** Puts a page into another theme, and waits until its colours have come there: they change over a moment, on a busy machine a longer one. */
export async function inTheme(page: Page, theme: 'chart' | 'watch'): Promise<void> {
  await page.evaluate((name) => document.documentElement.setAttribute('data-theme', name), theme);
  await page.evaluate(async () => {
    // What turns for ever has no end to wait for, and a page at rest may draw no frame.
    const atMost = (ms: number, what: Promise<unknown>) =>
      Promise.race([what, new Promise((done) => setTimeout(done, ms))]);
    await atMost(500, new Promise(requestAnimationFrame));
    const ending = document
      .getAnimations()
      .filter(({ effect }) => Number.isFinite(effect?.getComputedTiming().endTime));
    await atMost(5000, Promise.all(ending.map(({ finished }) => finished.catch(() => undefined))));
  });
}

/** Texts in which a piece of the program shows: a mark that nothing filled, a value that is none. Also what stands on paper alone, or is closed. */
export function debris(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT, (node) =>
      node.parentElement?.closest('script, style, template')
        ? NodeFilter.FILTER_REJECT
        : NodeFilter.FILTER_ACCEPT,
    );
    const found: string[] = [];
    while (texts.nextNode()) {
      const text = texts.currentNode.textContent ?? '';
      if (/\$\{|\$\d|`|\bundefined\b|\bNaN\b|\[object|\{[a-z]\w*\}|\bnull\b/.test(text))
        found.push(text.trim());
    }
    return found;
  });
}

/** Opens a part of the plan's form. */
/**
 * Goes to a page whose scripts of a kind do not come until they are let: what a slow line does.
 * @returns lets them come, and waits for the page to be alive
 */
export async function openHeld(
  page: Page,
  path: string,
  scripts: string | RegExp,
): Promise<() => Promise<void>> {
  let letCome = () => {};
  const mayCome = new Promise<void>((come) => {
    letCome = come;
  });
  await page.route(scripts, async (route) => {
    await mayCome;
    await route.continue();
  });
  await page.goto(path, { waitUntil: 'commit' });
  return async () => {
    letCome();
    await ready(page);
    await page.unroute(scripts);
  };
}

export const openPart = (page: Page, title: string) =>
  page.locator('summary > span:first-child').getByText(title, { exact: true }).click();
export const entry = (page: Page) => page.getByRole('textbox', { name: /Entry line/ });
export const row = (page: Page, name: string) => page.locator('li[id^="channel-"]', { hasText: name });

/** Answers what My radio asks of a set that is like the guided one, as far as it asks. */
export async function answerAll(page: Page): Promise<void> {
  const said: Readonly<Record<string, string>> = {
    certified: 'GMRS',
    'inputs of repeaters': 'yes',
    hear: 'also 136 to 174 MHz: weather, marine, county',
    tones: 'one for each way, CTCSS and DCS',
    power: '1 W',
    letters: '8',
  };
  for (let n = 0; n < 8; n++) {
    const heading = page.getByRole('heading', { level: 2 }).first();
    const text = (await heading.textContent()) ?? '';
    const [, answer] = Object.entries(said).find(([word]) => text.includes(word)) ?? [];
    if (!answer) break;
    await page.getByRole('button', { name: answer, exact: true }).click();
    await expect(heading).not.toHaveText(text);
  }
}
