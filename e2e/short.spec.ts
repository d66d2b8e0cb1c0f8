import { axeFindings, expect, open, planPath, ready, test } from './support';

const pagesOf = (pdf: Buffer) => (pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g) ?? []).length;

test('a sheet in short is two pages of paper, says each place once, and its values are those to be read back', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/sheets?of=draft`);
  await page.getByRole('link', { name: /^Club 1 / }).click();
  await ready(page);
  const every = await page.locator('main ol li').count();
  await page.getByRole('link', { name: /^In short/ }).click();
  await expect(page.getByRole('heading', { name: 'Steps in short' })).toBeVisible();
  await ready(page);
  await expect(page.getByRole('heading', { name: 'Set these 38 places' })).toBeVisible();
  const places = page.locator('.short-lines').first().locator('tbody tr');
  await expect(places).toHaveCount(38);
  expect(await page.locator('main ol li').count()).toBeLessThan(every / 10);
  expect(await axeFindings(page)).toEqual([]);
  // What each line turns to last is what is to be read back at that place, by another table.
  const readBack = page.getByRole('region', { name: 'Values to read back' }).locator('tbody tr');
  for (const label of ['D5', 'D7', 'A2', 'B5']) {
    const line = places.filter({ has: page.getByText(label, { exact: true }) });
    const values = await readBack
      .filter({ has: page.getByText(label, { exact: true }) })
      .locator('td')
      .allInnerTexts();
    const turnedTo = await line.locator('td strong').allInnerTexts();
    for (const tone of turnedTo.slice(0, 2)) expect(values.join(' '), label).toContain(tone.trim());
  }
  // What is to be tried is on it too, and paper has it on the long sheet alone.
  const toTry = page.getByRole('region', { name: 'What to try' });
  await expect(toTry.getByText('Switch it off and on: it keeps what it holds')).toBeVisible();
  expect(await toTry.locator('tbody tr').count()).toBeLessThan(20);
  await page.emulateMedia({ media: 'print' });
  expect(pagesOf(await page.pdf({ format: 'A4' }))).toBeLessThanOrEqual(2);
  // Loaded early, and marked.
  await expect(page.locator('main')).toContainText('Lantern Fell (planned)');
  await expect(page.locator('tfoot')).toContainText('Done by');
  await expect(page.locator('tfoot')).toContainText(`${new URL(page.url()).host}${path}/sheets/`);
  await page.emulateMedia({ media: 'screen' });
});

test('whoever got lost is led back, and goes on where they stopped; an address that leads nowhere says so', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/sheets?of=draft`);
  await page.getByRole('link', { name: /^Club 1 / }).click();
  await ready(page);
  const lost = page.getByRole('region', { name: 'Lost? Do this, whatever the set shows' });
  await expect(lost).toContainText('Switch the set off and on.');
  await expect(lost).toContainText('from each of its 5 screens');
  await page
    .getByRole('combobox', { name: /Stopped on the way/ })
    .selectOption({ label: 'number 5, Ridge path' });
  await page.getByRole('button', { name: 'Go on from there' }).click();
  await expect(page.getByText(/^What is left from number 5, Ridge path on\./)).toBeVisible();
  await ready(page);
  const titles = await page.locator('main h3').allInnerTexts();
  expect(titles[0]).toContain('To begin');
  expect(titles[1]).toContain('Ridge path: number 5');
  expect(titles.some((title) => title.includes('number 4,'))).toBe(false);
  await page.getByRole('link', { name: /^In short/ }).click();
  await expect(page.getByRole('heading', { name: 'Set these 34 places' })).toBeVisible();
  await page.getByRole('link', { name: 'The whole sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Set these 38 places' })).toBeVisible();
  for (const nonsense of ['work-9999', 'start', '%22%3E', 'work-']) {
    await open(page, `${new URL(page.url()).pathname}?of=draft&from=${nonsense}`);
    await expect(page.getByText('no such place to go on from')).toBeVisible();
  }
});

test('a bench day has a packet: its list, and the sheet of each set that is loaded by its keys', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/bench`);
  await ready(page);
  await page.getByRole('link', { name: /^The packet to print/ }).click();
  await page.waitForURL(/bench\/[0-9a-f-]{36}/);
  await ready(page);
  const lines = page.locator('.short-lines').first().locator('tbody tr');
  expect(await lines.count()).toBeGreaterThan(1);
  const byKeys = await lines.filter({ hasText: 'by its keys' }).locator('th').allInnerTexts();
  expect(byKeys.length).toBeGreaterThan(0);
  for (const set of byKeys)
    await expect(page.getByRole('region', { name: `Sheet of ${set}` })).toHaveCount(1);
  await ready(page);
  expect(await axeFindings(page)).toEqual([]);
  // What is copied and what a program loads have their pages as well.
  await open(page, `${path}/rollout`);
  const idOf = async (name: string) =>
    /sheets\/([0-9a-f-]{36})/.exec(
      (await page.getByRole('link', { name, exact: true }).first().getAttribute('href')) ?? '',
    )?.[1] ?? '';
  const [master, copied, byFile] = [await idOf('Deck 1'), await idOf('Deck 2'), await idOf('Ferry bridge')];
  const id = crypto.randomUUID();
  const task = {
    personId: 'c249113d-561d-5b20-9333-4fc20aa30a74',
    standId: null,
    masterId: null,
    fromMin: 0,
    toMin: 20,
  };
  const value = {
    id,
    name: 'Three ways',
    planId: path.split('/').at(-1),
    revision: 3,
    day: '2026-12-05',
    people: [],
    stands: 1,
    setIds: [master, copied, byFile],
    tasks: [
      { ...task, setId: master, way: 'keys' },
      { ...task, setId: copied, way: 'copy', masterId: master, fromMin: 20, toMin: 22 },
      { ...task, setId: byFile, way: 'file', fromMin: 22, toMin: 30 },
    ],
    lowerBoundMin: 20,
  };
  const origin = new URL(page.url()).origin;
  const added = await page.request.post('/api/benches', { data: { value }, headers: { origin } });
  expect(added.status()).toBe(201);
  await open(page, `${path}/bench/${id}`);
  const sheet = (name: string) => page.getByRole('region', { name: `Sheet of ${name}`, exact: true });
  await expect(sheet('Deck 2').getByRole('heading', { name: 'Copy it' })).toBeVisible();
  await expect(sheet('Deck 2')).toContainText('Deck 1');
  await expect(sheet('Ferry bridge')).toContainText('Back up: read the set');
  await expect(sheet('Ferry bridge')).toContainText('Under way');
  await expect(page.getByText('Nothing to change')).toHaveCount(0);
  // A label for each, with the revision that it then holds.
  const labels = page.getByRole('region', { name: 'Labels' }).getByRole('listitem');
  await expect(labels).toHaveCount(3);
  await expect(labels.filter({ hasText: 'Deck 2' })).toContainText('Ostrel plan, revision 3');
  await open(page, `${path}/bench/00000000-0000-4000-8000-000000000000`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Not here');
});
