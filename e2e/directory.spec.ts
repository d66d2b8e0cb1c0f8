import { expect, open, openPart, planPath, ready, row, test } from './support';

test('a directory is searched, its entries say what they leave open, and the chosen ones come with their source', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/directory`);
  const near = page.getByLabel(/Around a place/);
  await near.fill('la');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The directory knows no single place “la”.')).toBeVisible();
  await page.getByRole('button', { name: 'Lantern Fell' }).click();
  await expect(page.getByText('nearest first')).toBeVisible();
  await expect(page.getByText('one thing is faulty').or(page.getByText(/One entry is/))).toBeVisible();
  const skerry = page.getByRole('listitem').filter({ has: page.getByLabel('Take Skerry Light') });
  await expect(skerry).toContainText('Last changed 2024-02-11');
  await expect(page.getByLabel('Take Two Hills')).toBeDisabled();
  await page.getByLabel('Take Skerry Light').check();
  await page.getByLabel('Take North Cape').check();
  await page.getByRole('button', { name: 'Add 2 channels' }).click();
  await expect(skerry).toContainText('is in the plan');

  await open(page, path);
  await row(page, 'Skerry Light')
    .getByRole('button', { name: /^Skerry Light/ })
    .click();
  await expect(page.getByText('From Ostrel Station Book, changed 2024-02-11, taken')).toBeVisible();
  await page.getByLabel('Other names here').fill('the Skerry, old light');
  await page.getByRole('button', { name: 'Save channel' }).click();
  await expect(page.getByText('Skerry Light is saved.')).toBeVisible();
  await page.getByPlaceholder('name, MHz, wx 2').fill('old light');
  await expect(page.locator('li[id^="channel-"]')).toHaveCount(1);
});

test('the plan’s own business frequencies are written in its form, and a wrong one is said at once', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, path);
  await openPart(page, 'Services and licences');
  await page.getByRole('button', { name: 'Add a frequency' }).click();
  const fields = page.getByRole('group', { name: 'Business frequencies of your own licence' });
  await fields.getByLabel('Name').fill('Ferry galley');
  const plan = page.getByLabel('Name of the plan');
  const name = await plan.inputValue();
  await plan.fill('Ostrel with a galley');
  await expect(page.getByText('take it or cancel it before you save')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save plan' })).toBeDisabled();
  await plan.fill(name);
  await fields.getByRole('button', { name: 'Take this frequency' }).click();
  await expect(fields.getByLabel('Receive, MHz')).toBeFocused();
  // Left empty it is the same one: nothing of its own is wrong with it.
  await expect(fields.getByLabel('Transmit, MHz')).toHaveAttribute('aria-invalid', 'false');
  await fields.getByLabel('Receive, MHz').fill('452.2125');
  await fields.getByLabel('Power, W').fill('much');
  await fields.getByRole('button', { name: 'Take this frequency' }).click();
  const power = fields.getByLabel('Power, W');
  await expect(power).toHaveAccessibleDescription('Write the power the licence allows, in watts.');
  await expect(power).toBeFocused();
  await power.fill('2');
  await fields.getByLabel('Licence').fill('Ostrel Ferry, invented');
  await fields.getByLabel('Ends on').fill('2031-05-31');
  await fields.getByRole('button', { name: 'Take this frequency' }).click();
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByText('The plan is saved.')).toBeVisible();
  await page.reload();
  await ready(page);
  await openPart(page, 'Services and licences');
  await expect(page.getByText('Ferry galley')).toBeVisible();
});
