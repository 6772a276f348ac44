/**
 * A made-up class of 2 000 in the demo quiz, run by `npm run bench:ui` against a served build (ADDRESS): the
 * answer file imported, Check ready, frames while scrolling, and the effect of an accepted answer. Each figure
 * stands beside the same one for the demo class of 24.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';

const STUDENTS = Number(process.env['STUDENTS'] ?? 2000);
const address = process.env['ADDRESS'] ?? 'http://127.0.0.1:4321';

/** Small, seeded, the same everywhere (mulberry32). */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const ANSWERS = [
  ['upper course', 'middle course', 'lower course'],
  ['oxbow lake', 'Oxbow lake', 'oxbow laek', 'oxbow', 'cut-off', 'lagoon', 'meander', 'horseshoe lake'],
  ['levee', 'gorge', 'pothole', 'waterfall'],
  ['floodplain', 'flood plain', 'Floodplain.', 'flood-plain', 'water meadow', 'delta', 'flod plane'],
  ['a little higher', 'higher, because the bed is steeper there', 'much lower', 'the same'],
  ['discharge', 'Discharge', 'dischrage', 'flow', 'flow rate', 'velocity', 'speed'],
  ['upstream', 'downstream', 'to the steeper bank'],
  ['abrasion', 'it is called abrasion', 'corrasion', 'erosion', 'attrition', 'rubbing', 'scraping', ''],
];

/** The better a student, the more often the first answers of a list. */
function answerFile(): string {
  const next = random(2000);
  const rows = Array.from({ length: STUDENTS }, (_, index) => {
    const ability = next();
    const answers = ANSWERS.map((list) => list[Math.floor(next() ** (1 + 3 * ability) * list.length)]);
    return [`Student ${String(index + 1).padStart(4, '0')}`, 5000 + index, ...answers]
      .map((cell) => `"${cell}"`)
      .join(',');
  });
  return `Student,Number,${ANSWERS.map((_, index) => `Q${index + 1}`).join(',')}\n${rows.join('\n')}\n`;
}

const longTasks = (page: Page): Promise<number[]> =>
  page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks.splice(0));

async function checkReady(page: Page): Promise<number> {
  await page.goto(`${address}/quiz/?id=demo-rivers#plan`);
  await page.getByRole('heading', { name: 'Plan', exact: true }).waitFor();
  await page.waitForTimeout(1500);
  await longTasks(page);
  return page.evaluate(async () => {
    const start = performance.now();
    location.hash = '#check';
    while (!document.querySelector('[data-cell]')) await new Promise(requestAnimationFrame);
    return performance.now() - start;
  });
}

/** Scrolls the table by a screen a frame for two seconds: the times between frames, in ms. */
const scrolling = (page: Page): Promise<number[]> =>
  page.evaluate(async () => {
    const box = document.querySelector('[aria-label="Scores"]')?.parentElement as HTMLElement;
    const frames: number[] = [];
    let last = performance.now();
    const end = last + 2000;
    while (last < end) {
      const wrap = box.scrollTop + box.clientHeight >= box.scrollHeight - 1;
      box.scrollTop = wrap ? 0 : box.scrollTop + 300;
      const now = await new Promise<number>(requestAnimationFrame);
      frames.push(performance.now() - last);
      last = Math.max(now, performance.now());
    }
    box.scrollTop = 0;
    return frames;
  });

/** From the press on A until the effect stands at the foot, in ms. */
async function acceptEffect(page: Page): Promise<number> {
  await page.locator('[aria-label="Question 4: wrong, 0 points, near miss, “flood plain”"]').first().click();
  await page.getByRole('button', { name: /Accept as right/ }).waitFor();
  await page.waitForTimeout(500);
  const took = await page.evaluate(async () => {
    const start = performance.now();
    document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key: 'a', bubbles: true }));
    const bar = () =>
      document.querySelector('[aria-label="Changes not applied"] [role="status"]')?.textContent ?? '';
    while (!/ up/.test(bar())) await new Promise(requestAnimationFrame);
    return performance.now() - start;
  });
  await page.keyboard.press('Control+z');
  await page.locator('[aria-label="Changes not applied"]').waitFor({ state: 'detached' });
  return took;
}

interface Figures {
  ready: number;
  frame95: number;
  frameMost: number;
  effect: number;
  longest: number;
}

const quantile = (values: number[], share: number) =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] as number;

async function measure(page: Page): Promise<Figures> {
  const ready = await checkReady(page);
  const frames = await scrolling(page);
  const effect = Math.min(await acceptEffect(page), await acceptEffect(page), await acceptEffect(page));
  const tasks = await longTasks(page);
  if (process.env['TASKS'])
    console.log(
      tasks,
      frames.filter((f) => f > 40),
    );
  return {
    ready,
    frame95: quantile(frames, 0.95),
    frameMost: Math.max(...frames),
    effect,
    longest: Math.max(0, ...tasks),
  };
}

/** As the interface writes it. */
const MANY = STUDENTS.toLocaleString('en');

const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.addInitScript(() => {
  const tasks: number[] = [];
  (window as unknown as { longTasks: number[] }).longTasks = tasks;
  new PerformanceObserver((list) => list.getEntries().forEach((entry) => tasks.push(entry.duration))).observe(
    { type: 'longtask', buffered: true },
  );
});
await page.goto(`${address}/quiz/?id=demo-rivers#tray`);
await page.evaluate('globalThis.__name = (named) => named').catch(() => undefined);
await page.addInitScript('globalThis.__name = (named) => named');
const small = await measure(page);

await page.goto(`${address}/quiz/?id=demo-rivers#tray`);
await page.getByText('24 of 26').waitFor();
await page
  .getByLabel('Answer file')
  .setInputFiles({ name: 'class.csv', mimeType: 'text/csv', buffer: Buffer.from(answerFile()) });
await page.getByRole('dialog').getByRole('button', { name: 'Add all' }).click({ timeout: 60_000 });
await page.getByText(`${MANY} papers ready`).waitFor({ timeout: 60_000 });
const began = Date.now();
await page.getByRole('button', { name: `Import ${MANY} papers` }).click();
await page.getByText(`${MANY} papers imported`).first().waitFor({ timeout: 120_000 });
const taken = Date.now() - began;
const large = await measure(page);
await browser.close();

const round = (value: number) => +value.toFixed(1);
const line = (key: keyof Figures) => ({
  'class of 24, ms': round(small[key]),
  [`class of ${STUDENTS + 24}, ms`]: round(large[key]),
  ratio: round(large[key] / Math.max(0.1, small[key])),
});
console.log(`An answer file of ${STUDENTS} papers was imported within ${taken} ms.`);
console.table({
  'Check ready after the press': line('ready'),
  'frame while scrolling, p95': line('frame95'),
  'frame while scrolling, longest': line('frameMost'),
  'accept to its effect': line('effect'),
  'longest task of the page': line('longest'),
});

const file = process.argv[process.argv.indexOf('--json') + 1];
if (process.argv.includes('--json') && file) {
  const before = JSON.parse(readFileSync(file, 'utf8')) as object;
  writeFileSync(file, JSON.stringify({ ...before, bigClass: { takenInMs: taken, small, large } }, null, 1));
}
