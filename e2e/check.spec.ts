import { entry, expect, open, planPath, row, test } from './support';

test('the check finds a classic mistake and mends it with one click, which can be undone', async ({
  page,
}) => {
  const path = await planPath(page);
  await open(page, path);
  await entry(page).fill('Swan Point 462.6625 direct rx 82.5');
  await page.keyboard.press('Enter');
  await expect(row(page, 'Swan Point')).toBeVisible();
  await open(page, `${path}/check`);
  const finding = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: 'Swan Point' }) });
  await expect(finding.filter({ hasText: 'nobody sends it' })).toBeVisible();
  await finding.getByRole('button', { name: 'Leave the receive tone off' }).click();
  await expect(finding.filter({ hasText: 'nobody sends it' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(finding.filter({ hasText: 'nobody sends it' })).toBeVisible();
});
