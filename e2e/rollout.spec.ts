import { expect, open, planPath, ready, row, test } from './support';

test('a draft is looked at, what stops it is overruled with a reason, and it is published; sheets and rollout go by it', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/revisions`);
  await page.getByText('1 thing differs from revision 3').click();
  await expect(page.getByText('you send D172N, was no tone; you wait for D172N, was no tone')).toBeVisible();
  await page.getByRole('button', { name: 'What publishing revision 4 would take' }).click();
  await expect(page.getByRole('heading', { name: 'What it takes' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/^\d+ sets of 83 change, of \d+ people: \d+ presses, about/)).toBeVisible();
  await expect(
    page.getByText(/are up to date now, and would have to be loaded again for this/),
  ).toBeVisible();
  await page.getByText('Sets that change').click();
  await expect(page.getByRole('link', { name: 'Watch 1', exact: true })).toBeVisible();
  const publish = page.getByRole('button', { name: 'Publish revision 4' });
  await page.getByLabel('Why: what members should know of it').fill('Market day has a tone of its own.');
  await expect(publish).toBeDisabled();
  const reasons = page.getByLabel('Publish all the same, since');
  const count = await reasons.count();
  expect(count).toBeGreaterThan(0);
  for (let i = 0; i < count; i++) await reasons.nth(i).fill('asked by telephone');
  await page.getByLabel(/^Decided: it stays so \(Names on displays\)/).check();
  await publish.click();
  await expect(
    page.getByRole('heading', { name: /^Revision 4\s+the one that sets should hold/ }),
  ).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('It is as revision 4 was.')).toBeVisible();
  await page.getByText(`${count} things overruled, 2 choices decided`).click();
  await expect(page.getByText('asked by telephone').first()).toBeVisible();
  // What is edited from now on is the draft’s: sheets stay.
  await open(page, `${path}/sheets`);
  await expect(page.locator('main p', { hasText: 'in force from' }).first()).toContainText(
    'Of revision 4, in force from',
  );
  await open(page, `${path}/rollout`);
  await expect(page.getByRole('heading', { name: 'Rollout of revision 4' })).toBeVisible();
  // It can be withdrawn, and then revision 3 counts again.
  await open(page, `${path}/revisions`);
  await page.getByRole('button', { name: 'Withdraw 4' }).click();
  await page.getByLabel('Why sets should not hold revision 4').fill('The tone is taken.');
  const withdrawn = page.waitForResponse((answer) => answer.url().endsWith('/withdraw'));
  await page.getByRole('button', { name: 'Withdraw it' }).click();
  expect((await withdrawn).status()).toBe(200);
  await ready(page);
  await expect(page.getByText(/Withdrawn on .* by Ines Korvald: The tone is taken\./)).toBeVisible();
  await open(page, `${path}/rollout`);
  await expect(page.getByRole('heading', { name: 'Rollout of revision 3' })).toBeVisible();
});

test('two states are compared by channel, set and person; the draft begins again from an old one, and that is taken back', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/revisions/compare?from=1&to=2`);
  await expect(page.getByText('Lantern Fell')).toBeVisible();
  await page.getByLabel('Before').selectOption('revision 2');
  await page.getByLabel('After').selectOption('revision 3');
  await page.getByRole('button', { name: 'Compare' }).click();
  await expect(page.getByText('you send D251N, was D346N')).toBeVisible();
  await expect(page.getByText(/^Ada Brunlow/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Club 7', exact: true })).toBeVisible();
  await open(page, `${path}/revisions`);
  page.once('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'Begin the draft again from 1' }).click();
  await expect(page.getByText('The draft is what revision 1 was.')).toBeVisible();
  await open(page, path);
  await expect(row(page, 'Lantern Fell')).toHaveCount(0);
  await open(page, `${path}/history`);
  const undone = page.waitForResponse((answer) => answer.url().endsWith('/undo'));
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  expect((await undone).status()).toBe(200);
  await open(page, path);
  await expect(row(page, 'Lantern Fell')).toHaveCount(1);
});

test('sets that are late are found, loaded in one go and taken back; a sheet says itself that it is done', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/rollout`);
  const sets = page.getByRole('list', { name: 'Sets' }).getByRole('listitem');
  await expect(sets).toHaveCount(83);
  await page.getByRole('button', { name: /^to load/ }).click();
  const late = await sets.count();
  expect(late).toBeGreaterThan(5);
  await page.getByLabel('Choose Club 7').check();
  await page.getByLabel('Choose Watch 8').check();
  const loaded = page.waitForEvent('load');
  await page.getByRole('button', { name: 'Loaded by keys' }).click();
  await loaded;
  await ready(page);
  await expect(page.getByText('2 sets: loaded by their keys.')).toBeVisible();
  await expect(sets.filter({ hasText: 'Club 7' })).toContainText('up to date, at 3, not checked');
  const back = page.waitForEvent('load');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await back;
  await ready(page);
  await expect(sets.filter({ hasText: 'Club 7' })).toContainText('to load, at 2');
  // A message in words for whoever holds it.
  await page.getByRole('button', { name: 'The message for Freya Dunlokk' }).click();
  await expect(page.getByLabel('The message for Freya Dunlokk')).toHaveValue(
    /Hello Freya Dunlokk,\n.*Ostrel plan, revision 3/,
  );

  await page.getByRole('link', { name: 'Club 7' }).click();
  await ready(page);
  await expect(page.locator('main p', { hasText: 'in force from' }).first()).toContainText(
    'Of revision 3, in force from 21 November 2026.',
  );
  const done = page.waitForEvent('load');
  await page.getByRole('button', { name: 'It is done: Club 7 holds this now' }).click();
  await done;
  await expect(
    page.getByText('Nothing to change: by what is on record this set holds what it should.'),
  ).toBeVisible();
  await open(page, page.url().replace('/sheets/', '/devices/'));
  await expect(page.getByText(/^loaded with revision 3 of Ostrel plan, by its keys/)).toBeVisible();
  // What its kind and its places ask for, one press each; silence stays undecided.
  await page.getByText('What to try', { exact: true }).click();
  const trials = page.getByRole('list', { name: 'What to try' }).getByRole('listitem');
  expect(await trials.count()).toBeGreaterThan(4);
  await expect(trials.filter({ hasText: 'Speak on' }).first()).toContainText(
    /Sends on \d+\.\d+ MHz: listen first/,
  );
  const wrong = page.getByRole('button', { name: /^Wrong: Speak on / }).first();
  await wrong.press('Enter');
  await expect(page.getByText(/^spoken with both ways at number \d+: not as it should be/)).toBeVisible();
  // Nothing is loaded anew: whoever goes on by the keyboard stands where they stood.
  await expect(wrong).toBeFocused();
  await page.getByText('Another check', { exact: true }).click();
  await page.getByLabel('How it was').selectOption('as it should be');
  await page.getByRole('button', { name: 'Write it down' }).first().click();
  await expect(page.getByText(/^read back: as it should be/)).toBeVisible();
  const path3 = page.url();
  await open(page, `${path}/rollout`);
  await expect(sets.filter({ hasText: 'Club 7' })).toContainText('up to date, at 3, a check failed');
  await open(page, path3);
  await page.getByText('What to try', { exact: true }).click();
  const rest = trials.filter({ hasNotText: 'Read back' });
  for (let n = 0; n < (await rest.count()); n++) {
    await rest
      .nth(n)
      .getByRole('button', { name: /^Right: / })
      .click();
    await expect(rest.nth(n)).toContainText('as it should be');
  }
  await open(page, `${path}/rollout`);
  await expect(sets.filter({ hasText: 'Club 7' })).toContainText('up to date, at 3, checked');
});

test('sets that are alike share one sheet, and are ticked one by one', async ({ page }) => {
  const path = await planPath(page);
  await open(page, `${path}/rollout`);
  await page.getByRole('link', { name: 'Club 3', exact: true }).click();
  await ready(page);
  const shared = page.locator('main p', { hasText: 'The very same sheet is for' });
  const names = await shared.getByRole('link').allInnerTexts();
  expect(names.length).toBeGreaterThan(0);
  expect(names).not.toContain('Club 3');
  const [other = ''] = names;
  const done = page.waitForEvent('load');
  await page.getByRole('button', { name: other, exact: true }).click();
  await done;
  await expect(page.getByText(`${other} holds what this sheet gives.`)).toBeVisible();
  await expect(shared.getByRole('link', { name: other, exact: true })).toHaveCount(0);
  // That one is done; this one is not.
  await expect(page.getByRole('button', { name: 'It is done: Club 3 holds this now' })).toBeVisible();
  const undone = page.waitForEvent('load');
  await page.getByRole('button', { name: 'Undo' }).click();
  await undone;
  await expect(shared.getByRole('link', { name: other, exact: true })).toHaveCount(1);
});

test('a bench day is begun, worked out with a bound, and what is under way stays when the rest is worked out anew', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/bench`);
  await page.getByRole('button', { name: 'A bench day for revision 3' }).click();
  await expect(page.getByText('Bench day for revision 3 is in the list.')).toBeVisible();
  await page.getByText('Who helps', { exact: true }).click();
  const roster = page.getByLabel('Somebody else of the roster');
  await roster.selectOption('Ines Korvald');
  await roster.selectOption('Tomas Ekrem');
  await page.getByRole('button', { name: 'Save the day' }).click();
  await expect(page.getByText('Bench day for revision 3 is saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText(/^Done at \d\d:\d\d\. There is no way to be done/)).toBeVisible({
    timeout: 90_000,
  });
  await expect(page.getByRole('img', { name: /sets by 2 people, done at/ })).toBeVisible();
  const ines = page.getByRole('region', { name: 'Ines Korvald' });
  const first = ines.getByRole('listitem').first();
  const name = (await first.getByRole('link').textContent()) ?? '';
  const when = /\d\d:\d\d to \d\d:\d\d/.exec((await first.textContent()) ?? '')?.[0];
  await first.getByRole('button', { name: `Begin ${name}` }).click();
  await expect(first).toContainText('under way');
  await page.getByRole('button', { name: 'Work out the rest anew' }).click();
  await expect(page.getByText(/^Done at/)).toBeVisible({ timeout: 90_000 });
  await expect(ines.getByRole('listitem').filter({ hasText: name })).toContainText(`${when}`);
  await ines.getByRole('button', { name: `Done ${name}`, exact: true }).click();
  await expect(ines.getByRole('listitem').filter({ hasText: name })).toContainText('done');
  await expect(page.getByText('not sent yet')).toHaveCount(0);
  await open(page, `${path}/rollout`);
  await expect(
    page
      .getByRole('list', { name: 'Sets' })
      .getByRole('listitem')
      .filter({ has: page.getByRole('link', { name, exact: true }) }),
  ).toContainText('up to date, at 3');
});

test.describe('a member', () => {
  test.use({ role: 'member' });
  test('sees their own sets and what was published, and says of their own that it is done', async ({
    page,
  }) => {
    const path = await planPath(page);
    await open(page, `${path}/rollout`);
    await expect(page.getByText('Your sets')).toBeVisible();
    await expect(page.getByLabel(/^Choose/)).toHaveCount(0);
    await page.getByRole('list', { name: 'Sets' }).getByRole('link').first().click();
    await ready(page);
    const done = page.waitForEvent('load');
    await page.getByRole('button', { name: /^It is done: / }).click();
    await done;
    await expect(
      page.getByText('Nothing to change: by what is on record this set holds what it should.'),
    ).toBeVisible();
    await open(page, `${path}/revisions`);
    await expect(page.getByRole('button', { name: /^What publishing/ })).toHaveCount(0);
    await expect(page.getByRole('button', { name: /^Withdraw/ })).toHaveCount(0);
  });
});
