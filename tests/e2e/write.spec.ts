import { come } from './come';
import type { Page } from '@playwright/test';
import { anotherKind, expect, openDemo, saved, test } from './support';

const numbersInOrder = (page: Page) =>
  page
    .locator('ol > li.paper-row')
    .evaluateAll((items) => items.map((item) => item.textContent?.slice(0, 60) ?? ''));

test('questions are reordered by keyboard and by dragging, deleted with undo', async ({ page }) => {
  await openDemo(page, 'write');
  await page.getByRole('button', { name: 'Question 3', exact: true }).click();
  const title = 'Which of these is built up by a river';
  await page.getByRole('button', { name: 'Move question 3' }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Question 3 is now question 2')).toBeVisible();
  await saved(page);
  await expect.poll(async () => (await numbersInOrder(page))[1]).toContain(title);
  await page.keyboard.press('Alt+Shift+ArrowDown');
  await expect.poll(async () => (await numbersInOrder(page))[2]).toContain(title);
  await page.getByRole('button', { name: 'Move question 6' }).scrollIntoViewIfNeeded();
  const from = await page.getByRole('button', { name: 'Move question 5' }).boundingBox();
  const to = await page.getByRole('button', { name: 'Move question 6' }).boundingBox();
  if (!from || !to) throw new Error('no handles');
  const fifth = (await numbersInOrder(page))[4]?.slice(5) ?? '';
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y + 30, { steps: 4 });
  await page.mouse.move(from.x + 8, to.y + 12, { steps: 8 });
  await page.mouse.up();
  await expect.poll(async () => (await numbersInOrder(page))[5]).toContain(fifth);
  await page.getByRole('button', { name: 'Delete question 3' }).click();
  await expect(page.getByText('7 questions')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('8 questions')).toBeVisible();
  const bar = page.getByRole('region', { name: 'Changes not applied' });
  await expect(bar.getByText('1 change not applied')).toBeVisible();
  await expect(bar.getByText('No score changes')).toBeVisible();
});

test('a pasted list becomes options, and text with markup stays text', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByRole('button', { name: 'Pick one', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Text of question 1' })).toBeFocused();
  await page.getByLabel('Option 1', { exact: true }).focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text', 'gorge\n<img src=x onerror=alert(1)>\n\nlevee');
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(page.getByLabel('Option 1', { exact: true })).toHaveValue('gorge');
  await expect(page.getByLabel('Option 2', { exact: true })).toHaveValue('<img src=x onerror=alert(1)>');
  await expect(page.getByLabel('Option 3', { exact: true })).toHaveValue('levee');
  await page.getByRole('textbox', { name: 'Text of question 1' }).click();
  await page.keyboard.type('<script>alert(1)</script>');
  await anotherKind(page, 'Word or phrase');
  await expect(page.getByText('<script>alert(1)</script>')).toBeVisible();
  await expect(page.locator('main img')).toHaveCount(0);
});

test('formatted text keeps its format when folded', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByRole('button', { name: 'Word or phrase', exact: true }).click();
  await page.getByRole('textbox', { name: 'Text of question 1' }).click();
  await page.keyboard.type('Speed in m s');
  await page.getByRole('button', { name: 'Format the text' }).click();
  await page.getByLabel('Text format').last().getByRole('button', { name: 'Superscript' }).click();
  await page.keyboard.type('-1');
  await anotherKind(page, 'Pick one');
  await expect(page.locator('main sup')).toHaveText('-1');
});

test('the margin says beside each question what is known of it: how it went, what was tried, what it lacks', async ({
  page,
}) => {
  await openDemo(page, 'write');
  const notes = (number: number) =>
    page.getByRole('group', { name: `About question ${number}`, exact: true });
  // Of 24 papers: 19 picked the right option of question 1, 5 another one.
  await expect(page.getByRole('complementary', { name: 'Margin' })).toContainText('19 right5 wrong24 papers');
  await expect(notes(5)).toContainText('7 right2 partly right15 wrong24 papers');
  await expect(notes(8)).toContainText('3 not marked yet');
  await page.getByRole('button', { name: 'Question 2', exact: true }).click();
  const tried = page.getByRole('textbox', { name: 'Try an answer' });
  await tried.fill('oxbow laek');
  await expect(page.getByText('1.8 of 2')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Question 4', exact: true }).click();
  await expect(notes(2)).toContainText('oxbow laek');
  await expect(notes(2)).toContainText('1.8 of 2');
  // Both columns go together: what is known of a question stands on its line.
  const [left, right] = await Promise.all([
    page.getByRole('button', { name: 'Question 3', exact: true }).boundingBox(),
    notes(3).boundingBox(),
  ]);
  expect(Math.abs((left?.y ?? 0) - (right?.y ?? 0))).toBeLessThan(24);

  // Before anybody has answered, a made-up class shows what the key would do; without a key it says nothing.
  await page.goto('/quiz/?id=demo-deltas#write');
  await expect(notes(2)).toContainText(/\d+ right.*26 made-up students/);
  await expect(notes(4)).toHaveText('no key');
  await page.getByRole('button', { name: 'Question 4', exact: true }).click();
  await page.getByLabel('Another right answer').fill('estuary');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Question 3', exact: true }).click();
  await expect(notes(4)).toContainText(/\d+ right.*26 made-up students/);
});

test('the foot adds at the foot, a press between adds between, a page begins by one press; a pasted block is a question with options', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByRole('button', { name: 'True or false', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Text of question 1' })).toBeFocused();
  await page.keyboard.type('first');
  await page.getByRole('button', { name: 'Next question: true or false' }).click();
  await expect(page.getByRole('textbox', { name: 'Text of question 2' })).toBeFocused();
  await page.keyboard.type('last');
  // The first is in hand: the foot adds at the foot all the same.
  await page.getByRole('button', { name: 'Question 1', exact: true }).click();
  await page.getByRole('button', { name: 'Next question: true or false' }).click();
  await expect(page.getByRole('textbox', { name: 'Text of question 3' })).toBeFocused();
  await page.keyboard.type('at the foot');

  // Between the first and the second.
  await page.getByRole('button', { name: 'Add a question here after question 1' }).hover();
  await page.getByRole('button', { name: 'Add a question here after question 1' }).click();
  await page
    .getByRole('list', { name: 'Kinds of question' })
    .getByRole('button', { name: 'Pick one', exact: true })
    .click();
  const text = page.getByRole('textbox', { name: 'Text of question 2' });
  await expect(text).toBeFocused();
  await text.evaluate((field) => {
    const data = new DataTransfer();
    data.setData('text/plain', 'Where is it fastest?\na) outside ✓\nb) inside\nc) nowhere');
    field.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(text).toHaveText('Where is it fastest?');
  for (const [at, option] of ['outside', 'inside', 'nowhere'].entries())
    await expect(page.getByRole('textbox', { name: `Option ${at + 1}`, exact: true })).toHaveValue(option);
  await expect(page.getByRole('button', { name: 'outside is right' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await saved(page);
  await expect(page.getByText('4 questions · 4 points')).toBeVisible();

  // All on one page, then a break before the last.
  await (await come(page, 'Pages')).selectOption('one');
  const pageBreak = page.getByRole('button', { name: 'Page break after question 3' });
  await pageBreak.hover();
  await pageBreak.click();
  await expect(page.getByText(/^Page 2 begins/)).toHaveCount(1);
  await page.getByRole('button', { name: 'Remove the page break before question 4' }).click();
  await expect(page.getByText(/^Page 2 begins/)).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Remove the page break before question 4' })).toBeVisible();
});
