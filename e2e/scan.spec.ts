import { axeFindings, expect, open, planPath, test } from './support';

test('a channel gets priority and another is left out; the scanner’s sheet sets the marks', async ({
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
  await choose('Pilot boat', 'priority', 'priority in scans');
  await choose('Quarry', 'out', 'not in scans');
  await open(page, path);
  await page.getByLabel('Scans, after a call').selectOption('move on at once, to hear more places');
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'is saved' })).toBeVisible();

  await open(page, `${path}/sheets`);
  await page.getByRole('link', { name: /^Kitchen scanner / }).click();
  await expect(page.getByText('rehearsed', { exact: true })).toBeVisible();
  const row = (name: string) => page.getByRole('row').filter({ hasText: name });
  // One priority in each bank: Watch direct comes first in the plan, and both are in the first one.
  await expect(row('Watch direct')).toContainText('in, priority, no delay');
  await expect(row('Pilot boat')).toContainText('in, no delay');
  await expect(row('Quarry')).toContainText('left out');
  await expect(page.getByText('Change the delay to 0 S.').first()).toBeVisible();
  expect(await axeFindings(page)).toEqual([]);

  await choose('Pilot boat', 'usual', 'marine');
  await choose('Quarry', 'usual', 'open');
  await open(page, path);
  await page.getByLabel('Scans, after a call').selectOption('stay for the answer, for conversations');
  await page.getByRole('button', { name: 'Save plan' }).click();
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
    /^✓\s*Tornado Warning for 099001: sounds, by voice/,
    /^✓\s*Tornado Warning for 099003, which is not the plan’s: stays silent: it is for another area/,
    /^✕\s*Flash Flood Watch for 099001: sounds, by voice. The plan wants it silent/,
  ])
    await expect(page.getByRole('listitem').filter({ hasText: said })).toBeVisible();
});
