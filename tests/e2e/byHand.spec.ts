import type { Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import { fits } from './fits';
import { checkRow, expect, openDemo, test } from './support';

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
const answer = (page: Page) => page.getByRole('article');
const progress = (page: Page) => page.getByText(/^\d+ of \d+ marked$/);

/** The keyboard, and how often it was pressed. */
function keyboard(page: Page) {
  let presses = 0;
  const press = async (key: string) => {
    presses++;
    await page.keyboard.press(key);
  };
  return { press, presses: () => presses };
}

test(
  'twenty written answers by a rubric in sixty key presses, resumed where they were left',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await page.goto('/quiz/?id=demo-journey#check');
    // One more paper, from paper: twenty answers wait.
    await page.getByRole('button', { name: 'Type in a paper…' }).click();
    await page.getByRole('dialog', { name: 'Type in a paper' }).getByRole('button', { name: /^Elif Haven/ }).click(); // prettier-ignore
    await page
      .getByRole('group', { name: /^The paper of Elif Haven/ })
      .getByRole('textbox')
      .last()
      .fill('Slower water drops what it carries, and stones get smaller.');
    await expect(page.getByText('20 answers to mark')).toBeVisible();
    await page.getByRole('button', { name: 'By hand', exact: true }).click();
    await expect(progress(page)).toHaveText('0 of 20 marked');
    await expect(page.getByRole('form', { name: 'Rubric' })).toBeFocused();
    await expect(
      page
        .locator('mark')
        .filter({ hasText: /slow|carr/i })
        .first(),
    ).toBeVisible();
    await expectAccessibleHere(page, 'by a rubric');

    const { press, presses } = keyboard(page);
    const levels = (at: number): [string, string] => [String((at % 3) + 1), String((at % 2) + 1)];
    const want: Record<string, number> = {};
    for (let at = 0; at < 20; at++) {
      const [, name = ''] =
        /^The answer of (.*)$/.exec((await answer(page).getAttribute('aria-label')) ?? '') ?? [];
      expect(want[name], `${name} comes once`).toBeUndefined();
      const [first, second] = levels(at);
      // Levels of 0, 1 and 2 points, and of 0 and 1: out of 3, which the question is worth.
      want[name] = Number(first) - 1 + Number(second) - 1;
      await press(first);
      await press(second);
      await press('Enter');
      if (at === 9) {
        // Closed in the middle, and gone on with where it was left.
        await expect(progress(page)).toHaveText('10 of 20 marked');
        await page.reload();
        await page.getByRole('button', { name: 'By hand', exact: true }).click();
        await expect(progress(page)).toHaveText('10 of 20 marked');
        await expect(page.getByRole('form', { name: 'Rubric' })).toBeFocused();
      }
      if (at < 19) await expect(answer(page)).not.toHaveAttribute('aria-label', `The answer of ${name}`);
    }
    expect(presses()).toBe(60);
    await expect(progress(page)).toHaveText('20 of 20 marked');
    await page.getByRole('button', { name: 'All papers' }).click();
    await expect(page.getByText('waiting for you')).toHaveCount(0);
    expect(Object.keys(want)).toHaveLength(20);
    for (const [one, points] of Object.entries(want)) {
      const name = one === 'Elif Haven' ? 'Elif Haven · 2' : one;
      const [last = ''] = (await checkRow(page, name)).slice(-2);
      expect(last, name).toContain(`, ${points} point${points === 1 ? '' : 's'}, marked by hand`);
    }
    // The levels are kept with the score, and its trace says them.
    const [name = '', points] = Object.entries(want).find(([, one]) => one === 3) ?? [];
    await page.getByRole('row').filter({ has: page.getByRole('rowheader', { name, exact: true }) }).getByRole('button', { name: /^Question 10/ }).click(); // prettier-ignore
    await expect(margin(page).getByText(/What is carried.*said, with why/)).toBeVisible();
    expect(points).toBe(3);
  },
);

test('waiting answers by points: full ones in one key, a comment by a few letters, without names, taken back', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await page.getByRole('button', { name: 'By hand', exact: true }).click();
  await page.getByLabel('Names').selectOption('hidden');
  await expect(progress(page)).toHaveText('0 of 3 marked');
  const field = margin(page).getByLabel('Points for this answer');
  await field.focus();
  await expect(answer(page)).toHaveAttribute('aria-label', /^The answer of Student \d+$/);
  await expectAccessibleHere(page, 'by points');
  await page.keyboard.type('c');
  const comment = margin(page).getByRole('textbox', { name: /^Comment to the student/ });
  await expect(comment).toBeFocused();
  await page.keyboard.type('Look at the booklet again.');
  await page.keyboard.press('Escape');
  await expect(field).toBeFocused();
  await page.keyboard.type('1.5');
  await page.keyboard.press('Enter');
  await expect(progress(page)).toHaveText('1 of 3 marked');
  // Who cannot see it hears what was saved, whose answer is next, and what it says.
  await expect(page.getByText(/^Student \d+: 1\.5 points saved\. Student \d+: ./)).toHaveRole('status');
  // Nothing that is typed at once is lost: the field is the same for the next answer.
  await page.keyboard.type('x');
  await expect(margin(page).getByRole('alert')).toHaveText(/not a number from 0/);
  await page.keyboard.press('Backspace');
  await page.keyboard.press('c');
  await page.keyboard.type('Lo');
  await expect(page.getByRole('list', { name: 'Earlier comments that begin like this' })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(comment).toHaveValue('Look at the booklet again.');
  await page.keyboard.press('Escape');
  await page.keyboard.press('f');
  await expect(progress(page)).toHaveText('2 of 3 marked');
  await page.keyboard.type('0');
  await page.keyboard.press('Enter');
  await expect(progress(page)).toHaveText('3 of 3 marked');
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(progress(page)).toHaveText('2 of 3 marked');
  const list = page.getByRole('region', { name: 'All answers to it' });
  await list.getByRole('button', { name: /1\.5 of 2 points/ }).click();
  await margin(page).getByRole('button', { name: 'Remove my points' }).click();
  await expect(progress(page)).toHaveText('1 of 3 marked');
  await page.setViewportSize({ width: 360, height: 740 });
  await fits(page, 'by hand');
  await expect(
    margin(page)
      .getByText(/scraping|rubbing|friction/)
      .first(),
  ).toBeInViewport();
});

test(
  'points that the full disc does not take are said, and saved by another press',
  { tag: '@long' },
  async ({ page }) => {
    await openDemo(page, 'check');
    await page.getByRole('button', { name: 'By hand', exact: true }).click();
    await expect(margin(page).getByLabel('Points for this answer')).toBeFocused();
    await page.evaluate(() => {
      const put = IDBObjectStore.prototype.put;
      const failed = { times: 0 };
      IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...more: [unknown, IDBValidKey?]) {
        if (this.name === 'overrides' && failed.times++ === 0)
          throw new DOMException('full', 'QuotaExceededError');
        return put.apply(this, more);
      };
    });
    await page.keyboard.type('1');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(progress(page)).toHaveText('1 of 3 marked');
  },
);
