import { madeUpTicket } from '@/core/madeUp/tickets';
import { expectAccessible } from './accessible';
import { DEMO, expect, openDemo, test } from './support';
import { come, unfold } from './come';

test('the Shelf, and pages that are not there', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('24 of 26 handed in')).toBeVisible();
  await expectAccessible(page, 'shelf');
  await page.getByLabel('Quiz file, backup or rescue file').setInputFiles('demo/import/rivers.yentrel');
  await expect(page.getByText('This quiz is already on your Shelf')).toBeVisible();
  await expectAccessible(page, 'a quiz file');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('button', { name: 'More for How rivers shape the land' }).click();
  await page.getByRole('button', { name: 'Save as a file' }).click();
  await expectAccessible(page, 'saving a quiz as a file');
  await page.getByRole('button', { name: 'Cancel' }).click();
  const [backup] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back up everything now' }).click(),
  ]);
  await page.getByLabel('Quiz file, backup or rescue file').setInputFiles(await backup.path());
  await expect(page.getByText('the same as in this browser')).toHaveCount(7);
  await expectAccessible(page, 'a backup');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.goto('/class/');
  await expect(page.getByText('26 students.')).toBeVisible();
  await expectAccessible(page, 'class list');
  await page.goto('/quiz/?id=nowhere');
  await expect(page.getByRole('heading', { name: 'This quiz is not in this browser' })).toBeVisible();
  await expectAccessible(page, 'missing quiz');
  await page.goto('/sit/?quiz=nowhere&ticket=nobody');
  await expect(page.getByRole('heading', { name: 'There is no paper at this address' })).toBeVisible();
  await expectAccessible(page, 'missing paper');
});

test('every station, with dialogs and the effect bar', async ({ page }) => {
  await openDemo(page, 'write');
  await page.getByRole('button', { name: 'Question 1', exact: true }).click();
  await expectAccessible(page, 'write, pick one');
  await page.getByRole('button', { name: 'Question 4', exact: true }).click();
  await unfold(page, 'Rules');
  await unfold(page, 'Rules of this question');
  await page.getByRole('button', { name: 'Show all settings' }).click();
  await page.getByRole('textbox', { name: 'Try an answer' }).fill('flood plain');
  await expect(page.getByText('Near miss:')).toBeVisible();
  await (await come(page, 'Another form of floodplain')).fill('flood plain');
  await page.keyboard.press('Enter');
  await expect(page.getByText('5 scores go up')).toBeVisible();
  await expectAccessible(page, 'write, word or phrase');
  await page.getByRole('button', { name: 'See who' }).click();
  await expect(page.getByRole('list', { name: 'Whose score changes' })).toBeVisible();
  await expectAccessible(page, 'who goes up');
  await page.getByRole('button', { name: 'Changes to the key' }).click();
  await expect(page.getByText('As it was opened')).toBeVisible();
  await expectAccessible(page, 'changes of the key');
  await page.goto('/quiz/?id=demo-rivers#plan');
  await expect(page.getByRole('heading', { name: 'Plan', exact: true })).toBeVisible();
  await expectAccessible(page, 'plan');
  await page.getByRole('button', { name: /^Open · closes/ }).click();
  await expectAccessible(page, 'opening');
  await page.keyboard.press('Escape');
  await page.goto('/quiz/?id=demo-rivers#tray');
  await expect(page.getByRole('heading', { name: 'Tray' })).toBeVisible();
  await expect(page.getByText('24 of 26')).toBeVisible();
  await expectAccessible(page, 'tray');
  await page.getByLabel('Answer file').setInputFiles('demo/import/answers.csv');
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectAccessible(page, 'columns of a file');
  await page.keyboard.press('Escape');
  await page.goto('/quiz/?id=demo-rivers#check');
  await expect(page.getByText('papers marked')).toBeVisible();
  await expectAccessible(page, 'check');
});

test('handing back, printing, the palette, keys, pictures and the class list’s file', async ({ page }) => {
  await openDemo(page, 'handback');
  await expect(page.getByText('Some results are shown to 24 of 24 students.')).toBeVisible();
  await expectAccessible(page, 'hand back');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog').getByRole('combobox')).toBeFocused();
  await expectAccessible(page, 'palette');
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expectAccessible(page, 'keys');
  await page.keyboard.press('Escape');
  await page.goto('/quiz/?id=demo-rivers#write');
  await page.getByRole('button', { name: 'Question 1', exact: true }).click();
  await page.getByRole('textbox', { name: 'Option 1', exact: true }).click();
  await page.getByRole('button', { name: 'Picture for Option 1' }).click();
  await expectAccessible(page, 'adding a picture');
  await page.keyboard.press('Escape');
  await page.goto('/quiz/?id=demo-rivers#plan');
  await page.getByLabel('How often each student can take the quiz').selectOption('3');
  await page.getByLabel('What late work loses').selectOption('table');
  await expect(page.getByLabel('Time of row 1')).toBeVisible();
  await expectAccessible(page, 'attempts and lateness');
  await page.goto('/print/?quiz=demo-rivers&right=with');
  await expect(page.getByRole('region', { name: 'Results of Ada Marsh' })).toBeVisible();
  await expectAccessible(page, 'print');
  await page.goto('/class/');
  await page.getByLabel('Class list file').setInputFiles('demo/import/class-list.csv');
  await expect(page.getByText('12 new students')).toBeVisible();
  await expectAccessible(page, 'class list from a file');
});

test('the student’s page at 360 px, from the first page to the slip', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 });
  await page.goto(`/sit/?quiz=demo-rivers&ticket=${madeUpTicket('demo-25')}`);
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  await expectAccessible(page, 'first page');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByText('upper course').click();
  await expectAccessible(page, 'pick one');
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('textbox').fill('oxbow lake');
  await expectAccessible(page, 'word or phrase');
  for (let n = 0; n < 7; n++) await page.getByRole('button', { name: /^(Next|Review and hand in)$/ }).click();
  await expect(page.getByText('6 questions have no answer yet:')).toBeVisible();
  await expectAccessible(page, 'last page');
  const width = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(width).toBeLessThanOrEqual(360);
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByText('It has been received.')).toBeVisible();
  await expectAccessible(page, 'slip');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
});

test('a whole paper can be sat with the keyboard alone', async ({ page }) => {
  await page.goto(`/sit/?quiz=demo-rivers&ticket=${madeUpTicket('demo-26')}`);
  await page.getByRole('button', { name: 'Begin' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('radiogroup')).toBeVisible();
  await page.getByRole('radio').first().focus();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Next' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Question 2 of 8')).toBeVisible();
  await expect(page.getByRole('textbox')).toBeVisible();
  await page.keyboard.press('Tab');
  await page.keyboard.type('oxbow lake');
  await expect(page.getByRole('textbox')).toHaveValue('oxbow lake');
});

test.describe('in the dark look', () => {
  test.use({ colorScheme: 'dark' });

  for (const [name, address, seen] of [
    ['a slip', `/sit/?quiz=demo-floods&ticket=${madeUpTicket('demo-1')}`, 'heading'],
    ['the table of Check', `${DEMO}#check`, 'rowheader'],
  ] as const)
    test(`paper is white and ink is black: ${name}`, async ({ page }) => {
      await page.goto(address);
      await expect(page.getByRole(seen).first()).toBeVisible();
      await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
      const [ink, paper] = await page.evaluate(() => [
        getComputedStyle(document.body).color,
        getComputedStyle(document.documentElement).backgroundColor,
      ]);
      expect([ink, paper]).toEqual(['rgb(0, 0, 0)', 'rgb(255, 255, 255)']);
    });
});

test('paper has what the questions need, and nothing that only fills it', async ({ page }) => {
  await page.goto('/print/?quiz=demo-maps&right=with');
  const slip = page.getByRole('region', { name: /^Results of/ }).first();
  await expect(slip).toBeVisible();
  await expect(page).toHaveTitle(/^Reading .*: results/);
  await page.emulateMedia({ media: 'print' });
  // The map above the questions is there, unfolded; what could be chosen from is not said again.
  await expect(slip.getByRole('img').first()).toBeVisible();
  for (const given of await slip.getByText('To choose from', { exact: true }).all())
    await expect(given).toBeHidden();
  expect(await slip.getByText('To choose from', { exact: true }).count()).toBeGreaterThan(0);
});
