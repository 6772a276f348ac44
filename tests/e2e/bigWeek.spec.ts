import type { Page } from '@playwright/test';
import papa from 'papaparse';
import { downloaded, expect, goTo, openDemo, test } from './support';

/**
 * A class of 300 who are all on the class list, and the file that a program with online forms wrote for them: time
 * stamps, addresses in capitals, names in two columns, a row of averages. The scores are worked out here, apart from
 * the application, from a list of what each of a few answers earns.
 */

const SIZE = 300;
const FIRST = ['Alma', 'Boris', 'Cleo', 'Dario', 'Edda', 'Falk', 'Greta', 'Hugo', 'Ines', 'Jonas'];
const LAST = ['Rill', 'Sedge', 'Thorpe', 'Ulver', 'Vane', 'Wold', 'Yare', 'Zenn', 'Quay', 'Pike'];
const ENDS = ['', 'ton', 'wick'];

interface Pupil {
  readonly first: string;
  readonly last: string;
  readonly number: number;
  readonly email: string;
}
const PUPILS: readonly Pupil[] = Array.from({ length: SIZE }, (_, index) => {
  const first = FIRST[index % 10] ?? '';
  const last = `${LAST[Math.floor(index / 10) % 10] ?? ''}${ENDS[Math.floor(index / 100)] ?? ''}`;
  return { first, last, number: 2000 + index, email: `${first}.${last}@school.example`.toLowerCase() };
});

/** What an answer earns, by question: worked out by hand from the key of the demo quiz. */
const ANSWERS: readonly (readonly (readonly [text: string, points: number])[])[] = [
  [['upper course', 1], ['lower course', 0]],
  [['oxbow lake', 2], ['lagoon', 0], ['oxbow laek', 1.8]],
  [['levee', 1], ['gorge', 0]],
  [['floodplain', 2], ['flood plain', 0]],
  [['a little higher', 2], ['much lower', 0]],
  [['discharge', 1], ['velocity', 0]],
  [['upstream', 1], ['downstream', 0]],
  [['abrasion', 2], ['erosion', 1], ['attrition', 0]],
]; // prettier-ignore

const given = (index: number) =>
  ANSWERS.map(
    (list, question) => list[Math.floor(index / (question + 1)) % list.length] ?? (['', 0] as const),
  );
const worth = (index: number): number =>
  Math.round(given(index).reduce((sum, [, points]) => sum + points, 0) * 10) / 10;

const stamp = (index: number): string => {
  const two = (n: number) => String(n).padStart(2, '0');
  return `2026/11/${two(2 + (index % 20))} ${(index % 12) + 1}:${two(index % 60)}:${two(index % 47)} ${index % 2 ? 'PM' : 'AM'} GMT+1`;
};
const QUESTIONS = ['1', '2', '3', '4', '5', '6', '7', '8'];
const CLASS_FILE = `Surname,Forename,Student ID,E-mail,Form\n${PUPILS.map((one) => `${one.last},${one.first},${one.number},${one.email},9A`).join('\n')}\n`;
const FORM_FILE = [
  ['Timestamp', 'Email Address', 'Score', 'First name', 'Last name', ...QUESTIONS],
  ...PUPILS.map((one, index) => [
    stamp(index),
    one.email.toUpperCase(),
    `${worth(index)} / 12`,
    one.first,
    one.last,
    ...given(index).map(([text]) => text),
  ]),
  ['Average', '', '6.1 / 12', '', '', ...QUESTIONS.map(() => '0.6')],
]
  .map((row) => row.join(','))
  .join('\r\n');

const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
// Not within another figure: 324 holds 24, and a reload would cut off what is still being undone.
const handedIn = (page: Page, words: string) =>
  expect(page.getByText(new RegExp(`(^|[^0-9])${words}`))).toBeVisible();

test('300 known students: their form’s file comes in whole, is undone whole, and gives the scores of the worksheet', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.goto('/class/');
  await expect(page.getByText('26 students.')).toBeVisible();
  await page.getByLabel('Class list file').setInputFiles(file('class.csv', CLASS_FILE));
  await page.getByRole('dialog').getByRole('button', { name: 'Import 300 students' }).click();
  await expect(page.getByText('326 students.')).toBeVisible();

  await openDemo(page, 'tray');
  await handedIn(page, '24 of 326 handed in');
  await page.getByLabel('Answer file', { exact: true }).setInputFiles(file('form.csv', FORM_FILE));
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Column Timestamp')).toHaveValue('time:dayFirst');
  await expect(dialog.getByLabel('Column Email Address')).toHaveValue('email');
  await expect(dialog.getByText('300 papers ready.')).toBeVisible();
  await expect(dialog.getByText(/not on the class list/)).toHaveCount(0);
  await expect(dialog.getByText(/^line 302/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Import 300 papers' }).click();
  await expect(dialog).toHaveCount(0);
  await handedIn(page, '324 of 326 handed in');

  await page.getByRole('button', { name: 'Undo: Import an answer file' }).click();
  await handedIn(page, '24 of 326 handed in');
  await page.getByRole('button', { name: 'Redo: Import an answer file' }).click();
  await handedIn(page, '324 of 326 handed in');
  await page.reload();
  await handedIn(page, '324 of 326 handed in');

  await goTo(page, 'Check');
  await expect(page.getByText(/324 papers marked/)).toBeVisible();
  const scores = await downloaded(page, () => page.getByRole('button', { name: 'Scores as CSV' }).click());
  const [head = [], ...rows] = papa.parse(scores.text.replace('\uFEFF', '').trim(), { delimiter: ',' }).data;
  const [number, score] = [head.indexOf('Number'), head.indexOf('Score')];
  const found = new Map(rows.map((row) => [row[number], Number(row[score])]));
  const expected = PUPILS.map((one, index) => [`${one.number}`, worth(index)] as const);
  expect(expected.map(([own]) => [own, found.get(own)])).toEqual(expected);

  // The last of the 300 is reached on the screen too, with the same total.
  await page.getByLabel('Find a student').fill('Jonas Pikewick');
  const row = page.getByRole('row').filter({ has: page.getByRole('rowheader', { name: 'Jonas Pikewick' }) });
  await expect(row.getByRole('button').last()).toHaveText(String(worth(299)));
});
