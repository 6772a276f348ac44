import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { fits } from './fits';
import { checkRow, expect, openDemo, test } from './support';

/** How the class did, and each question: figures that agree with the table, and what a change would make of them. */

const view = (page: Page) => page.getByRole('group', { name: 'Figures' });
const figure = (page: Page, name: string) =>
  view(page)
    .locator('dl > div')
    .filter({ has: page.getByRole('button', { name, exact: true }) })
    .getByRole('definition');
const cells = (page: Page, question: number) =>
  view(page)
    .getByRole('row')
    .filter({ has: page.getByRole('rowheader', { name: new RegExp(`^${question}[^0-9]`) }) })
    .getByRole('cell');

/** The totals of those in whose papers nothing waits, student by student as the table has them. */
async function totals(page: Page): Promise<number[]> {
  const names = await page.getByRole('grid', { name: 'Scores' }).getByRole('rowheader').allInnerTexts();
  const found: number[] = [];
  for (const name of names) {
    const total = (await checkRow(page, name.trim())).at(-1) ?? '';
    if (/^[\d.]+$/.test(total)) found.push(Number(total));
  }
  return found;
}

test('the figures agree with the table, say what they are, and follow a change before it is applied', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await expect(page.getByText('Karl Mead, question 8')).toBeVisible();
  const scores = await totals(page);
  expect(scores).toHaveLength(21);
  const mean = scores.reduce((sum, one) => sum + one, 0) / scores.length;
  const ordered = [...scores].sort((a, b) => a - b);
  await page.keyboard.press('5');
  await expect(view(page)).toBeFocused();
  await expect(view(page)).toContainText('21 scores, 3 not final yet, 2 without a score, 21 complete papers');
  await expect(figure(page, 'mean of 12')).toHaveText(String(Math.round(mean * 100) / 100));
  await expect(figure(page, 'median')).toHaveText(String(ordered[10]));
  const squares = scores.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  await expect(figure(page, 'standard deviation')).toHaveText(
    String(Math.round(Math.sqrt(squares / scores.length) * 100) / 100),
  );
  await expect(
    view(page).getByText(/The whole: coefficient alpha 0\.\d\d \(95%: 0\.\d\d to 0\.\d\d\)/),
  ).toBeVisible();

  // What a figure is, is one press away; an answer's share, too.
  await view(page).getByRole('button', { name: 'Discrimination' }).click();
  await expect(view(page).getByText(/less that among the 27% with the lowest \(Kelley 1939\)/)).toBeVisible();
  await view(page).getByRole('button', { name: 'standard deviation' }).click();
  await expect(view(page).getByText(/divided by n − 1: here \d\.\d+\.$/)).toBeVisible();
  await expect(view(page).getByText(/Kelley 1939/)).toHaveCount(0);
  await view(page)
    .getByRole('button', { name: /^4 What do we call the flat land/ })
    .click();
  const answers = view(page)
    .getByRole('row')
    .filter({ hasText: /^flood plain/ });
  await expect(answers.getByRole('cell').nth(1)).toHaveText('17%');
  await expectAccessible(page, 'the figures');

  // Accepted for everyone, not applied yet: 25 of 48 points become 35.
  await page.keyboard.press('1');
  await page
    .getByRole('button', { name: /^Question 4: wrong.*“flood plain”/ })
    .first()
    .click();
  await page.keyboard.press('a');
  await expect(page.getByText(/5 scores go up/)).toBeVisible();
  await page.keyboard.press('5');
  await expect(cells(page, 4).first()).toHaveText('0.52 →becomes 0.73');
  await page.getByRole('button', { name: 'Apply to all' }).click();
  await expect(cells(page, 4).first()).toHaveText('0.73');
});

test('of a group, beside another one; saved as a table; on a phone', async ({ page }) => {
  await openDemo(page, 'check');
  await page.getByRole('button', { name: 'Figures', exact: true }).click();
  await page.getByLabel('Class or group').selectOption('blue');
  await page.getByLabel('Beside').selectOption('green');
  await expect(view(page)).toContainText(
    /Beside blue: green, mean [\d.]+, median [\d.]+, standard deviation/,
  );
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'as CSV', exact: true }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('How-rivers-shape-the-land-blue-figures.csv');
  const rows = readFileSync(await file.path(), 'utf8').split('\r\n');
  expect(rows[0]).toContain('No.,Question,Facility,Discrimination,Item-rest correlation');
  const shown = (await cells(page, 1).first().innerText()).split('\n')[0];
  expect(Number(rows[1]?.split(',')[2]).toFixed(2)).toBe(shown);
  expect(rows.some((row) => row === ',Of,blue,,,,,,,' || row.startsWith(',Of,blue'))).toBe(true);
  await page.setViewportSize({ width: 360, height: 740 });
  await expect(figure(page, 'median')).toBeVisible();
  await fits(page, 'the figures');
  await expectAccessible(page, 'the figures on a phone');
});
