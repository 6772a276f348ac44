import { expectAccessibleHere } from './accessible';
import { fits } from './fits';
import { anotherKind, expect, goTo, newQuiz, openIt, pageOf, saved, test } from './support';
import { come } from './come';

test('results say of each option and pair whether it was right, with what helps beside it', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await newQuiz(page, 'Built or cut', 'Pick several');
  const hand = (number: number) => page.getByRole('region', { name: `Question ${number} in hand` });
  await page.keyboard.type('Which are built up? See https://rivers.example/built.');
  await hand(1).getByLabel('Option 1', { exact: true }).click();
  await page.keyboard.type('delta\nlevee\ngorge');
  for (const right of ['delta', 'levee'])
    await hand(1)
      .getByRole('button', { name: `${right} is right` })
      .click();
  await (await come(hand(1), 'Feedback for gorge')).click();
  await page.keyboard.type('A gorge is cut.');
  await (await come(hand(1), 'Feedback for wrong answers')).click();
  await page.keyboard.type('Look at the map again.');
  // A second spelling becomes a form of the first by one press.
  await anotherKind(page, 'Word or phrase');
  await page.keyboard.type('What is the bank beside a river called?');
  await hand(2).getByLabel('Another right answer').click();
  await page.keyboard.type('levee\nlevée\n');
  await expect(hand(2).getByText('students are shown the first one alone')).toBeVisible();
  await hand(2).getByRole('button', { name: 'Make it a form of “levee”' }).click();
  await expect(hand(2).getByLabel('Form 2 of levee')).toHaveValue('levée');
  await saved(page);
  await openIt(page);

  await goTo(page, 'Tray');
  const sheet = await pageOf(page, 'Ada Marsh');
  await sheet.setViewportSize({ width: 360, height: 740 });
  await sheet.getByRole('button', { name: 'Begin' }).click();
  await expect(sheet.getByRole('link', { name: 'https://rivers.example/built', exact: true })).toHaveAttribute('href', 'https://rivers.example/built'); // prettier-ignore
  for (const option of ['delta', 'gorge']) await sheet.getByText(option, { exact: true }).click();
  await sheet.getByRole('button', { name: 'Next' }).click();
  await sheet.getByRole('textbox').click();
  await sheet.keyboard.type('levée');
  await sheet.getByRole('button', { name: 'Review and hand in' }).click();
  await sheet.getByRole('button', { name: 'Hand in' }).click();
  const first = sheet.getByRole('listitem').filter({ hasText: 'Which are built up?' });
  await expect(first).toContainText('To choose from');
  const entry = (name: string) => first.getByRole('listitem').filter({ hasText: name }).last();
  await expect(entry('delta').getByRole('img', { name: 'Right' })).toBeVisible();
  await expect(entry('gorge').getByRole('img', { name: 'Not right' })).toBeVisible();
  await expect(entry('gorge')).toContainText('A gorge is cut.');
  // Partly right, of which nothing is said: what is said of wrong answers.
  await expect(first).toContainText('Look at the map again.');
  await fits(sheet, 'results by entries');
  await expectAccessibleHere(sheet, 'results by entries');
  await sheet.close();
  await goTo(page, 'Check');
  await page.getByRole('button', { name: /^Question 1: / }).click();
  await expect(page.getByText(/1 of 2 right ones picked, and 1 wrong one costs/)).toBeVisible();
});
