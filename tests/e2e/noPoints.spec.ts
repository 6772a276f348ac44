import { expectAccessibleHere } from './accessible';
import { anotherKind, expect, goTo, openIt, pageOf, saved, test } from './support';
import { come } from './come';

test('a question that carries no points asks for no key, and is nobody’s to mark', async ({ page }) => {
  test.setTimeout(90_000);
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  // Typed as soon as the new page has begun to be read, long before its field is there: nothing is lost.
  await page.waitForURL('**/quiz/**', { waitUntil: 'commit' });
  await page.waitForFunction(() => 'earlyKeys' in window);
  await page.keyboard.type('A walk along the river', { delay: 90 });
  await expect(page.getByLabel('Title of the quiz')).toHaveValue('A walk along the river');
  await page.getByRole('button', { name: 'Word or phrase', exact: true }).click();
  await page.keyboard.type('What is carried?');
  const hand = (number: number) => page.getByRole('region', { name: `Question ${number} in hand` });
  await hand(1).getByLabel('Another right answer').press('End');
  await page.keyboard.type('silt\n');
  await anotherKind(page, 'Written answer');
  await page.keyboard.type('What did you like?');
  await (await come(hand(2), 'How it counts')).selectOption('carries no points');
  await expect(hand(2).getByLabel('Points', { exact: true })).toHaveCount(0);
  await anotherKind(page, 'Pick one');
  await page.keyboard.type('How was it?');
  await expect(page.getByRole('navigation', { name: 'Desks' })).toContainText('1 without key');
  await (await come(hand(3), 'How it counts')).selectOption('carries no points');
  await hand(3).getByLabel('Option 1', { exact: true }).press('End');
  await page.keyboard.type('long\nshort');
  await saved(page);
  await expect(page.getByRole('navigation', { name: 'Desks' })).not.toContainText('without key');
  for (const rule of ['Points', 'What a wrong answer costs', 'Below 0'])
    await expect(hand(3).getByLabel(rule, { exact: true })).toHaveCount(0);
  await expect(page.getByRole('complementary', { name: 'Margin' })).not.toContainText('no key');
  await expectAccessibleHere(page, 'a question without points');

  await openIt(page);
  await goTo(page, 'Tray');
  const sheet = await pageOf(page, 'Ada Marsh');
  await sheet.getByRole('button', { name: 'Begin' }).click();
  await expect(sheet.getByText('Question 1 of 3 · 1 point')).toBeVisible();
  await sheet.getByRole('textbox').press('End');
  await sheet.keyboard.type('silt');
  await sheet.getByRole('button', { name: 'Next' }).click();
  await expect(sheet.getByText('Question 2 of 3 · carries no points')).toBeVisible();
  await sheet.getByRole('textbox').press('End');
  await sheet.keyboard.type('The mud');
  await expect(sheet.getByText('2 words')).toBeVisible();
  await expect(sheet.getByText('Your teacher marks')).toHaveCount(0);
  await sheet.getByRole('button', { name: 'Next' }).click();
  await sheet.getByText('long', { exact: true }).click();
  await sheet.getByRole('button', { name: 'Review and hand in' }).click();
  await sheet.getByRole('button', { name: 'Hand in' }).click();
  await expect(sheet.getByText('1 of 1', { exact: true }).first()).toBeVisible();
  await expect(sheet.getByText('Carries no points')).toHaveCount(2);
  await expect(sheet.getByText('not marked yet')).toHaveCount(0);

  await goTo(page, 'Check');
  await expect(page.getByRole('button', { name: /^Question 2: carries no points/ })).toBeVisible();
  await expect(page.getByText('waiting for you')).toHaveCount(0);
  await page.getByRole('button', { name: 'By hand', exact: true }).click();
  await expect(page.getByText('Nothing to mark by hand now')).toBeVisible();
});
