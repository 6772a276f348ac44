import type { Page } from '@playwright/test';
import { checkRow, expect, goTo, openDemo, pageOf, test } from './support';

const HOUR = 3_600_000;

/** What a field for date and time takes, in the zone of the browser under test. */
const wall = (at: number): string =>
  new Date(at).toLocaleString('sv-SE', { timeZone: 'Europe/Berlin' }).slice(0, 16).replace(' ', 'T');

async function setDue(page: Page, due: number): Promise<void> {
  await page
    .getByRole('banner')
    .getByRole('button', { name: /^Open · closes/ })
    .click();
  await page
    .getByRole('dialog')
    .getByLabel('Open from')
    .fill(wall(due - 48 * HOUR));
  await page.getByRole('button', { name: 'Late work' }).click();
  await page.getByLabel(/^Due /).fill(wall(due));
  await page.getByRole('button', { name: 'Change the times' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

async function answer(sit: Page, words: readonly string[]): Promise<void> {
  await sit.bringToFront();
  for (const word of words) {
    const field = sit.getByRole('textbox');
    const option = sit.getByRole('radio', { name: word, exact: true });
    await expect(field.or(option).first()).toBeVisible();
    if (await option.isVisible()) await option.check();
    else await field.fill(word);
    await sit.getByRole('button', { name: /^(Next|Review and hand in)$/ }).click();
  }
  while (await sit.getByRole('button', { name: /^(Next|Review and hand in)$/ }).isVisible())
    await sit.getByRole('button', { name: /^(Next|Review and hand in)$/ }).click();
  await sit.getByRole('button', { name: 'Hand in' }).click();
  await expect(sit.getByText('It has been received.')).toBeVisible();
}

/**
 * Two attempts of which the mean counts, both within the first day after the due time, at 10 % of the earned
 * points for each started day: 12 → 10.8 and 3 → 2.7, so 6.75 is recorded; excused, the first counts whole: 7.35.
 */
test(
  'several attempts, late: what each earns, what is recorded, and what the teacher rules',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await openDemo(page, 'plan');
    await page.getByLabel('How often each student can take the quiz').selectOption('2');
    await page.getByLabel('Which attempt counts').selectOption('mean');
    await page.getByLabel('What late work loses').selectOption('steps');
    await expect(page.getByLabel('Each step costs')).toHaveValue('10');
    await expect(page.getByText('Handed in 2 days late: minus 20% of the earned points.')).toBeVisible();
    await setDue(page, Date.now() - 2 * HOUR);
    await page
      .getByRole('region', { name: 'Changes not applied' })
      .getByRole('button', { name: 'Apply to all' })
      .click();
    await goTo(page, 'Tray');
    const sit = await pageOf(page, 'Yann Isle');
    await sit.setViewportSize({ width: 360, height: 740 });
    await expect(
      sit.getByText('You can take this quiz twice; the average of your attempts counts.'),
    ).toBeVisible();
    await expect(
      sit.getByText(
        /^Due .*That has passed: what you hand in now is late\. Each day \(or part of a day\) late costs 10% of the earned points, 30% at most\.$/,
      ),
    ).toBeVisible();

    await test.step('the first attempt', async () => {
      await sit.getByRole('button', { name: 'Begin' }).click();
      await answer(sit, [
        'upper course',
        'oxbow lake',
        'levee',
        'floodplain',
        'a little higher',
        'discharge',
        'upstream',
        'abrasion',
      ]);
      await expect(sit.getByText('10.8 of 12')).toBeVisible();
      await expect(sit.getByText('12, minus 10% of the points earned for handing in late')).toBeVisible();
      await expect(
        sit.getByText(
          'You can take this quiz twice, and have done so once; the average of your attempts counts.',
        ),
      ).toBeVisible();
    });
    await test.step('the second attempt', async () => {
      await sit.getByRole('button', { name: 'Take the quiz again' }).click();
      await expect(sit.getByText('Question 1 of 8')).toBeVisible();
      await expect(sit.getByRole('radio', { name: 'upper course' })).not.toBeChecked();
      // The first one's results stay within reach, and what was answered since is there on the way back.
      await sit.getByRole('radio', { name: 'upper course' }).check();
      await sit.getByRole('button', { name: 'Results of attempt 1' }).click();
      await expect(sit.getByText('10.8 of 12')).toBeVisible();
      await expect(sit.getByRole('button', { name: 'Take the quiz again' })).toHaveCount(0);
      await sit.getByRole('button', { name: 'Continue attempt 2' }).click();
      await sit.getByRole('button', { name: 'Back' }).click();
      await expect(sit.getByRole('radio', { name: 'upper course' })).toBeChecked();
      await answer(sit, ['upper course', 'oxbow lake']);
      await expect(sit.getByText(/^2\.7 of 12/)).toBeVisible();
      await expect(
        sit.getByText('Recorded: 6.75 of 12, as the average of your attempts counts.'),
      ).toBeVisible();
      await expect(sit.getByRole('button', { name: 'Take the quiz again' })).toHaveCount(0);
      await sit.getByRole('button', { name: 'Attempt 1' }).click();
      await expect(sit.getByText('10.8 of 12')).toBeVisible();
    });
    await test.step('Tray and Check', async () => {
      await page.bringToFront();
      const row = page.getByRole('row', { name: /Yann Isle/ });
      await expect(row).toContainText('late');
      await expect(row).toContainText('2 attempts');
      await page.getByRole('button', { name: 'Late (1)' }).click();
      await expect(page.getByRole('rowheader')).toHaveText(['Yann Isle']);
      await page.getByRole('button', { name: 'Not handed in (1)' }).click();
      await expect(page.getByRole('rowheader')).toHaveText(['Zoe Mere']);
      await goTo(page, 'Check');
      await expect.poll(async () => (await checkRow(page, 'Yann Isle · 1')).at(-1)).toBe('late10.8');
      expect((await checkRow(page, 'Yann Isle · 2')).at(-1)).toBe('late2.7');
      await expect(page.getByRole('row', { name: /Yann Isle · 2/ })).toContainText('6.75');
    });
    const margin = page.getByRole('complementary', { name: 'Margin' });
    await test.step('the trace says how, and being late is excused', async () => {
      await page
        .getByRole('row', { name: /Yann Isle · 1/ })
        .getByRole('button', { name: /10\.8/ })
        .click();
      const trace = margin.getByRole('list', { name: 'How the total came about' });
      await expect(trace).toContainText('10%');
      await expect(trace).toContainText('10.8');
      await expect(trace).toContainText('6.75');
      await margin.getByRole('button', { name: 'Waive the late penalty' }).click();
      await expect(page.getByRole('row', { name: /Yann Isle · 2/ })).toContainText('7.35');
      await sit.bringToFront();
      await sit.reload();
      await sit.getByRole('button', { name: 'Attempt 1' }).click();
      await expect(sit.getByText('12 of 12')).toBeVisible();
      await page.bringToFront();
    });
    await test.step('an attempt that does not count leaves the mean', async () => {
      await page
        .getByRole('row', { name: /Yann Isle · 2/ })
        .getByRole('button', { name: /2\.7/ })
        .click();
      await margin.getByRole('button', { name: 'Do not count it' }).click();
      await expect(page.getByRole('row', { name: /Yann Isle · 1/ })).toContainText(/12\s*12$/);
      await page.keyboard.press('Control+z');
      await expect(page.getByRole('row', { name: /Yann Isle · 2/ })).toContainText('7.35');
    });
    await test.step('the printed slip has the recorded score as well', async () => {
      await page.goto('/print/?quiz=demo-rivers&student=demo-25');
      const slip = page.getByRole('region', { name: 'Results of Yann Isle' });
      await expect(slip).toContainText('attempt 2 of 2');
      await expect(slip).toContainText('Recorded: 7.35 of 12, as the average of your attempts counts.');
    });
  },
);
