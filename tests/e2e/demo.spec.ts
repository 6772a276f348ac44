import { madeUpTicket } from '@/core/madeUp/tickets';
import { checkRow, expect, goTo, openDemo, test } from './support';
import { come } from './come';

test('the demo class: totals, the unforeseen form, and the file to import', async ({ page }) => {
  await openDemo(page, 'check');
  await expect(page.getByText('24 papers marked, 3 answers to mark')).toBeVisible();
  const total = async (name: string) => (await checkRow(page, name)).at(-1);
  expect(await total('Ada Marsh')).toBe('12');
  expect(await total('Cato Weir')).toBe('5.8');
  expect(await total('Fleur Banks')).toBe('11');
  expect(await total('Karl Mead')).toBe('+2 not marked yet4');
  await page
    .getByRole('row', { name: /Nora Pool/ })
    .getByRole('button', { name: /^Question 4/ })
    .click();
  await expect(page.getByText('equal to an accepted answer without the spaces.')).toBeVisible();

  await goTo(page, 'Write');
  await page.getByRole('button', { name: 'Question 4', exact: true }).click();
  await (await come(page, 'Another form of floodplain')).fill('flood plain');
  await page.keyboard.press('Enter');
  const bar = page.getByRole('region', { name: 'Changes not applied' });
  await expect(bar.getByText('5 scores go up, 19 stay')).toBeVisible();
  await bar.getByRole('button', { name: 'Apply to all' }).click();
  await goTo(page, 'Check');
  await expect.poll(() => total('Nora Pool')).toBe('10');

  await goTo(page, 'Tray');
  await page.getByLabel('Answer file').setInputFiles('demo/import/answers.csv');
  await page.getByRole('dialog').getByRole('button', { name: 'Add all' }).click();
  await page.getByRole('button', { name: 'Import 5 papers' }).click();
  await expect(page.getByText('line 7, Ada Marsh')).toBeVisible();
  await expect(page.getByText('28 of 28 handed in')).toBeVisible();
  await goTo(page, 'Check');
  await expect.poll(() => total('Yann Isle')).toBe('10');
  expect(await total('Ada Marsh')).toBe('12');
});

test('the Shelf leads to the first answer that waits in two presses', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: '3 answers to mark' }).click();
  await expect(page.getByText('it is for you to mark')).toBeVisible();
  await expect(page.getByText('Karl Mead, question 8')).toBeVisible();
});

test('arrow keys go through the answers, and a total opens into its parts', async ({ page }) => {
  await openDemo(page, 'check');
  await page
    .getByRole('button', { name: /^Question 8: not marked yet/ })
    .first()
    .click();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Jule Beck, question 8')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('8 questions add up to 6.5 of 12')).toBeVisible();
});

test('an answer given after closing is refused, and the student is told what was kept', async ({
  page,
  context,
}) => {
  await openDemo(page, 'tray');
  const sit = await context.newPage();
  await sit.goto(`/sit/?quiz=demo-rivers&ticket=${madeUpTicket('demo-25')}`);
  await sit.getByRole('button', { name: 'Begin' }).click();
  await sit.getByText('upper course').click();
  await expect(sit.getByText(/Saved on this device/)).toBeVisible();
  await page.bringToFront();
  await expect(page.getByText('24 of 26 handed in, 1 working, 1 not started')).toBeVisible();
  await page.getByRole('button', { name: /^Open · closes/ }).click();
  await page.getByRole('button', { name: 'Close now' }).click();
  await expect(page.getByText('25 of 26 handed in, 0 working, 1 not started')).toBeVisible();
  await sit.bringToFront();
  await sit.getByText('lower course').click();
  await expect(sit.getByText('The quiz has closed. Everything saved before then is safe.')).toBeVisible();
  await sit.getByRole('button', { name: 'Check whether my paper was handed in' }).click();
  await expect(sit.getByText('Collected automatically when the quiz closed,')).toBeVisible();
  await expect(sit.getByText('1 of 12')).toBeVisible();
});
