import type { Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import { checkRow, downloaded, expect, goTo, newQuiz, openIt, pageOf, saved, test } from './support';

/** Two classes of thirty with one student in both, and a quiz that is set to one of them and to a group of the other. */

const people = (from: number, of: string, groups: (at: number) => string) =>
  Array.from(
    { length: 29 },
    (_, at) => `${of} ${String.fromCharCode(65 + (at % 26))}${at},${from + at},${groups(at)}`,
  );
const list = (rows: string[]) => ({
  name: 'class.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(['Name,Number,Group', ...rows].join('\n')),
});
const BOTH = 'Flo Ford,500,red';
const FIRST = list([...people(100, 'Ness', (at) => (at % 2 ? 'red' : 'blue')), BOTH]);
const SECOND = list([...people(200, 'Till', (at) => (at < 10 ? 'green' : 'white')), BOTH]);

async function newClass(page: Page, name: string, file: ReturnType<typeof list>): Promise<void> {
  await page.getByRole('button', { name: 'New class' }).click();
  await expect(page.getByText('Nobody is on the list yet.')).toBeVisible();
  await expect(page.getByLabel('Name of the class')).toBeFocused();
  await page.keyboard.type(name);
  await page.getByLabel('Class list file').setInputFiles(file);
  await page.getByRole('dialog').getByRole('button', { name: 'Import 30 students' }).click();
  await expect(page.getByText('30 students.')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Classes' }).getByText(name)).toBeVisible();
}

test(
  'two classes, a student in both, a quiz for one and a group of the other; a year’s end',
  { tag: '@long' },
  async ({ page }) => {
    await page.goto('/class/');
    await expect(page.getByLabel('Name of the class')).toHaveValue('8C');
    await newClass(page, '9A', FIRST);
    await newClass(page, '9B', SECOND);
    await page.getByLabel('More time for Flo Ford').selectOption('10 min more');
    await expectAccessibleHere(page, 'classes');
    await page.getByRole('navigation', { name: 'Classes' }).getByText('9A').click();
    await expect(page.getByLabel('More time for Flo Ford')).toHaveValue('10 min more');

    await page.goto('/');
    await page.getByRole('button', { name: 'New quiz' }).click();
    await page.getByRole('button', { name: 'Pick one', exact: true }).click();
    await page.getByLabel('Option 1', { exact: true }).fill('levee');
    await page.getByLabel('Option 2', { exact: true }).fill('gorge');
    await page
      .getByRole('button', { name: /levee.*right/i })
      .first()
      .click();
    await goTo(page, 'Tray');
    await page.getByRole('button', { name: /Change|Choose who takes it/ }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByLabel('8C, 26 students')).toBeVisible();
    await dialog.getByLabel('8C, 26 students').uncheck();
    await dialog.getByLabel('9A, 30 students').check();
    await dialog.getByRole('group', { name: 'Groups of 9B' }).getByLabel('green').check();
    await expectAccessibleHere(page, 'whom a quiz is set to');
    await dialog.getByRole('button', { name: 'Set the quiz' }).click();
    await expect(page.getByText('Set for 9A and 9B (green).')).toBeVisible();
    await expect(page.getByText('0 of 40 handed in')).toBeVisible();

    // A file with students of both, of the other group, and of the made-up school: only those meant are known.
    const answers =
      'Name,Number,Q1\nNess A0,100,levee\nFlo Ford,500,levee\nTill A0,200,gorge\nTill K10,210,levee\nAda Marsh,801,levee\n';
    await page.getByLabel('Answer file', { exact: true }).setInputFiles({
      name: 'answers.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(answers),
    });
    await expect(dialog.getByText('2 students in the file are not on the class list.')).toBeVisible();
    await dialog.getByRole('button', { name: 'Import 3 papers' }).click();
    await expect(page.getByText('3 of 40 handed in')).toBeVisible();
    await goTo(page, 'Check');
    await expect(page.getByText(/3 papers marked/)).toBeVisible();
    const scores = await downloaded(page, () => page.getByRole('button', { name: 'Scores as CSV' }).click());
    expect(scores.text.trim().split('\n')).toHaveLength(41);
    expect(scores.text).not.toContain('Till K10');
    expect(scores.text).not.toContain('Ada Marsh');
    await page.goto('/');
    await expect(page.getByText('3 of 40 handed in')).toBeVisible();
    await expect(page.getByText('9A and 9B (green) · 1 question')).toBeVisible();
    await page.getByLabel('Class', { exact: true }).selectOption('8C');
    await expect(page.getByText('24 of 26 handed in')).toBeVisible();
    await expect(page.getByText('3 of 40 handed in')).toHaveCount(0);

    // Set for nobody, it takes no file and says so; what came in is kept, and comes back with one undo.
    await page.getByLabel('Class', { exact: true }).selectOption('');
    await page.getByRole('link', { name: 'New quiz', exact: true }).click();
    await goTo(page, 'Tray');
    await page.getByRole('button', { name: /^Change/ }).click();
    await dialog.getByLabel('9A, 30 students').uncheck();
    await dialog.getByRole('group', { name: 'Groups of 9B' }).getByLabel('green').uncheck();
    await dialog.getByRole('button', { name: 'Set the quiz' }).click();
    await expect(page.getByText('Nobody can take this quiz before it is set for a class.')).toBeVisible();
    await expect(page.getByText('3 other students have work here')).toBeVisible();
    await expect(page.getByLabel('Answer file', { exact: true })).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(page.getByText('3 of 40 handed in')).toBeVisible();

    await page.goto('/class/');
    await page.getByRole('navigation', { name: 'Classes' }).getByText('9A').click();
    await page.getByRole('button', { name: 'Move everyone on' }).click();
    await dialog.getByLabel('Its name').fill('10A');
    await expectAccessibleHere(page, 'a class moves on');
    await dialog.getByRole('button', { name: 'Move everyone on' }).click();
    await expect(page.getByLabel('Name of the class')).toHaveValue('10A');
    await expect(page.getByText('30 students.')).toBeVisible();
    await page.getByRole('button', { name: 'Archived (1)' }).click();
    await page.getByRole('navigation', { name: 'Classes' }).getByText('9A').click();
    await expect(page.getByText('This class is archived')).toBeVisible();
    await page.goto('/');
    await expect(page.getByText('3 of 40 handed in')).toBeVisible();
  },
);

test('a quiz for one student alone: found by name, the only one in the Tray, who comes to it and is marked', async ({
  page,
}) => {
  await newQuiz(page, 'What Amal missed', 'True or false');
  await page.keyboard.type('A levee is built by floods.');
  await page.getByRole('button', { name: 'True is right' }).click();
  await saved(page);
  await goTo(page, 'Plan');
  await page.getByRole('button', { name: 'Change who takes this quiz' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('8C, 26 students').uncheck();
  const choice = dialog.getByLabel('One student of 7B');
  const names = (await choice.locator('option').allTextContents()).slice(1);
  expect(names).toEqual([...names].sort());
  expect(names).toHaveLength(22);
  await choice.selectOption('Amal Syke');
  await dialog.getByRole('button', { name: 'Set the quiz' }).click();
  await expect(page.getByText('Set for 7B (1 student).').first()).toBeVisible();
  await openIt(page);
  await goTo(page, 'Tray');
  await expect(page.getByText('0 of 1 handed in')).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(2);
  const sit = await pageOf(page, 'Amal Syke');
  await sit.getByRole('button', { name: 'Begin' }).click();
  await sit.getByRole('radio', { name: 'True' }).check();
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await sit.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(sit.getByText('It has been received.')).toBeVisible();
  await goTo(page, 'Check');
  await expect.poll(() => checkRow(page, 'Amal Syke')).toEqual(['Question 1: right, 1 point, “true”', '1']);
});
