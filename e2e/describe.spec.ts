import { expect, open, planPath, test } from './support';

test('my radio: a pattern, a few questions that count, the outcome at once, and a device of that kind with its card', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/devices`);
  await page.getByRole('link', { name: 'My kind is not in the list' }).click();
  await open(page, page.url());
  await page.getByLabel('It behaves like').selectOption({ label: 'Guided-entry hand-held' });
  await page.getByLabel('What you call it').fill('Blue twin');
  const outcome = page.getByRole('complementary', { name: 'What comes of it' });
  await expect(outcome).toContainText(/\d+ unknown/);
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
  await expect(page.getByText('Nothing else that is asked would change a verdict')).toBeVisible();
  await expect(outcome).not.toContainText('unknown');
  await page.getByRole('button', { name: 'Add this kind' }).click();
  await expect(page.getByRole('link', { name: 'save its description: Blue twin' })).toBeVisible();
  await open(page, page.url());
  await page.getByLabel('Kind of device').selectOption({ label: 'Blue twin' });
  await page.getByLabel('Nickname').fill('Twin 1');
  await page.getByRole('button', { name: 'Add device' }).click();
  await page.getByRole('link', { name: 'Twin 1', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'What to set' })).toBeVisible();
  await expect(page.getByText('Tone you send').first()).toBeVisible();
});
