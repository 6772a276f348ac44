import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { enter, sitEveryKind, writeEveryKind } from './everyKind';
import { checkRow, downloaded, expect, goTo, pageOf, test } from './support';

const PHONE = { width: 360, height: 740 };

/** What each way of answering is worth by question, from 2 on; the written answer waits. */
const WORTH = {
  'Ada Marsh': ['1', '2', '1', '1', '1', '2', '3', '2', '4', '2', '1'],
  'Bela Fenn': ['0.5', '1', '1', '0.5', '0.5', '1', '2', '1', '2', '1', '1'],
  'Cato Weir': ['0', '0', '0', '0', '0', '0', '0', '0', '0', '0', '0'],
} as const;
const TOTALS = { 'Ada Marsh': '20', 'Bela Fenn': '11.5', 'Cato Weir': '0' } as const;
type Name = keyof typeof WORTH;
const NAMES = Object.keys(WORTH) as Name[];

async function allScores(page: Page): Promise<void> {
  for (const name of NAMES) {
    await expect.poll(async () => (await checkRow(page, name)).at(-1)).toBe(`+3 to come${TOTALS[name]}`);
    const cells = (await checkRow(page, name)).slice(0, -1);
    expect(cells.length, 'no column for a note').toBe(12);
    WORTH[name].forEach((points, at) =>
      expect(cells[at], `${name}, question ${at + 2}`).toMatch(
        new RegExp(`^Question ${at + 2}: .*?\\b${points.replace('.', '\\.')} points?\\b`),
      ),
    );
    expect(cells.at(-1)).toContain('Question 13: not marked yet');
  }
}

test('a question of every kind: written by keys alone, sat on a phone, marked, handed back, out and in as files', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/');
  await expect(page.getByText('24 of 26 handed in')).toBeVisible();
  await writeEveryKind(page);
  await page.reload();
  await expect(page.getByText('13 questions · 23 points')).toBeVisible();
  await expect(page.getByText('Full marks cannot be reached')).toHaveCount(0);
  await expectAccessible(page, 'a quiz of every kind');

  await page.getByRole('button', { name: 'Not opened yet' }).click();
  await page.getByRole('checkbox', { name: 'It stays open until I close it' }).check();
  await page.getByRole('button', { name: 'Open it' }).click();
  await goTo(page, 'Tray');
  // The first by keys, the others by touch.
  for (const [name, way, press] of [
    ['Ada Marsh', 'right', enter],
    ['Bela Fenn', 'half', (thing) => thing.click()],
    ['Cato Weir', 'wrong', (thing) => thing.click()],
  ] as const satisfies readonly (readonly [Name, string, typeof enter])[]) {
    const sitting = await pageOf(page, name);
    await sitting.setViewportSize(PHONE);
    await sitEveryKind(sitting, way, press);
    await sitting.close();
    await page.bringToFront();
  }

  await goTo(page, 'Check');
  await allScores(page);

  // The slip says what came of it, question by question.
  await page.getByRole('button', { name: /^Open/ }).click();
  await page.getByRole('button', { name: 'Close now' }).click();
  await goTo(page, 'Tray');
  const slip = await pageOf(page, 'Cato Weir', 'Slip');
  await slip.setViewportSize(PHONE);
  await expect(slip.getByText('A delta is built, not cut.')).toBeVisible();
  await expect(slip.getByText('Which bank has the longer way?')).toBeVisible();
  await expect(slip.getByText('Read this first')).toHaveCount(0);
  await slip.close();

  // Answers of every kind out as a file and in again: nothing has changed.
  await goTo(page, 'Hand back');
  const answers = await downloaded(page, () => page.getByRole('button', { name: 'Answers as CSV' }).click());
  await goTo(page, 'Tray');
  await page.getByLabel('Answer file', { exact: true }).setInputFiles({
    name: 'answers.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(answers.text),
  });
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Import 3 papers' }).click();
  await expect(dialog).toHaveCount(0);
  await goTo(page, 'Check');
  await allScores(page);

  // The quiz out as a file, and in again as another one.
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Every kind of river' }).click();
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the file' }).click(),
  ]);
  await page.getByLabel('Quiz file, backup or rescue file').setInputFiles({
    name: file.suggestedFilename(),
    mimeType: 'application/octet-stream',
    buffer: readFileSync(await file.path()),
  });
  await expect(page.getByRole('dialog').getByText('13 questions')).toBeVisible();
});
