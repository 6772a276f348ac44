import type { Page } from '@playwright/test';
import { checkRow, expect, openDemo, saved, test } from './support';
import { come } from './come';

/** Holds the questions table locked in a tab, so that both tabs' saves queue up behind it. */
const lock = (page: Page, ms: number) =>
  page.evaluate(
    (time) =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('yentrel');
        open.onsuccess = () => {
          const transaction = open.result.transaction(['questions', 'quizzes', 'history'], 'readwrite');
          const store = transaction.objectStore('questions');
          const end = performance.now() + time;
          const spin = () => {
            if (performance.now() > end) return;
            store.count().onsuccess = spin;
          };
          spin();
          transaction.oncomplete = () => open.result.close();
          resolve();
        };
      }),
    ms,
  );

async function ready(page: Page): Promise<void> {
  await openDemo(page, 'write');
  await page.getByRole('button', { name: 'Question 1', exact: true }).click();
  await expect(await come(page, 'Explanation')).toBeVisible();
}

test('an edit in one tab appears in the other', async ({ page, context }) => {
  await ready(page);
  const other = await context.newPage();
  await ready(other);
  await (await come(page, 'Explanation')).fill('From the first tab.');
  await expect(other.getByLabel('Explanation')).toHaveValue('From the first tab.');
  await (await come(other, 'Explanation')).fill('From the second tab.');
  await expect(page.getByLabel('Explanation')).toHaveValue('From the second tab.');
});

for (const choice of ['here', 'other'] as const) {
  test(
    `two tabs edit one question at the same moment, the later one chooses: ${choice}`,
    { tag: choice === 'here' ? [] : '@long' },
    async ({ page, context }) => {
      await ready(page);
      const other = await context.newPage();
      await ready(other);
      await lock(page, 1500);
      await (await come(page, 'Explanation')).fill('From the first tab.');
      await (await come(other, 'Explanation')).fill('From the second tab.');
      const alert = other.getByRole('alert').filter({ hasText: 'Question 1 was changed in another tab' });
      await expect(alert).toBeVisible();
      await expect(other.getByLabel('Explanation')).toHaveValue('From the second tab.');
      await expect(page.getByLabel('Explanation')).toHaveValue('From the first tab.');
      if (choice === 'here') await alert.getByRole('button', { name: 'Keep this version' }).click();
      else await alert.getByRole('button', { name: 'Use the other version' }).click();
      const kept = choice === 'here' ? 'From the second tab.' : 'From the first tab.';
      await expect(alert).toHaveCount(0);
      await saved(other);
      for (const tab of [page, other]) await expect(tab.getByLabel('Explanation')).toHaveValue(kept);
      if (choice === 'here') {
        await page.getByRole('button', { name: /^Undo: / }).click();
        for (const tab of [page, other])
          await expect(tab.getByLabel('Explanation')).toHaveValue('From the first tab.');
      }
    },
  );
}

test(
  'two tabs on Check: own scores, comments and accepted answers of one appear in the other',
  { tag: '@long' },
  async ({ page, context }) => {
    await openDemo(page, 'check');
    const other = await context.newPage();
    await openDemo(other, 'check');
    const margin = (tab: Page) => tab.getByRole('complementary', { name: 'Margin' });
    const total = async (tab: Page) => (await checkRow(tab, 'Karl Mead')).at(-1);
    const byHand = async (tab: Page, points: string) => {
      await tab.bringToFront();
      await tab
        .getByRole('row', { name: /Karl Mead/ })
        .getByRole('button', { name: /^Question 8/ })
        .click();
      await tab.keyboard.press('h');
      await margin(tab).getByLabel('Your own points').fill(points);
      await margin(tab).getByRole('button', { name: 'Save this score' }).click();
    };
    await byHand(page, '1.5');
    await expect.poll(() => total(other)).toBe('5.5');
    await byHand(other, '0.5');
    for (const tab of [page, other]) await expect.poll(() => total(tab)).toBe('4.5');
    await page.bringToFront();
    await page.getByRole('button', { name: /^Undo: / }).click();
    for (const tab of [page, other]) await expect.poll(() => total(tab)).toBe('5.5');

    await margin(page).getByLabel('Comment to the student on this answer').fill('See page 2.');
    await expect(margin(other).getByLabel('Comment to the student on this answer')).toHaveValue(
      'See page 2.',
    );
    await margin(other).getByLabel('Comment to the student on this answer').fill('See page 3.');
    await expect(margin(page).getByLabel('Comment to the student on this answer')).toHaveValue('See page 3.');

    await page
      .getByRole('button', { name: 'Question 4: wrong, 0 points, near miss, “flood plain”' })
      .first()
      .click();
    await page.keyboard.press('a');
    const bar = (tab: Page) => tab.getByRole('region', { name: 'Changes not applied' });
    for (const tab of [page, other])
      await expect(bar(tab).getByText('5 scores go up, 19 stay')).toBeVisible();
    await other.bringToFront();
    await bar(other).getByRole('button', { name: 'Apply to all' }).click();
    for (const tab of [page, other])
      await expect.poll(async () => (await checkRow(tab, 'Nora Pool')).at(-1)).toBe('10');
    await page.bringToFront();
    await page.reload();
    await expect.poll(async () => (await checkRow(page, 'Nora Pool')).at(-1)).toBe('10');
    await expect.poll(() => total(page)).toBe('5.5');
  },
);
