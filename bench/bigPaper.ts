/**
 * A quiz of 200 questions of all kinds, run by `npm run bench:ui` against a served build (ADDRESS): how long it takes to
 * open, beside one of 8; and how long a key takes to show in the editors of several kinds, and its mark in the margin.
 */
import { writeFileSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { writeQuizFile } from '@/core/formats/quizFile/quizFile';
import { FORM_VERSION, type QuizFile } from '@/core/formats/quizFile/schema';
import type { Question } from '@/core/kinds';
import { newPlacement } from '@/core/quiz/newPlacement';
import { JOURNEY } from '../demo/quizzes/journey';
import { RIVERS } from '../demo/quizzes/rivers';
import { markTimes, spreadOf } from './markTimes';

const QUESTIONS = 200;
const address = process.env['ADDRESS'] ?? 'http://127.0.0.1:4321';

/** Pictures are left out: what is measured is the paper. */
const kinds = [...JOURNEY.questions.filter(({ kind }) => kind !== 'spot'), ...RIVERS.questions.slice(0, 3)];
const spots = JOURNEY.questions.filter(({ kind }) => kind === 'spot');

function bigQuiz(): Uint8Array {
  const all = [...kinds, ...spots.map((one): Question => ({ ...one, picture: null }) as Question)];
  const questions = Array.from({ length: QUESTIONS }, (_, at): Question => {
    const one = all[at % all.length] as Question;
    return { ...one, id: `big-${at}`, text: one.text.filter(({ type }) => type !== 'picture') };
  });
  const file: QuizFile = {
    format: 'yentrel-quiz',
    version: FORM_VERSION,
    quiz: {
      id: 'big-paper',
      content: {
        ...JOURNEY.content,
        zone: 'UTC',
        title: 'All of the river',
        order: questions.map(({ id }) => id),
      },
      questions,
      placements: questions.map(({ id }) => newPlacement(id)),
      createdAt: 0,
      changedAt: 0,
    },
    share: { author: '', note: '', at: 0 },
    class: null,
  };
  return writeQuizFile(file, new Map());
}

const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
await context.addInitScript(`
  globalThis.__name = (named) => named;
  globalThis.slow = [];
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) if (entry.name === 'keydown') globalThis.slow.push(entry.duration);
  }).observe({ type: 'event', durationThreshold: 16 });
`);
const page = await context.newPage();
await page.goto(address);
await page.getByLabel('Quiz file, backup or rescue file').setInputFiles({
  name: 'big.yentrel',
  mimeType: 'application/octet-stream',
  buffer: Buffer.from(bigQuiz()),
});
await page.getByRole('button', { name: 'Add it to the Shelf' }).click();
await page.waitForURL(/quiz/);

/** From the navigation until the last question is drawn, in ms. */
async function opened(quizId: string, questions: number): Promise<number> {
  await page.goto('about:blank');
  await page.goto(`${address}/quiz/?id=${quizId}#write`, { waitUntil: 'commit' });
  return page.evaluate(async (wanted) => {
    while (document.querySelectorAll('ol > li.paper-row').length < wanted)
      await new Promise(requestAnimationFrame);
    return performance.now();
  }, questions);
}

const median = (values: number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] as number;
async function opening(quizId: string, questions: number): Promise<number> {
  const times: number[] = [];
  for (let at = 0; at < 5; at++) times.push(await opened(quizId, questions));
  return median(times);
}

/** Types into a field as a person does; the share of keys that took longer than 16 ms, and the slowest of twenty, in ms. */
async function typed(on: Page, field: string): Promise<{ 'p95 ms': number; 'slowest ms': number }> {
  await on.evaluate('globalThis.slow.length = 0');
  await on.locator(field).first().focus();
  const keys = 40;
  await on.keyboard.type('the river bends and bends and bends ag', { delay: 45 });
  await on.waitForTimeout(300);
  const slow = ((await on.evaluate('globalThis.slow')) as number[]).sort((a, b) => b - a);
  return { 'p95 ms': slow[Math.floor(keys * 0.05)] ?? 16, 'slowest ms': slow[0] ?? 16 };
}

const small = await opening('demo-rivers', 8);
const big = await opening('big-paper', QUESTIONS);
console.log(`A paper of ${QUESTIONS} questions of all kinds`);
console.table({
  'opens, 8 questions': { ms: Math.round(small) },
  [`opens, ${QUESTIONS} questions`]: { ms: Math.round(big), ratio: +(big / small).toFixed(2) },
});

const EDITORS: readonly (readonly [string, number, string])[] = [
  ['a question’s text', 3, '[aria-label="Text of question 3"]'],
  ['an option', 2, '[aria-label="Option 1"]'],
  ['a text with gaps', 4, '.passage'],
  ['a pair', 5, '[aria-label="Item 1"]'],
  ['an item of an order', 6, '[aria-label="Item 1"]'],
  ['an item in a box', 7, '[data-row]'],
  ['a row', 8, '[aria-label="Row 1"]'],
];
const editors: Record<string, object> = {};
for (const [name, number, field] of EDITORS) {
  await page.getByRole('button', { name: `Question ${number}`, exact: true }).click();
  await page.locator(field).first().waitFor();
  await page.waitForTimeout(400);
  editors[name] = await typed(page, field);
}
console.log('From a key to its being painted (16 ms and less is shown as 16)');
console.table(editors);
// The first question of a word or phrase.
const phrase = kinds.findIndex(({ kind }) => kind === 'phrase') + 1;
await page.getByRole('button', { name: `Question ${phrase}`, exact: true }).click();
await page.getByRole('textbox', { name: 'Try an answer' }).waitFor();
await page.waitForTimeout(400);
const marks = await markTimes(page);
console.log('Until the margin shows the mark');
console.table({
  'bare echo of a key': spreadOf(marks.bare),
  'a key in the trial answer': spreadOf(marks.margin),
  'a key in the points': spreadOf(marks.points),
});
await browser.close();

const file = process.argv[process.argv.indexOf('--json') + 1];
if (process.argv.includes('--json') && file)
  writeFileSync(file, JSON.stringify({ bigPaper: { small, big, editors } }, null, 1));
