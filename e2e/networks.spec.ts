import { expect, open, planPath, ready, row, test } from './support';

test('a trunked site goes into the plan by its control channels; the tower that is heard goes into the scanner', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/stations`);
  await page.getByRole('button', { name: /^Ostrel county system/ }).click();
  await expect(page.getByText('All that are known are in the plan.')).toBeVisible();
  await page.getByLabel('One more fact').selectOption({ label: 'control channels' });
  await page.getByLabel('Value').fill('771.35625 771.60625 771.85625');
  await page.getByLabel('Who says so').fill('a listener');
  await page.getByRole('button', { name: 'Note it' }).click();
  await page.getByRole('button', { name: 'Put its control channel into the plan' }).click();
  await expect(page.getByText('One control channel is in the plan.')).toBeVisible();
  await expect(page.getByText('All that are known are in the plan.')).toBeVisible();

  await open(page, path);
  const name = 'Ostrel county system 771.85625';
  await row(page, name)
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click();
  await expect(page.getByText('carries the control channel of Ostrel county system').first()).toBeVisible();
  await page.getByLabel('Part of a trunked network').fill('Ostrel county system');
  await page.getByLabel('Transmit', { exact: true }).selectOption('direct');
  await page.getByRole('button', { name: 'Save channel' }).click();
  await expect(page.getByLabel('Part of a trunked network')).toHaveAccessibleDescription(
    /only listened to here/,
  );
  await page.getByLabel('Transmit', { exact: true }).selectOption('listen');
  await page.getByLabel('Is this tower heard here?').selectOption('yes');
  await page.getByRole('button', { name: 'Save channel' }).click();
  await expect(page.getByText(`${name} is saved.`)).toBeVisible();

  await open(page, `${path}/sheets?of=draft`);
  await page.getByRole('link', { name: /^Base network scanner / }).click();
  await expect(page.getByRole('heading', { name: 'Base network scanner' })).toBeVisible();
  await expect(page.getByText('rehearsed', { exact: true })).toBeVisible();
  await expect(page.getByText('Step to network B, past any that is not meant.')).toBeVisible();
  await expect(page.getByText(`${name}: number`).first()).toBeVisible();
  await expect(page.getByText(/It follows networks alone: \d+ other channels/)).toBeVisible();
});

test('a repeater holds the pair it carries; sets are held against what is said of each repeater', async ({
  page,
}) => {
  const path = await planPath(page);
  const carry = async (channel: string) => {
    await open(page, `${path}/devices`);
    await page.getByRole('button', { name: 'Change Kelp Stairs repeater' }).click();
    await page.getByLabel('Carries').selectOption({ label: channel });
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('Kelp Stairs repeater is saved.')).toBeVisible();
    await open(page, `${path}/sheets`);
    await page.getByRole('link', { name: /^Kelp Stairs repeater / }).click();
    await expect(page.getByRole('heading', { name: 'Kelp Stairs repeater' })).toBeVisible();
  };
  await carry('nobody has said');
  await expect(page.getByText('choose it under Devices')).toBeVisible();
  await carry('Kelp Stairs');
  await expect(page.getByText('It carries one pair')).toBeVisible();
  await expect(page.getByText('Listens on 467.6500 MHz')).toBeVisible();
  await open(page, `${path}/sheets`);
  await page.getByRole('link', { name: /^Watch 1 / }).click();
  await ready(page);
  await expect(page.getByRole('heading', { name: 'Against the repeaters' })).toBeVisible();
  await expect(page.getByText('R5 on Kelp Stairs: opens it, and hears what comes back.')).toBeVisible();
  await expect(page.getByText(/on Lantern Fell: .* It is planned, so nobody can try it\./)).toBeVisible();
});
