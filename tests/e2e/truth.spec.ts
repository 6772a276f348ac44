import type { Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import { anotherKind, checkRow, expect, goTo, newQuiz, openIt, pageOf, saved, test } from './support';
import { come } from './come';
import { fits } from './fits';

const hand = (page: Page, at: number) => page.getByRole('region', { name: `Question ${at} in hand` });
const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });

/** A question of a word or phrase, written by keys: its text, and what is right. */
async function ask(page: Page, at: number, text: string, right: string): Promise<void> {
  if (at > 1) await anotherKind(page, 'Word or phrase');
  await page.keyboard.type(text);
  await hand(page, at).getByLabel('Another right answer').focus();
  await page.keyboard.type(`${right}\n`);
  await expect(hand(page, at).getByLabel(`Form 1 of ${right}`)).toHaveValue(right);
}

async function inLanguage(page: Page, at: number, language: string): Promise<void> {
  await (await come(hand(page, at), 'What counts in spelling')).selectOption('smallErrorsPass');
  await (await come(hand(page, at), 'Language of its answers')).selectOption(language);
}

/** A whole sitting by keys: one answer typed on each page. */
async function sitFor(tray: Page, name: string, answers: readonly string[]): Promise<Page> {
  const sit = await pageOf(tray, name);
  await sit.setViewportSize({ width: 360, height: 740 });
  await sit.getByRole('button', { name: 'Begin' }).press('Enter');
  for (const [at, answer] of answers.entries()) {
    await expect(sit.getByRole('heading', { level: 1 })).toBeFocused();
    await sit.getByRole('textbox').focus();
    await sit.keyboard.type(answer);
    await fits(sit, `question ${at + 1}`);
    const last = at === answers.length - 1;
    await sit.getByRole('button', { name: last ? 'Review and hand in' : 'Next', exact: true }).press('Enter');
  }
  await sit.getByRole('button', { name: 'Hand in', exact: true }).press('Enter');
  await expect(sit.getByText('It has been received.')).toBeVisible();
  return sit;
}

test('chemistry, mathematics, French and German from Write to the results: each sign and each word as it is meant', async ({
  page,
}) => {
  test.setTimeout(150_000);
  await newQuiz(page, 'What the river carries', 'Word or phrase');
  await ask(page, 1, 'The formula of calcium hydroxide?', 'Ca(OH)2');
  await expect(hand(page, 1).getByText('The signs in “Ca(OH)2” count, though punctuation is ignored.')).toBeVisible(); // prettier-ignore
  await ask(page, 2, 'The fall over x kilometres, less three?', '2x-3');
  await ask(page, 3, 'Comment appelle-t-on l’usure des rives ?', 'érosion');
  await inLanguage(page, 3, 'fr');
  await ask(page, 4, 'Wen überquert die Brücke?', 'den Fluss');
  await inLanguage(page, 4, 'de');
  await ask(page, 5, 'Which line stores the level?', 'level == 0;');
  // What looks like code is offered to be compared sign by sign.
  await hand(page, 5).getByRole('button', { name: 'Let every sign count' }).press('Enter');
  await expect(hand(page, 5).getByText('looks like code')).toHaveCount(0);
  await saved(page);
  await openIt(page);

  await goTo(page, 'Tray');
  const right = await sitFor(page, 'Ada Marsh', ['Ca(OH)₂', '2x − 3', 'erosion', 'den Fluß', 'level == 0;']);
  await expect(right.getByText('5 of 5')).toBeVisible();
  await page.bringToFront();
  const wrong = await sitFor(page, 'Bela Fenn', ['CaOH2', '2x 3', 'erosian', 'dem Fluss', 'level = 0']);
  await expect(wrong.getByText('1 of 5')).toBeVisible();
  await page.bringToFront();

  await goTo(page, 'Check');
  const total = async (name: string) => (await checkRow(page, name)).at(-1);
  await expect.poll(() => total('Ada Marsh')).toBe('5');
  expect(await total('Bela Fenn')).toBe('1');
  await page.getByRole('button', { name: 'Question 1: wrong, 0 points, near miss, “CaOH2”' }).press('Enter');
  await expect(margin(page).getByText('equal to an accepted answer without its signs')).toBeVisible();
  await expect(margin(page).getByText('“Ca(OH)2”: “( )” is missing, which counts')).toBeVisible();
  await page
    .getByRole('button', { name: 'Question 4: wrong, 0 points, near miss, “dem Fluss”' })
    .press('Enter');
  await expect(margin(page).getByText('“dem” is another word, by the word list de-2')).toBeVisible();
});

test('the page to try comparing on, by keys: a key and an answer, each step, what other settings make of it', async ({
  page,
}) => {
  await newQuiz(page, 'Formulas', 'Word or phrase');
  await ask(page, 1, 'The fall?', 'y = 2 - x');
  await saved(page);
  const [tried] = await Promise.all([
    page.waitForEvent('popup'),
    hand(page, 1)
      .getByRole('link', { name: /^Try how answers are compared/ })
      .press('Enter'),
  ]);
  await expect(tried.getByRole('heading', { level: 1 })).toHaveText('How answers are compared');
  await expect(tried.getByLabel('Right answer', { exact: true })).toHaveValue('y = 2 - x');
  await tried.getByLabel('Answer', { exact: true }).focus();
  await tried.keyboard.press('Control+a');
  await tried.keyboard.type('y = 2 x');
  const result = tried.getByRole('status');
  await expect(result).toHaveText(/^wrong.*without its signs$/);
  await expect(
    tried.getByText('“y = 2 - x”: “-” is missing, which counts: a minus between two'),
  ).toBeVisible();
  await tried.keyboard.press('ArrowLeft');
  await tried.keyboard.type('− ');
  await expect(result).toHaveText('right');

  await tried.getByLabel('What is typed').selectOption('numbers');
  await tried.getByLabel('Right answer', { exact: true }).focus();
  await tried.keyboard.press('Control+a');
  await tried.keyboard.type('9.81');
  await tried.getByLabel('Unit').focus();
  await tried.keyboard.type('m/s²');
  await tried.getByLabel('Answer', { exact: true }).focus();
  await tried.keyboard.press('Control+a');
  await tried.keyboard.type('9.81 m s^-2');
  await expect(result).toHaveText('right');
  // What is tried stands in the address.
  await expect(tried).toHaveURL(/answer=9\.81\+m\+s%5E-2/);
  await tried.reload();
  await expect(tried.getByLabel('Answer', { exact: true })).toHaveValue('9.81 m s^-2');

  await tried.getByRole('button', { name: /errosion/ }).press('Enter');
  await expect(tried.getByRole('heading', { level: 1 })).toBeFocused();
  await expect(result).toHaveText('right, with 1 typing error');
  await expect(tried.getByLabel('What counts in spelling')).toHaveValue('smallErrorsPass');
  await expectAccessibleHere(tried, 'how answers are compared');
  await tried.setViewportSize({ width: 360, height: 740 });
  await fits(tried, 'how answers are compared');
});
