import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { axeFindings, COLOUR_RULES, expect, inTheme, open, planPath, test, undoLast } from './support';

/** A kind of set whose keys nobody has described: what it can hold is known, how it is set is not. */
function unkeyed() {
  const {
    behaviour: _b,
    recipes: _r,
    keyMap: _k,
    ...rest
  } = JSON.parse(readFileSync('devices/page-handheld.json', 'utf8'));
  return { ...rest, id: 'my-own', title: 'My own set', keys: {}, settings: rest.settings.slice(0, 1) };
}

const item = (code: string, ...lines: string[]) =>
  ['LIST -> 21 RX FREQ', `${code} -> ${code}`, 'KEEP', ...lines, 'KEEP', 'LEAVE -> 045'].join('\n');

test('steps recorded once with a set in hand become sheets that prove; a wrong line is said where it stands', async ({
  page,
}) => {
  const path = await planPath(page);
  expect((await page.request.post('/api/descriptions', { data: unkeyed() })).status()).toBe(201);
  const unit = {
    id: randomUUID(),
    descriptionId: 'my-own',
    nickname: 'Borrowed',
    holder: '',
    serial: '',
    firmware: '1.06',
  };
  expect((await page.request.post('/api/units', { data: { value: unit } })).status()).toBe(201);

  await open(page, `${path}/devices`);
  const kind = page.locator('section').filter({ has: page.getByRole('heading', { name: /^My own set/ }) });
  await kind.getByRole('link', { name: 'Record its steps once' }).click();
  await expect(page.getByRole('heading', { name: 'Steps of the My own set' })).toBeVisible();
  await open(page, `${path}/steps/my-own`);
  await page.getByRole('textbox', { name: 'Number you went to', exact: true }).fill('45');
  await page.getByRole('textbox', { name: 'Go to that number', exact: true }).fill('046 -> 046');
  await expect(page.getByText('No line of these keys spells 45.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Go to that number', exact: true }).fill('045 -> 045');
  const slips = [
    ['Who did it', ' ', 'Write who did it.'],
    ['On', 'yesterday', 'Write the day as 2026-11-25.'],
    ['Firmware the set shows', '', 'Write the firmware as the set shows it, or unknown.'],
    ['Number it stood on', 'one', 'Write the memory number it stood on'],
    ['Number you went to', '900', 'Write the memory number you went to'],
    ['Waits for the next key, seconds', '0', 'Write whole seconds, 1 to 600, or leave it empty.'],
    ['Keys that turn the two ways', '▲', 'Write two keys with a space between, as ▲ ▼'],
  ] as const;
  for (const [title, wrong, said] of slips) {
    const box = page.getByRole('textbox', { name: title, exact: true });
    const right = await box.inputValue();
    await box.fill(wrong);
    await expect(page.getByRole('alert').filter({ hasText: said })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save the steps of the My own set' })).toBeDisabled();
    await box.fill(right);
  }
  await expect(page.getByText('The steps give back what you wrote, key by key.')).toBeVisible();
  await expect(page.getByText(/^Not recorded yet, but needed by the plan: .*Transmit tone/)).toBeVisible();

  const field = async (title: string, from: string, to: string, lines: string) => {
    const task = page.locator('details').filter({
      has: page.getByRole('textbox', { name: `Keys for ${title}`, exact: true, includeHidden: true }),
    });
    await task.locator('summary').click();
    await task.getByLabel(/^From/).fill(from);
    await task.getByLabel(/^To/).fill(to);
    await task.getByRole('textbox', { name: `Keys for ${title}`, exact: true }).fill(lines);
  };
  await field('Receive frequency', '', '462.6500', item('21', '4626500'));
  await field('Transmit shift', 'OFF', '+5.000', item('22', '▲ x2 -> +5.000'));
  await expect(page.getByText('Several of these lines could be the one that comes to +5.000.')).toBeVisible();
  await page
    .getByRole('textbox', { name: 'Keys for Transmit shift', exact: true })
    .fill(item('22', '▲ -> +5.000'));
  await field('Transmit tone', 'OFF', '82.5', item('23', '0825 -> 82.5'));
  await field('Receive tone', 'OFF', 'D023N', item('24', '#023 -> D023N'));
  await expect(page.getByText('No line of these keys spells D023N.')).toBeVisible();
  await page
    .getByRole('textbox', { name: 'Keys for Receive tone', exact: true })
    .fill(item('24', '# 023 -> D023N'));
  await field('Power', 'HIGH', 'LOW', item('25', '▲ -> LOW'));
  await field('Width', 'WIDE', 'NARROW', item('26', '▲ -> NARROW'));
  await field('Transmit forbidden', 'OFF', 'ON', item('27', '▲ -> ON'));
  await field('In the scan', 'YES', 'NO', item('29', '▲ -> NO'));
  await field(
    'Key beep, for the whole set',
    'ON',
    'OFF',
    item('41', '▲ -> OFF').replace('LEAVE -> 045', 'LEAVE -> 001'),
  );
  await page
    .getByLabel('Letters of the keys, where the name was tapped')
    .fill('1 1-/\n2 ABC2\n3 DEF3\n4 GHI4\n5 JKL5\n6 MNO6\n7 PQRS7\n8 TUV8\n9 WXYZ9\n0  0');
  await field('Name', '', 'KELP', item('28', '5 x2 3 x2 5 x3 7 -> KELP'));
  await expect(
    page.getByText(
      /A sheet for this plan has \d+ steps and \d+ presses, and comes out as planned on what was learnt\./,
    ),
  ).toBeVisible();
  await expect(page.getByText(/its sheets will say “learnt, not tried”/)).toBeVisible();
  await page.getByText('A second time, with other values').click();
  const again = page.locator('details').filter({ hasText: 'Nothing is learnt from this' }).first();
  await again.getByLabel('Number you went to then').fill('52');
  await again.getByLabel('Number it stood on then').fill('52');
  const tone = again.locator('details').filter({
    has: page.getByRole('textbox', {
      name: 'Keys for Transmit tone, the second time',
      exact: true,
      includeHidden: true,
    }),
  });
  await tone.locator('summary').click();
  await tone.getByLabel(/^From/).fill('82.5');
  await tone.getByLabel(/^To/).fill('131.8');
  const keys = item('23', '1318 -> 131.8').replace('LEAVE -> 045', 'LEAVE -> 052');
  await tone
    .getByRole('textbox', { name: 'Keys for Transmit tone, the second time', exact: true })
    .fill(keys.replace('1318 ->', '1328 ->'));
  await expect(again.getByText(/After this line the set showed “131.8”/)).toBeVisible();
  await tone
    .getByRole('textbox', { name: 'Keys for Transmit tone, the second time', exact: true })
    .fill(keys);
  await expect(page.getByText(/its sheets will say “learnt, tried on 1”/)).toBeVisible();
  expect(await axeFindings(page)).toEqual([]);
  await inTheme(page, 'watch');
  expect(await axeFindings(page, COLOUR_RULES)).toEqual([]);
  await page.getByRole('button', { name: 'Save the steps of the My own set' }).click();
  await expect(page.getByText('The steps of the My own set are saved.')).toBeVisible();

  await open(page, `${path}/steps/my-own`);
  await expect(page.getByRole('textbox', { name: 'Keys for Transmit shift', exact: true })).toHaveValue(
    item('22', '▲ -> +5.000'),
  );
  await expect(
    page.getByRole('textbox', { name: 'Keys for Key beep, for the whole set', exact: true }),
  ).toHaveValue(/^LIST -> 21 RX FREQ\n41/);
  await open(page, `${path}/sheets`);
  await page.getByRole('link', { name: /^Borrowed / }).click();
  await expect(page.getByText('learnt, tried on 1', { exact: true })).toBeVisible();
  await expect(page.getByText(/one task that was recorded a second time/)).toBeVisible();
  await expect(page.getByText(/These steps were recorded once, by .* on /)).toBeVisible();
  await expect(page.getByText('Type 462.6500.').first()).toBeVisible();

  // Taken back, the kind has no steps again, and its sheet is a card of values.
  await undoLast(page, path);
  await open(page, `${path}/devices`);
  await expect(kind.getByRole('link', { name: 'Record its steps once' })).toBeVisible();
  await page.request.delete(`/api/units/${unit.id}`, { data: { version: 1 } });
});
