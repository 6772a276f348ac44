import type { Page } from '@playwright/test';
import { checkRow, expect, openDemo, test } from './support';

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
const bar = (page: Page) => page.getByRole('region', { name: 'Changes not applied' });
/** The total that counts, without what it would be. */
const total = async (page: Page, name: string): Promise<number> =>
  Number.parseFloat((await checkRow(page, name)).at(-1) ?? '');

/** Makes of this browser one whose class was marked by the first rules, which let “delta” pass for a floodplain. */
const markedByTheFirstRules = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('yentrel');
        opening.onerror = () => reject(opening.error ?? new Error('closed'));
        opening.onsuccess = () => {
          const db = opening.result;
          const work = db.transaction(['quizRevs', 'markColumns'], 'readwrite');
          const each = (table: string, change: (record: Record<string, unknown>) => void) => {
            work.objectStore(table).openCursor().onsuccess = ({ target }) => {
              const cursor = (target as IDBRequest<IDBCursorWithValue | null>).result;
              if (!cursor) return;
              const record = cursor.value as Record<string, unknown>;
              change(record);
              cursor.update(record);
              cursor.continue();
            };
          };
          each('quizRevs', (revision) => {
            (revision['content'] as Record<string, unknown>)['comparing'] = 1;
          });
          each('markColumns', (column) => {
            column['madeUnder'] = String(column['madeUnder']).replace(' rules 2', '');
            for (const [key, mark] of column['marks'] as [string, Record<string, unknown>][])
              if (key === 'delta')
                Object.assign(mark, { credit: { n: 1, d: 1 }, keyCredit: { n: 1, d: 1 }, rule: 'earlier', allWrong: false, nearMiss: null }); // prettier-ignore
          });
          work.oncomplete = () => {
            db.close();
            resolve();
          };
          work.onerror = () => reject(work.error ?? new Error('not written'));
        };
      }),
  );

test('newer rules of comparing move no score: their effect waits, the scores are kept as own, or everyone is marked by them', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await expect(page.getByRole('grid', { name: 'Scores' })).toBeVisible();
  const newest = await total(page, 'Gero Lock');
  await page.waitForTimeout(500);
  await markedByTheFirstRules(page);
  await page.reload();
  await expect(bar(page).getByText('1 score goes down, 23 stay')).toBeVisible();
  const before = await total(page, 'Gero Lock');
  expect(before).toBe(newest + 2);
  await page.getByRole('button', { name: 'Question 4: right, 2 points, “delta”' }).press('Enter');
  await expect(
    margin(page).getByText(/^Compared by earlier rules, until you apply the newer ones\./),
  ).toBeVisible();

  await bar(page).getByRole('button', { name: 'See who' }).press('Enter');
  await expect(margin(page).getByText('How typed answers are compared, by newer rules')).toBeVisible();
  await margin(page).getByRole('button', { name: 'Keep the scores' }).press('Enter');
  await expect(page.getByText('The scores stay as they are, as your own')).toBeVisible();
  await expect(bar(page)).toHaveCount(0);
  expect(await total(page, 'Gero Lock')).toBe(before);
  await expect(
    page.getByRole('button', { name: /^Question 4: right, 2 points, your own score.*“delta”/ }),
  ).toBeVisible();

  await page.getByRole('button', { name: 'Undo', exact: true }).last().press('Enter');
  await expect(bar(page).getByText('1 score goes down, 23 stay')).toBeVisible();
  await bar(page).getByRole('button', { name: 'Apply to all' }).press('Enter');
  await expect.poll(() => total(page, 'Gero Lock')).toBe(newest);
  await page.getByRole('button', { name: 'Undo the change' }).press('Enter');
  await expect.poll(() => total(page, 'Gero Lock')).toBe(before);
});
