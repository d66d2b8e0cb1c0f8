import type { Page } from '@playwright/test';
import { axeFindings, entry, expect, open, openPart, planPath, ready, row, test } from './support';

test('a listing becomes a channel, with questions first, and is there after a reload', async ({ page }) => {
  await open(page, await planPath(page));
  await page.keyboard.press('/');
  await expect(entry(page)).toBeFocused();
  await entry(page).fill('Puffin Rock 467.675 in 131.8');
  await expect(page.getByText('is a repeater’s input')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add to plan' })).toBeDisabled();
  await page.keyboard.press('Enter');
  await expect(row(page, 'Puffin Rock')).toHaveCount(0);
  await page.getByRole('button', { name: '462.6750 rpt' }).click();
  await expect(entry(page)).toHaveValue('Puffin Rock 462.6750 in 131.8 rpt');
  await expect(page.getByText('No output tone is given')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(row(page, 'Puffin Rock')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Puffin Rock' })).toBeVisible();
  // What the worker made of it is what the server makes of it.
  const list = page.locator('main section ul').first();
  await expect(row(page, 'Puffin Rock')).toContainText('adapted');
  const byWorker = await list.textContent();
  await open(page, page.url());
  expect(await list.textContent()).toBe(byWorker);
});

test('deleted, brought back by undo; changed, and what is wrong is said at the field', async ({ page }) => {
  await open(page, await planPath(page));
  await page.getByRole('button', { name: /^Quarry/ }).click();
  await page.getByLabel('Transmit tone').fill('82.5 MHz');
  await page.getByLabel('Receive, MHz').fill('loud');
  await page.getByRole('button', { name: 'Save channel' }).click();
  await expect(page.getByText('A tone is in hertz')).toBeVisible();
  await expect(page.getByText('Write it in MHz')).toBeVisible();
  await page.getByLabel('Receive, MHz').fill('462.675');
  await page.getByLabel('Transmit tone').fill('PL 203.5');
  await page.getByLabel('Note').fill('by the old crane');
  await page.getByRole('button', { name: 'Save channel' }).click();
  await expect(row(page, 'Quarry')).toContainText('by the old crane');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row(page, 'Quarry')).not.toContainText('by the old crane');
  await page.getByRole('button', { name: 'Delete channel' }).click();
  await expect(row(page, 'Quarry')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row(page, 'Quarry')).toBeVisible();
});

test('moved by keys and by dragging, and the order stays', async ({ page }) => {
  await open(page, await planPath(page));
  const names = () => page.locator('li[id^="channel-"] .truncate.font-semibold').allInnerTexts();
  const [first, second] = await names();
  await page.getByRole('button', { name: new RegExp(`^${first}`) }).focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(page.getByText('The order is saved.')).toBeVisible();
  expect((await names()).slice(0, 2)).toEqual([second, first]);
  const handle = page.getByRole('button', { name: `Move ${second}` });
  const target = page.getByRole('button', { name: `Move ${first}` });
  const [from, to] = [await handle.boundingBox(), await target.boundingBox()];
  if (!from || !to) throw new Error('no handles');
  await page.mouse.move(from.x + 5, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(to.x + 5, to.y + 12, { steps: 8 });
  const saved = page.waitForResponse((response) => response.url().endsWith('/order'));
  await page.mouse.up();
  expect((await saved).status()).toBe(200);
  await open(page, page.url());
  expect((await names()).slice(0, 2)).toEqual([first, second]);
});

test('two windows: the second one is shown both versions, field by field', async ({ page, context }) => {
  const path = await planPath(page);
  const other = await context.newPage();
  await open(page, path);
  await open(other, path);
  for (const [window, note] of [
    [page, 'from this window'],
    [other, 'from the other window'],
  ] as const) {
    await window.getByRole('button', { name: /^Club talk/ }).click();
    await window.getByLabel('Note').fill(note);
  }
  await other.getByRole('button', { name: 'Save channel' }).click();
  // The plan follows by itself; what is being written stays.
  await expect(row(page, 'Club talk')).toContainText('from the other window');
  await expect(page.getByLabel('Note')).toHaveValue('from this window');
  await page.getByRole('button', { name: 'Save channel' }).click();
  const dialog = page.getByRole('dialog', { name: 'Changed meanwhile' });
  await expect(dialog.getByRole('row', { name: /note/i })).toContainText('from the other window');
  await expect(dialog.getByRole('row', { name: /note/i })).toContainText('from this window');
  await dialog.getByRole('button', { name: 'Save mine over it' }).click();
  await expect(row(page, 'Club talk')).toContainText('from this window');
  await other.close();
});

test('two windows on the plan itself: what is typed stays while others work, and a clash shows both', async ({
  page,
  context,
}) => {
  const path = await planPath(page);
  const other = await context.newPage();
  await open(page, path);
  await open(other, path);
  const rename = (window: Page, name: string) => window.getByLabel('Name of the plan').fill(name);
  await rename(page, 'Mine');
  await rename(other, 'Theirs');
  await other.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('heading', { name: 'Theirs' })).toBeVisible();
  await expect(page.getByLabel('Name of the plan')).toHaveValue('Mine');
  await page.getByRole('button', { name: 'Save plan' }).click();
  const dialog = page.getByRole('dialog', { name: 'Changed meanwhile' });
  await expect(dialog.getByRole('row', { name: /name/ })).toContainText('Theirs');
  await dialog.getByRole('button', { name: 'Keep what is saved' }).click();
  await expect(page.getByLabel('Name of the plan')).toHaveValue('Theirs');
  await rename(page, 'Ostrel plan');
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('heading', { name: 'Ostrel plan' })).toBeVisible();
  await other.close();
});

test('a plan goes out as a file and comes in again; a bad file is refused at its path', async ({ page }) => {
  const path = await planPath(page);
  await open(page, path);
  const file = await (await page.request.get(`/api${path}/export`)).json();
  const input = page.getByLabel(/Bring in a plan file/);
  const give = (text: string) =>
    input.setInputFiles({ name: 'plan.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await give(JSON.stringify({ ...file, channels: [{ ...file.channels[0], receiveHz: 'loud' }] }));
  await expect(page.getByText('Nothing was taken in.')).toBeVisible();
  await expect(page.getByText('/channels/0/receiveHz')).toBeVisible();
  await give('not a plan');
  await expect(page.getByText('This is no JSON document.')).toBeVisible();
  await give(JSON.stringify({ ...file, name: 'Second plan' }));
  await expect(page.getByRole('heading', { name: 'Second plan' })).toBeVisible();
  await expect(page).not.toHaveURL(path);
});

test('when the server does not answer, nothing that was written is lost', async ({ page, context }) => {
  await open(page, await planPath(page));
  await entry(page).fill('Heron Bank 462.700 rpt in 127.3');
  await context.setOffline(true);
  await page.keyboard.press('Enter');
  await expect(page.getByText('The server does not answer')).toBeVisible();
  await expect(entry(page)).toHaveValue('Heron Bank 462.700 rpt in 127.3');
  await context.setOffline(false);
  await page.keyboard.press('Enter');
  await expect(row(page, 'Heron Bank')).toHaveCount(1);
});

test('a pasted listing is read line by line, what asks is answered there, and nothing is added twice', async ({
  page,
  context,
}) => {
  await open(page, await planPath(page));
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const listing =
    'Name\tFrequency\tTone\nTern Ledge\t462.725\trpt 100.0\nAuk Stack\t467.600\t131.8\nSkua Bay\tMURS 3\tTSQ 67.0';
  await page.evaluate((text) => navigator.clipboard.writeText(text), listing);
  await entry(page).focus();
  await page.keyboard.press('Control+V');
  const dialog = page.getByRole('dialog', { name: 'A whole listing' });
  await expect(dialog.getByText('is a repeater’s input')).toBeVisible();
  await dialog.getByRole('button', { name: 'Add 2 channels' }).click();
  await expect(dialog.getByText('is in the plan')).toHaveCount(2);
  // The line that asked is answered by its button; what is in the plan already is not added again.
  await dialog.getByRole('button', { name: '462.6000 rpt' }).click();
  await dialog.getByRole('button', { name: 'Add 1 channel', exact: true }).click();
  await expect(dialog.getByText('is in the plan')).toHaveCount(3);
  await expect(dialog.getByRole('button', { name: 'Add 0 channels' })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Close' }).click();
  for (const [name, there] of [
    ['Tern Ledge', 1],
    ['Skua Bay', 1],
    ['Auk Stack', 1],
  ] as const)
    await expect(row(page, name)).toHaveCount(there);
});

test('a pasted listing is taken back as one, also from the history', async ({ page, context }) => {
  const path = await planPath(page);
  await open(page, path);
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const listing = Array.from({ length: 24 }, (_, i) => `Row ${i + 1} 462.${600 + (i % 4) * 25} rpt 131.8`);
  await page.evaluate((text) => navigator.clipboard.writeText(text), listing.join('\n'));
  await entry(page).focus();
  await page.keyboard.press('Control+V');
  const dialog = page.getByRole('dialog', { name: 'A whole listing' });
  await dialog.getByRole('button', { name: 'Add 24 channels' }).click();
  await expect(dialog.getByRole('button', { name: 'Add 0 channels' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(row(page, 'Row 24')).toHaveCount(1);
  await expect(page.getByRole('status').filter({ hasText: '24 channels added.' })).toBeVisible();
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Undone.' })).toBeVisible();
  await expect(row(page, 'Row 24')).toHaveCount(0);
  await expect(row(page, 'Row 1')).toHaveCount(0);
  await open(page, `${path}/history`);
  await expect(page.getByRole('listitem').filter({ hasText: 'deleted 24 channels' })).toBeVisible();
  await expect(page.getByText('and 12 more').first()).toBeVisible();
  await page.getByRole('button', { name: 'Bring back: deleted 24 channels' }).first().click();
  await page.waitForEvent('load');
  await page.getByRole('button', { name: 'Undo: added 24 channels' }).first().click();
  await page.waitForEvent('load');
  await open(page, path);
  await expect(row(page, 'Row 24')).toHaveCount(0);
});

test('with a set in hand a line names its own labels, and says what stands there', async ({ page }) => {
  await open(page, await planPath(page));
  await entry(page).fill('R3');
  await page.getByLabel('Set in hand').selectOption('Page hand-held');
  await expect(
    page.getByText('R3 of Page hand-held: 462.6000 and 467.6000 MHz, General Mobile Radio Service 17.'),
  ).toBeVisible();
  await entry(page).fill('place 7');
  await expect(page.getByText('More than one place is called so')).toBeVisible();
  await page.getByRole('button', { name: /^R7 / }).click();
  await expect(entry(page)).toHaveValue('out 462.7000 in 467.7000');
  await entry(page).fill('R3');
  await page.getByLabel('Set in hand').selectOption('none: numbers are a service’s');
  await expect(page.getByText('of Page hand-held')).toHaveCount(0);
});

test('the plan is searched by name, frequency and the other names of a channel', async ({ page }) => {
  await open(page, await planPath(page));
  const find = page.getByRole('searchbox');
  for (const [words, name, other] of [
    ['marine 16', 'Harbour watch', 'Watch direct'],
    ['gmrs 4', 'Watch direct', 'Harbour watch'],
    ['156.8', 'Harbour watch', 'Watch direct'],
  ] as const) {
    await find.fill(words);
    await expect(row(page, name)).toBeVisible();
    await expect(row(page, other)).toHaveCount(0);
  }
  await find.fill('no such thing');
  await expect(page.getByText('No channel has “no such thing”')).toBeVisible();
});

test('alert radios: areas are written in the plan, wrong ones are said at once, and the sheets follow', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, path);
  await openPart(page, 'Alert radios');
  const codes = page.getByLabel('Area codes, the most important first');
  await codes.fill('099001, 99');
  await expect(
    page.getByText('Each area code has six digits and is no frequency; at most 31 of them.'),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save plan' })).toBeDisabled();
  await codes.fill('099002 099001');
  await page.getByLabel('They sound for').selectOption('the first area alone');
  await page.getByText('They stay silent for 2 events').click();
  await page.getByLabel('Flood Watch', { exact: true }).check();
  await expect(page.getByText('They stay silent for 3 events')).toBeVisible();
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'is saved' })).toBeVisible();
  await open(page, `${path}/sheets?of=draft`);
  const hall = page.getByRole('link', { name: /^Hall alert / });
  await expect(hall).toContainText('Set to one area alone, it ignores 099001.');
  await hall.click();
  await expect(page.getByRole('heading', { name: 'Area 099002: number 101, label AREA 1' })).toBeVisible();
  await expect(page.getByText('For the whole set, Listen for: ONE AREA')).toBeVisible();
  await open(page, `${path}/sheets?of=draft`);
  await page.getByRole('link', { name: /^Ferry alert / }).click();
  await expect(page.getByText('Press until it shows FLOOD WATCH.')).toBeVisible();
  await expect(
    page.getByText('For the whole set, Flood watch: OFF (not looked how it stands)'),
  ).toBeVisible();
  // One household is in another county, and hears another transmitter.
  await open(page, `${path}/devices`);
  await page.getByRole('button', { name: 'Change Ferry alert' }).click();
  await page.getByLabel('Its own area codes').fill('099003');
  await page.getByLabel('Weather transmitter heard there, MHz').selectOption('162.4000');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Ferry alert is saved' })).toBeVisible();
  await open(page, `${path}/sheets?of=draft`);
  await page.getByRole('link', { name: /^Ferry alert / }).click();
  await expect(page.getByText(/^Areas: 099003 /)).toBeVisible();
  // With one more area it is asked there too whether the transmitter is the same; a county next to a known one is one press.
  await open(page, `${path}/devices`);
  await page.getByRole('button', { name: 'Change Ferry alert' }).click();
  await page.getByLabel('Its own area codes').fill('099003, 039035');
  await page.locator('summary').filter({ hasText: '5 counties next to Cuyahoga' }).click();
  await page.getByRole('button', { name: 'Add Lorain, Ohio 039093' }).click();
  await expect(page.getByLabel('Its own area codes')).toHaveValue('099003, 039035, 039093');
  await expect(page.getByText('4 counties next to Cuyahoga')).toBeVisible();
  const keep = page.getByRole('button', { name: 'Save', exact: true });
  await expect(keep).toBeDisabled();
  // Without areas of its own nothing is asked any more.
  await page.getByLabel('Its own area codes').fill('');
  await expect(keep).toBeEnabled();
  await page.getByLabel('Its own area codes').fill('099003, 039035, 039093');
  await page.getByLabel('Weather transmitter heard there, MHz').selectOption('162.4000');
  await page.getByLabel('Its own area codes').fill('099003');
  await page.getByLabel('Its own area codes').fill('099003, 039035, 039093');
  await expect(keep).toBeEnabled();
  await page.getByLabel('Its own area codes').fill('099003, 039035');
  await keep.click();
  await expect(page.getByRole('status').filter({ hasText: 'Ferry alert is saved' })).toBeVisible();
  await open(page, path);
  await openPart(page, 'Alert radios');
  await page.getByText('They stay silent for 3 events').click();
  await page.getByLabel('Flood Watch', { exact: true }).uncheck();
  await page.getByLabel('They sound for').selectOption('these areas');
  await codes.fill('099001, 099002, 099004');
  // Whether the same transmitter is heard there is asked before it is saved.
  await expect(page.getByRole('button', { name: 'Save plan' })).toBeDisabled();
  await page.getByLabel(/is still the transmitter that they hear/).click();
  await expect(page.getByRole('button', { name: 'Save plan' })).toBeEnabled();
  await codes.fill('099001, 099002');
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'is saved' })).toBeVisible();
});

test('plans: a new one once its country is said, a copy, another name, put away and taken out again, deleted and back', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, path);
  await page.locator('summary', { hasText: 'Ostrel plan' }).click();
  await page.getByRole('link', { name: 'All plans, and a new one' }).click();
  await ready(page);
  const list = page.getByRole('main');
  await page.getByLabel('Its name').fill('Winter fair');
  await expect(page.getByRole('button', { name: 'Make it' })).toBeDisabled();
  await page.getByLabel('Whose rules').selectOption('Australia');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('heading', { name: 'Winter fair' }).first()).toBeVisible();
  await open(page, `${path}/plans`);
  await expect(list.getByText('0 channels, Australia')).toBeVisible();
  await page.getByRole('button', { name: 'Copy Ostrel plan' }).click();
  await expect(page.getByText('Ostrel plan, a copy is there, with all its channels.')).toBeVisible();
  await page.getByRole('button', { name: 'Rename Ostrel plan, a copy' }).click();
  await page.getByLabel('New name of Ostrel plan, a copy').fill('Ostrel in summer');
  await page.keyboard.press('Enter');
  await expect(page.getByText('It is called Ostrel in summer now.')).toBeVisible();
  await page.getByRole('button', { name: 'Put away Ostrel in summer' }).click();
  await expect(page.getByText('Ostrel in summer is put away.')).toBeVisible();
  // What is put away is not offered, and is there all the same.
  await open(page, `${path}/plans`);
  await expect(page.getByRole('heading', { name: 'Put away' })).toBeVisible();
  await page.locator('summary', { hasText: 'Ostrel plan' }).click();
  const menu = page.getByRole('banner').getByRole('listitem');
  await expect(menu.filter({ hasText: 'Winter fair' })).toHaveCount(1);
  await expect(menu.filter({ hasText: 'Ostrel in summer' })).toHaveCount(0);
  expect(await axeFindings(page)).toEqual([]);
  const { plan } = await (await page.request.get(`/api${path}`)).json();
  await list.getByRole('link', { name: 'Ostrel in summer' }).click();
  await expect(page.getByText(/^\d+ channels\. Choose one/)).toContainText(
    `${plan.channels.length} channels`,
  );
  await open(page, `${path}/plans`);
  page.once('dialog', (dialog) => void dialog.dismiss());
  await page.getByRole('button', { name: 'Delete Ostrel in summer' }).click();
  await expect(list.getByRole('link', { name: 'Ostrel in summer' })).toBeVisible();
  page.once('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'Delete Ostrel in summer' }).click();
  await expect(page.getByText('Ostrel in summer is deleted.')).toBeVisible();
  await expect(list.getByRole('link', { name: 'Ostrel in summer' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone.')).toBeVisible();
  await open(page, `${path}/plans`);
  await expect(list.getByRole('link', { name: 'Ostrel in summer' })).toBeVisible();
});

test('a part that cannot be fetched says so in its place, and comes with the page once the server answers', async ({
  page,
}) => {
  const path = await planPath(page);
  await page.route(/ChannelDrawer\./, (route) => route.fulfill({ status: 404, body: '' }));
  await open(page, path);
  await row(page, 'Kelp Stairs')
    .getByRole('button', { name: /^Kelp Stairs/ })
    .click();
  const said = page.getByRole('alert').filter({ hasText: 'could not be fetched' });
  await expect(said).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Kelp Stairs' })).toBeFocused();
  // The list goes on.
  await expect(row(page, 'Gannet Top')).toBeVisible();
  await page.unroute(/ChannelDrawer\./);
  await said.getByRole('button', { name: 'Load the page again' }).click();
  await expect(page.getByRole('button', { name: 'Save channel' })).toBeVisible();
});

test('what reads lines comes after the page: Enter waits for it, and it says where it could not be fetched', async ({
  page,
}) => {
  const path = await planPath(page);
  let letCome = () => {};
  const mayCome = new Promise<void>((come) => {
    letCome = come;
  });
  await page.route(/\/Reading\./, async (route) => {
    await mayCome;
    await route.continue();
  });
  await open(page, path);
  await entry(page).fill('Sanderling Spit 462.650 rpt in 131.8');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Reading…')).toBeVisible();
  await expect(row(page, 'Sanderling Spit')).toHaveCount(0);
  letCome();
  await expect(row(page, 'Sanderling Spit')).toHaveCount(1);
  await expect(entry(page)).toHaveValue('');
  await page.unroute(/\/Reading\./);

  await page.route(/\/Reading\./, (route) => route.fulfill({ status: 404, body: '' }));
  await page.reload();
  await ready(page);
  await entry(page).fill('Sanderling Shelf 462.650 rpt in 131.8');
  const said = page.getByRole('alert').filter({ hasText: 'could not be fetched' });
  await expect(said).toBeVisible();
  await page.unroute(/\/Reading\./);
  await said.getByRole('button', { name: 'Load the page again' }).click();
  await ready(page);
  // What was written is still there.
  await expect(entry(page)).toHaveValue('Sanderling Shelf 462.650 rpt in 131.8');
  await entry(page).focus();
  await expect(page.getByText('Enter adds it.')).toBeVisible();
});

test('without the tables of services a search says what it did not look through', async ({ page }) => {
  await page.route(/\/rules\./, (route) => route.fulfill({ status: 404, body: '' }));
  await open(page, await planPath(page));
  await page.getByPlaceholder('name, MHz, wx 2').fill('gannet');
  await expect(page.getByText('only what the plan itself says is looked through')).toBeVisible();
  await expect(row(page, 'Gannet Top')).toHaveCount(1);
});
