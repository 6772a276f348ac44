import type { Page } from '@playwright/test';
import { checkRow, downloaded, expect, goTo, pageOf, saved, test } from './support';
import { come, unfold } from './come';

const total = async (page: Page, name: string) => (await checkRow(page, name)).at(-1);
const bar = (page: Page) => page.getByRole('region', { name: 'Changes not applied' });
const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });

/** What the students type, and what each is worth of 4 points, before and after the key grows. */
const ANSWERS = [
  ['Ada Marsh', '1,5 km', 4, 4],
  ['Bela Fenn', '1,5', 2, 2],
  ['Cato Weir', '1,55 km', 2, 2],
  ['Dina Ford', '1500 m', 0, 4],
  ['Emil Brook', '15 km', 0, 0],
  ['Fleur Banks', '1,500 km', 4, 4],
  ['Gero Lock', 'about one', 0, 0],
] as const;

async function writeQuestion(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'New quiz' }).click();
  await (await come(page, 'Decimal sign of the answers')).selectOption('comma');
  await page.getByRole('button', { name: 'Number', exact: true }).click();
  const hand = page.getByRole('region', { name: 'Question 1 in hand' });
  await hand.getByLabel('Text of question 1').fill('How long is the meander?');
  // The unit that is typed with the number becomes the question’s own.
  await hand.getByLabel('The right number').fill('1,5 km');
  await expect(await come(hand, 'Unit')).toHaveValue('optional');
  await (await come(hand, 'Unit')).selectOption('required');
  await hand.getByLabel('Share without a unit, %').fill('50');
  await hand.getByRole('button', { name: 'Another tolerance' }).click();
  await hand.getByLabel('Kind of tolerance 2').selectOption('amount');
  await hand.getByLabel('Amount of tolerance 2').fill('0,1');
  await (await come(hand, 'Points for tolerance 2, %')).fill('50');
  await hand.getByLabel('Another expected wrong answer').fill('15');
  await page.keyboard.press('Enter');
  await (await come(hand, 'Feedback for 15')).fill('Look at the scale once more.');
  await (await come(hand, 'Points')).fill('4');
  await saved(page);
}

test(
  'a number is written, tried, sat, checked, keyed in another unit, handed back and exported',
  { tag: '@long' },
  async ({ page }) => {
    await page.goto('/');
    await expect(page.getByText('24 of 26 handed in')).toBeVisible();
    await writeQuestion(page);

    const trial = margin(page).getByRole('textbox', { name: 'Try an answer' });
    for (const [typed, worth] of [
      ['1,5 km', '4 of 4'],
      ['1.5 km', '4 of 4'],
      ['1,58 km', '2 of 4'],
      ['15 km', '0 of 4'],
    ] as const) {
      await trial.fill(typed);
      await expect(margin(page).getByText(worth, { exact: true }).first()).toBeVisible();
    }
    await expect(margin(page).getByText('Look at the scale once more.').first()).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('The right number')).toHaveValue('1,5');
    await expect(page.getByLabel('Amount of tolerance 2')).toHaveValue('0,1');

    await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
    await page.getByRole('checkbox', { name: 'It stays open until I close it' }).check();
    await page.getByRole('button', { name: 'Open it' }).click();
    await goTo(page, 'Tray');
    for (const [name, answer] of ANSWERS) {
      const sitting = await pageOf(page, name);
      await sitting.getByRole('button', { name: 'Begin' }).click();
      await sitting.getByRole('textbox').fill(answer);
      await expect(sitting.getByText(/Saved on this device at/)).toBeVisible();
      await sitting.getByRole('button', { name: 'Review and hand in' }).click();
      await sitting.getByRole('button', { name: 'Hand in' }).click();
      await expect(sitting.getByText('It has been received.')).toBeVisible();
      await sitting.close();
      await page.bringToFront();
    }

    await goTo(page, 'Check');
    for (const [name, , before] of ANSWERS) await expect.poll(() => total(page, name)).toBe(String(before));
    await page.getByRole('button', { name: /“1500 m”$/ }).click();
    await expect(margin(page).getByText('“m” is not an accepted unit')).toBeVisible();
    await page.keyboard.press('a');
    await expect(margin(page).getByText('“m” is not a unit of this question.')).toBeVisible();

    // Another unit is written into the key; its effect is seen before it holds.
    await goTo(page, 'Write');
    await unfold(page, 'Rules of this question');
    await page.getByLabel('Another unit').fill('m');
    await page.keyboard.press('Enter');
    await page.getByLabel('Size of the unit m').fill('0,001');
    await expect(bar(page).getByText('1 score goes up, 6 stay')).toBeVisible();
    await goTo(page, 'Check');
    await bar(page).getByRole('button', { name: 'Apply to all' }).click();
    for (const [name, , , after] of ANSWERS) await expect.poll(() => total(page, name)).toBe(String(after));

    // A value that was typed in a comma quiz means in the key what it meant in the answer.
    await page.getByRole('button', { name: /“1,55 km”$/ }).click();
    await page.keyboard.press('a');
    await expect(bar(page).getByText('1 score goes up, 6 stay')).toBeVisible();
    await bar(page).getByRole('button', { name: 'Apply to all' }).click();
    await expect.poll(() => total(page, 'Cato Weir')).toBe('4');
    await goTo(page, 'Write');
    await expect(page.getByLabel('Value 1,55')).toHaveValue('1,55');

    await goTo(page, 'Hand back');
    await page.getByRole('banner').getByRole('button', { name: 'Open', exact: true }).click();
    await page.getByRole('button', { name: 'Close now' }).click();
    const [slip] = await Promise.all([
      page.context().waitForEvent('page'),
      page
        .getByRole('row', { name: /Emil Brook/ })
        .getByRole('link', { name: /^Results of/ })
        .click(),
    ]);
    await expect(slip.getByText('15 km', { exact: true })).toBeVisible();
    await expect(slip.getByText('1,5 km', { exact: true })).toBeVisible();
    await expect(slip.getByText('Look at the scale once more.')).toBeVisible();
    await slip.close();
    const file = await downloaded(page, () => page.getByRole('button', { name: 'Answers as CSV' }).click());
    expect(file.text).toContain('1500 m');
  },
);
