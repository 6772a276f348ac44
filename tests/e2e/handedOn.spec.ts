import type { Page } from '@playwright/test';
import { come } from './come';
import { expect, newQuiz, openDemo, saved, test } from './support';

/** What has the focus, by what it is called. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const at = document.activeElement;
    return at === document.body ? 'nothing' : (at?.getAttribute('aria-label') ?? at?.textContent ?? '');
  });

test('what disappears under the hand hands the focus on: a warning, a spelling, a change that was applied', async ({
  page,
}) => {
  await openDemo(page, 'plan');
  await page.getByRole('radio', { name: /^Everything on hand-in/ }).check();
  // The last press there: with it the whole list goes.
  await page
    .getByRole('button', { name: /^Show (them|all of it) after closing/ })
    .last()
    .focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Warnings' })).toHaveCount(0);
  await expect.poll(() => focused(page)).not.toBe('nothing');

  await openDemo(page, 'write');
  await (await come(page, 'Points of a question')).focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('3');
  await saved(page);
  const apply = page.getByRole('button', { name: 'Apply to all' });
  await expect(apply).toBeEnabled();
  await apply.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Everyone is marked by the new key')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Last change to the key' })).toBeVisible();
  await expect.poll(() => focused(page)).toBe('All changes');

  await newQuiz(page, 'Banks', 'Word or phrase');
  await page.keyboard.type('What is the bank beside a river called?');
  await page.getByLabel('Another right answer').focus();
  await page.keyboard.type('levee\nlevée\n');
  await page.getByRole('button', { name: 'Make it a form of “levee”' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Form 2 of levee')).toHaveValue('levée');
  await expect.poll(() => focused(page)).toBe('Another right answer');
});
