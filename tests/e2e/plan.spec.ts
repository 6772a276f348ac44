import type { Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { expect, goTo, newQuiz, openIt, pageOf, saved, test } from './support';

const DAY = 86_400_000;

/** A field for date and time, so many days from now, in the browser's own zone. */
const inDays = (page: Page, days: number): Promise<string> =>
  page.evaluate((ms) => {
    const at = new Date(Date.now() + ms);
    const two = (n: number) => String(n).padStart(2, '0');
    return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(at.getHours())}:${two(at.getMinutes())}`;
  }, days * DAY);

async function timesFor(page: Page, name: string, from: number, until: number): Promise<void> {
  await page.getByLabel('Set times for a class, a group or a student').selectOption({ label: name });
  const dialog = page.getByRole('dialog', { name: `Times for ${name}` });
  await dialog.getByLabel('Open from').fill(await inDays(page, from));
  await dialog.getByLabel('Until', { exact: true }).fill(await inDays(page, until));
  await dialog.getByRole('button', { name: 'Set the times' }).click();
  await expect(page.getByRole('button', { name: `Times for ${name}` })).toBeVisible();
}

const lanes = (page: Page) =>
  page.getByRole('list', { name: 'Who can take the quiz when' }).getByRole('listitem');
const leaks = (page: Page) => page.getByRole('list', { name: 'What can be told too early' });
const then = (page: Page) => page.getByRole('region', { name: 'What the student sees then' });

test('two groups on two days and an exception: the leak and its remedy, and what each sees at another time', async ({
  page,
}) => {
  await newQuiz(page, 'Two days', 'Word or phrase');
  await page.getByLabel('Another right answer').fill('CANARY form');
  await page.keyboard.press('Enter');
  await page.getByLabel('Feedback for wrong answers').fill('CANARY feedback');
  await page.getByLabel('Explanation', { exact: true }).fill('CANARY explanation');
  await saved(page);
  await goTo(page, 'Reveal plan');
  await expect(lanes(page)).toHaveCount(1);
  await timesFor(page, '8C blue', -1, 1);
  await timesFor(page, '8C green', 2, 3);
  await timesFor(page, 'Bela Fenn', 2, 4);
  await expect(lanes(page)).toHaveCount(3);
  await expect(lanes(page).filter({ hasText: '8C blue' })).toContainText('13 students');
  await expect(lanes(page).filter({ hasText: 'Bela Fenn' })).toBeVisible();

  // Feedback comes when blue hands in: blue can tell the others.
  const told = leaks(page).getByRole('listitem').filter({ hasText: '8C blue can tell Bela Fenn.' });
  await expect(told).toContainText('feedback, what was right and wrong and the questions');
  await expectAccessible(page, 'the reveal plan with leaks');
  await leaks(page)
    .getByRole('button', { name: /^Hold it until everyone has closed/ })
    .first()
    .click();
  await expect(leaks(page)).toHaveCount(0);
  await expect(page.getByLabel('Feedback with its links appears', { exact: true })).toHaveValue(
    'allClosed all',
  );

  // A condition more, a delay, a filter.
  await page
    .getByLabel('The right answers and explanations appear, condition 2: how much later', { exact: true })
    .selectOption('1 hour later');
  await page.getByLabel('Feedback with its links appears: for which questions').selectOption('questions that were not fully right'); // prettier-ignore
  await expect(page.getByText('feedback for right answers')).toBeVisible();
  await saved(page);

  await goTo(page, 'Tray');
  const sit = await pageOf(page, 'Ada Marsh');
  await sit.getByRole('button', { name: 'Begin' }).click();
  await sit.getByRole('textbox').fill('mine');
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await sit.getByRole('button', { name: 'Hand in' }).click();
  await expect(sit.getByText('It has been received.')).toBeVisible();
  await expect(sit.getByText('CANARY')).toHaveCount(0);
  await page.bringToFront();
  await goTo(page, 'Reveal plan');
  await page.getByLabel('Which student').selectOption({ label: 'Ada Marsh' });
  const look = async (days: number) => page.getByLabel('At which time').fill(await inDays(page, days));
  await look(-0.5);
  await expect(then(page)).toContainText('The quiz is open, and not begun.');
  await look(0.1);
  await expect(then(page)).toContainText('0 of 1');
  await expect(then(page)).not.toContainText('CANARY');
  await look(3.9);
  await expect(then(page)).not.toContainText('CANARY');
  await look(4.01);
  await expect(then(page)).toContainText('CANARY feedback');
  await expect(then(page)).not.toContainText('CANARY form');
  await look(4.1);
  await expect(then(page)).toContainText('CANARY form');
  await expect(then(page)).toContainText('CANARY explanation');
  await page.getByLabel('Which student').selectOption({ label: 'Cato Weir' });
  await expect(then(page)).toContainText(/The quiz is not open for this student|has closed/);

  // Undone, green closes with everyone again.
  await page.getByRole('button', { name: 'Times for 8C green' }).click();
  await page.getByRole('button', { name: 'The same as everyone' }).click();
  await expect(page.getByRole('button', { name: 'Times for 8C green' })).toHaveCount(0);
});

test('the plan on a phone: lanes, sentences, at another time', async ({ page }) => {
  await newQuiz(page, 'On a phone', 'True or false');
  await goTo(page, 'Reveal plan');
  await openIt(page);
  await page.setViewportSize({ width: 360, height: 740 });
  await expect(page.getByRole('heading', { name: 'At another time' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await expectAccessible(page, 'the reveal plan on a phone');
});
