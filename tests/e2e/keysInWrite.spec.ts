import { come } from './come';
import { expect, goTo, newQuiz, openDemo, saved, test } from './support';

test('questions by keys: kinds by their letters, keys act inside the question alone, the focus goes along', async ({
  page,
}) => {
  await newQuiz(page, 'By keys', 'True or false');
  await page.keyboard.type('A levee is built by floods.');
  await saved(page);
  // One key and four letters, from wherever one is.
  await page.keyboard.press('Alt+Shift+N');
  await expect(page.getByRole('list', { name: 'Kinds of question' })).toBeVisible();
  await page.keyboard.type('spot');
  await expect(page.getByRole('button', { name: 'Spot on a picture', exact: true })).toBeFocused();
  await page.waitForTimeout(1600);
  await page.keyboard.type('pick s');
  await expect(page.getByRole('button', { name: 'Pick several', exact: true })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.type('Which does a river build?');
  const text = (at: number) => page.getByRole('textbox', { name: `Text of question ${at}`, exact: true });
  await expect(text(2)).toBeFocused();
  await expect(text(2)).toHaveText('Which does a river build?');
  await saved(page);

  await page.keyboard.press('Alt+ArrowUp');
  await expect(text(1)).toBeFocused();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(text(2)).toBeFocused();
  await page.keyboard.press('Alt+Shift+D');
  await expect(text(3)).toBeFocused();
  await expect(text(3)).toHaveText('Which does a river build?');
  await page.keyboard.press('Alt+Shift+Delete');
  await expect(text(2)).toBeFocused();
  await expect(page.getByText('2 questions · 2 points')).toBeVisible();

  // In the title they are keys of the title.
  await page.getByLabel('Title of the quiz').click();
  await page.keyboard.press('Alt+Shift+D');
  await page.keyboard.press('Alt+Shift+Delete');
  await page.keyboard.press('Alt+Shift+ArrowUp');
  await page.keyboard.type(' of a river');
  await saved(page);
  await expect(page.getByText('2 questions · 2 points')).toBeVisible();

  // One from the palette, made on another desk, has the focus.
  await goTo(page, 'Plan');
  await page.keyboard.press('Control+k');
  await page.keyboard.type('new question: written');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Why?');
  await expect(text(3)).toBeFocused();
  await expect(text(3)).toHaveText('Why?');
});

test('an arrow key on a list chooses and does nothing else; a key is kept when its kind is changed back', async ({
  page,
}) => {
  await openDemo(page, 'plan');
  const whose = page.getByLabel('Set times for a class, a group or a student');
  await whose.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: /^Set times for / })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(whose).toBeFocused();

  await newQuiz(page, 'A gap', 'Gaps');
  await page.keyboard.type('Fill it.');
  await page.getByRole('textbox', { name: 'The text with its gaps' }).click();
  await page.keyboard.type('delta');
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Control+g');
  const forms = page.getByLabel('Another right answer in gap 1');
  await forms.pressSequentially('fan');
  await page.keyboard.press('Enter');
  await saved(page);
  const way = await come(page, 'How gap 1 is filled');
  await way.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  await saved(page);
  await expect(page.getByLabel('Form 1 of fan')).toHaveValue('fan');
});

test('from “3 answers to mark” one press leads to the first; a cell says whose it is and out of how many points', async ({
  page,
}) => {
  await openDemo(page, 'check');
  const grid = page.getByRole('grid', { name: 'Scores' });
  await expect(grid).toHaveAttribute('aria-colcount', '10');
  await page.getByLabel('Find a student').focus();
  await page.getByRole('button', { name: /answers to mark$/ }).press('Enter');
  const here = grid.locator('button:focus');
  await expect(here).toHaveAccessibleName(/^Question 8: .*not marked yet/);
  await expect(here).toHaveAccessibleDescription(/^Karl Mead .* ?of .*2 pts$|^Karl Mead of 2 pts$/);
});
