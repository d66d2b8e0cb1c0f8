import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { axeFindings, expect, open, planPath, ready, test } from './support';

/** Keeps a document by its link, and gives its first letters. */
async function kept(page: Page, name: string): Promise<string> {
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: new RegExp(`^Keep ${name} \\(\\d+ kB\\)$`) }).click();
  return readFileSync(await (await saved).path())
    .subarray(0, 5)
    .toString();
}

test('documents are made on the page that they are of, say how far they are, and are given up at will', async ({
  page,
}) => {
  // A packet of a whole bench day, made, and looked at by axe: minutes on a busy machine.
  test.setTimeout(300_000);
  const path = await planPath(page);
  await open(page, `${path}/list`);
  await page.getByText('As a document (PDF)').click();
  await page.getByLabel('What').selectOption('Fit board, every channel on every kind');
  await page.getByLabel('Paper').selectOption('Letter');
  await page.getByRole('button', { name: 'Make it' }).click();
  expect(await kept(page, 'board.pdf')).toBe('%PDF-');
  await page.getByLabel('What').selectOption('Keys and tones of one kind of set');
  await page.getByRole('combobox', { name: /^Kind/ }).selectOption('Page hand-held');
  await page.getByRole('button', { name: 'Make it' }).click();
  expect(await kept(page, 'kind-page-handheld.pdf')).toBe('%PDF-');
  expect(await axeFindings(page)).toEqual([]);
  await open(page, `${path}/sheets`);
  await page.getByRole('link', { name: /^Boat 4 / }).click();
  await ready(page);
  await page.getByRole('button', { name: 'The whole sheet as PDF on Letter' }).click();
  expect(await kept(page, 'sheet-Boat-4.pdf')).toBe('%PDF-');
  // A packet takes a while: it is given up, and made all the same afterwards.
  await open(page, `${path}/bench`);
  const days = page.getByRole('combobox', { name: /^Day/ });
  await days.selectOption(
    await days.locator('option', { hasText: 'Load day at the hall' }).getAttribute('value'),
  );
  await page.getByRole('link', { name: /^The packet to print/ }).click();
  await ready(page);
  await page.getByRole('button', { name: 'The packet as PDF on A4' }).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  await expect(page.getByRole('link', { name: /^Keep packet/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'The packet as PDF on A4' }).click();
  expect(await kept(page, 'packet-[\\d-]+.pdf')).toBe('%PDF-');
  expect(await axeFindings(page)).toEqual([]);
});

test('what is worked out goes out as a table; a table that was saved as JSON comes in again', async ({
  page,
}) => {
  const path = await planPath(page);
  for (const [view, rows] of [
    ['fit', 'Channel,MHz,Kind'],
    ['numbers', 'Number,Held fast,Channel'],
    ['rollout', 'Set,Kind,Holder'],
  ] as const) {
    await open(page, `${path}/${view}`);
    const saved = page.waitForEvent('download');
    await page.getByRole('link', { name: 'CSV' }).click();
    expect(readFileSync(await (await saved).path(), 'utf8')).toMatch(new RegExp(`^${rows}`));
  }
  await open(page, `${path}/people`);
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'JSON' }).click();
  const file = await (await saved).path();
  await page.getByRole('button', { name: 'Bring in a table' }).click();
  const dialog = page.getByRole('dialog', { name: 'A table of people' });
  const table = JSON.parse(readFileSync(file, 'utf8'));
  const own = [...table.rows[0]];
  own[0] = 'Runa Vesk';
  const take = (value: object | string) =>
    dialog.getByLabel('A file with the table').setInputFiles({
      name: 'people.json',
      mimeType: 'application/json',
      buffer: Buffer.from(typeof value === 'string' ? value : JSON.stringify(value)),
    });
  await take('{');
  await expect(dialog.getByRole('alert')).toContainText('This file is no JSON.');
  await take({ ...table, what: 'nets' });
  await expect(dialog.getByRole('alert')).toContainText('This is a table of nets, not of people.');
  await take({ ...table, rows: [...table.rows, own] });
  await expect(
    dialog.getByText(`1 can be brought in, ${table.rows.length} are there already.`),
  ).toBeVisible();
  await dialog.getByRole('button', { name: 'Bring in 1' }).click();
  await expect(page.getByRole('button', { name: /^Runa Vesk/ })).toBeVisible();
});
