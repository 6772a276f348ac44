import { readFileSync, writeFileSync } from 'node:fs';
import type { Browser, Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import { expectAccessible } from './accessible';
import { answerEveryKind, enter, writeEveryKind } from './everyKind';
import { fits } from './fits';
import { checkRow, DEMO, expect, goTo, openIt, saved, test } from './support';

/** A quiz as a file: out to a student's phone without a network, and its answers back in. */

/** The ticket of a student, as it stands on the printed sheet. */
async function ticketOf(page: Page, name: string): Promise<string> {
  const slip = page.getByRole('listitem').filter({ hasText: name });
  return (await slip.getByText(/^[2-9A-Z]{4}-[2-9A-Z]{4}$/).textContent()) ?? '';
}

/** Presses what saves a file, and keeps it where a browser can open it. */
async function keptFile(page: Page, folder: (name: string) => string, press: () => Promise<void>) {
  const [file] = await Promise.all([page.waitForEvent('download'), press()]);
  const path = folder(file.suggestedFilename());
  await file.saveAs(path);
  return { name: file.suggestedFilename(), path };
}

/** A phone without a network, with a file opened on it: whatever it would ask for fails the test. */
async function onPhone(browser: Browser, path: string): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 360, height: 740 },
    locale: 'en-GB',
    hasTouch: true,
  });
  await context.setOffline(true);
  const page = await context.newPage();
  page.on('request', (request) => {
    expect(request.url()).toMatch(/^(file|blob):/);
  });
  await page.goto(`file://${path}`);
  return page;
}

/** What the page copies: from the clipboard, or from the field that it shows where it may not copy. */
async function copiedText(page: Page): Promise<string> {
  await page.evaluate(() => {
    Object.defineProperty(navigator, 'clipboard', { value: undefined });
    document.execCommand = () => false;
  });
  await page.getByRole('button', { name: 'Copy them as text' }).click();
  const field = page.getByRole('textbox', { name: 'Your answers as text' });
  await expect(field).toBeVisible();
  return field.inputValue();
}

test('a quiz as a file: out by the Tray, answered on a phone without a network, in as a file and as text; results as files', async ({
  page,
  browser,
}, info) => {
  test.setTimeout(120_000);
  const folder = (name: string) => info.outputPath(name);
  await page.goto('/class/');
  await page.getByRole('link', { name: 'Print or copy the tickets of 8C' }).click();
  await expect(page.getByRole('heading', { name: 'Tickets of 8C' })).toBeVisible();
  const ticket = await ticketOf(page, 'Yann Isle');
  await expectAccessible(page, 'tickets');

  await page.goto(`${DEMO}#tray`);
  await page.getByRole('button', { name: 'Save the quiz as a file…' }).click();
  const paper = await keptFile(page, folder, () =>
    page.getByRole('button', { name: 'Save the file' }).click(),
  );
  expect(paper.name).toBe('How-rivers-shape-the-land.html');
  const text = readFileSync(paper.path, 'utf8');
  expect(text.length).toBeLessThan(500_000);
  for (const secret of ['oxbow', 'Yann Isle', 'Ada Marsh', ticket.replace('-', '').toLowerCase()])
    expect(text.toLowerCase().includes(secret.toLowerCase()), secret).toBe(false);

  const phone = await onPhone(browser, paper.path);
  // One sign is another one: it is seen before anything else happens.
  const wrong = ticket.slice(0, -1) + (ticket.endsWith('7') ? '8' : '7');
  await phone.getByLabel('Ticket', { exact: true }).click();
  await phone.keyboard.type(wrong);
  await phone.keyboard.press('Enter');
  await expect(phone.getByText('One of the signs is not right.')).toBeVisible();
  await expect(phone.getByLabel('Ticket', { exact: true })).toBeFocused();
  await expectAccessible(phone, 'the ticket of a file');
  await phone.keyboard.press('Control+a');
  await phone.keyboard.type(ticket.toLowerCase().replace('-', ' '));
  await phone.keyboard.press('Enter');
  await expect(phone.getByText('This quiz is a file: it sends nothing.')).toBeVisible();
  await expectAccessible(phone, 'the first page of a file');
  await phone.getByRole('button', { name: 'Begin' }).click();
  await phone.getByLabel('upper course').check();
  await expect(phone.getByText(/^Saved on this device at/)).toBeVisible();
  await phone.getByRole('button', { name: 'Next' }).click();
  await phone.getByRole('textbox').click();
  await phone.keyboard.type('oxbow lake');
  await expect(phone.getByText(/^Saved on this device at/)).toBeVisible();
  await fits(phone, 'a question of a file');

  // Closed, and opened again from the downloads: nothing is asked, and everything is there.
  await phone.goto('about:blank');
  await phone.goto(`file://${paper.path}`);
  await expect(phone.getByText('Question 3 of 8')).toBeVisible();
  await phone.getByRole('button', { name: 'Back' }).click();
  await expect(phone.getByRole('textbox')).toHaveValue('oxbow lake');
  for (let at = 2; at < 8; at++) await phone.getByRole('button', { name: 'Next' }).click();
  await phone.getByRole('button', { name: 'Look over and save' }).click();
  await expect(phone.getByText('6 questions have no answer yet:')).toBeVisible();
  const answers = await keptFile(phone, folder, () =>
    phone.getByRole('button', { name: 'Save my answers' }).click(),
  );
  expect(answers.name).toBe(`How-rivers-shape-the-land-${ticket}.json`);
  await expect(phone.getByText(`Saved as the file ${answers.name}.`)).toBeVisible();
  await expectAccessible(phone, 'answers that were saved');
  const packed = await copiedText(phone);

  // In, beside one that was cut short and one that was changed by hand.
  const whole = readFileSync(answers.path);
  await page.getByLabel('Files of answers').setInputFiles([
    { name: 'cut.json', mimeType: 'application/json', buffer: whole.subarray(0, 180) },
    { name: answers.name, mimeType: 'application/json', buffer: whole },
    {
      name: 'changed.json',
      mimeType: 'application/json',
      buffer: Buffer.from(whole.toString().replace('oxbow', 'ox-bow')),
    },
  ]);
  const dialog = page.getByRole('dialog', { name: 'Answers from students’ files' });
  await expect(dialog.getByText('1 paper ready.')).toBeVisible();
  await expect(dialog.getByRole('list', { name: 'Answers' })).toContainText('Yann Isle');
  const left = dialog.getByRole('list', { name: 'Left out' }).getByRole('listitem');
  await expect(left).toHaveText([
    /^cut\.json: Its end is missing/,
    /^changed\.json: It was changed after it was saved/,
  ]);
  await expectAccessible(page, 'answers before they are taken in');
  await dialog.getByRole('button', { name: 'Import 1 paper' }).click();
  const row = page.getByRole('row').filter({ hasText: 'Yann Isle' });
  await expect(row).toContainText('handed in');
  await expect(row).toContainText('by the device’s clock, from the student’s file');

  // Undone, and brought again as the text of a message.
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(row).toContainText('not started');
  await page.getByRole('button', { name: 'Paste answers from a message' }).click();
  await expect(page.getByLabel(/^Paste messages here/)).toBeFocused();
  await page.keyboard.insertText(`Good evening,\n\n> ${packed.replace(/(.{70})/g, '$1\n> ')}\n\nYann`);
  await page.getByRole('button', { name: 'Look at them' }).click();
  await dialog.getByRole('button', { name: 'Import 1 paper' }).click();
  await expect(row).toContainText('handed in');
  await goTo(page, 'Check');
  await expect.poll(async () => (await checkRow(page, 'Yann Isle')).at(-1)).toMatch(/^3\b/);

  // Results as files: what the plan shows is nothing yet; with the right answers, one file for each.
  await goTo(page, 'Hand back');
  await page.getByRole('button', { name: 'Save a file each…' }).click();
  const slips = page.getByRole('dialog', { name: 'A file of results for each student' });
  await slips.getByLabel('Everything, with the right answers').check();
  const zip = await keptFile(page, folder, () =>
    slips.getByRole('button', { name: 'Save the files' }).click(),
  );
  const files = unzipSync(readFileSync(zip.path));
  expect(Object.keys(files)).toHaveLength(25);
  const own = folder('825.html');
  expect(Object.keys(files)).toContain('825.html');
  writeFileSync(own, files['825.html'] ?? '');
  const result = await onPhone(browser, own);
  await expect(result.getByRole('heading', { name: 'Yann Isle' })).toBeVisible();
  await expect(result.getByText('3 of 12', { exact: true })).toBeVisible();
  await expect(result.getByText('oxbow lake').first()).toBeVisible();
  await fits(result, 'a result as a file');
  await expectAccessible(result, 'a result as a file');
  for (const bytes of Object.values(files))
    expect(Buffer.from(bytes).toString().includes(ticket.replace('-', '').toLowerCase())).toBe(false);
});

test('a ticket is replaced in one press: the old one ends, undo brings it back; the table is saved', async ({
  page,
}) => {
  await page.goto('/tickets/?class=demo-class-8c');
  const before = await ticketOf(page, 'Zoe Mere');
  const paper = await page.context().newPage();
  const state = async (ticket: string) => {
    await paper.goto(`/sit/?quiz=demo-rivers&ticket=${ticket.replace('-', '').toLowerCase()}`);
    await expect(paper.getByRole('heading', { level: 1 })).not.toHaveText(/^$|Loading/);
    return paper.getByRole('heading', { level: 1 }).textContent();
  };
  expect(await state(before)).toBe('How rivers shape the land');
  await page.getByRole('button', { name: 'New ticket for Zoe Mere' }).click();
  await expect(page.getByText('New ticket for Zoe Mere. The old one opens nothing any more.')).toBeVisible();
  await expect.poll(() => ticketOf(page, 'Zoe Mere')).not.toBe(before);
  const after = await ticketOf(page, 'Zoe Mere');
  expect([await state(before), await state(after)]).toEqual([
    'There is no paper at this address',
    'How rivers shape the land',
  ]);
  await page.getByRole('button', { name: 'New ticket for Zoe Mere' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => ticketOf(page, 'Zoe Mere')).toBe(after);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a table' }).click(),
  ]);
  const table = readFileSync(await file.path(), 'utf8');
  expect(table).toContain(`826,Zoe Mere,${after}\r\n`);
});

test(
  'every kind of question in a file: answered by touch, and the right scores',
  { tag: '@long' },
  async ({ page, browser }, info) => {
    test.setTimeout(240_000);
    const folder = (name: string) => info.outputPath(name);
    await page.goto('/');
    await writeEveryKind(page);
    await saved(page);
    await openIt(page);
    await goTo(page, 'Tray');
    await page.getByRole('button', { name: 'Save the quiz as a file…' }).click();
    await page.getByLabel('A file for each student, in a zip').check();
    await page.getByLabel('What the files are named by').selectOption('name');
    const zip = await keptFile(page, folder, () =>
      page.getByRole('button', { name: 'Save the files' }).click(),
    );
    const papers = unzipSync(readFileSync(zip.path));
    const files: { name: string; mimeType: string; buffer: Buffer }[] = [];
    for (const [name, way] of [
      ['Ada-Marsh', 'right'],
      ['Bela-Fenn', 'half'],
    ] as const) {
      const path = folder(`${name}.html`);
      writeFileSync(path, papers[`${name}.html`] ?? '');
      const phone = await onPhone(browser, path);
      await answerEveryKind(phone, way, (thing) => thing.tap(), 'Look over and save');
      const kept = await keptFile(phone, folder, () =>
        phone.getByRole('button', { name: 'Save my answers' }).tap(),
      );
      files.push({ name: kept.name, mimeType: 'application/json', buffer: readFileSync(kept.path) });
    }
    await page.getByLabel('Files of answers').setInputFiles(files);
    await enter(page.getByRole('button', { name: 'Import 2 papers' }));
    await goTo(page, 'Check');
    await expect.poll(async () => (await checkRow(page, 'Ada Marsh')).at(-1)).toBe('+3 not marked yet20');
    await expect.poll(async () => (await checkRow(page, 'Bela Fenn')).at(-1)).toBe('+3 not marked yet11.5');
  },
);
