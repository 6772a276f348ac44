import { expect, openDemo, test } from './support';

test('every action is found by its name, every key is listed, stations have keys', async ({ page }) => {
  await openDemo(page, 'write');
  await page.keyboard.press('Alt+4');
  await expect(page.getByRole('heading', { name: 'Check', level: 1 })).toBeVisible();
  await page.keyboard.press('Control+k');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Find an action')).toBeFocused();
  await page.keyboard.type('zzz');
  await expect(dialog.getByText('No action matches.')).toBeVisible();
  await dialog.getByLabel('Find an action').fill('hand back');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Hand back', level: 1 })).toBeVisible();
  await expect(dialog).toHaveCount(0);

  await page.keyboard.press('?');
  await expect(dialog.getByText('accept as right, for everyone')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);

  await page.keyboard.press('Control+k');
  await dialog.getByLabel('Find an action').fill('new question: pick');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Draft: 9 questions/)).toBeVisible();
  await page.keyboard.press('Control+k');
  await dialog.getByLabel('Find an action').fill('undo');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^8 questions · 12 points/)).toBeVisible();

  await page.keyboard.press('Control+k');
  await dialog.getByLabel('Find an action').fill('quiz as a file');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: '“How rivers shape the land” as a file' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);

  await page.keyboard.press('Control+k');
  await dialog.getByLabel('Find an action').fill('light or dark');
  const before = await page.locator('html').getAttribute('data-theme');
  await page.keyboard.press('Enter');
  await expect(page.locator('html')).not.toHaveAttribute('data-theme', before ?? '');
});
