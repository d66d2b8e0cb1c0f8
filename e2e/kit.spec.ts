import type { Page } from '@playwright/test';
import { axeFindings, entry, expect, open, openHeld, planPath, ready, test } from './support';

const focused = (page: Page) =>
  page.evaluate(() => document.activeElement?.id || document.activeElement?.tagName);

for (const theme of ['chart', 'watch'])
  test(`axe finds nothing on the page of all parts, open and closed, ${theme} theme`, async ({
    page,
    context,
    baseURL,
  }) => {
    await context.addCookies([{ name: 'umbrex-theme', value: theme, url: baseURL ?? '' }]);
    await open(page, '/kit');
    await ready(page);
    expect(await axeFindings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Second' }).click();
    expect(await axeFindings(page)).toEqual([]);
  });

test('a list is one stop, its drawer takes the focus and gives it back, and a part that stops leaves the rest', async ({
  page,
}) => {
  await open(page, '/kit');
  await ready(page);
  const stops = () =>
    page
      .locator('[data-rows] [data-item] :is(a, button)')
      .evaluateAll((all) => all.filter((one) => (one as HTMLElement).tabIndex === 0).length);
  // The row and what stands in it.
  expect(await stops()).toBe(2);
  await page.locator('[data-row]').first().focus();
  await page.keyboard.press('End');
  expect(await focused(page)).toBe('kit-Third');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Second' })).toBeFocused();
  await page.keyboard.press('Escape');
  expect(await focused(page)).toBe('kit-Second');
  await page.keyboard.press('Enter');
  await page.keyboard.press('F6');
  expect(await focused(page)).toBe('kit-Second');
  // From the row too.
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Second' })).toHaveCount(0);
  expect(await focused(page)).toBe('kit-Second');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Close the details' }).click();
  expect(await focused(page)).toBe('kit-Second');
  await page.getByRole('button', { name: 'Come to a stop' }).click();
  await expect(page.getByRole('alert')).toContainText('came to a stop');
  await expect(page.getByRole('heading', { name: 'The parts of the screens' })).toBeVisible();
});

test('a button that is switched off keeps the focus and does nothing, and a choice of what is gone says so', async ({
  page,
}) => {
  await open(page, '/kit');
  await ready(page);
  await expect(page.getByRole('button', { name: 'Switched off' })).toBeDisabled();
  await page.getByRole('button', { name: 'Switched off' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Space');
  await expect(page.getByText('came to a stop')).toHaveCount(0);
  const once = page.getByRole('button', { name: 'Keep once' });
  await expect(once).toBeDisabled();
  await page.getByLabel('A line', { exact: true }).fill('other words');
  await once.click();
  await expect(once).toBeDisabled();
  await expect(once).toBeFocused();
  await expect(page.getByLabel('A choice of what went meanwhile').locator('option:checked')).toHaveText(
    'no longer listed',
  );
});

test('what had the focus and goes away leaves it to what stands in its place', async ({ page }) => {
  await open(page, `${await planPath(page)}/people`);
  await page.getByRole('button', { name: 'Vera Lintott' }).click();
  const drawer = page.getByRole('complementary', { name: 'Details of Vera Lintott' });
  const add = drawer.getByRole('button', { name: 'Add a licence' });
  await add.click();
  await add.click();
  const remove = drawer.getByRole('button', { name: 'Take it out' });
  const before = await remove.count();
  await remove.nth(before - 2).focus();
  // Held for long, it presses once.
  for (let n = 0; n < 4; n++) await page.keyboard.down('Enter');
  await page.keyboard.up('Enter');
  await expect(remove).toHaveCount(before - 1);
  // The row that was behind it has moved up.
  await expect(drawer.locator(':focus')).toHaveCount(1);
  await remove.last().click();
  await expect(drawer.locator(':focus')).toHaveCount(1);
  // Saved, the form begins anew.
  await drawer.getByRole('textbox', { name: 'Note', exact: true }).fill('asks before she lends it');
  const save = drawer.getByRole('button', { name: 'Save', exact: true });
  await save.click();
  await expect(page.getByText('Vera Lintott is saved.')).toBeVisible();
  await expect(save).toBeFocused();
  // Who presses beside everything leaves it.
  await page.locator('h1').click();
  expect(await focused(page)).toBe('main');
});

test('words that nobody saved are asked about before they are left', async ({ page }) => {
  await open(page, `${await planPath(page)}/people`);
  await ready(page);
  await page.getByRole('button', { name: 'Vera Lintott' }).click();
  await page.getByRole('textbox', { name: 'Note', exact: true }).fill('half a word');
  let asked = 0;
  const answer = { leave: false };
  page.on('dialog', (dialog) => {
    asked++;
    void (answer.leave ? dialog.accept() : dialog.dismiss());
  });
  await page.getByRole('button', { name: 'Tomas Ekrem' }).click();
  await expect(page.getByRole('heading', { name: 'Vera Lintott' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('textbox', { name: 'Note', exact: true })).toHaveValue('half a word');
  expect(asked).toBeGreaterThanOrEqual(1);
  answer.leave = true;
  await page.getByRole('button', { name: 'Tomas Ekrem' }).click();
  await expect(page.getByRole('heading', { name: 'Tomas Ekrem' })).toBeVisible();
});

test('what is wrong in a form stands at its field, which takes the focus', async ({ page }) => {
  await open(page, `${await planPath(page)}/people`);
  await ready(page);
  await page.getByRole('button', { name: 'Vera Lintott' }).click();
  const name = page.getByRole('textbox', { name: 'Name', exact: true });
  await name.fill('');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(name).toBeFocused();
  await expect(name).toHaveAttribute('aria-invalid', 'true');
  await expect(name).toHaveAccessibleDescription('Give their name.');
  page.on('dialog', (dialog) => void dialog.accept());
  // Several at once, each at its own field: the first takes the focus, also when nothing was mended since.
  await open(page, `${await planPath(page)}/nets`);
  await ready(page);
  await page.getByLabel('A new net or event').fill('Kit net');
  await page.getByRole('button', { name: 'Add', exact: true }).first().click();
  const [net, begins, zone] = [
    page.getByRole('textbox', { name: 'Name', exact: true }),
    page.getByLabel(/^Begins/),
    page.getByLabel(/^Time zone/),
  ];
  await net.fill('x'.repeat(300));
  await begins.fill('');
  await zone.fill('Nowhere');
  const save = page.getByRole('button', { name: 'Save', exact: true });
  await save.click();
  await expect(net).toBeFocused();
  await expect(net).toHaveAccessibleDescription('At most 60 letters.');
  await expect(begins).toHaveAccessibleDescription('Give the day and the time.');
  await expect(zone).toHaveAccessibleDescription('Write a time zone such as America/New_York.');
  await save.click();
  await expect(net).toBeFocused();
  await net.fill('Kit net');
  await begins.fill('2026-12-01T19:00');
  await save.click();
  await expect(zone).toBeFocused();
  await expect(net).toHaveAttribute('aria-invalid', 'false');
  await zone.fill('Europe/Berlin');
  await save.click();
  await expect(page.getByText(/^Kit net/).first()).toBeVisible();
});

test('from a channel in the list to the first field of its form are at most fifteen steps of Tab', async ({
  page,
}) => {
  await open(page, await planPath(page));
  await ready(page);
  await page.locator('[data-row]').first().focus();
  await page.keyboard.press('Enter');
  let steps = 0;
  const name = page.getByRole('textbox', { name: 'Name', exact: true });
  while (!(await name.evaluate((one) => one === document.activeElement)) && steps < 40) {
    await page.keyboard.press('Tab');
    steps++;
  }
  expect(steps).toBeLessThanOrEqual(15);
});

test('where somebody has few colours of their own, shapes are drawn in the colour of words', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await open(page, `${await planPath(page)}/fit`);
  await ready(page);
  const [shape, words] = await page.evaluate(() => {
    const svg = document.querySelector('[id^="cell-"] svg');
    const button = svg?.closest('button') ?? document.body;
    return [svg && getComputedStyle(svg).color, getComputedStyle(button).color];
  });
  expect(shape).toBe(words);
});

test('the system’s preference for dark stands until somebody chooses', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await open(page, '/kit');
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  const dark = await ground();
  await page.emulateMedia({ colorScheme: 'light' });
  const light = await ground();
  expect(dark).not.toBe(light);
  await open(page, await planPath(page));
  await ready(page);
  await page.getByRole('button', { name: /Day or night/ }).click();
  expect(await ground()).toBe(dark);
  await page.reload();
  expect(await ground()).toBe(dark);
});

test('what is written before the page is alive is known to it, and Enter does not load it again', async ({
  page,
}) => {
  await open(page, '/kit');
  const letCome = await openHeld(page, '/kit', '**/_astro/*.js');
  const line = page.getByLabel('A line', { exact: true });
  await line.fill('written early');
  await page.getByLabel('A choice that is sent').selectOption('two');
  await page.getByLabel('A day').fill('2027-03-14');
  const sent = page.getByLabel('A box that is sent');
  const wasOn = await sent.isChecked();
  await sent.click();
  // What acts at once, outside of a form, does not: a browser may have put it there by itself.
  const atOnce = page.getByLabel('On or off');
  await page.getByLabel('A choice of what went meanwhile').selectOption('one');
  await letCome();
  await expect(line).toHaveValue('written early');
  await expect(page.getByLabel('A text', { exact: true })).toHaveValue('written early');
  await expect(page.getByLabel('A choice', { exact: true })).toHaveValue('two');
  await expect(page.getByLabel('A choice of what went meanwhile')).toHaveValue('three');
  await expect(page.getByLabel('A day')).toHaveValue('2027-03-14');
  await expect(sent).toBeChecked({ checked: !wasOn });
  await expect(atOnce).toBeChecked({ checked: !wasOn });
  await expect(page.getByLabel('A line of which the title is heard')).toHaveValue('written early');

  const letPeople = await openHeld(page, `${await planPath(page)}/people`, '**/_astro/*.js');
  await page.getByRole('searchbox').fill('nobody at all');
  await entry(page).fill('Sanderling Cove 462.650 rpt in 131.8');
  await page.keyboard.press('Enter');
  await letPeople();
  expect(page.url()).toMatch(/people$/);
  await expect(entry(page)).toHaveValue('Sanderling Cove 462.650 rpt in 131.8');
  await expect(page.getByRole('button', { name: 'Add to plan' })).toBeVisible();
  await expect(page.getByRole('searchbox')).toHaveValue('nobody at all');
  await expect(page.getByText('Nobody has “nobody at all”')).toBeVisible();
});
