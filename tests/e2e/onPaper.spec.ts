import type { Page } from '@playwright/test';
import { DEMO, expect, openDemo, pageOf, test } from './support';

/** The page as it goes on paper: as wide as a sheet, and told that it is printed. */
async function onPaper(page: Page): Promise<void> {
  await page.emulateMedia({ media: 'print' });
  await page.setViewportSize({ width: 760, height: 1000 });
  await page.evaluate(() => dispatchEvent(new Event('beforeprint')));
}

test('desks on paper: the table whole, the rest as text, nothing to press', async ({ page }) => {
  await openDemo(page, 'check');
  await expect(page.getByText('Karl Mead, question 8')).toBeVisible();
  await onPaper(page);
  const table = page.getByRole('grid', { name: 'Scores' });
  await expect(table.getByRole('rowheader')).toHaveCount(25);
  // Nothing scrolls on paper.
  for (const name of ['Ada Marsh', 'Xenia Flood'])
    await expect(table.getByRole('rowheader', { name })).toBeVisible();
  const height = await table.evaluate((element) => [
    element.parentElement?.clientHeight ?? 0,
    element.clientHeight,
  ]);
  expect(height[0]).toBeGreaterThanOrEqual(height[1] ?? 0);
  for (const press of ['Scores as CSV', 'Type in a paper…', 'Actions'])
    await expect(page.getByRole('button', { name: press })).toHaveCount(0);
  await expect(page.getByRole('complementary', { name: 'Margin' })).toHaveCount(0);

  await page.goto(`${DEMO}#write`);
  await expect(page.getByText('Stones carried by a river')).toBeVisible();
  await onPaper(page);
  await expect(page.getByText('In which part of its course').filter({ visible: true })).toHaveCount(1);
  await expect(page.getByRole('button', { name: /^(Delete|Duplicate|Move|Next question)/ })).toHaveCount(0);
  await expect(page.getByText('Stones carried by a river')).toBeVisible();
  // The question in hand is read there like the others.
  await expect(page.getByRole('region', { name: 'Question 1 in hand' })).toHaveCount(0);
  await page.goto(`${DEMO}#plan`);
  await expect(page.getByText('Score and feedback on hand-in, right answers after closing')).toBeVisible();
  await expect(page.getByRole('button', { name: /^(Finer|Draw it|Open to students|Be strict)/ })).toHaveCount(
    0,
  );
});

test('a student’s page on paper does not tell its ticket', async ({ page }) => {
  await openDemo(page, 'tray');
  const slip = await pageOf(page, 'Ada Marsh', 'Results');
  await expect(slip.getByText('It has been received.')).toBeVisible();
  expect(slip.url()).toContain('ticket=');
  await onPaper(slip);
  expect(slip.url()).not.toContain('ticket');
  await slip.evaluate(() => dispatchEvent(new Event('afterprint')));
  expect(slip.url()).toContain('ticket=');
  await slip.reload();
  await expect(slip.getByText('It has been received.')).toBeVisible();
});
