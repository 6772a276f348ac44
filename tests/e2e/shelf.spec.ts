import type { Page } from '@playwright/test';
import { expect, test } from './support';
import { come } from './come';

const titles = (page: Page) =>
  page
    .getByRole('main')
    .getByRole('listitem')
    .getByRole('link', { name: /rivers|Floods|Maps/ });

async function more(page: Page, title: string, action: string): Promise<void> {
  await page.getByRole('button', { name: `More for ${title}`, exact: true }).click();
  await page.getByRole('button', { name: action, exact: true }).click();
}

async function newQuiz(page: Page, title: string, topic: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByLabel('Title of the quiz').fill(title);
  await (await come(page, 'Topic')).fill(topic);
  await expect(page.getByRole('banner').getByText('saved', { exact: true })).toBeVisible();
}

test(
  'quizzes are found, filtered, put in order, copied, put away, deleted and brought back',
  { tag: '@long' },
  async ({ page }) => {
    await newQuiz(page, 'Floods', 'Water');
    await newQuiz(page, 'Maps', 'Geography');
    await page.goto('/');
    const demo = 'How rivers shape the land';
    await expect(titles(page)).toHaveText(['Maps', 'Floods', demo]);

    await page.getByRole('button', { name: 'Move Maps' }).focus();
    await page.keyboard.press('ArrowDown');
    await expect(titles(page)).toHaveText(['Floods', 'Maps', demo]);
    await page.reload();
    await expect(titles(page)).toHaveText(['Floods', 'Maps', demo]);

    await page.getByLabel('Find a quiz').fill('ri land');
    await expect(titles(page)).toHaveText([demo]);
    await page.getByLabel('Find a quiz').fill('');
    await page.getByLabel('Topic').selectOption('Geography');
    await expect(titles(page)).toHaveText(['Maps']);
    await page.getByLabel('Topic').selectOption('any');

    await more(page, demo, 'Duplicate');
    await expect(titles(page)).toHaveText([`${demo} (copy)`, 'Floods', 'Maps', demo]);
    const copy = page.getByRole('listitem').filter({ hasText: '(copy)' });
    await expect(copy.getByText('for 26 students')).toBeVisible();
    await expect(copy.getByText('never opened')).toBeVisible();

    await more(page, 'Maps', 'Archive');
    await expect(titles(page)).toHaveText([`${demo} (copy)`, 'Floods', demo]);
    await page.getByLabel('Show').selectOption('away');
    await expect(titles(page)).toHaveText(['Maps']);
    await more(page, 'Maps', 'Return to Shelf');
    await page.getByLabel('Show').selectOption('shelf');

    await more(page, demo, 'Delete');
    await expect(titles(page)).toHaveText([`${demo} (copy)`, 'Floods', 'Maps']);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(titles(page)).toHaveText([`${demo} (copy)`, 'Floods', 'Maps', demo]);
    await expect(page.getByText('24 of 26 handed in')).toBeVisible();
    await more(page, 'Floods', 'Delete');
    await expect(titles(page)).toHaveText([`${demo} (copy)`, 'Maps', demo]);
    await page.reload();
    await page.getByLabel('Show').selectOption('deleted');
    await page.getByRole('button', { name: 'Restore', exact: true }).click();
    await page.getByLabel('Show').selectOption('shelf');
    await expect(titles(page)).toHaveText([`${demo} (copy)`, 'Floods', 'Maps', demo]);
  },
);

test(
  'the demo school is reset, or taken away without the teacher’s own quizzes',
  { tag: '@long' },
  async ({ page }) => {
    await newQuiz(page, 'Floods', '');
    await page.goto('/quiz/?id=demo-rivers#write');
    await page.getByLabel('Title of the quiz').fill('Changed rivers');
    await expect(page.getByRole('banner').getByText('saved', { exact: true })).toBeVisible();
    await page.goto('/');
    await page.getByRole('button', { name: 'Reset demo' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Reset it' }).click();
    await expect(titles(page)).toHaveText(['Floods', 'How rivers shape the land']);
    // Every quiz of the school says where it stands, and what waits for the teacher.
    const rows = page.getByRole('main').getByRole('listitem');
    await expect(rows).toHaveText([
      /Floods.*Draft/,
      /Where a river ends.*8C.*Draft.*for 26 students.*1 question without a key/,
      /How rivers shape the land.*8C.*Open.*24 of 26 handed in.*results shown to 24.*3 answers to mark/,
      /How much water.*7B.*Open until.*10 of 22 handed in.*results shown to 10.*all marked/,
      /When the river rises.*7B.*Closed.*21 of 22 handed in.*no results shown yet.*9 answers to mark/,
      /The journey of a river.*7B.*Closed.*22 of 22 handed in.*no results shown yet.*19 answers to mark/,
      /Reading the map of a valley.*8C \(blue\).*Closed.*13 of 13 handed in.*results shown to 13.*all marked/,
      /Round and round.*8C and 7B.*Closed.*46 of 48 handed in.*all marked/,
    ]);
    await page.getByRole('button', { name: 'Remove demo' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Remove it' }).click();
    await expect(rows).toHaveText([/Floods.*Draft.*for 0 students/]);
    await page.reload();
    await expect(rows).toHaveText([/Floods/]);
  },
);

test('the menu of a quiz at the foot of the window opens in sight, by press and by key', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('24 of 26 handed in')).toBeVisible();
  const openers = page.getByRole('button', { name: /^More for/ });
  for (const [height, at] of [
    [800, 0],
    [400, 2],
  ] as const) {
    const opener = openers.nth(at);
    await page.setViewportSize({ width: 1280, height });
    // At the very foot.
    await opener.evaluate((button) => button.scrollIntoView({ block: 'end' }));
    await opener.focus();
    await page.keyboard.press('Enter');
    const choice = page.getByRole('button', { name: 'Delete', exact: true }).filter({ visible: true });
    await expect(choice).toBeInViewport({ ratio: 1 });
    await page.keyboard.press('Escape');
    await opener.click();
    await expect(choice).toBeInViewport({ ratio: 1 });
    await page.keyboard.press('Escape');
  }
});
