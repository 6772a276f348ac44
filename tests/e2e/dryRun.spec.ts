import type { Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import { fits } from './fits';
import { expect, saved, test } from './support';
import { come } from './come';

/** Everything in the browser's database, letter by letter; pictures by their size. */
const everything = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((resolve, reject) => {
        const opening = indexedDB.open('yentrel');
        opening.onerror = () => reject(new Error('no database'));
        opening.onsuccess = () => {
          const names = [...opening.result.objectStoreNames];
          const reading = opening.result.transaction(names);
          const found = names.map((name) => {
            const store = reading.objectStore(name);
            const [keys, values] = [store.getAllKeys(), store.getAll()];
            return () => [name, keys.result, values.result] as const;
          });
          reading.oncomplete = () => {
            opening.result.close();
            resolve(
              JSON.stringify(
                found.map((read) => read()),
                (_, value: unknown) =>
                  value instanceof Blob
                    ? value.size
                    : ArrayBuffer.isView(value)
                      ? [...new Uint8Array(value.buffer)]
                      : value,
              ),
            );
          };
        };
      }),
  );

test('a dry run takes the draft as a student, marks it and shows what comes back, and leaves no trace', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.goto('/');
  await expect(page.getByText('24 of 26 handed in')).toBeVisible();
  await page.goto('/quiz/?id=demo-flow#write');
  // What was changed a moment ago is what is tried.
  await page.getByRole('button', { name: 'Question 2', exact: true }).click();
  const hand = page.getByRole('region', { name: 'Question 2 in hand' });
  await (await come(hand, 'Points')).fill('7');
  await saved(page);
  await page.waitForTimeout(1500);
  const before = await everything(page);
  expect(before.length).toBeGreaterThan(50_000);

  const [trial] = await Promise.all([
    page.context().waitForEvent('page'),
    page.getByRole('link', { name: 'Try it as a student' }).first().click(),
  ]);
  await trial.setViewportSize({ width: 360, height: 740 });
  await expect(trial.getByText('nothing is saved')).toBeVisible();
  await expect(trial.getByRole('button', { name: 'Begin' })).toBeVisible();
  await fits(trial, 'the dry run');
  await expectAccessibleHere(trial, 'the dry run');
  await expect(trial.getByRole('list').last()).toContainText('when your teacher closes the quiz');
  await trial.getByRole('button', { name: 'Begin' }).click();
  await trial.getByRole('textbox').fill('2');
  await trial.getByRole('button', { name: 'Next' }).click();
  await expect(trial.getByText('Question 2 of 5 · 7 points')).toBeVisible();
  await trial.getByRole('textbox').fill('0.6');
  for (let at = 0; at < 3; at++) await trial.getByRole('button', { name: 'Next' }).click();
  await trial.getByRole('button', { name: 'Review and hand in' }).click();
  await trial.getByRole('button', { name: 'Hand in', exact: true }).click();
  // All of it at once, whatever the plan: score, feedback, right answers.
  await expect(trial.getByText('7 of 7')).toBeVisible();
  await expect(trial.getByText(/Right/).first()).toBeVisible();
  await expect(trial.getByRole('math').first()).toBeVisible();
  expect(await everything(page), 'the database, letter by letter').toBe(before);

  // Once more from the beginning: what was answered is gone.
  await trial.getByRole('button', { name: 'Start again' }).click();
  await trial.getByRole('button', { name: 'Begin' }).click();
  await expect(trial.getByRole('textbox')).toHaveValue('');
  expect(await everything(page)).toBe(before);
});
