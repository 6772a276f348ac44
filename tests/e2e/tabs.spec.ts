import type { Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './support';

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
  await expect(page.getByLabel('Explanation')).toBeVisible();
}

test('an edit in one tab appears in the other', async ({ page, context }) => {
  await ready(page);
  const other = await context.newPage();
  await ready(other);
  await page.getByLabel('Explanation').fill('From the first tab.');
  await expect(other.getByLabel('Explanation')).toHaveValue('From the first tab.');
  await other.getByLabel('Explanation').fill('From the second tab.');
  await expect(page.getByLabel('Explanation')).toHaveValue('From the second tab.');
});

for (const choice of ['here', 'other'] as const) {
  test(`two tabs edit one question at the same moment, the later one chooses: ${choice}`, async ({
    page,
    context,
  }) => {
    await ready(page);
    const other = await context.newPage();
    await ready(other);
    await lock(page, 1500);
    await page.getByLabel('Explanation').fill('From the first tab.');
    await other.getByLabel('Explanation').fill('From the second tab.');
    const alert = other.getByRole('alert').filter({ hasText: 'Question 1 was changed in another tab' });
    await expect(alert).toBeVisible();
    await expect(other.getByLabel('Explanation')).toHaveValue('From the second tab.');
    await expect(page.getByLabel('Explanation')).toHaveValue('From the first tab.');
    if (choice === 'here') await alert.getByRole('button', { name: 'Keep what is written here' }).click();
    else await alert.getByRole('button', { name: 'Take the other' }).click();
    const kept = choice === 'here' ? 'From the second tab.' : 'From the first tab.';
    await expect(alert).toHaveCount(0);
    await saved(other);
    for (const tab of [page, other]) await expect(tab.getByLabel('Explanation')).toHaveValue(kept);
    if (choice === 'here') {
      await page.getByRole('button', { name: /^Undo: / }).click();
      for (const tab of [page, other])
        await expect(tab.getByLabel('Explanation')).toHaveValue('From the first tab.');
    }
  });
}
