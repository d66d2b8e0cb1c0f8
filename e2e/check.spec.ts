import { entry, expect, open, planPath, row, test } from './support';

test('the check finds a classic mistake and mends it with one click, which can be undone', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, path);
  await entry(page).fill('Swan Point 462.6625 direct rx 82.5');
  await page.keyboard.press('Enter');
  await expect(row(page, 'Swan Point')).toBeVisible();
  await open(page, `${path}/check`);
  const finding = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: 'Swan Point' }) });
  await expect(finding.filter({ hasText: 'nobody sends it' })).toBeVisible();
  await finding.getByRole('button', { name: 'Leave the receive tone off' }).click();
  await expect(finding.filter({ hasText: 'nobody sends it' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(finding.filter({ hasText: 'nobody sends it' })).toBeVisible();
});

test('a planned channel whose repeater went on the air is proposed to follow, and does', async ({ page }) => {
  const path = await planPath(page);
  await open(page, path);
  await expect(row(page, 'Lantern Fell')).toContainText('planned');
  await open(page, `${path}/check`);
  await expect(page.getByRole('button', { name: 'Follow the list of stations' })).toHaveCount(0);
  await open(page, `${path}/stations`);
  await page
    .getByRole('button', { name: /^Lantern Fell/ })
    .first()
    .click();
  await page.getByRole('combobox', { name: 'One more fact' }).selectOption('status');
  await page.getByRole('combobox', { name: 'Value' }).selectOption('on-air');
  await page.getByLabel('Who says so').fill('heard it');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Lantern Fell is saved.')).toBeVisible();
  await open(page, `${path}/today`);
  await expect(page.getByText(/1 channel whose repeater went on the air/)).toBeVisible();
  await open(page, `${path}/check`);
  const finding = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: 'Lantern Fell' }), hasText: 'the list of stations says' });
  await expect(finding).toContainText('The plan has it as planned; the list of stations says on the air.');
  await finding.getByRole('button', { name: 'Follow the list of stations' }).click();
  await expect(finding).toHaveCount(0);
  await open(page, path);
  await expect(row(page, 'Lantern Fell')).not.toContainText('planned');
});

test('the reference says what a tone is called on each device, and adds a whole set', async ({ page }) => {
  const path = await planPath(page);
  await open(page, `${path}/reference`);
  await page.getByLabel(/A channel, a frequency/).fill('D047I');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Pocket radio: 39')).toBeVisible();
  await expect(page.getByText('On the air it is the same as D023N')).toBeVisible();
  await page.getByLabel(/A channel, a frequency/).fill('marine 16');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('cell', { name: 'never for tests, no tones' }).first()).toBeVisible();
  await open(page, `${path}/reference`);
  await page.getByLabel(/A whole set into the plan/).selectOption('marine-calling');
  await page.getByRole('button', { name: 'Add this set' }).click();
  await expect(page.getByRole('heading', { name: 'Marine, calling and distress' })).toBeVisible();
});

test('the details say who may transmit and which tone fits, and take it', async ({ page }) => {
  await open(page, await planPath(page));
  await page.getByRole('button', { name: /^Beach sweep/ }).click();
  await page.getByText('Who may transmit?').click();
  await page.getByRole('combobox', { name: /^Who/ }).selectOption('gmrs-employee');
  await expect(page.getByText('the licence does not cover this person')).toBeVisible();
  await page.getByText('Which tone?').click();
  await page.getByRole('button', { name: /^Use / }).first().click();
  await expect(page.getByText('Beach sweep is saved.')).toBeVisible();
});
