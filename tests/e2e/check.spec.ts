import { madeUpTicket } from '@/core/madeUp/tickets';
import type { Page } from '@playwright/test';
import { checkRow, expect, openDemo, test } from './support';

const total = async (page: Page, name: string) => (await checkRow(page, name)).at(-1);
const bar = (page: Page) => page.getByRole('region', { name: 'Changes not applied' });
const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
const moves = (page: Page) =>
  margin(page).getByRole('list', { name: 'Whose score changes' }).getByRole('listitem');

test('an unforeseen right form is accepted with one key, for everyone, after its effect was seen', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await page
    .getByRole('button', { name: 'Question 4: wrong, 0 points, near miss, “flood plain”' })
    .first()
    .click();
  await page.keyboard.press('a');
  await expect(
    bar(page).getByText('5 scores go up, 19 stay, 5 students have seen the old score'),
  ).toBeVisible();
  await bar(page).getByRole('button', { name: 'See who' }).click();
  await expect(moves(page)).toHaveText([
    /^Bela Fenn8.*10 of 12has seen the old score$/, /^Emil Brook3.*5 of 12/, /^Hana Reed2.*4 of 12/,
    /^Nora Pool8.*10 of 12/, /^Wim Eddy4.5.*6.5 of 12has seen the old score, 2 not marked yet$/,
  ]); // prettier-ignore
  // The same in the table, in the cells and totals concerned; nothing covers it.
  await expect(page.getByRole('dialog')).toHaveCount(0);
  expect((await checkRow(page, 'Nora Pool'))[3]).toMatch(
    /^Question 4: wrong, 0 points.*would be right, 2 points$/,
  );
  expect(await total(page, 'Nora Pool')).toBe('8 →would be 10');
  expect(await total(page, 'Ada Marsh')).toBe('12');
  await expect(page.getByRole('columnheader', { name: /^4/ })).toContainText(/52 →would be 73%/);
  await expect(page.locator('[data-cell="sums:3"]')).toHaveAccessibleName(/^Sum of question 4: 25\W+would be 35$/); // prettier-ignore
  await margin(page).getByRole('button', { name: 'Show only the papers of 5 students' }).click();
  await expect(page.getByRole('grid', { name: 'Scores' }).getByRole('rowheader')).toHaveText([
    'Bela Fenn', 'Emil Brook', 'Hana Reed', 'Nora Pool', 'Wim Eddy', 'Sum of 5 papers',
  ]); // prettier-ignore
  await margin(page).getByRole('button', { name: 'Show all papers again' }).click();
  await bar(page).getByRole('button', { name: 'Apply to all' }).click();
  await expect.poll(() => total(page, 'Nora Pool')).toBe('10');
  expect(await total(page, 'Ada Marsh')).toBe('12');
});

test('an answer is accepted for part of the points, another is expected as wrong with feedback', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await page.getByRole('button', { name: 'Question 2: wrong, 0 points, near miss, “oxbow”' }).click();
  await page.keyboard.press('p');
  await margin(page).getByLabel('Points for this answer, %').fill('75');
  await margin(page).getByRole('button', { name: 'Accept for 75%', exact: true }).click();
  await expect(bar(page).getByText('1 score goes up, 23 stay')).toBeVisible();
  await page.getByRole('button', { name: 'Question 8: not marked yet, “rubbing”' }).click();
  await page.keyboard.press('w');
  await margin(page).getByLabel('Feedback for this answer').fill('Which word is in the booklet?');
  await margin(page).getByRole('button', { name: 'Add as a wrong answer', exact: true }).click();
  await expect(bar(page).getByText('2 changes not applied')).toBeVisible();
  await bar(page).getByRole('button', { name: 'Apply to all' }).click();
  await expect.poll(() => total(page, 'Karl Mead')).toBe('+2 not marked yet5.5');
  await expect.poll(() => total(page, 'Wim Eddy')).toBe('4.5');
  await page.getByRole('button', { name: 'Question 8: wrong, 0 points, “rubbing”' }).click();
  await expect(margin(page).getByText('Which word is in the booklet?')).toBeVisible();
});

test('a waiting answer is marked by hand, stays through marking again, is listed, flagged and undone', async ({
  page,
  context,
}) => {
  await openDemo(page, 'check');
  await expect(margin(page).getByText('Karl Mead, question 8')).toBeVisible();
  await page.getByRole('button', { name: 'Question 8: not marked yet, “scraping”' }).click();
  await page.keyboard.press('h');
  await margin(page).getByLabel('Your own points').fill('1,5');
  await margin(page).getByLabel('Reason').fill('the right idea');
  await page.keyboard.press('Enter');
  await expect.poll(() => total(page, 'Karl Mead')).toBe('5.5');
  await expect(page.getByText('24 papers marked, 2 answers to mark')).toBeVisible();
  await expect(margin(page).getByText('Pia Strand, question 8')).toBeVisible();
  await page.getByRole('button', { name: /^Question 8: partly right, 1.5 points, marked by hand/ }).click();
  await expect(margin(page).getByText('Your own score counts: 1.5 of 2 (“the right idea”)')).toBeVisible();

  const slip = await context.newPage();
  await slip.goto(`/sit/?quiz=demo-rivers&ticket=${madeUpTicket('demo-11')}`);
  await expect(slip.getByText('5.5 of 12')).toBeVisible();
  await expect(slip.getByText('the right idea')).toHaveCount(0);
  await page.bringToFront();

  await page.getByRole('button', { name: /^Question 8: partly right, 1.5 points, marked by hand/ }).click();
  await page.keyboard.press('a');
  await expect(bar(page).getByText('1 of your own scores differs from marking')).toBeVisible();
  await bar(page).getByRole('button', { name: 'Apply to all' }).click();
  await expect(page.getByRole('button', { name: '1 marked by hand 1 differs' })).toBeVisible();
  expect(await total(page, 'Karl Mead')).toBe('5.5');
  await page.getByRole('button', { name: '1 marked by hand 1 differs' }).click();
  await expect(page.getByRole('dialog').getByText('marking differs now')).toBeVisible();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Karl Mead/ })
    .click();
  await expect(
    margin(page).getByText('Automatic marking gave nothing yet when you set your own score; now it gives 2'),
  ).toBeVisible();
  await page.keyboard.press('h');
  await margin(page).getByRole('button', { name: 'Remove my score' }).click();
  await expect.poll(() => total(page, 'Karl Mead')).toBe('6');
  await page.keyboard.press('Control+z');
  await expect.poll(() => total(page, 'Karl Mead')).toBe('5.5');
});

test('keys go to the next and previous answer that is wrong or waits; rows are found and sorted', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await page
    .getByRole('button', { name: /^Question 8: not marked yet/ })
    .first()
    .click();
  await page.keyboard.press('n');
  await expect(margin(page).getByText('Milo Shaw, question 8')).toBeVisible();
  await page.keyboard.press('b');
  await page.keyboard.press('b');
  await expect(margin(page).getByText('Emil Brook, question 8')).toBeVisible();
  await page.getByLabel('Sorted by').selectOption('lowest');
  await expect(page.getByRole('rowheader').first()).toHaveText('Tess Bourne');
  await page.getByLabel('Find a student').fill('mar');
  await expect(page.getByRole('rowheader')).toHaveText(['Ada Marsh', 'Sum of 1 paper']);
  await page.getByLabel('Find a student').fill('zzz');
  await expect(page.getByText('No student’s name contains “zzz”.')).toBeVisible();
});
