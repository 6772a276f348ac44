/**
 * The interface's bench, run by `npm run bench:ui` against a served build (ADDRESS): time from a key pressed in
 * the trial answer until the margin shows its mark, as a ratio to a bare echo of the same key in the same page.
 */
import { writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const address = process.env['ADDRESS'] ?? 'http://127.0.0.1:4321';
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${address}/quiz/?id=demo-rivers#write`);
await page.getByRole('button', { name: 'Question 2', exact: true }).click();
await page.getByRole('textbox', { name: 'Try an answer' }).waitFor();

// The page knows nothing of the names that the compiler keeps for functions.
await page.evaluate('globalThis.__name = (named) => named');
const times = await page.evaluate(async () => {
  const field = document.querySelector<HTMLInputElement>(
    'input[aria-label="Try an answer"]',
  ) as HTMLInputElement;
  const list = document.querySelector('ul[aria-live="polite"]') as HTMLElement;
  const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set as (
    value: string,
  ) => void;
  const until = (done: () => boolean) =>
    new Promise<void>((resolve) => {
      const observer = new MutationObserver(() => done() && (observer.disconnect(), resolve()));
      observer.observe(document.body, { subtree: true, childList: true, characterData: true });
    });
  const echo = document.createElement('p');
  document.body.append(echo);
  const margin: number[] = [];
  const bare: number[] = [];
  let text = '';
  for (const letter of 'oxbow lake in a valley oxbow laek'.split('')) {
    text += letter;
    const shown = text.trim();
    let start = performance.now();
    const plain = until(() => echo.textContent === text);
    echo.textContent = text;
    await plain;
    bare.push(performance.now() - start);
    if (shown === list.querySelector('li .min-w-0')?.textContent?.trim()) continue;
    start = performance.now();
    const marked = until(() => (list.querySelector('li .min-w-0')?.textContent ?? '').trim() === shown);
    setValue.call(field, text);
    field.dispatchEvent(new Event('input', { bubbles: true }));
    await marked;
    margin.push(performance.now() - start);
    await new Promise((resolve) => setTimeout(resolve, 60));
  }
  return { margin, bare };
});
await browser.close();

const quantile = (values: number[], share: number) =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] as number;
const row = (values: number[]) => ({
  'median ms': +quantile(values, 0.5).toFixed(2),
  'p95 ms': +quantile(values, 0.95).toFixed(2),
});
console.log(`${times.margin.length} keys in the trial answer of the demo quiz`);
console.table({ 'bare echo of a key': row(times.bare), 'key to mark in the margin': row(times.margin) });

const file = process.argv[process.argv.indexOf('--json') + 1];
if (process.argv.includes('--json') && file) {
  writeFileSync(
    file,
    JSON.stringify(
      { keystroke: { medianMs: quantile(times.margin, 0.5), p95Ms: quantile(times.margin, 0.95) } },
      null,
      1,
    ),
  );
}
