import type { Page } from '@playwright/test';
import { anotherKind, checkRow, expect, goTo, newQuiz, pageOf, saved, test } from './support';
import { come } from './come';

const HOUR = 3_600_000;

/** What a field for date and time takes, in the zone of the browser under test. */
const wall = (at: number): string =>
  new Date(at).toLocaleString('sv-SE', { timeZone: 'Europe/Berlin' }).slice(0, 16).replace(' ', 'T');

/** Answers the three questions, with a hint to the first where that is wanted, and hands in. */
async function answer(sit: Page, hints: number, first: string, word: string, bonus: string): Promise<void> {
  for (let asked = 0; asked < hints; asked++)
    await sit.getByRole('button', { name: 'Show a hint (costs 0.5 points)' }).click();
  await sit.getByRole('radio', { name: first }).check();
  await sit.getByRole('button', { name: 'Next' }).click();
  await sit.getByRole('textbox').fill(word);
  await sit.getByRole('button', { name: 'Next' }).click();
  await sit.getByRole('textbox').fill(bonus);
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await sit.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(sit.getByText('It has been received.')).toBeVisible();
}

/**
 * Every step of the way of a score, set on screen and sat. True or false: 2 points, a hint costs a quarter, a wrong answer
 * half a point. A word: 2 points, *silt* all of them, *mud* half. A bonus of 1. A repeat keeps 80%, a day late costs 10% of
 * what was earned; out of 100, in halves; the latest attempt counts.
 */
const WAY: readonly (readonly [what: string, attempt: 1 | 2, line: string | RegExp])[] = [
  ['the sum, with a penalty in it', 1, '3 questions add up to 1.5 of 4'],
  ['nothing repeated yet; late', 1, /costs 10% of the earned points: 1\.35 left of 1\.5/],
  ['out of 100', 1, 'Out of 100 instead of 4: 33.75'],
  ['in halves', 1, 'Rounded to halves: 34'],
  ['the sum, with a hint, a part and a bonus in it', 2, '3 questions add up to 3.5 of 4'],
  ['a repeat', 2, 'Attempt 2 keeps 80% of its sum: 2.8'],
  ['late', 2, /costs 10% of the earned points: 2\.52 left of 2\.8/],
  ['out of 100', 2, 'Out of 100 instead of 4: 63'],
  ['which attempt counts', 2, 'The latest attempt counts: 63'],
];

test(
  'the way of a score, step by step: set in sentences, sat twice, read in the trace',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(150_000);
    await newQuiz(page, 'The way of a score', 'True or false');
    const hand = (number: number) => page.getByRole('region', { name: `Question ${number} in hand` });
    await hand(1).getByRole('textbox', { name: 'Text of question 1' }).fill('Water flows downhill.');
    await hand(1).getByRole('button', { name: 'True is right' }).click();
    await hand(1)
      .getByRole('button', { name: /^Hint of / })
      .click();
    await hand(1).getByRole('textbox', { name: 'Hint 1', exact: true }).fill('Pour some out.');
    await anotherKind(page, 'Word or phrase');
    await hand(2).getByRole('textbox', { name: 'Text of question 2' }).fill('What settles last?');
    await hand(2).getByLabel('Another right answer').fill('silt');
    await page.keyboard.press('Enter');
    await hand(2).getByLabel('Another right answer').fill('mud');
    await page.keyboard.press('Enter');
    await (await come(hand(2), 'Points for mud, %')).fill('50');
    await anotherKind(page, 'Word or phrase');
    await hand(3).getByRole('textbox', { name: 'Text of question 3' }).fill('What is a bend called?');
    await hand(3).getByLabel('Another right answer').fill('meander');
    await page.keyboard.press('Enter');
    await (await come(hand(3), 'How it counts')).selectOption('bonus');
    await (await come(hand(3), 'Points')).fill('1');
    await (await come(page, 'Points of a question')).fill('2');
    await (await come(page, 'What a wrong answer costs')).selectOption('points');
    await (await come(page, 'What the score is out of')).selectOption('false');
    await (await come(page, 'How scores are rounded')).selectOption('2');
    await goTo(page, 'Plan');
    await page.getByLabel('How often each student can take the quiz').selectOption('2');
    await page.getByLabel('Which attempt counts').selectOption('latest');
    await page.getByLabel('What late work loses').selectOption('steps');
    await saved(page);
    await goTo(page, 'Write');
    await (await come(page, 'What a repeated attempt loses')).selectOption('false');
    await page.getByLabel('What each repeat loses, %').fill('20');
    await saved(page);
    await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
    await page.getByLabel('Open from').fill(wall(Date.now() - 48 * HOUR));
    await page.getByRole('button', { name: 'Late work' }).click();
    await page.getByLabel(/^Due /).fill(wall(Date.now() - 2 * HOUR));
    await page.getByRole('checkbox', { name: 'It stays open until I close it' }).check();
    await page.getByRole('button', { name: 'Open it' }).click();
    await goTo(page, 'Tray');

    const sit = await pageOf(page, 'Ada Marsh');
    await sit.getByRole('button', { name: 'Begin' }).click();
    // −0.5 + 1 + 1; then 2 − 0.5 + 1 + 1.
    await answer(sit, 0, 'False', 'mud', 'meander');
    await expect(sit.getByText('34 of 100')).toBeVisible();
    await sit.getByRole('button', { name: 'Take the quiz again' }).click();
    await answer(sit, 1, 'True', 'mud', 'meander');
    await expect(sit.getByText('63 of 100').first()).toBeVisible();
    await expect(sit.getByText('Recorded: 63 of 100, as your latest attempt counts.')).toBeVisible();

    await page.bringToFront();
    await goTo(page, 'Check');
    await expect.poll(async () => (await checkRow(page, 'Ada Marsh · 2')).at(-1)).toBe('late63');
    const trace = page.getByRole('list', { name: 'How the total came about' });
    for (const attempt of [1, 2] as const) {
      await page
        .getByRole('row', { name: new RegExp(`Ada Marsh · ${attempt}`) })
        .getByRole('button')
        .last()
        .click();
      for (const [what, of, line] of WAY)
        if (of === attempt)
          await expect(trace.getByRole('listitem').filter({ hasText: line }), what).toHaveCount(1);
    }
  },
);
