import { axeFindings, expect, open, openPart, planPath, test } from './support';

test('a channel gets priority, a broadcast is left out; the scanner’s sheet sets the marks', async ({
  page,
}) => {
  const path = await planPath(page);
  const choose = async (channel: string, scan: string, then: string) => {
    await open(page, path);
    await page.getByRole('button', { name: new RegExp(`^${channel} `) }).click();
    await page.getByLabel('In scans').selectOption(scan);
    await page.getByRole('button', { name: 'Save channel' }).click();
    await expect(page.getByRole('button', { name: new RegExp(`^${channel} `) })).toContainText(then);
  };
  await choose('Ridge path', 'priority', 'priority in scans');
  await open(page, path);
  await openPart(page, 'Scans and names');
  await page.getByLabel('Scans, after a call').selectOption('move on at once, to hear more places');
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'is saved' })).toBeVisible();

  await open(page, `${path}/sheets?of=draft`);
  await page.getByRole('link', { name: /^Kitchen scanner / }).click();
  await expect(page.getByText('rehearsed', { exact: true })).toBeVisible();
  const readBack = page.getByRole('region', { name: 'Values to read back' });
  const row = (name: string) => readBack.getByRole('row').filter({ hasText: name });
  // One priority in each bank: Watch direct comes first in the plan, and the other one stands beside it.
  await expect(row('Watch direct')).toContainText('in, priority, no delay');
  await expect(row('Ridge path')).toContainText('in, no delay');
  await expect(row('Weather 162.400')).toContainText('left out');
  await expect(page.getByText('Change the delay to 0 S.').first()).toBeVisible();
  expect(await axeFindings(page)).toEqual([]);

  await choose('Ridge path', 'usual', 'open');
  await open(page, path);
  await openPart(page, 'Scans and names');
  await page.getByLabel('Scans, after a call').selectOption('stay for the answer, for conversations');
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'is saved' })).toBeVisible();
});

test('fleet radios get their ID, the calls and the status texts of the plan; what is written wrong is said at once', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, path);
  await openPart(page, 'Fleet radios');
  const texts = page.getByLabel('Status texts, the most important first');
  const calls = page.getByLabel('Calls to several sets');
  const save = page.getByRole('button', { name: 'Save plan' });
  await texts.fill('At berth, A text that is much too long');
  await expect(page.getByText('Each status text has at most 16 letters')).toBeVisible();
  await expect(save).toBeDisabled();
  await texts.fill('At berth, Under way, Need help, Off duty, Fuel low');
  await calls.fill('All ferries');
  await expect(
    page.getByText('Write each call as its name, of at most 20 letters, and its ID'),
  ).toBeVisible();
  await calls.fill('All ferries 199, Everybody 1999');
  await save.click();
  await expect(page.getByRole('status').filter({ hasText: 'is saved' })).toBeVisible();
  await open(page, `${path}/sheets?of=draft`);
  const office = page.getByRole('link', { name: /^Ferry office / });
  await expect(office).toContainText('It has no more places for status texts: Fuel low is left out.');
  await office.click();
  await expect(page.getByText('Its call list has no place for Everybody')).toBeVisible();
  const row = (label: string) => page.getByRole('row').filter({ hasText: label });
  await expect(row('OWN ID')).toContainText('101');
  await expect(row('CALL 1')).toContainText('All ferries');
  await expect(row('CALL 2')).toContainText('Ferry bridge');
  await expect(row('STATUS 4')).toContainText('Off duty');
  await expect(page.getByText('rehearsed', { exact: true })).toBeVisible();
  await open(page, path);
  await openPart(page, 'Fleet radios');
  await texts.fill('At berth, Under way, Need help, Off duty');
  await calls.fill('All ferries 199');
  await save.click();
  await expect(page.getByRole('status').filter({ hasText: 'is saved' })).toBeVisible();
});

test('a set is copied from one that shall hold the same; an alert radio says when it sounds', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/sheets`);
  await page.getByRole('link', { name: /^Deck 1 / }).click();
  const copy = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: 'Or copy it from another set' }) });
  await expect(copy).toContainText('5 steps, 5 presses for both sets together.');
  await expect(copy).toContainText('Deck 2');
  await expect(copy.getByRole('listitem').filter({ hasText: 'it waits' })).toContainText('hold 5.5 s');

  await open(page, `${path}/sheets`);
  await page.getByRole('link', { name: /^Hall alert / }).click();
  for (const said of [
    /^✓\s*Tornado Warning for 099001: sounds/,
    // Nobody has looked at its other places for areas.
    /^\?\s*Tornado Warning for 099003, which is not the plan’s: not known, for nobody has looked/,
    /^✕\s*Flash Flood Watch for 099001: sounds. The plan wants it silent/,
  ])
    await expect(page.getByRole('listitem').filter({ hasText: said })).toBeVisible();
});
