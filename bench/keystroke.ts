/**
 * The interface's bench, run by `npm run bench:ui` against a served build (ADDRESS): time from a key pressed in
 * the trial answer until the margin shows its mark, as a ratio to a bare echo of the same key in the same page.
 */
import { writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { markTimes, spreadOf } from './markTimes';

const address = process.env['ADDRESS'] ?? 'http://127.0.0.1:4321';
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${address}/quiz/?id=demo-rivers#write`);
await page.getByRole('button', { name: 'Question 2', exact: true }).click();
await page.getByRole('textbox', { name: 'Try an answer' }).waitFor();

const times = await markTimes(page);
await browser.close();

console.log(
  `${times.margin.length} keys in the trial answer of the demo quiz, ${times.points.length} in its points`,
);
console.table({
  'bare echo of a key': spreadOf(times.bare),
  'key to mark in the margin': spreadOf(times.margin),
  'key in the points to mark in the margin': spreadOf(times.points),
});

const file = process.argv[process.argv.indexOf('--json') + 1];
if (process.argv.includes('--json') && file)
  writeFileSync(file, JSON.stringify({ keystroke: spreadOf(times.margin) }, null, 1));
