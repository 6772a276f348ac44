import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import { fits } from './fits';
import { checkRow, expect, goTo, newQuiz, openIt, pageOf, saved, test } from './support';
import { come } from './come';

const run = promisify(execFile);
const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
const bar = (page: Page) => page.getByRole('region', { name: 'Changes not applied' });

/** A question about ice whose small errors pass. */
async function iceQuiz(page: Page): Promise<void> {
  await newQuiz(page, 'Ice and rivers', 'Word or phrase');
  const hand = page.getByRole('region', { name: 'Question 1 in hand' });
  await hand.getByRole('textbox', { name: 'Text of question 1' }).fill('What carves a U-shaped valley?');
  await hand.getByLabel('Another right answer').fill('glacier');
  await page.keyboard.press('Enter');
  await (await come(hand, 'What counts in spelling')).selectOption('smallErrorsPass');
  await saved(page);
}

async function handIn(tray: Page, name: string, text: string): Promise<void> {
  const sit = await pageOf(tray, name);
  const lists: string[] = [];
  sit.on('request', (request) => {
    if (request.url().includes('/words/')) lists.push(request.url());
  });
  await sit.getByRole('button', { name: 'Begin' }).click();
  await sit.getByRole('textbox').fill(text);
  await expect(sit.getByText('Saved on this device')).toBeVisible();
  expect(lists, 'no list is loaded while somebody works').toEqual([]);
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await sit.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(sit.getByText('Handed in')).toBeVisible();
  await sit.close();
  await tray.bringToFront();
}

/** The quiz as a file on this disc. */
async function savedFile(page: Page): Promise<string> {
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Ice and rivers' }).click();
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the file' }).click(),
  ]);
  return file.path();
}

test(
  'another word is no typing error: Check says why, one press accepts it for all, and every road marks alike',
  { tag: '@long' },
  async ({ page, request }) => {
    test.setTimeout(150_000);
    await iceQuiz(page);
    await openIt(page);
    await goTo(page, 'Tray');
    await handIn(page, 'Ada Marsh', 'glazier');
    await handIn(page, 'Bela Fenn', 'glacer');
    await handIn(page, 'Cato Weir', 'Glaciers');
    await handIn(page, 'Dina Ford', 'glazier');

    // What left the browser as a file is marked by the same words outside it.
    const quizFile = await savedFile(page);
    const answers = join(mkdtempSync(join(tmpdir(), 'words-')), 'answers.csv');
    writeFileSync(
      answers,
      'Name,Q1\nAda Marsh,glazier\nBela Fenn,glacer\nCato Weir,Glaciers\nDina Ford,glazier\n',
    );
    const form = {
      quiz: { name: 'q.yentrel', mimeType: 'application/octet-stream', buffer: readFileSync(quizFile) },
      traces: 'yes',
      answers: { name: 'answers.csv', mimeType: 'text/csv', buffer: readFileSync(answers) },
    };
    const response = await request.post('/api/mark', { multipart: form });
    expect(response.status()).toBe(200);
    const { students } = (await response.json()) as {
      students: {
        student: string;
        recorded: { score: { about: number } };
        attempts: { marks: { nearMiss?: string }[] }[];
      }[];
    };
    expect(students.map((one) => [one.student, one.recorded.score.about])).toEqual([
      ['Ada Marsh', 0],
      ['Bela Fenn', 1],
      ['Cato Weir', 0],
      ['Dina Ford', 0],
    ]);
    expect(JSON.stringify(students)).toContain('“glazier” is another word, by the word list en-1');
    const { stdout } = await run(process.execPath, ['--import', 'tsx', 'scripts/mark.ts', quizFile, answers]);
    const scores = stdout.replace(/^\uFEFF/, '').trim().split(/\r?\n/).slice(1).map((line) => line.split(',')); // prettier-ignore
    for (const { student, recorded } of students)
      expect(scores.find(([name]) => name === student)).toContain(String(recorded.score.about));

    await page.getByRole('link', { name: /^Ice and rivers/ }).first().click(); // prettier-ignore
    await goTo(page, 'Check');
    await expect.poll(async () => (await checkRow(page, 'Bela Fenn')).at(-1)).toBe('1');
    expect((await checkRow(page, 'Ada Marsh')).at(-1)).toBe('0');
    await page
      .getByRole('button', { name: 'Question 1: wrong, 0 points, near miss, “Glaciers”' })
      .first()
      .click();
    await expect(margin(page).getByText('the singular or plural of an accepted answer')).toBeVisible();
    await page.getByRole('button', { name: 'Question 1: wrong, 0 points, near miss, “glazier”' }).first().click(); // prettier-ignore
    await expect(margin(page).getByText('close to an accepted answer, but another word')).toBeVisible();
    await expect(
    margin(page).getByText('“glacier” would pass with 1 typing error, but “glazier” is another word, by the word list en-1'),
  ).toBeVisible(); // prettier-ignore
    await page.keyboard.press('a');
    await expect(bar(page).getByText(/^2 scores go up/)).toBeVisible();
    await bar(page).getByRole('button', { name: 'Apply to all' }).click();
    for (const name of ['Ada Marsh', 'Dina Ford'])
      await expect.poll(async () => (await checkRow(page, name)).at(-1), { message: name }).toBe('1');
    expect((await checkRow(page, 'Cato Weir')).at(-1)).toBe('0');
  },
);

test(
  'words that students confuse are proposed, and what passes is said and set; without a list it is said, too',
  { tag: '@long' },
  async ({ page }) => {
    await iceQuiz(page);
    const hand = page.getByRole('region', { name: 'Question 1 in hand' });
    const others = hand.getByLabel('Another word of the English word list');
    await expect(others).toHaveValue('refuse');
    await hand.getByRole('button', { name: 'Expect glazier as a wrong answer' }).click();
    await expect(hand.getByLabel('Form 1 of glazier')).toHaveValue('glazier');
    await expect(hand.getByRole('button', { name: 'Expect glazier as a wrong answer' })).toHaveCount(0);
    const tried = page.getByRole('textbox', { name: /answer/i }).last();
    const outcome = async (text: string) => {
    await tried.fill(text);
    return expect(margin(page).getByText(text === 'glaciers' ? /singular or plural/ : /another word/).first());
  }; // prettier-ignore
    await (await outcome('glaciers')).toBeVisible();
    await others.selectOption('refuseButS');
    await expect(margin(page).getByText('1 typing error').first()).toBeVisible();
    await expectAccessibleHere(page, 'words that are confused');
    await hand.getByLabel('Another right answer').fill('2.50');
    await page.keyboard.press('Enter');
    await expect(hand.getByText('“2.50” is a number, but only this way of writing it matches here.')).toBeVisible(); // prettier-ignore
    await hand.getByLabel('Another right answer').fill('f(x)');
    await page.keyboard.press('Enter');
    await expect(hand.getByText('The signs in “f(x)” count, though punctuation is ignored.')).toBeVisible();
    await (await come(hand, 'Language of its answers')).selectOption('it');
    await expect(
      hand.getByText('Small errors wait for you: there is no list of words for Italian'),
    ).toBeVisible();
    await expect(hand.getByRole('group', { name: 'Students may take these for it' })).toHaveCount(0);
    await page.setViewportSize({ width: 360, height: 740 });
    await fits(page, 'words that are confused, on a phone');
  },
);

test(
  'a number’s other sign and other unit are proposed as wrong answers',
  { tag: '@long' },
  async ({ page }) => {
    await newQuiz(page, 'Lengths', 'Number');
    const hand = page.getByRole('region', { name: 'Question 1 in hand' });
    await hand.getByLabel('The right number').fill('150 cm');
    await page.keyboard.press('Enter');
    await hand.getByRole('button', { name: 'Expect -150 as a wrong answer' }).click();
    await expect(hand.getByLabel(/-150/).first()).toBeVisible();
    await expect(hand.getByRole('button', { name: 'Expect -150 as a wrong answer' })).toHaveCount(0);
  },
);

test.describe('a list that cannot be fetched', () => {
  test.use({ allowedErrors: [/Failed to load resource/] });
  test('is said, and fetched when it is tried again', { tag: '@long' }, async ({ page, context }) => {
    let broken = true;
    await context.route('**/words/*.bin', (route) => (broken ? route.abort() : route.continue()));
    await iceQuiz(page);
    await page.getByPlaceholder('Type what a student might write').fill('glazier');
    await expect(margin(page).getByText(/A word list that marking needs could not be loaded/).first()).toBeVisible(); // prettier-ignore
    broken = false;
    await margin(page).getByRole('button', { name: 'Try again' }).last().click();
    await expect(
      margin(page)
        .getByText(/another word/)
        .first(),
    ).toBeVisible();
  });
});
