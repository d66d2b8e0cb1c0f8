import { answerAll, expect, open, planPath, test, undoLast } from './support';

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
  await answerAll(page);
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

test('a description with an id that is there is put in its place, once one says so, and undone', async ({
  page,
}) => {
  const path = await planPath(page);
  const kind = await (await page.request.get('/api/descriptions/plain-handheld')).json();
  const file = {
    name: 'mended.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...kind, title: 'Plain set, mended' })),
  };
  await open(page, `${path}/devices`);
  const bring = page.getByLabel('Bring in a description file');
  await bring.setInputFiles(file);
  await expect(page.getByText(/has the same id, plain-handheld, and \d+ sets are of it\./)).toBeVisible();
  await page.getByRole('button', { name: 'Keep the old one' }).click();
  await expect(page.getByText(/has the same id/)).toHaveCount(0);
  await bring.setInputFiles(file);
  await page.getByRole('button', { name: 'Put it in its place' }).click();
  await expect(page.getByRole('heading', { name: /^Plain set, mended/ })).toBeVisible();
  await undoLast(page, path);
  await open(page, `${path}/devices`);
  await expect(page.getByRole('heading', { name: /^Plain set, mended/ })).toHaveCount(0);
});
