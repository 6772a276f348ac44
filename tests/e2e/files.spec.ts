import { readFileSync } from 'node:fs';
import type { Download, Page } from '@playwright/test';
import { zipSync } from 'fflate';
import papa from 'papaparse';
import { checkRow, downloaded, expect, goTo, openDemo, test } from './support';
import { come } from './come';

async function shelf(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Back up everything now' })).toBeVisible();
}
async function bytesOf(file: Download): Promise<Buffer> {
  return readFileSync(await file.path());
}
async function saved(page: Page, press: () => Promise<void>): Promise<{ name: string; buffer: Buffer }> {
  const [file] = await Promise.all([page.waitForEvent('download'), press()]);
  return { name: file.suggestedFilename(), buffer: await bytesOf(file) };
}
const openFile = (page: Page, name: string, buffer: Buffer) =>
  page
    .getByLabel('Quiz file, backup or rescue file')
    .setInputFiles({ name, mimeType: 'application/octet-stream', buffer });

/** Everyone's total on Check, by name. */
async function totals(page: Page): Promise<[string, string][]> {
  await expect(page.getByRole('rowheader', { name: 'Karl Mead', exact: true })).toBeVisible();
  const names = await page
    .getByRole('rowheader')
    .filter({ hasNotText: /^Sum of/ })
    .allInnerTexts();
  const rows: [string, string][] = [];
  for (const name of names) rows.push([name, (await checkRow(page, name.trim())).at(-1) ?? '']);
  return rows;
}

test(
  'the whole Shelf is backed up in one press and comes back into an empty browser, scores and undo included',
  { tag: '@long' },
  async ({ page, browser }) => {
    test.setTimeout(90_000);
    await openDemo(page, 'check');
    await expect(page.getByText('Karl Mead, question 8')).toBeVisible();
    await page.getByLabel('Comment to the student on this answer').fill('Nearly: say it in one word.');
    await expect(page.getByRole('banner').getByText('saved', { exact: true })).toBeVisible();
    const before = await totals(page);
    expect(before.length).toBe(24);
    await shelf(page);
    await expect(page.getByText('No backup has been made yet.')).toBeVisible();
    const backup = await saved(page, () =>
      page.getByRole('button', { name: 'Back up everything now' }).click(),
    );
    expect(backup.name).toMatch(/^yentrel-backup-\d{4}-\d\d-\d\d\.yentrel$/);
    await expect(page.getByText('Last backup: today. Nothing has changed since.')).toBeVisible();
    await page.getByRole('button', { name: 'New quiz' }).click();
    await page.waitForURL(/quiz/);
    await shelf(page);
    await expect(page.getByText('Last backup: today. Changes have been made since.')).toBeVisible();

    const elsewhere = await browser.newContext({ locale: 'en-GB', timezoneId: 'Europe/Berlin' });
    const other = await elsewhere.newPage();
    await shelf(other);
    await other.getByRole('button', { name: 'Remove demo' }).click();
    await other.getByRole('button', { name: 'Remove it' }).click();
    await expect(other.getByText('The Shelf is empty.')).toBeVisible();
    await openFile(other, backup.name, backup.buffer);
    const dialog = other.getByRole('dialog', { name: /^Backup of/ });
    await expect(dialog.getByText('not on this Shelf')).toHaveCount(7);
    const adds = dialog.getByRole('list', { name: 'What it adds to your classes' }).getByRole('listitem');
    await expect(adds).toHaveText([
      'It adds the class 7B with 22 students.',
      'It adds the class 8C with 26 students.',
    ]);
    await dialog.getByRole('button', { name: 'Restore' }).click();
    await expect(other.getByText('24 of 26 handed in')).toBeVisible();
    await openDemo(other, 'check');
    expect(await totals(other)).toEqual(before);
    await expect(other.getByLabel('Comment to the student on this answer')).toHaveValue(
      'Nearly: say it in one word.',
    );
    await other.getByRole('button', { name: /^Undo/ }).click();
    await expect(other.getByLabel('Comment to the student on this answer')).toHaveValue('');

    // Now both have gone on by themselves.
    await goTo(other, 'Write');
    await other.getByRole('textbox', { name: 'Title' }).fill('Rivers there');
    await expect(other.getByRole('banner').getByText('saved', { exact: true })).toBeVisible();
    await shelf(other);
    await openFile(other, backup.name, backup.buffer);
    await expect(dialog.getByText('changed in both places')).toBeVisible();
    await expect(dialog.getByLabel(/^What happens to/)).toHaveValue('both');
    await dialog.getByRole('button', { name: 'Restore' }).click();
    await expect(other.getByText('How rivers shape the land (from the backup)')).toBeVisible();
    await expect(other.getByText('Rivers there')).toBeVisible();
    await elsewhere.close();
  },
);

test(
  'a quiz goes to a colleague without students; a later copy says what it changes, and its effect is seen first',
  { tag: '@long' },
  async ({ page, browser }) => {
    test.setTimeout(90_000);
    await shelf(page);
    await page.getByRole('button', { name: 'More for How rivers shape the land' }).click();
    await page.getByRole('button', { name: 'Save as a file' }).click();
    await page.getByLabel('From').fill('M. Weir');
    await page.getByLabel('A note for whoever opens it').fill('Second week.');
    const first = await saved(page, () => page.getByRole('button', { name: 'Save the file' }).click());
    expect(first.name).toBe('How-rivers-shape-the-land.yentrel');
    expect(first.buffer.toString('latin1')).not.toContain('Karl Mead');

    const elsewhere = await browser.newContext({ locale: 'en-GB', timezoneId: 'Europe/Berlin' });
    const colleague = await elsewhere.newPage();
    await shelf(colleague);
    await colleague.getByRole('button', { name: 'Remove demo' }).click();
    await colleague.getByRole('button', { name: 'Remove it' }).click();
    await openFile(colleague, first.name, first.buffer);
    await expect(colleague.getByText('8 questions, without students. From M. Weir.')).toBeVisible();
    await expect(colleague.getByText('Second week.')).toBeVisible();
    await colleague.getByRole('button', { name: 'Add it to the Shelf' }).click();
    await expect(colleague.getByText('8 questions · 12 points')).toBeVisible();
    await colleague.getByRole('button', { name: 'Question 4', exact: true }).click();
    await (await come(colleague, 'Another form of floodplain')).fill('flood plain');
    await colleague.keyboard.press('Enter');
    await expect(colleague.getByRole('banner').getByText('saved', { exact: true })).toBeVisible();
    await shelf(colleague);
    await colleague.getByRole('button', { name: 'More for How rivers shape the land' }).click();
    await colleague.getByRole('button', { name: 'Save as a file' }).click();
    const later = await saved(colleague, () =>
      colleague.getByRole('button', { name: 'Save the file' }).click(),
    );
    await elsewhere.close();

    await openFile(page, later.name, later.buffer);
    const changes = page.getByRole('list', { name: 'What the file changes' }).getByRole('listitem');
    await expect(changes).toHaveCount(1);
    await expect(changes.first()).toContainText('Question 4, “What do we call the flat land beside a river');
    await page.getByRole('button', { name: 'Import it' }).click();
    await expect(
      page.getByText('5 scores go up, 0 stay').or(page.getByText(/5 scores go up, \d+ stay/)),
    ).toBeVisible();
    await page.getByRole('button', { name: /^Undo/ }).first().click();
    await expect(page.getByRole('region', { name: 'Changes not applied' })).toHaveCount(0);

    // A file that is no such thing, and one that was damaged on its way.
    await shelf(page);
    await openFile(page, 'notes.yentrel', Buffer.from('dear diary'));
    const refused = page.getByRole('dialog', { name: 'This file cannot be imported' });
    await expect(refused).toContainText('This is not a quiz file, or it is damaged');
    await refused.getByRole('button', { name: 'Close', exact: true }).click();
    const damaged = Buffer.from(later.buffer);
    damaged[Math.floor(damaged.length / 2)] = (damaged[Math.floor(damaged.length / 2)] ?? 0) ^ 0xff;
    await openFile(page, later.name, damaged);
    await expect(refused).toContainText(/damaged|cannot be/);
  },
);

test(
  'a folder is kept up to date by itself where the browser allows it',
  { tag: '@long' },
  async ({ page }) => {
    await page.addInitScript(() => {
      // The browser's own window for choosing a folder cannot be driven: its private folder stands for the chosen one.
      Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() });
    });
    await shelf(page);
    await page.getByRole('button', { name: 'set up automatic backups to a folder' }).click();
    await expect(page.getByText(/^Backups go to the folder .* automatically/)).toBeVisible();
    await expect(page.getByText('Last backup: today. Nothing has changed since.')).toBeVisible();
    const files = () =>
      page.evaluate(async () => {
        const found: [string, number][] = [];
        const root = await navigator.storage.getDirectory();
        for await (const [name, handle] of (
          root as unknown as { entries(): AsyncIterable<[string, FileSystemFileHandle]> }
        ).entries())
          found.push([name, (await handle.getFile()).size]);
        return found;
      });
    const [written] = await files();
    expect(written?.[0]).toMatch(/^yentrel-backup-.*\.yentrel$/);
    expect(written?.[1]).toBeGreaterThan(3000);
    await page.getByRole('button', { name: 'New quiz' }).click();
    await page.waitForURL(/quiz/);
    await shelf(page);
    await expect(page.getByText('Last backup: today. Nothing has changed since.')).toBeVisible();
    expect((await files())[0]?.[1]).toBeGreaterThan(written?.[1] ?? 0);
    await page.getByRole('button', { name: 'Stop automatic backups' }).click();
    await expect(page.getByRole('button', { name: 'set up automatic backups to a folder' })).toBeVisible();
  },
);

test(
  'all answers go out as a file; points that were changed in it come back as own scores',
  { tag: '@long' },
  async ({ page }) => {
    await openDemo(page, 'hand-back');
    await page.getByRole('navigation', { name: 'Desks' }).getByRole('link', { name: 'Hand back' }).click();
    const file = await downloaded(page, () => page.getByRole('button', { name: 'Answers as CSV' }).click());
    expect(file.name).toBe('How-rivers-shape-the-land-answers.csv');
    const rows = papa.parse(file.text.replace(/^\uFEFF/, '').trim(), { delimiter: ',' }).data;
    expect(rows.length).toBe(25);
    const sheet = await saved(page, () =>
      page.getByRole('button', { name: 'Answers as a spreadsheet' }).click(),
    );
    expect(sheet.name).toBe('How-rivers-shape-the-land-answers.xlsx');

    await goTo(page, 'Tray');
    const answers = page.getByLabel('Answer file', { exact: true });
    const take = async (name: string, buffer: Buffer) => {
      await answers.setInputFiles({ name, mimeType: 'text/csv', buffer });
      await page.getByRole('button', { name: 'Import 24 papers' }).click();
    };
    await take(sheet.name, sheet.buffer);
    await expect(page.getByText('24 papers unchanged.')).toBeVisible();
    const at = rows[0]?.indexOf('Points for Q4') ?? 0;
    const changed = rows.map((row) =>
      row[0] === 'Karl Mead' ? row.map((cell, column) => (column === at ? '0.75' : cell)) : row,
    );
    await take(file.name, Buffer.from(papa.unparse(changed, { newline: '\r\n' })));
    await expect(page.getByText(/23 papers unchanged\./)).toBeVisible();
    await goTo(page, 'Check');
    await page.getByRole('button', { name: '1 own score' }).click();
    await expect(page.getByRole('dialog', { name: '1 own score' })).toContainText('Karl Mead');
  },
);

test('a file says whom it adds to a class, and one press takes them off again', async ({ page, browser }) => {
  // A colleague’s browser, whose class has one more.
  const there = await browser.newContext();
  const other = await there.newPage();
  await other.goto('/class/');
  await other.getByLabel('Name of a new student').click();
  await other.keyboard.type('Lise Barrow');
  await other.keyboard.press('Enter');
  await expect(other.getByText('27 students.')).toBeVisible();
  await other.goto('/');
  await other.getByRole('button', { name: 'More for How rivers shape the land' }).click();
  await other.getByRole('button', { name: 'Save as a file' }).click();
  await other.getByRole('radio', { name: 'The quiz with students and their work' }).check();
  const file = await saved(other, () => other.getByRole('button', { name: 'Save the file' }).click());
  await shelf(page);
  await openFile(page, file.name, file.buffer);
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('It adds 1 student to your class 8C.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Import it' }).click();
  await expect(page.getByText('1 student added to 8C')).toBeVisible();
  await page.getByRole('button', { name: 'Take them off' }).click();
  await expect(page.getByText('Undone')).toBeVisible();
  await page.goto('/class/');
  await expect(page.getByText('26 students.')).toBeVisible();
  await there.close();
});

test('Stop ends what reads a file, and another file is read at once', async ({ page }) => {
  await shelf(page);
  await expect(page.getByText('24 of 26 handed in')).toBeVisible();
  const reading = () => page.workers().filter((worker) => worker.url().includes('class.worker')).length;
  const before = reading();
  // A few kilobytes that are 120 MB to be looked through.
  const swollen = zipSync(
    { 'quiz.json': Buffer.from('{}'), [`pictures/${'a'.repeat(64)}`]: Buffer.alloc(120_000_000) },
    { level: 6 },
  );
  expect(swollen.length).toBeLessThan(500_000);
  await openFile(page, 'swollen.yentrel', Buffer.from(swollen));
  const dialog = page.getByRole('dialog');
  await expect.poll(reading).toBe(before + 1);
  await dialog.getByRole('button', { name: 'Stop' }).click();
  await expect(dialog).toHaveCount(0);
  await expect.poll(reading).toBe(before);
  await openFile(page, 'none.yentrel', Buffer.from('{"format":"yentrel-quiz"}'));
  await expect(page.getByText('This file cannot be imported')).toBeVisible();
});

test('a spreadsheet with a cell in the last corner is refused with its place, and the desk goes on', async ({
  page,
}) => {
  await openDemo(page, 'tray');
  const far = (cell: string, row: number) => `<row r="${row}"><c r="${cell}"><v>1</v></c></row>`;
  const file = zipSync({
    'xl/workbook.xml': Buffer.from(
      '<workbook><sheets><sheet name="S" sheetId="1" r:id="r1"/></sheets></workbook>',
    ),
    'xl/_rels/workbook.xml.rels': Buffer.from(
      '<Relationships><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
    ),
    'xl/worksheets/sheet1.xml': Buffer.from(
      `<worksheet><sheetData>${far('A1', 1)}${far('XFD1048576', 1_048_576)}</sheetData></worksheet>`,
    ),
  });
  await page.getByLabel('Answer file', { exact: true }).setInputFiles({
    name: 'answers.xlsx',
    mimeType: 'application/octet-stream',
    buffer: Buffer.from(file),
  });
  await expect(page.getByText(/^Cell XFD1048576 has something in it/)).toBeVisible();
});
