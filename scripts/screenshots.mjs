/** `npm run screenshots`: takes the pictures in docs/screenshots anew from the demo data. */
import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, chromium, setUp, serve } from './setup.mjs';

setUp();
const temporary = mkdtempSync(join(tmpdir(), 'yentrel-'));
// Doors that are opened for pictures lie apart.
process.env.DATA = join(temporary, 'doors');
const executablePath = chromium();
build('dist-test');
const address = await serve('dist-test');

const { chromium: launcher } = await import('@playwright/test');
const browser = await launcher.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] });
const folder = process.env.SCREENSHOTS ?? 'docs/screenshots';
mkdirSync(folder, { recursive: true });

async function fresh(theme, size = { width: 1280, height: 800 }) {
  const context = await browser.newContext({ viewport: size, locale: 'en-GB', timezoneId: 'Europe/Berlin' });
  await context.addInitScript((name) => {
    if (location.protocol === 'http:') localStorage.setItem('yentrel-theme', name);
  }, theme);
  return context.newPage();
}
const shot = async (page, name) => {
  await page.waitForTimeout(500);
  await page.screenshot({ path: `${folder}/${name}.png` });
};
const station = (page, title) =>
  page.getByRole('navigation', { name: 'Desks' }).getByRole('link', { name: title }).click();

/** The quiz goes out as a file, is changed, and the file comes back: it says what it changes. */
async function quizFile(page) {
  await page.getByRole('button', { name: 'More for How rivers shape the land' }).click();
  await page.getByRole('button', { name: 'Save as a file' }).click();
  await page.getByLabel('From').fill('M. Weir');
  await page.getByLabel('A note for whoever opens it').fill('For the second week. Question 2 asks less now.');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the file' }).click(),
  ]);
  await page.getByRole('link', { name: 'How rivers shape the land' }).click();
  await page.getByRole('button', { name: 'Question 2', exact: true }).click();
  await page.getByLabel('Explanation').fill('The neck of the loop was cut through.');
  await page.getByText('saved', { exact: true }).waitFor();
  await page.goto(address);
  await page.getByLabel('Quiz file, backup or rescue file').setInputFiles(await file.path());
  await page.getByText('The file changes:').waitFor();
  await shot(page, 'quiz-file');
  await page.getByRole('button', { name: 'Import it' }).click();
  await page.getByRole('navigation', { name: 'Desks' }).waitFor();
  await page.goto(address);
}

/** A text with gaps in hand, one of them open, and an answer tried as a student gives it. */
async function gaps(page, suffix) {
  await page.goto(`${address}/quiz/?id=demo-journey#write`);
  await page.getByRole('button', { name: 'Question 3', exact: true }).click();
  await page.getByRole('button', { name: 'Gap 1: faster' }).click();
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await margin.getByLabel('Gap 1', { exact: true }).fill('deeper');
  await margin.getByRole('button', { name: 'erodes', exact: true }).click();
  await margin.getByText('1.5 of 4').waitFor();
  await shot(page, `write${suffix}`);
}

/** The same marks as look-alikes of one question, and as one paper. */
async function views(page) {
  await page.goto(`${address}/quiz/?id=demo-rivers#check`);
  await page
    .getByRole('button', { name: /^Question 4: wrong.*flood plain/ })
    .first()
    .click();
  await page.keyboard.press('2');
  await page.getByRole('group', { name: 'Answers to question 4' }).getByRole('region').first().waitFor();
  await shot(page, 'one-question');
  await page.goto(`${address}/quiz/?id=demo-journey#check`);
  await page.getByRole('button', { name: 'One paper' }).click();
  await page.getByRole('button', { name: 'The next paper: Bruno Ghyll' }).click();
  await page
    .getByRole('button', { name: /^Question 1:/ })
    .first()
    .click();
  await shot(page, 'one-paper');
  await page.getByRole('button', { name: 'By hand', exact: true }).click();
  await page.getByRole('form', { name: 'Rubric' }).waitFor();
  await page.keyboard.press('2');
  await shot(page, 'by-hand');
}

async function teacher(theme, suffix) {
  const page = await fresh(theme);
  await page.goto(address);
  await page.getByText('24 of 26 handed in').waitFor();
  if (!suffix) {
    await shot(page, 'shelf');
    await views(page);
    await page.goto(address);
    await quizFile(page);
  }
  if (suffix) await gaps(page, suffix);
  await page.goto(`${address}/quiz/?id=demo-rivers#write`);
  if (!suffix) {
    await page.getByRole('button', { name: 'Question 2', exact: true }).click();
    await page.getByRole('textbox', { name: 'Try an answer' }).fill('oxbow laek');
    await page.getByText('1.8 of 2').waitFor();
    await shot(page, 'write');
  }
  await station(page, 'Check');
  await page
    .getByRole('button', { name: 'Question 4: wrong, 0 points, near miss, “flood plain”' })
    .first()
    .click();
  if (suffix) return;
  await shot(page, 'check');
  await page.goto(`${address}/quiz/?id=demo-flow#plan`);
  await page.getByText('Others of 7B field group 2', { exact: true }).waitFor();
  await shot(page, 'plan');
  await page.goto(`${address}/quiz/?id=demo-rivers#tray`);
  await page.getByText('24 of 26').waitFor();
  await station(page, 'Hand back');
  await page.getByLabel('Comment to Ada Marsh').fill('Faultless.');
  await shot(page, 'handback');
  await station(page, 'Write');
  await page.getByRole('button', { name: 'Question 4', exact: true }).click();
  await page.getByLabel('Form 1 of floodplain').focus();
  await page.getByLabel('Another form of floodplain').fill('flood plain');
  await page.keyboard.press('Enter');
  await page.getByText('5 scores go up').waitFor();
  await page.getByRole('button', { name: 'See who' }).click();
  await shot(page, 'effect');
}

async function print() {
  const page = await fresh('chalk');
  await page.goto(address);
  await page.getByText('24 of 26 handed in').waitFor();
  await page.goto(`${address}/print/?quiz=demo-rivers&right=with`);
  await page.getByRole('region', { name: 'Results of Ada Marsh' }).waitFor();
  await shot(page, 'print');
}

async function classList() {
  const page = await fresh('chalk');
  await page.goto(`${address}/class/`);
  await page.getByText('26 students.').waitFor();
  await shot(page, 'class-list');
}

/** Why an answer is wrong, step by step, and what other settings would make of it. */
async function comparing() {
  const page = await fresh('chalk');
  await page.goto(`${address}/comparing/`);
  await page.getByLabel('Answer', { exact: true }).fill('2x 3');
  await page.getByRole('status').getByText('wrong').waitFor();
  await page.getByText('without its signs').nth(3).waitFor();
  await shot(page, 'comparing');
}

/** Pictures of a phone beside each other, as one. */
async function beside(name, pictures) {
  const page = await fresh('chalk', { width: pictures.length * 380 - 20, height: 740 });
  const images = pictures.map(
    (bytes) => `<img width="360" height="740" src="data:image/png;base64,${bytes.toString('base64')}">`,
  );
  await page.setContent(
    `<body style="margin:0;display:flex;gap:20px;background:#b9b3a4">${images.join('')}</body>`,
  );
  await shot(page, name);
}
const picture = async (page) => {
  await page.waitForTimeout(500);
  return page.screenshot();
};

/** A student's first page, one in work, and the results, on a phone. */
async function student() {
  const page = await fresh('chalk', { width: 360, height: 740 });
  const pictures = [];
  await page.goto(`${address}/sit/?quiz=demo-rivers&ticket=998yd63j`);
  await page.getByRole('button', { name: 'Begin' }).waitFor();
  pictures.push(await picture(page));
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByText('upper course').click();
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('textbox').fill('oxbow la');
  await page.getByText('Saved on this device').waitFor();
  pictures.push(await picture(page));
  for (let n = 0; n < 7; n++) await page.getByRole('button', { name: /^(Next|Review and hand in)$/ }).click();
  await page.getByRole('button', { name: 'Hand in' }).click();
  await page.getByText('It has been received.').waitFor();
  pictures.push(await picture(page));
  await beside('sit-phone', pictures);
}

/** Tickets; the Tray with a door while a class sits; a phone behind the door, and one with a quiz as a file. */
async function atHome() {
  const page = await fresh('chalk');
  await page.goto(`${address}/tickets/?class=demo-class-8c`);
  await page.getByRole('button', { name: 'Print the sheet' }).waitFor();
  await shot(page, 'tickets');
  await page.goto(`${address}/quiz/?id=demo-rivers#tray`);
  await page.getByRole('button', { name: 'Open a door…' }).click();
  await page.getByRole('button', { name: 'Open the door' }).click();
  await page.getByText(/^A door is open since/).waitFor();
  const pictures = [];
  const own = await fresh('chalk', { width: 360, height: 740 });
  await own.goto(`${address}/in/#998yd63j`);
  await own.getByRole('heading', { name: /quizzes$/ }).waitFor();
  pictures.push(await picture(own));
  await own.getByRole('button', { name: /^How rivers/ }).click();
  await own.getByRole('button', { name: 'Begin' }).click();
  await own.getByLabel('upper course').check();
  await own.getByText(/^Received at/).waitFor();
  pictures.push(await picture(own));
  await page
    .getByRole('row')
    .filter({ hasText: 'Yann Isle' })
    .getByText(/1 answered/)
    .waitFor();
  await shot(page, 'tray');
  await page.getByRole('button', { name: 'Save the quiz as a file…' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the file' }).click(),
  ]);
  const away = await fresh('chalk', { width: 360, height: 740 });
  await file.saveAs(`${temporary}/paper.html`);
  await away.goto(`file://${temporary}/paper.html`);
  await away.getByRole('textbox').fill('998Y-D63J');
  pictures.push(await picture(away));
  await beside('home-phone', pictures);
  await page.getByRole('button', { name: 'Close the door…' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Close the door' }).click();
  await page.getByText('nothing of it is left on the server').waitFor();
}

/** The teacher's phone: an answer opened on Check, and who has not handed in. */
async function phone() {
  const page = await fresh('chalk', { width: 360, height: 740 });
  await page.goto(`${address}/quiz/?id=demo-rivers#check`);
  await page
    .getByRole('button', { name: 'Question 4: wrong, 0 points, near miss, “flood plain”' })
    .first()
    .click();
  await page.getByText('How it was marked').waitFor();
  await shot(page, 'check-phone');
}

await teacher('chalk', '');
await teacher('slate', '-slate');
await print();
await phone();
await classList();
await comparing();
await student();
await atHome();
await browser.close();
process.exit(0);
