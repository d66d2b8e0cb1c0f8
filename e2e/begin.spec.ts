import { type Browser, expect, type Page, test } from '@playwright/test';
import { Fleet } from '../scripts/fleet';
import { answerAll, axeFindings, open, ready } from './support';

/** A browser of somebody who has never been here, at an empty database. */
async function newcomer(browser: Browser, url: string): Promise<Page> {
  const context = await browser.newContext({ baseURL: url, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  page.setDefaultTimeout(20_000);
  return page;
}

test('a new coordinator comes from an empty database to the printed sheet of a set of their own kind', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const fleet = await Fleet.make(false);
  try {
    const { url } = await fleet.serve();
    const page = await newcomer(browser, url);
    await open(page, '/');
    const path = new URL(page.url()).pathname.replace(/\/today$/, '');

    // Before anybody has said whose rules apply, a line is read by none.
    const line = page.getByRole('textbox', { name: /Entry line/ });
    await line.fill('ch 7 82.5');
    await expect(page.getByText(/each service counts its own way/)).toBeVisible();
    await line.fill('');
    const again = page.waitForEvent('load');
    await page.getByLabel('Whose rules').selectOption('United States');
    await again;
    await ready(page);

    // Three channels as the coordinator has them on a scrap of paper, one of them with a question.
    await line.fill('Mill Pond 462.700 rpt in 167.9 out 167.9');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Mill Pond is in the plan.')).toBeVisible();
    await line.fill('Allotments 462.5875 186.2');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Allotments is in the plan.')).toBeVisible();
    await line.fill('weather 3');
    await expect(page.getByText(/What does “weather 3” stand for/)).toBeVisible();
    await page.getByRole('button', { name: '162.4750' }).click();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/is in the plan\./)).toBeVisible();

    // Who holds the set, and by what right.
    await open(page, `${path}/people`);
    await page.getByLabel('Somebody new').fill('Petra Vale');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByText('Petra Vale is in the list.')).toBeVisible();
    await page.getByRole('button', { name: /^Petra Vale/ }).click();
    await page.getByRole('button', { name: 'Add a licence' }).click();
    const drawer = page.getByRole('complementary').filter({ hasText: 'Petra Vale' });
    await drawer.getByLabel(/^Ends/).fill('2033-05-31');
    await drawer.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('Petra Vale is saved.')).toBeVisible();

    // The set in the drawer: its kind is not in the list, so it is described from the pattern that behaves like it.
    await open(page, `${path}/devices`);
    await page.getByRole('link', { name: 'My kind is not in the list' }).click();
    await ready(page);
    await page.getByLabel('It behaves like').selectOption({ label: 'Guided-entry hand-held' });
    await page.getByLabel('What you call it').fill('Grey one');
    await answerAll(page);
    await page.getByRole('button', { name: 'Add this kind' }).click();
    await expect(page.getByRole('link', { name: 'save its description: Grey one' })).toBeVisible();
    await open(page, page.url());
    await page.getByLabel('Kind of device').selectOption({ label: 'Grey one' });
    await page.getByLabel('Nickname').fill('Hall set');
    await page.getByLabel('Holder', { exact: true }).selectOption('Petra Vale');
    await page.getByRole('button', { name: 'Add device' }).click();
    await expect(page.getByText('Hall set is in the list.')).toBeVisible();

    // What it can do, and its sheet, on paper.
    await open(page, `${path}/fit`);
    await expect(page.getByRole('button', { name: /^Mill Pond on Grey one: (full|adapted)/ })).toBeVisible();
    await open(page, `${path}/sheets`);
    await page.getByRole('link', { name: /^Hall set/ }).click();
    await page.waitForURL(/\/sheets\/[0-9a-f-]+$/);
    await expect(page.getByRole('heading', { name: 'Hall set', level: 1 })).toBeVisible();
    await expect(page.getByText('held by Petra Vale')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'What to set' })).toBeVisible();
    await expect(page.getByText('462.7000').first()).toBeVisible();
    await expect(page.getByText('167.9').first()).toBeVisible();
    expect(await axeFindings(page)).toEqual([]);
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('navigation', { name: 'Stages of the work' })).toBeHidden();
    await expect(page.getByRole('heading', { name: 'What to set' })).toBeVisible();
    const pdf = await page.pdf({ format: 'A4' });
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.length).toBeGreaterThan(5000);
    // Nothing of the demo was needed, or is here.
    const plans = (await (await page.request.get('/api/plans')).json()) as { name: string }[];
    expect(plans.map(({ name }) => name)).toEqual(['First plan']);
  } finally {
    await fleet.end();
  }
});
