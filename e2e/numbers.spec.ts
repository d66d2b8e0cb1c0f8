import { randomUUID } from 'node:crypto';
import { expect, open, planPath, test } from './support';

test('numbers are worked out with their proof, held fast at a price, taken, and the board follows', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/numbers`);
  await expect(page.getByText('proven: no other numbering has more')).toBeVisible();
  const number = page.getByLabel('Number of Kelp Stairs');
  const free = await number.inputValue();
  for (const wrong of ['abc', '-1', '999999', '1.5']) {
    await number.fill(wrong);
    await page.keyboard.press('Enter');
    await expect(page.getByText('A number from 0 to 99999, or nothing.')).toBeVisible();
    await expect(number).toHaveValue(wrong);
  }
  await number.fill('99999');
  await page.keyboard.press('Enter');
  await expect(
    page.getByText('Kelp Stairs cannot be held at 99999: no set here can hold it there.'),
  ).toBeVisible();
  await page.getByLabel('Number of Kelp Stairs').fill('45');
  await page.keyboard.press('Enter');
  const row = page.getByRole('row', { name: /Kelp Stairs/ });
  await expect(row).toContainText(/holding it here costs \d+ points/);
  await expect(row).toContainText(/\d+ of \d+/);
  await page.getByRole('button', { name: 'Let Kelp Stairs go from 45' }).click();
  await expect(number).toHaveValue(free);
  // Sets that have the pair from the factory keep it where it is, under their own label.
  await row.locator('summary').click();
  await expect(row).toContainText('Page hand-held (R5, as made)');
  await page.getByRole('button', { name: 'Other numbers for Kelp Stairs' }).click();
  const offer = page
    .getByRole('listitem')
    .filter({ hasText: /points less/ })
    .first();
  await expect(offer).toContainText(/\d+ sets?.*(as long|minutes? (less|more)) to load.*points less/);
  await offer.getByRole('button', { name: /^Hold Kelp Stairs at \d+$/ }).click();
  await expect(row).toContainText(/holding it here costs \d+ points/);
  await page.getByRole('button', { name: /^Let Kelp Stairs go/ }).click();
  await expect(number).toHaveValue(free);
  await page.getByRole('button', { name: 'Take these numbers' }).click();
  await expect(page.getByText('The plan has these numbers')).toBeVisible();
  await open(page, `${path}/fit`);
  await expect(
    page.getByRole('button', {
      name: new RegExp(`^Kelp Stairs on Guided hand-held: \\w+, .*number ${free}$`),
    }),
  ).toBeVisible();
  await expect(
    page.getByRole('button', { name: /^Kelp Stairs on Page hand-held: \w+, .*number 5$/ }),
  ).toBeVisible();
  // A sheet for numbers that were chosen across the fleet proves like any other.
  await open(page, `${path}/sheets`);
  await expect(page.getByText('not proven')).toHaveCount(0);
  await open(page, `${path}/numbers`);
  await page.getByRole('button', { name: 'Let each set number by itself' }).click();
  await expect(page.getByText('So far each kind of set takes its own first places.')).toBeVisible();
});

test('groups are kept in a row by a solver in a worker of its own, which can be stopped; the price is said', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/numbers`);
  await expect(page.getByText('proven: no other numbering has more')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Direct' }).check();
  await page.getByRole('button', { name: 'Work it out' }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('proven: no other numbering has more')).toBeVisible();
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText(/^Working out… \d+ s$/)).toBeVisible();
  await expect(page.getByText('proven: none that keeps these groups in a row has more.')).toBeVisible({
    timeout: 100_000,
  });
  await expect(page.getByText(/^Keeping them in a row costs \d+ points\.$/)).toBeVisible();
  const fields = page.getByRole('region', { name: 'Direct' }).getByRole('textbox');
  const written = await fields.evaluateAll((all) =>
    all.map((field) => Number((field as HTMLInputElement).value)),
  );
  const numbers = written.filter((number) => number > 0);
  expect(numbers.length).toBeGreaterThan(5);
  // As many in a row as the group has channels.
  expect(Math.max(...numbers) - Math.min(...numbers)).toBeLessThan(written.length);
  await page.getByRole('checkbox', { name: 'Direct' }).uncheck();
  await expect(page.getByText('proven: no other numbering has more')).toBeVisible();
});

test('a set that is lost counts for the numbers as before, and the page says so', async ({ page }) => {
  const path = await planPath(page);
  const id = randomUUID();
  const unit = {
    id,
    descriptionId: 'guided-handheld',
    nickname: 'Stray',
    holder: '',
    serial: '',
    firmware: '1.06',
  };
  expect((await page.request.post('/api/units', { data: { value: unit } })).status()).toBe(201);
  await open(page, `${path}/numbers`);
  await expect(page.getByText('lost or broken')).toHaveCount(0);
  const found = page.getByRole('row', { name: /Kelp Stairs/ }).getByText(/\d+ of \d+/);
  const before = await found.textContent();
  const seen = { what: 'condition', is: 'lost', day: '2026-11-20', note: '' };
  const lost = await page.request.post(`/api${path}/seen`, { data: { sets: [{ id, version: 1 }], seen } });
  expect(lost.status()).toBe(201);
  await open(page, `${path}/numbers`);
  await expect(page.getByText(/^1 set is lost or broken; it counts as before/)).toBeVisible();
  await expect(found).toHaveText(before ?? '');
});
