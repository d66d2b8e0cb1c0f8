import { readFileSync } from 'node:fs';
import { axeFindings, expect, open, openPart, planPath, ready, test } from './support';

test('the board opens a cell to its reasons, by keys alone', async ({ page }) => {
  await open(page, `${await planPath(page)}/fit`);
  await page.locator('[id^="cell-"]').first().focus();
  // As far to the right as the pocket radio stands, however many kinds others have added.
  const titles = await page.getByRole('columnheader').allInnerTexts();
  const at = titles.findIndex((title) => title.startsWith('Pocket radio'));
  for (let i = 1; i < at; i++) await page.keyboard.press('ArrowRight');
  const reasons = page.getByRole('complementary', { name: /Reasons for Gannet Top on Pocket radio/ });
  await expect(reasons.getByText('listen only', { exact: true })).toBeVisible();
  await expect(reasons.getByText('it cannot send on the repeater’s input, 467.5750 MHz')).toBeVisible();
  await expect(reasons.getByText('Pressing talk goes out on 462.5750 MHz')).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('complementary', { name: /Kelp Stairs on Pocket radio/ })).toBeVisible();
});

test('kinds open to units, and rows can be narrowed to a verdict', async ({ page }) => {
  await open(page, `${await planPath(page)}/fit`);
  await page.getByRole('button', { name: /^Pocket radio/ }).click();
  await expect(page.getByRole('columnheader', { name: /^Neighbour 1 / })).toBeVisible();
  // Only what some set can do in full: the weather, which all only hear, is not among it. The table draws what is in sight.
  const toTheEnd = () =>
    page
      .getByRole('table')
      .evaluate((table) => table.parentElement?.scrollTo(0, table.parentElement.scrollHeight));
  await toTheEnd();
  await expect(page.getByRole('rowheader', { name: /Weather 162.550/ })).toBeVisible();
  for (const word of ['adapted', 'listen only', 'not possible', 'unknown'])
    await page.getByRole('button', { name: new RegExp(`^${word} `) }).click();
  await toTheEnd();
  await expect(page.getByRole('rowheader', { name: /Tent line/ })).toBeVisible();
  await expect(page.getByRole('rowheader', { name: /Weather/ })).toHaveCount(0);
});

test('a device’s sheet is proven, complete, and takes a person’s word', async ({ page }) => {
  const path = await planPath(page);
  await open(page, `${path}/sheets`);
  await expect(page.getByText('not proven')).toHaveCount(0);
  await page.getByRole('link', { name: /^Neighbour 1 / }).click();
  await expect(page.getByRole('heading', { name: 'Neighbour 1' })).toBeVisible();
  await expect(page.getByText('rehearsed', { exact: true })).toBeVisible();
  for (const part of [
    'Hazards',
    'Before you start',
    'What will be overwritten',
    'Do not press talk here',
    'Steps',
    'Read back',
    'Not on this set',
  ])
    await expect(page.getByRole('heading', { name: part, exact: true })).toBeVisible();
  // Boat crews, 82.5 Hz, is code 6 of this set; nobody has looked at it, so its code is turned until it shows.
  const step = page.getByRole('listitem').filter({ hasText: 'Turn to code 6.' }).last();
  await expect(step).toContainText('hold 1.2 s');
  await expect(step).toContainText('until CODE >6<');
  await expect(page.getByText('Nobody has looked at all that it changes')).toBeVisible();
  await expect(step).toContainText('CODE >6<');
  await ready(page);
  await page.getByRole('button', { name: 'Add my word' }).click();
  await expect(page.getByText('Write who saw it')).toBeVisible();
  await page.getByRole('textbox', { name: 'Who' }).fill('Signe Aldane');
  await page.getByRole('button', { name: 'Add my word' }).click();
  await expect(page.getByText('confirmed on a real set', { exact: true })).toBeVisible();
  await expect(page.getByText(/by Signe Aldane on/)).toBeVisible();
});

test('the sheet prints without the desk around it, on A4 and Letter', async ({ page }) => {
  await open(page, `${await planPath(page)}/sheets`);
  await page.getByRole('link', { name: /^Watch 1 / }).click();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation')).toBeHidden();
  await expect(page.getByRole('textbox', { name: /Entry line/ })).toBeHidden();
  await expect(page.getByText(/Watch 1 · Page hand-held · Ostrel plan, revision 3/)).toBeVisible();
  for (const format of ['A4', 'Letter'] as const)
    expect((await page.pdf({ format })).length).toBeGreaterThan(20_000);
});

test('a new device gets its fit and sheet; a removed one can be taken back', async ({ page }) => {
  const path = await planPath(page);
  await open(page, `${path}/devices`);
  await page.getByRole('button', { name: 'Add device' }).click();
  await expect(page.getByText('Give the device a nickname')).toBeVisible();
  await page.getByLabel('Nickname').fill('Tailgate 1');
  await page.getByRole('button', { name: 'Add device' }).click();
  await expect(page.getByRole('link', { name: 'Tailgate 1', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Delete Tailgate 1' }).click();
  await expect(page.getByRole('link', { name: 'Tailgate 1', exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Tailgate 1', exact: true })).toBeVisible();
  await ready(page);
  await page.getByLabel(/Bring in a description file/).setInputFiles({
    name: 'radio.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"umbrex/description@1","id":"x"}'),
  });
  await expect(page.getByText('Nothing was taken in.')).toBeVisible();
});

test('a set whose keys nobody has described gets a card of values, in its own words, and in the order of its way of loading', async ({
  page,
}) => {
  const path = await planPath(page);
  const unit = (descriptionId: string, nickname: string) => ({
    id: crypto.randomUUID(),
    descriptionId,
    nickname,
    holder: '',
    serial: '',
    firmware: 'unknown',
  });
  // The plain hand-held as somebody describes their own one, who does not know how its keys work.
  const described = await (await page.request.get('/api/descriptions/plain-handheld')).json();
  const { behaviour: _, recipes: __, ...bare } = { ...described, id: 'plain-own', title: 'Plain, mine' };
  expect((await page.request.post('/api/descriptions', { data: bare })).status()).toBe(201);
  for (const made of [unit('plain-own', 'Plain 1'), unit('retired-portable', 'Old 1')])
    expect((await page.request.post('/api/units', { data: { value: made } })).status()).toBe(201);
  await open(page, `${path}/sheets`);
  await page.getByRole('link', { name: /^Plain 1 .*steps not known/ }).click();
  await expect(page.getByText('steps not known', { exact: true })).toBeVisible();
  const kelp = page
    .locator('div', { has: page.getByRole('heading', { name: /^Kelp Stairs: number 27, label 27R/ }) })
    .last();
  await expect(kelp).toContainText('Send CTCSS 131.8');
  await expect(kelp).toContainText('Send DCS OFF');
  expect(await axeFindings(page)).toEqual([]);
  await open(page, `${path}/sheets`);
  await page.getByRole('link', { name: /^Old 1 / }).click();
  await expect(page.getByText('Read back into a new file, and compare.')).toBeVisible();
  // The data file goes out; a set that gives it back as it was is right, one that lost something is told place by place.
  await ready(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the data file' }).click();
  const file = JSON.parse(readFileSync(await (await download).path(), 'utf8'));
  const bring = (memory: object) =>
    page.getByLabel('Bring what was read back').setInputFiles({
      name: 'back.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(memory)),
    });
  await bring(file);
  await expect(page.getByText(/The set holds what it shall: \d+ places, no difference/)).toBeVisible();
  file.slots[0].values.tx = '254.1';
  await bring(file);
  await expect(page.getByText('One value differs')).toBeVisible();
  await expect(page.getByRole('row', { name: /Encode/ })).toContainText('254.1');
  await bring({ ...file, descriptionId: 'bank-scanner' });
  await expect(page.getByText('of bank-scanner, not of retired-portable')).toBeVisible();
});

test('what a set holds of its own is seen, kept or let go before its sheet is ready', async ({ page }) => {
  const plan = await planPath(page);
  await open(page, `${plan}/devices`);
  await page.getByRole('link', { name: 'Watch 2: what it holds: not looked' }).click();
  await ready(page);
  await expect(page.getByText('Nobody has looked what it holds.')).toBeVisible();
  await page.getByText('Say what it holds now').click();

  // A file of another kind of set, and one with what this kind cannot hold, are refused by path.
  const take = (document: object) =>
    page.getByLabel('Bring a file that was read from the set').setInputFiles({
      name: 'read.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify({ format: 'umbrex/memory@1', ...document })),
    });
  await take({ descriptionId: 'pocket-radio', slots: [] });
  await expect(page.getByRole('alert')).toContainText('of pocket-radio, not of page-handheld');
  await take({
    descriptionId: 'page-handheld',
    slots: [{ number: 5, label: 'R5', values: { txTone: '99.9' } }],
  });
  await expect(page.getByRole('alert')).toContainText('/slots/0/values/txTone');

  // By hand, place by place: a tone of the holder's own on a pair that the plan sets too.
  await page.getByLabel('Memory number').fill('5000');
  await expect(page.getByText('This kind of set has no such number.')).toBeVisible();
  await page.getByLabel('Memory number').fill('5');
  await page.getByLabel('Transmit tone').selectOption('100.0');
  await page.getByRole('button', { name: 'Write down R5' }).click();
  await expect(page.getByRole('heading', { name: 'One place of its own would go' })).toBeVisible();
  await ready(page);
  await expect(page.getByText('As it was read on')).toBeVisible();

  await page.getByRole('link', { name: 'Its sheet' }).click();
  await expect(page.getByRole('alert')).toContainText('One place holds something of the holder’s own');
  await expect(page.getByRole('button', { name: /Print/ })).toHaveCount(0);
  await page.getByRole('alert').getByRole('link', { name: 'what Watch 2 holds' }).click();
  await ready(page);
  expect(await axeFindings(page)).toEqual([]);
  await page.getByRole('checkbox', { name: 'all of them' }).check();
  await page.getByRole('button', { name: 'Let it go' }).click();
  await expect(page.getByRole('heading', { name: 'One place of its own would go' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Its sheet' }).click();
  await expect(page.getByRole('button', { name: /Print/ })).toBeVisible();

  // Another change of the device leaves what was read of it.
  await open(page, `${plan}/devices`);
  await page.getByRole('button', { name: 'Change Watch 2' }).click();
  await page.getByLabel('Accessories').fill('second antenna');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Watch 2 is saved.')).toBeVisible();
  await page.getByRole('link', { name: 'Watch 2: holds what was read' }).click();
  await expect(page.getByText('As it was read on')).toBeVisible();
  await page.getByRole('link', { name: 'Its sheet' }).click();
  await expect(page.getByRole('button', { name: /Print/ })).toBeVisible();

  // Once the steps are done there is nothing left to do.
  await page.goBack();
  await ready(page);
  await page.getByText('Say what it holds now').click();
  await page.getByRole('button', { name: 'Its sheet is done: it holds that now' }).click();
  await expect(page.getByText(/^Its sheet was done on/)).toBeVisible();
  await page.getByRole('link', { name: 'Its sheet' }).click();
  await expect(
    page.getByText('Nothing to change: by what is on record this set holds what it should.'),
  ).toBeVisible();
  await page.goBack();
  await ready(page);
  await page.getByText('Say what it holds now').click();
  await page.getByRole('button', { name: 'It is as the factory left it' }).click();
  await expect(page.getByText(/As the factory left it, seen/)).toBeVisible();
});

test('a set that nobody looked at can begin with a reset, once its holder agreed, and is known afterwards', async ({
  page,
}) => {
  const plan = await planPath(page);
  await open(page, `${plan}/sheets`);
  const sheet = page.getByRole('link', { name: /^Neighbour 3 / });
  await expect(sheet).toContainText('not looked: sets every value');
  await sheet.click();
  await ready(page);
  await expect(page.getByText('Tried on 20 made-up memories, from every mode.')).toBeVisible();
  await page.getByText(/^It could begin with a reset/).click();
  const begin = page.getByRole('button', { name: 'Begin with a reset' });
  await expect(begin).toBeDisabled();
  expect(await axeFindings(page)).toEqual([]);
  await page.getByLabel(/^Its holder agrees that everything in it goes/).check();
  await begin.click();
  await expect(page.getByText('It begins with a reset, to which its holder agreed')).toBeVisible();
  await expect(page.getByText('Hold until it asks CLEAR')).toBeVisible();
  await ready(page);
  // Done, all of it is known, and there is nothing left to do.
  await page.getByRole('link', { name: 'What Neighbour 3 holds' }).click();
  await ready(page);
  await page.getByText('Say what it holds now').click();
  await page.getByRole('button', { name: 'Its sheet is done: it holds that now' }).click();
  await expect(page.getByText(/^Its sheet was done on/)).toBeVisible();
  await page.getByRole('link', { name: 'Its sheet' }).click();
  await expect(
    page.getByText('Nothing to change: by what is on record this set holds what it should.'),
  ).toBeVisible();
  await expect(page.getByText(/^On record: loaded with /)).toBeVisible();
});

test('two devices are held side by side, with only what they do differently', async ({ page }) => {
  await open(page, `${await planPath(page)}/fit`);
  await page.getByLabel('Hold side by side').selectOption('Page hand-held');
  await page.getByRole('combobox', { name: 'and', exact: true }).selectOption('Plain hand-held, sends on 30');
  await expect(page.getByRole('columnheader')).toHaveCount(3);
  const count = async () =>
    Number(
      /^(\d+) of/.exec(
        (await page.getByRole('status').filter({ hasText: 'channels come out differently' }).textContent()) ??
          '',
      )?.[1],
    );
  const inWhatTheyDo = await count();
  // One hears the weather in its factory places, the other not at all.
  await page
    .getByRole('table')
    .evaluate((table) => table.parentElement?.scrollTo(0, table.parentElement.scrollHeight));
  await expect(page.getByRole('row', { name: /Weather 162\.550/ })).toBeVisible();
  await page.getByLabel('also another place or name').check();
  await expect.poll(count).toBeGreaterThan(inWhatTheyDo);
  await page.getByLabel('Hold side by side').selectOption('no two devices');
  await expect(page.getByRole('columnheader', { name: /Pocket radio/ })).toBeVisible();
});

test('somebody whose licence ended: People, the board and the sheet say that their set only listens, and where it can send all the same', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/people`);
  const lena = page
    .getByRole('row', { name: /Lena Orskog/ })
    .or(page.getByRole('listitem').filter({ hasText: 'Lena Orskog' }));
  await expect(lena.first()).toContainText('Sends on 0 of 32 channels');
  await open(page, `${path}/fit`);
  await page.getByRole('button', { name: /^Kelp Stairs on Plain hand-held, sends on 30/ }).click();
  await expect(page.getByText('Of the sets of this kind: 4 may send, 2 only to listen.')).toBeVisible();
  await open(page, `${path}/sheets`);
  await page.getByRole('link', { name: /^Boat 5 / }).click();
  await expect(page.getByRole('heading', { name: 'These places can send, and must not' })).toBeVisible();
  await expect(page.getByText('1 to 22, 23R to 30R', { exact: true })).toBeVisible();
  await expect(page.getByText(/Where it may send is decided by its holder’s licences/)).toBeVisible();
});

test('a setting of the whole set is wanted alike on every set of a kind, and each sheet sets it', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/devices`);
  await page.getByText('Settings of the whole set: as each has them, Pocket radio').click();
  await page.getByLabel('Call bell').selectOption('4');
  await page.getByRole('button', { name: 'Save for every Pocket radio' }).click();
  await expect(page.getByText('The settings of every Pocket radio are saved.')).toBeVisible();
  await open(page, `${path}/sheets?of=draft`);
  await page.getByRole('link', { name: /^Neighbour 1 / }).click();
  await expect(page.getByRole('heading', { name: 'The whole set' })).toBeVisible();
  await expect(page.getByText('For the whole set, Call bell: 4')).toBeVisible();
  await open(page, `${path}/devices`);
  await page.getByText('Settings of the whole set: 1 alike for all, Pocket radio').click();
  await page.getByLabel('Call bell').selectOption('as each set has it');
  await page.getByRole('button', { name: 'Save for every Pocket radio' }).click();
  await expect(page.getByText('The settings of every Pocket radio are saved.')).toBeVisible();
});

test('settings differ by role, and the key map of each set shows them', async ({ page }) => {
  const path = await planPath(page);
  const sideKey = async (value: string) => {
    await open(page, `${path}/devices`);
    await page.getByText(/^Settings of the whole set: .*by role for Watch, Page hand-held$/).click();
    const form = page.locator('form').filter({ has: page.getByLabel('Side key, long') });
    await form.getByLabel('On sets for').selectOption('Watch');
    await form.getByLabel('Side key, long').selectOption(value);
    await form.getByRole('button', { name: 'Save for the Page hand-helds of Watch' }).click();
    await expect(page.getByText('The settings of every Page hand-held of Watch are saved.')).toBeVisible();
  };
  const mapOf = async (nickname: string) => {
    await open(page, `${path}/sheets?of=draft`);
    await page.getByRole('link', { name: new RegExp(`^${nickname} `) }).click();
    await expect(page.getByRole('heading', { name: nickname })).toBeVisible();
    return page.getByRole('listitem').filter({ hasText: 'set under Side key, long' });
  };
  await sideKey('ALARM');
  await expect(await mapOf('Watch 1')).toContainText('Back: switch the set off at once');
  await expect(
    page.getByText('For the whole set, Side key, long: ALARM (not looked how it stands)'),
  ).toBeVisible();
  await expect(await mapOf('Watch 3')).toContainText('nobody has looked what it does');
  // A set that is given the role gets its keys.
  await open(page, `${path}/devices`);
  await page.getByRole('button', { name: 'Change Watch 3' }).click();
  await page.getByLabel('Set up for').selectOption('Watch');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Watch 3 is saved.')).toBeVisible();
  await expect(await mapOf('Watch 3')).toContainText('sounds and sends an alarm');
  await sideKey('SCAN');
});

test('names are left for another day on every set of a kind, and written on one all the same; a radio check names who can answer', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/devices`);
  const naming = page.getByLabel('Names on displays, every Guided hand-held');
  await naming.selectOption('left for another day');
  await expect(page.getByText('What is said of names on every Guided hand-held is saved.')).toBeVisible();
  await open(page, `${path}/sheets?of=draft`);
  await page.getByRole('link').filter({ hasText: 'Guided hand-held' }).first().click();
  await expect(page.getByText('The plan says: left for another day.')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Name of / })).toHaveCount(0);
  await ready(page);
  await page.getByLabel('Names on this set').selectOption('written last, once all places work');
  await page.getByRole('button', { name: 'Set it so' }).click();
  await expect(page.getByText(/^Names come last and take \d+ of \d+ presses/)).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Name of / }).first()).toBeVisible();
  const calls = page.getByRole('listitem').filter({ hasText: /Call (direct|through)/ });
  await expect(calls).toHaveCount(2);
  await expect(calls.first()).toContainText(/Call direct on .+, place \d+\. With .+ or .+, within sight/);
  // Two repeaters share that pair: it is the one that the tone opens.
  await expect(calls.last()).toContainText(/Call through Kelp Stairs, place \d+\. With /);
});

test('a group is left off a kind on the board, and carried by one set of it all the same; the sheets say so', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, `${path}/fit`);
  await page.getByRole('button', { name: /^Gannet Top on Bank hand-held: / }).click();
  const reasons = page.getByRole('complementary', { name: /Reasons for Gannet Top on Bank hand-held/ });
  await reasons.getByText('Groups on every Bank hand-held: all').click();
  // It shows what is saved.
  await reasons.getByRole('checkbox', { name: 'Repeaters' }).click();
  await expect(page.getByText('The plan is saved.')).toBeVisible();
  await expect(reasons.getByText('not carried', { exact: true })).toBeVisible();
  await expect(reasons).toContainText('This kind of set does not carry the channel’s group.');
  const sheetOf = async () => {
    await open(page, `${path}/sheets?of=draft`);
    const link = page.getByRole('link').filter({ hasText: 'Bank hand-held' }).first();
    await link.click();
    await page.waitForURL(/\/sheets\/[0-9a-f-]+\?of=draft$/);
    return (await page.getByRole('heading', { level: 1 }).textContent())?.trim() ?? '';
  };
  const nickname = await sheetOf();
  await expect(
    page.getByText(
      'Carries Visiting, Direct, Doorstep, Listen, Weather, not Repeaters, as is said of its kind.',
    ),
  ).toBeVisible();
  await expect(page.getByRole('heading', { name: /Gannet Top/ })).toHaveCount(0);
  await open(page, `${path}/devices`);
  await page.getByRole('button', { name: `Change ${nickname}`, exact: true }).click();
  await page.getByText(`Groups on ${nickname}: Visiting, Direct, Doorstep, Listen, Weather`).click();
  await page
    .getByRole('group', { name: `Groups on ${nickname}` })
    .getByLabel('Repeaters')
    .click();
  await expect(page.getByText(`What ${nickname} carries is saved.`)).toBeVisible();
  await sheetOf();
  await expect(page.getByText(/^Carries .* as is said of this set\./)).toBeVisible();
  // The plan names both, and says all again.
  await open(page, path);
  await openPart(page, 'Groups');
  await page.getByText(/^Groups that sets carry: not all on/).click();
  for (const of of [nickname, 'every Bank hand-held']) {
    await page.getByText(new RegExp(`^Groups on ${of}: `)).click();
    await page
      .getByRole('group', { name: `Groups on ${of}` })
      .getByRole('button')
      .click();
  }
  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByText('The plan is saved.')).toBeVisible();
  await sheetOf();
  await expect(page.getByText(/^Carries /)).toHaveCount(0);
});
