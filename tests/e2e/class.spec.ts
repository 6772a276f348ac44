import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { workbook } from '../workbook';
import { FLOOD_PLAIN, WORKSHEET } from './worksheet';
import { checkRow, downloaded, expect, goTo, openDemo, putIntoEffect, test } from './support';

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
const bar = (page: Page) => page.getByRole('region', { name: 'Changes not applied' });
const report = (page: Page) => page.getByRole('region', { name: 'Answers from a file' }).getByRole('status');

/** Cells that name none of the options: they wait for the teacher, and no file calls them 0. */
const UNREAD: Readonly<Record<string, readonly number[]>> = { 'Ines Délta': [0, 2] };
const CLEO_BY_HAND = 1;

type Column = readonly number[];
const sum = (column: Column): number => Math.round(column.reduce((all, one) => all + one, 0) * 10) / 10;
const accepted = (name: string): Column =>
  (WORKSHEET[name] ?? []).map((earned, at) => (at === 3 && FLOOD_PLAIN.includes(name) ? 2 : earned));

async function totals(page: Page): Promise<Record<string, string>> {
  const found: Record<string, string> = {};
  for (const name of Object.keys(WORKSHEET))
    found[name] = ((await checkRow(page, name)).at(-1) ?? '').replace(/^\+.*not marked yet/, '');
  return found;
}
const sheet = (columns: (name: string) => Column) =>
  Object.fromEntries(Object.keys(WORKSHEET).map((name) => [name, String(sum(columns(name)))]));

async function chooseFile(page: Page, file: string | { name: string; mimeType: string; buffer: Buffer }) {
  await page.getByLabel('Answer file', { exact: true }).setInputFiles(file);
  await expect(page.getByRole('dialog').getByText(/papers? ready/)).toBeVisible();
  return page.getByRole('dialog');
}

test(
  'a class list and a flawed file come in; what was not foreseen is put right; results go back',
  { tag: '@long' },
  async ({ page, context }) => {
    test.setTimeout(150_000);

    await test.step('the class list', async () => {
      await page.goto('/');
      await expect(page.getByText('24 of 26 handed in')).toBeVisible();
      await page.goto('/class/');
      await page.getByLabel('Class list file').setInputFiles('demo/import/class-list.csv');
      const dialog = page.getByRole('dialog');
      await expect(dialog.getByText('12 new students, 0 changed')).toBeVisible();
      await dialog.getByRole('button', { name: 'Import 12 students' }).click();
      await expect(page.getByText('38 students.')).toBeVisible();
      await expect(page.getByText('Two have this name')).toHaveCount(0);
      await expect(page.getByText('Same name as 912: told apart by that')).toBeVisible();
    });

    await test.step('everything of the result waits for the teacher', async () => {
      await openDemo(page, 'plan');
      await page.getByRole('radio', { name: /^Everything when I choose/ }).click();
      await expect(page.getByLabel('The score appears', { exact: true })).toHaveValue('byTeacher');
      await putIntoEffect(page);
    });

    await test.step('the answer file: which rows are refused, and why', async () => {
      await goTo(page, 'Tray');
      const dialog = await chooseFile(page, 'demo/import/answers-flawed.csv');
      await expect(dialog.getByLabel('Column Handed in')).toHaveValue('time:dayFirst');
      const eighth = await dialog.getByLabel('Column Q8', { exact: true }).inputValue();
      expect(eighth).toMatch(/^question:/);
      await expect(dialog.getByLabel('Column Points for Q8')).toHaveValue(
        eighth.replace('question:', 'points:'),
      );
      await expect(dialog.getByLabel('Column Remarks')).toHaveValue('note');
      await expect(
        dialog.getByText(
          'Alva Creek 12 of 12 · Bram Spate 6.3 of 12 · Cleo Ripple 5 of 12 so far, 2 not marked yet',
        ),
      ).toBeVisible();
      await expect(dialog.getByText('2 students in the file are not on the class list.')).toBeVisible();
      for (const reason of [
        'line 6: no name, number or email address',
        'line 12: 2 students are called Kaja Run: a number or an email address tells them apart',
        'line 13: 907 belongs to Gita Bend, but the row says Hugo Bend',
        'line 14: 999 is not on the class list',
        'line 17: Jonas Run appears again on line 18; that row is used',
        'line 19: Visitor Mill is not on the class list',
      ])
        await expect(dialog.getByText(reason, { exact: true })).toBeVisible();
      await expect(dialog.getByText('line 7, Handed in: “Tuesday evening”')).toBeVisible();
      const refused = await downloaded(page, () =>
        dialog.getByRole('button', { name: 'Save these rows as a file' }).click(),
      );
      expect(refused.name).toBe('rows-left-out.csv');
      expect(refused.text.split('\r\n').filter(Boolean)).toHaveLength(7);
      expect(refused.text).toContain('907 belongs to Gita Bend');
      await dialog.getByLabel('What to do with Visitor Mill').selectOption('add');
      await dialog.getByRole('button', { name: 'Import 9 papers' }).click();
      await expect(
        report(page).getByText('9 papers imported, 1 student added to the class list.'),
      ).toBeVisible();
      await expect(page.getByText('33 of 39 handed in')).toBeVisible();
    });

    await test.step('the same file again changes nothing, a corrected one just what differs', async () => {
      const again = await chooseFile(page, 'demo/import/answers-flawed.csv');
      await again.getByRole('button', { name: 'Import 9 papers' }).click();
      await expect(report(page).getByText('9 papers unchanged.')).toBeVisible();
      const text = readFileSync('demo/import/answers-flawed.csv', 'latin1');
      const corrected = text.replace(';Kaja Run;', '911;Kaja Run;').replace('906;Finn Shoal;', '906;;');
      const dialog = await chooseFile(page, {
        name: 'corrected.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(corrected.replace('oxbow laek', 'oxbow lake'), 'latin1'),
      });
      await dialog.getByRole('button', { name: 'Import 10 papers' }).click();
      await expect(report(page).getByText('1 paper imported, 1 updated, 8 papers unchanged.')).toBeVisible();
      await expect(
        report(page).getByText(/^Bram Spate \(line 3\): question 2: “oxbow laek” is now “oxbow lake”/),
      ).toBeVisible();
      await page.getByRole('button', { name: 'Undo: Import an answer file' }).click();
      await expect(page.getByText('33 of 39 handed in')).toBeVisible();
    });

    await test.step('the scores are those of the worksheet', async () => {
      await goTo(page, 'Check');
      await expect(page.getByText('33 papers marked, 6 answers to mark')).toBeVisible();
      await expect.poll(() => totals(page)).toEqual(sheet((name) => WORKSHEET[name] ?? []));
    });

    await test.step('a right form that was not foreseen is accepted for all, after its effect was seen', async () => {
      await page
        .getByRole('row', { name: /Bram Spate/ })
        .getByRole('button', { name: 'Question 4: wrong, 0 points, near miss, “flood plain”' })
        .click();
      await page.keyboard.press('a');
      await expect(bar(page).getByText('10 scores go up, 23 stay')).toBeVisible();
      await bar(page).getByRole('button', { name: 'See who' }).click();
      const list = page.getByRole('list', { name: 'Whose score changes' }).getByRole('listitem');
      await expect(list).toHaveCount(10);
      const rows = await list.allTextContents();
      const imported = FLOOD_PLAIN.map((name) => {
        const waits = ['Cleo Ripple', 'Ines Délta'].includes(name) ? '2 not marked yet' : '';
        return `${name}${sum(WORKSHEET[name] ?? [])} →becomes ${sum(accepted(name))} of 12${waits}`;
      });
      const demo = [
      'Bela Fenn8 →becomes 10 of 12', 'Emil Brook3 →becomes 5 of 12', 'Hana Reed2 →becomes 4 of 12', 'Nora Pool8 →becomes 10 of 12', 'Wim Eddy4.5 →becomes 6.5 of 122 not marked yet',
    ]; // prettier-ignore
      expect(rows.sort()).toEqual([...imported, ...demo].sort());
      await bar(page).getByRole('button', { name: 'Apply to all' }).click();
      await expect.poll(() => totals(page)).toEqual(sheet(accepted));
    });

    await test.step('one answer is marked by hand, and commented', async () => {
      await page
        .getByRole('row', { name: /Cleo Ripple/ })
        .getByRole('button', { name: /^Question 8: not marked yet/ })
        .click();
      await page.keyboard.press('h');
      await margin(page).getByLabel('Your own points').fill(String(CLEO_BY_HAND));
      await margin(page).getByLabel('Reason').fill('a picture of it, not its name');
      await page.keyboard.press('Enter');
      await expect
        .poll(() => totals(page))
        .toEqual({ ...sheet(accepted), 'Cleo Ripple': String(sum(accepted('Cleo Ripple')) + CLEO_BY_HAND) });
      await page
        .getByRole('row', { name: /Cleo Ripple/ })
        .getByRole('button', { name: /^Question 8/ })
        .click();
      await page.keyboard.press('c');
      await expect(margin(page).getByLabel('Comment to the student on this answer')).toBeEditable();
      await page.keyboard.type('Nearly: which word did we use?');
      await expect(margin(page).getByLabel('Comment to the student on this answer')).toHaveValue(
        'Nearly: which word did we use?',
      );
    });

    const sheetOf = async () => {
      await goTo(page, 'Tray');
      const address = await page
        .getByRole('link', { name: 'Results of Cleo Ripple', exact: true })
        .getAttribute('href');
      const phone = await context.newPage();
      await phone.setViewportSize({ width: 360, height: 740 });
      await phone.goto(address ?? '');
      await expect(phone.getByText('It has been received.')).toBeVisible();
      return phone;
    };

    await test.step('the student’s page before and after results are shown', async () => {
      const phone = await sheetOf();
      await expect(phone.getByText(/will come when your teacher shows it/)).toBeVisible();
      await expect(phone.getByText(/of 12/)).toHaveCount(0);
      await expect(phone.getByText('Nearly')).toHaveCount(0);
      await expect(phone.getByText('sand-papering')).toHaveCount(0);

      await goTo(page, 'Hand back');
      await expect(page.getByText('Some results are shown to 0 of 33 students.')).toBeVisible();
      await page.getByLabel('Comment to Cleo Ripple').fill('Good work.');
      await page.getByRole('button', { name: 'Show to Cleo Ripple' }).click();
      await expect(page.getByText('Some results are shown to 1 of 33 students.')).toBeVisible();
      await phone.bringToFront();
      await phone.reload();
      await expect(phone.getByText(`${sum(accepted('Cleo Ripple')) + CLEO_BY_HAND} of 12`)).toBeVisible();
      await expect(phone.getByText('Good work.')).toBeVisible();
      await expect(phone.getByText('Nearly: which word did we use?')).toBeVisible();
      await expect(phone.getByText('sand-papering')).toBeVisible();
      await expect(phone.getByText('a picture of it')).toHaveCount(0);
      await expect(phone.getByText('abrasion', { exact: true })).toBeVisible();
      expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);

      await page.bringToFront();
      await page.getByRole('button', { name: 'Hide from Cleo Ripple' }).click();
      await phone.bringToFront();
      await phone.reload();
      await expect(phone.getByText(/will come when your teacher shows it/)).toBeVisible();
      await expect(phone.getByText(/of 12/)).toHaveCount(0);
      await page.bringToFront();
      await page.getByRole('button', { name: 'Show to all' }).click();
      await page.getByRole('dialog').getByRole('button', { name: 'Show to all' }).click();
      await expect(page.getByText('Some results are shown to 33 of 33 students.')).toBeVisible();
      await page.keyboard.press('Control+z');
      await expect(page.getByText('Some results are shown to 0 of 33 students.')).toBeVisible();
      await page.keyboard.press('Control+Shift+z');
      await expect(page.getByText('Some results are shown to 33 of 33 students.')).toBeVisible();
      await phone.close();
    });

    await test.step('the file of scores is the worksheet again', async () => {
      for (const column of ['Groups', 'Score, %', 'Comment'])
        await page.getByRole('checkbox', { name: column, exact: true }).check();
      const file = await downloaded(page, () => page.getByRole('button', { name: 'Save as CSV' }).click());
      const [head = '', ...lines] = file.text.replace('\uFEFF', '').split('\r\n');
      expect(head).toMatch(/^Name,Number,Groups,Score,Out of,"Score, %",Points not marked yet,Comment,1\. /);
      const found = Object.fromEntries(lines.map((line) => [line.split(',')[0], line]));
      for (const name of Object.keys(WORKSHEET).filter((one) => one !== 'Cleo Ripple')) {
        const cells = (found[name] ?? '').split(',');
        expect(cells[3], name).toBe(String(sum(accepted(name))));
        expect(cells.slice(-8), name).toEqual(
          accepted(name).map((earned, at) => (UNREAD[name]?.includes(at) ? '' : String(earned))),
        );
      }
      const cleo = sum(accepted('Cleo Ripple')) + CLEO_BY_HAND;
      const percent = String(Math.round((cleo / 12) * 10_000) / 100);
      expect(found['Cleo Ripple']).toBe(
        `Cleo Ripple,903,9A,${cleo},12,${percent},0,Good work.,1,1,0,2,2,1,0,1`,
      );
    });
  },
);

test(
  'a student who stands in the file twice has two attempts, by choice; one unknown is matched by hand',
  { tag: '@long' },
  async ({ page }) => {
    await openDemo(page, 'tray');
    const csv = [
      'Student;Number;Q1;Q2',
      'Yann I.;;upper course;lagoon',
      'Zoe Mere;826;middle course;oxbow lake',
      'Zoe Mere;826;upper course;oxbow lake',
    ].join('\r\n');
    const dialog = await chooseFile(page, {
      name: 'two.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(csv, 'utf16le'),
    });
    await dialog.getByLabel('What to do with Yann I.').selectOption({ label: 'is Yann Isle 825' });
    await expect(
      dialog.getByText('line 3: Zoe Mere appears again on line 4; that row is used'),
    ).toBeVisible();
    await dialog.getByLabel('A student who appears more than once').selectOption('attempts');
    await expect(dialog.getByText('3 papers ready.')).toBeVisible();
    await dialog.getByRole('button', { name: 'Import 3 papers' }).click();
    await expect(page.getByText('26 of 26 handed in')).toBeVisible();
    await goTo(page, 'Check');
    await expect(page.getByRole('columnheader', { name: /Recorded/ })).toBeVisible();
    const rows = page.getByRole('row', { name: /Zoe Mere/ });
    await expect(rows).toHaveCount(2);
    await expect.poll(async () => (await checkRow(page, 'Zoe Mere · 1')).at(-1)).toBe('2');
    await expect.poll(async () => (await checkRow(page, 'Zoe Mere · 2')).at(-1)).toBe('3');
  },
);

test('a spreadsheet is read like a text file', async ({ page }) => {
  await openDemo(page, 'tray');
  const buffer = workbook([
    ['Student', 'Number', 'Q1', 'Q2', 'Q3'],
    ['Yann Isle', 825, 'upper course', 'oxbow lake', 'levee'],
    ['Zoe Mere', 826, 'lower course', '=1+1', 'gorge'],
  ]);
  const dialog = await chooseFile(page, {
    name: 'answers.xlsx',
    mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    buffer: Buffer.from(buffer),
  });
  await dialog.getByRole('button', { name: 'Import 2 papers' }).click();
  await expect(page.getByText('26 of 26 handed in')).toBeVisible();
  await goTo(page, 'Check');
  await expect.poll(async () => (await checkRow(page, 'Yann Isle')).at(-1)).toBe('4');
  await expect.poll(async () => (await checkRow(page, 'Zoe Mere')).at(-1)).toBe('0');
});
