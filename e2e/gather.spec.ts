import { connect } from 'node:net';
import { Fleet } from '../scripts/fleet';
import { axeFindings, entry, expect, open, planPath, ready, test } from './support';

test('people: added, changed with a licence, found, and a wrong place is said at once', async ({ page }) => {
  await open(page, `${await planPath(page)}/people`);
  await page.getByLabel('Somebody new').fill('Kari Fell');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Kari Fell' })).toBeVisible();
  await page.getByRole('button', { name: 'Add a licence' }).click();
  await page.getByLabel('Ends on').fill('2034-01-31');
  await page.getByLabel(/Usual place/).fill('somewhere');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByLabel(/Usual place/)).toHaveAccessibleDescription(/latitude, longitude/);
  await expect(page.getByLabel(/Usual place/)).toBeFocused();
  await page.getByLabel(/Usual place/).fill('41.2837, -38.5012');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Kari Fell is saved.')).toBeVisible();
  await page.reload();
  await ready(page);
  await page.getByLabel('Find').fill('kari');
  await page.getByRole('button', { name: /^Kari Fell/ }).click();
  await expect(page.getByLabel(/Usual place/)).toHaveValue('41.28, -38.5');
  await expect(page.getByLabel('Ends on')).toHaveValue('2034-01-31');
});

test('two windows on one person: both versions, field by field, and mine over it', async ({
  page,
  context,
}) => {
  const path = `${await planPath(page)}/people`;
  const other = await context.newPage();
  for (const window of [page, other]) {
    await open(window, path);
    await window.getByRole('button', { name: /^Greta Sund/ }).click();
  }
  await other.getByLabel('Contact').fill('by the pier');
  await other.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(other.getByText('Greta Sund is saved.')).toBeVisible();
  await page.getByLabel('Contact').fill('by the mill');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Changed meanwhile' });
  await expect(dialog.getByRole('row', { name: /contact/i })).toContainText('by the pier');
  await expect(dialog.getByRole('row', { name: /contact/i })).toContainText('by the mill');
  await dialog.getByRole('button', { name: 'Save mine over it' }).click();
  await expect(page.getByText('Greta Sund is saved.')).toBeVisible();
  await expect(page.getByLabel('Contact')).toHaveValue('by the mill');
  await other.close();
});

test('a table is pasted, its columns matched, bad lines named, and then all of it comes in', async ({
  page,
}) => {
  await open(page, `${await planPath(page)}/people`);
  await page.getByRole('button', { name: 'Bring in a table' }).click();
  const dialog = page.getByRole('dialog', { name: 'A table of people' });
  const table = dialog.getByLabel('The table as text');
  const head = 'Full name\tE-mail\tLicense\tTeam\n';
  const good = 'Siv Marrow\tsiv@ostrel.example\tgmrs own 2033-04-30\tWatch\nAda Brunlow\t\t\t\n';
  await table.fill(`${head}${good}Tor Lund\t\tpilot\tDivers\n`);
  await expect(dialog.getByText('1 can be brought in, 1 are there already, 1 cannot.')).toBeVisible();
  await expect(dialog.getByText('Line 4, Teams: “Divers”')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Bring in 1' })).toBeDisabled();
  // What cannot be taken is settled where it stands, cell by cell, or taken out.
  await dialog.getByRole('textbox', { name: 'Teams of line 4' }).fill('Watch');
  await dialog.getByRole('button', { name: 'Take this as Teams of line 4' }).click();
  await expect(dialog.getByText('Line 4, Teams: “Divers”')).toHaveCount(0);
  await expect(dialog.getByRole('textbox', { name: 'Licences of line 4' })).toHaveValue('pilot');
  await dialog.getByRole('button', { name: 'Leave it empty as Licences of line 4' }).click();
  await expect(dialog.getByText('2 can be brought in, 1 are there already.')).toBeVisible();
  expect(await axeFindings(page)).toEqual([]);
  await table.fill(`${head}${good}Tor Lund\t\tpilot\tDivers\n`);
  await dialog.getByRole('button', { name: 'Take line 4 out' }).click();
  await dialog.getByRole('button', { name: 'Bring in 1' }).click();
  await expect(page.getByRole('button', { name: /^Siv Marrow/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Tor Lund/ })).toHaveCount(0);
});

test('several people at once, and it is in the history with a way back', async ({ page }) => {
  const path = await planPath(page);
  await open(page, `${path}/people`);
  for (const name of ['Osk Brandel', 'Piet Halvard']) await page.getByLabel(`Choose ${name}`).check();
  await page.getByLabel('For 2 people').selectOption({ label: 'Ferry' });
  await page.getByRole('button', { name: 'Into the team' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Osk Brandel' }).first()).toContainText('Ferry');
  await open(page, `${path}/history`);
  const first = page.getByRole('listitem').filter({ hasText: 'Piet Halvard' }).first();
  await expect(first).toContainText('Ines Korvald');
  await expect(first).toContainText('teams');
  await first.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText('undoing an edit').first()).toBeVisible();
  await open(page, `${path}/people`);
  await expect(page.getByRole('listitem').filter({ hasText: 'Piet Halvard' }).first()).not.toContainText(
    'Ferry',
  );
});

test('a station: a second word on its tone stands beside the first, and is taken back', async ({ page }) => {
  await open(page, `${await planPath(page)}/stations`);
  await page
    .getByRole('button', { name: /^Kelp Stairs/ })
    .first()
    .click();
  await page.getByLabel('One more fact').selectOption({ label: 'input tone (you send it)' });
  await page.getByLabel('Value').fill('127.3');
  await page.getByLabel('Who says so').fill('a visitor');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/^Sources disagree on the input tone.*127\.3.* or .*131\.8/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Kelp Stairs/ }).first()).toContainText('question');
  // Undoing loads the page anew.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('a visitor')).toHaveCount(0);
});

test('the map moves with its list, and by keys', async ({ page }) => {
  await open(page, `${await planPath(page)}/map`);
  const drawing = page.getByRole('group', { name: /^Map of the stations/ });
  const at = () => drawing.locator('> g').getAttribute('transform');
  const before = await at();
  await drawing.focus();
  await page.keyboard.press('+');
  await page.keyboard.press('ArrowRight');
  await expect.poll(at).not.toBe(before);
  await page.keyboard.press('0');
  await expect.poll(at).toBe(before);
  await page.getByRole('button', { name: /^Kelp Stairs/ }).click();
  await expect(drawing.locator('.map-claim-chosen')).toHaveCount(1);
  await page.getByRole('link', { name: 'What is said of it' }).click();
  await expect(page.getByRole('heading', { name: 'Kelp Stairs' })).toBeVisible();
});

test('a holder tells of their own set by link, and the coordinator confirms it', async ({
  page,
  browser,
  baseURL,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/team`);
  await page.getByLabel('Name').fill('Unn Tarn');
  await page.getByLabel('For what').selectOption('enrol');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link =
    (await page
      .getByText(/\/link\/[\w-]{40,}/)
      .first()
      .textContent()) ?? '';
  const theirs = await (await browser.newContext({ ...(baseURL && { baseURL }) })).newPage();
  await open(theirs, new URL(link.trim()).pathname);
  await expect(theirs.getByText('Hello Unn Tarn.')).toBeVisible();
  await theirs.getByRole('button', { name: /Send/ }).click();
  await expect(theirs.getByRole('alert')).toContainText(
    'Still to say: which one yours is, its serial number.',
  );
  await theirs.getByRole('radio', { name: /^None of these/ }).check();
  await theirs.getByLabel('What is written on it?').fill('Quayside 5');
  await theirs.getByLabel('Which one is it most like?').selectOption('Plain hand-held');
  await theirs.getByLabel(/^What is it certified for/).selectOption('GMRS');
  await theirs.getByLabel(/serial/i).fill('UT-0042');
  await theirs.getByLabel('Have you a licence to send?').selectOption('my own');
  await theirs.getByLabel('Call sign').fill('QZ1UT');
  expect(await axeFindings(theirs)).toEqual([]);
  await theirs.getByRole('button', { name: /Send/ }).click();
  await expect(theirs.getByText('Thank you.')).toBeVisible();
  await theirs.reload();
  await expect(theirs.getByRole('heading', { name: 'This link is not good any more' })).toBeVisible();
  await open(page, `${path}/devices`);
  await expect(page.getByText(/licence, as they wrote: their own, GMRS, call sign QZ1UT/)).toBeVisible();
  await page.getByRole('button', { name: 'Confirm Unn’s radio' }).click();
  await expect(page.getByText('Unn’s radio is saved.')).toBeVisible();
  await expect(page.getByText('UT-0042')).toBeVisible();
  await expect(page.getByRole('heading', { name: /Quayside 5/ })).toBeVisible();
});

test('a role is changed only once it is saved, and nobody is taken out by one slip', async ({ page }) => {
  await open(page, `${await planPath(page)}/team`);
  const role = page.getByLabel('Role of County office');
  await role.selectOption('member');
  await expect(page.getByRole('button', { name: 'Save County office' })).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(role).toHaveValue('observer');
  await role.selectOption('member');
  const save = async () => {
    // Once it is saved, the page is shown anew.
    await Promise.all([
      page.waitForEvent('load'),
      page.getByRole('button', { name: 'Save County office' }).click(),
    ]);
    await ready(page);
  };
  await save();
  await expect(page.getByRole('button', { name: 'Save County office' })).toHaveCount(0);
  await role.selectOption('observer');
  await save();
  const line = page.getByRole('listitem').filter({ hasText: 'County office' }).first();
  await line.getByRole('button', { name: 'Take out' }).click();
  await line.getByRole('button', { name: 'No', exact: true }).click();
  await expect(line.getByRole('button', { name: 'Take out' })).toBeVisible();
});

test('no distress or calling channel is offered for a net', async ({ page }) => {
  await open(page, `${await planPath(page)}/nets`);
  await page.getByRole('button', { name: 'Change Sunday check' }).click();
  const offered = await page
    .getByRole('combobox', { name: 'Channel', exact: true })
    .locator('option')
    .allInnerTexts();
  expect(offered).toContain('Kelp Stairs');
  expect(offered.filter((name) => /^Harbour watch|^Weather/.test(name))).toEqual([]);
});

test('who checks in to a net stands there after a reload, and stays in what was heard when a new list is begun', async ({
  page,
}) => {
  await open(page, `${await planPath(page)}/nets`);
  await page.getByLabel('Who checks in').first().fill('Ada Brunlow');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listitem').filter({ hasText: 'Ada Brunlow' }).first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole('listitem').filter({ hasText: 'Ada Brunlow' }).first()).toBeVisible();
  await ready(page);
  // One long word takes no page beyond a phone.
  await page.getByLabel('Who checks in').first().fill('x'.repeat(60));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listitem').filter({ hasText: /x{60}/ }).first()).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await page.getByRole('button', { name: 'Begin a new list' }).first().click();
  await expect(page.getByText(/of earlier lists in what was heard/).first()).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Ada Brunlow' })).toHaveCount(0);
  await open(page, `${await planPath(page)}/air/log`);
  await expect(
    page.getByRole('listitem').filter({ hasText: /Ada Brunlow.*checked in to Sunday check/ }),
  ).toBeVisible();
});

test('each row of Today leads to where it is done', async ({ page }) => {
  await open(page, '/');
  await expect(page).toHaveURL(/\/today$/);
  await expect(page.getByText('call the emergency number first')).toBeVisible();
  await page.getByRole('link', { name: 'Ferry Landing' }).first().click();
  await expect(page.getByRole('heading', { name: 'Ferry Landing' })).toBeVisible();
});

test.describe('a member', () => {
  test.use({ role: 'member' });
  test('sees the plan and their own sets, and no way to change what is the group’s', async ({ page }) => {
    const path = await planPath(page);
    await open(page, `${path}/devices`);
    await expect(page.getByRole('link', { name: 'Watch 3', exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Watch 1' })).toHaveCount(0);
    await expect(page.getByRole('button', { name: /^(Delete|Change) / })).toHaveCount(0);
    await expect(page.getByRole('link', { name: 'People' })).toHaveCount(0);
    await open(page, path);
    await expect(entry(page)).toHaveCount(0);
    await page.goto(`${path}/people`);
    await expect(page.getByRole('heading', { name: 'Not for your role' })).toBeVisible();
  });
});

test.describe('somebody who is not signed in', () => {
  test.use({ role: null });
  test('signs in with the demo, where they wanted to go, and out again', async ({ page }) => {
    await page.goto('/');
    await ready(page);
    await page.getByLabel('Sign-in name').fill('ines');
    await page.getByLabel('Password').fill('not this one');
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(page.getByRole('alert')).toHaveText('The name or the password is not right.');
    await page.getByRole('button', { name: /^Tomas Ekrem/ }).click();
    await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
    await ready(page);
    await page.getByText('Tomas Ekrem, editor').click();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page).toHaveURL(/sign-in/);
  });
});

test('before the first account nobody gets in by another name or through a proxy; with the word one can make it', async ({
  browser,
}) => {
  const fleet = await Fleet.make(false);
  try {
    const { url } = await fleet.serve({ UMBREX_FIRST_WORD: 'kelp-and-gannet' });
    const port = Number(new URL(url).port);
    const says = (head: string) =>
      new Promise<string>((resolve, reject) => {
        const socket = connect(port, '127.0.0.1', () =>
          socket.write(`GET / ${head}\r\nConnection: close\r\n\r\n`),
        );
        let text = '';
        socket.on('data', (part) => {
          text += String(part);
        });
        socket.on('end', () => resolve(/^location: (.*)$/im.exec(text)?.[1]?.trim() ?? text.slice(0, 40)));
        socket.on('error', reject);
      });
    expect(await says(`HTTP/1.1\r\nHost: localhost:${port}`)).toMatch(/^\/plans\//);
    for (const head of [
      'HTTP/1.1\r\nHost: evil.example',
      `HTTP/1.0\r\nHost: 127.0.0.1:${port}`,
      `HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nX-Forwarded-For: 192.0.2.7`,
    ])
      expect(await says(head)).toMatch(/^\/sign-in/);

    const context = await browser.newContext({ baseURL: url, extraHTTPHeaders: { via: '1.1 proxy' } });
    const page = await context.newPage();
    await open(page, '/');
    await page.getByRole('link', { name: 'Make the first one' }).click();
    await ready(page);
    expect(await axeFindings(page)).toEqual([]);
    await page.getByLabel('Name of your group').fill('Fell Watch');
    await page.getByLabel('Your name').fill('Ines Korvald');
    await page.getByLabel('A name to sign in with').fill('ines');
    await page.getByLabel('A password').fill('wind over the fell');
    await page.getByLabel('The word').fill('gannet-and-kelp');
    await page.getByRole('button', { name: 'Make the account' }).click();
    await expect(page.getByRole('alert')).toContainText('That is not the word');
    await page.getByLabel('The word').fill('kelp-and-gannet');
    await page.getByRole('button', { name: 'Make the account' }).click();
    await expect(page.getByText('Fell Watch')).toBeAttached();
    await open(page, '/first');
    await expect(page).toHaveURL(/sign-in/);
    await context.close();
  } finally {
    await fleet.end();
  }
});

test('from nothing to a first sheet on one’s own machine, by keys, with no account in the way; then the first account', async ({
  browser,
}) => {
  const fleet = await Fleet.make(false);
  try {
    const { url } = await fleet.serve();
    const page = await (
      await browser.newContext({ baseURL: url, viewport: { width: 390, height: 844 } })
    ).newPage();
    await open(page, '/');
    await expect(page.getByRole('heading', { name: 'To a first sheet in five minutes' })).toBeVisible();
    // Whose rules apply is asked first: nothing may be sent on until then.
    const again = page.waitForEvent('load');
    await page.getByLabel('Whose rules').selectOption('United States');
    await again;
    await ready(page);
    await page.keyboard.press('/');
    await page.keyboard.type('Kelp Stairs 462.650 rpt in 131.8 out 131.8');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Kelp Stairs is in the plan.')).toBeVisible();
    await open(page, '/');
    await page.getByRole('link', { name: 'To the devices' }).press('Enter');
    await ready(page);
    await page.getByLabel('Kind of device').selectOption({ label: 'Page hand-held' });
    await page.getByLabel('Nickname').fill('Mine');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('link', { name: 'Mine', exact: true })).toBeVisible();
    await open(page, '/');
    await page.getByRole('link', { name: 'To the sheet' }).press('Enter');
    await expect(page.getByRole('heading', { name: 'Mine' })).toBeVisible();
    await expect(page.getByText('rehearsed', { exact: true })).toBeVisible();
    await open(page, page.url().replace(/sheets.*/, 'account'));
    await page.getByLabel('Name of your group').fill('Fell Watch');
    await page.getByLabel('Your name').fill('Ines Korvald');
    await page.getByLabel('A name to sign in with').fill('ines');
    await page.getByLabel('A password').fill('wind over the fell');
    await page.getByRole('button', { name: /Make/ }).click();
    await expect(page.getByText('Fell Watch')).toBeAttached();
    const stranger = await (await browser.newContext({ baseURL: url })).newPage();
    await stranger.goto('/');
    await expect(stranger).toHaveURL(/sign-in/);
    await expect(stranger.getByText('The demo')).toHaveCount(0);
    // No tile server: where the island's relief is not, the map draws the counties of the country.
    const id = crypto.randomUUID();
    const site = { latitudeDeg: 39.1, longitudeDeg: -98.2 };
    const made = await page.request.post('/api/stations', {
      data: { value: { id, kind: 'repeater', name: 'Mid', site } },
    });
    expect(made.status()).toBe(201);
    await open(page, page.url().replace(/today.*/, 'map'));
    await expect(page.locator('.map-county')).toHaveAttribute('d', /^M.{1000}/);
  } finally {
    await fleet.end();
  }
});

test('a list to print masks what is for members only, unless a member asks for all', async ({ page }) => {
  const path = await planPath(page);
  const state = await (await page.request.get(`/api${path}`)).json();
  const channel = state.plan.channels.find(({ name }: { name: string }) => name === 'Boat crews');
  const saved = await page.request.put(`/api/channels/${channel.id}`, {
    data: { version: state.channelVersions[channel.id], value: { ...channel, tonesSecret: true } },
  });
  expect(saved.status()).toBe(200);
  await open(page, `${path}/list`);
  const line = page.getByRole('row', { name: /^Boat crews/ });
  await expect(line).toContainText('not known');
  await expect(line).not.toContainText('82.5');
  await page.getByRole('link', { name: /for members/ }).click();
  await expect(line).toContainText('82.5 Hz');
  await page.request.post(`/api/edits/${(await saved.json()).editId}/undo`, { data: {} });
});

test('script in every text that is kept runs nowhere', async ({ page }) => {
  const path = await planPath(page);
  const nasty = '<img src=x onerror="window.hit=1">';
  const state = await (await page.request.get(`/api${path}`)).json();
  const [channel] = state.plan.channels;
  const id = () => crypto.randomUUID();
  const made: readonly (readonly [string, object])[] = [
    [
      `/api${path}/channels`,
      { value: { ...channel, id: id(), name: nasty.slice(0, 38), note: nasty, aliases: [nasty] } },
    ],
    ['/api/people', { value: { id: id(), name: nasty, contact: nasty, note: nasty } }],
    ['/api/teams', { value: { id: id(), name: nasty, note: nasty } }],
    [
      '/api/stations',
      {
        value: {
          id: id(),
          kind: 'repeater',
          name: nasty,
          note: nasty,
          site: { latitudeDeg: 41.3, longitudeDeg: -38.5 },
          facts: [{ field: 'owner', value: nasty, source: nasty, on: 'unknown' }],
        },
      },
    ],
    [
      '/api/nets',
      {
        value: {
          id: id(),
          name: nasty,
          leader: nasty,
          note: nasty,
          startsAt: '2026-12-06T19:00',
          timeZone: 'UTC',
        },
      },
    ],
    [
      '/api/units',
      {
        value: {
          id: id(),
          descriptionId: 'pocket-radio',
          nickname: nasty,
          holder: nasty,
          serial: nasty,
          firmware: 'A',
          note: nasty,
        },
      },
    ],
    ['/api/team/links', { kind: 'invite', name: nasty, role: 'observer' }],
  ];
  for (const [route, data] of made) {
    const answer = await page.request.post(route, { data });
    expect([201, 400], `${route} ${await answer.text()}`).toContain(answer.status());
  }
  let shown = 0;
  for (const view of [
    '',
    '/today',
    '/people',
    '/devices',
    '/stations',
    '/map',
    '/check',
    '/fit',
    '/sheets',
    '/nets',
    '/team',
    '/history',
    '/list',
    '/reference?q=%3Cimg%20src%3Dx%20onerror%3D%22window.hit%3D1%22%3E',
  ]) {
    await open(page, path + view);
    expect(await page.evaluate(() => 'hit' in window), view).toBe(false);
    expect(await page.locator('img[src="x"]').count(), view).toBe(0);
    if (await page.getByText('<img src=x').count()) shown++;
  }
  expect(shown).toBeGreaterThan(6);
});

test('a table is copied for a spreadsheet, changed there, and brought in again by keys alone', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await open(page, `${await planPath(page)}/devices`);
  await page.getByRole('button', { name: 'Copy for a spreadsheet' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'devices copied' })).toBeVisible();
  const [header = '', first = ''] = (await page.evaluate(() => navigator.clipboard.readText())).split('\n');
  expect(header.split('\t').slice(0, 3)).toEqual(['Nickname', 'Kind', 'Holder']);
  const row = first.split('\t').map((cell, i) => (i === 0 ? 'Spare by keys' : i === 3 ? 'KEYS-1' : cell));

  await page.getByRole('button', { name: 'Bring in a table' }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toBeVisible();
  // From here on only keys: to the text, paste it, and on to what the preview offers.
  const tabTo = async (name: RegExp) => {
    for (let i = 0; i < 60; i++) {
      const label = await page.evaluate(() => {
        const at = document.activeElement as HTMLElement | null;
        return `${at?.tagName} ${at?.getAttribute('aria-label') ?? ''} ${at?.closest('label')?.textContent ?? ''} ${at?.textContent ?? ''}`;
      });
      if (name.test(label)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`no way by Tab to ${name}`);
  };
  await tabTo(/^TEXTAREA/);
  await page.evaluate((text) => navigator.clipboard.writeText(text), `${header}\n${row.join('\t')}`);
  await page.keyboard.press('Control+V');
  await tabTo(/^BUTTON .*Bring in 1$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Spare by keys', exact: true })).toBeVisible();
});
