/**
 * How long pages take on a slow phone: 1.6 Mbit/s, 150 ms for a round trip, a processor four times slower, nothing kept
 * from before. The student's page until *Begin* can be pressed, in the teacher's browser and on a device of their own behind a
 * door (there with the press on the quiz between), the Shelf until the quizzes can be read; medians of 5 loads, beside a page
 * without any script on the same line.
 */
import { chromium, type Browser, type Page } from '@playwright/test';
import { madeUpTicket } from '@/core/madeUp/tickets';
import { doorFor, membersOf, TOKEN } from './doorClass';
import { slowLine } from './slowNetwork';

const address = new URL(process.env['ADDRESS'] ?? '');
const LOADS = 5;
const LINE = { rate: 1_600_000 / 8, roundTrip: 150 };
const SLOWER = 4;

interface Measured {
  readonly name: string;
  readonly path: string;
  readonly seen: (page: Page) => Promise<void>;
}

const members = membersOf(30);
const door = doorFor(members);
const opened = await fetch(new URL('/api/door', address), { method: 'POST', body: JSON.stringify(door) });
if (!opened.ok) throw new Error('The door does not open');

const PAGES: readonly Measured[] = [
  {
    name: 'plain page (/404)',
    path: '/404/',
    seen: (page) => page.getByRole('heading').waitFor(),
  },
  {
    name: 'student: Begin',
    path: `/sit/?quiz=demo-rivers&ticket=${madeUpTicket('demo-25')}`,
    seen: (page) => page.getByRole('button', { name: 'Begin' }).click({ trial: true }),
  },
  {
    name: 'own device: the quiz, then Begin',
    path: `/in/#${members[3]?.ticket ?? ''}`,
    seen: async (page) => {
      await page.getByRole('button', { name: door.content.content.title }).click();
      await page.getByRole('button', { name: 'Begin' }).click({ trial: true });
    },
  },
  {
    name: 'Shelf: quizzes',
    path: '/',
    seen: (page) => page.getByRole('link', { name: 'How rivers shape the land' }).waitFor(),
  },
];

async function load(browser: Browser, port: number, { path, seen }: Measured): Promise<number> {
  const context = await browser.newContext({ viewport: { width: 360, height: 740 } });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const began = performance.now();
  await page.goto(`http://127.0.0.1:${port}${path}`, { waitUntil: 'commit' });
  await seen(page);
  const took = performance.now() - began;
  await context.close();
  return took;
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const line = await slowLine(Number(address.port), LINE);
const medians: number[] = [];
for (const page of PAGES) {
  const took: number[] = [];
  let bytes = 0;
  for (let n = 0; n < LOADS; n++) {
    line.reset();
    took.push(await load(browser, line.port, page));
    bytes = line.received();
  }
  medians.push(median(took));
  const all = took.map((ms) => (ms / 1000).toFixed(2)).join(', ');
  console.log(
    `${page.name}: ${(median(took) / 1000).toFixed(2)} s (${all}), ${(bytes / 1000).toFixed(0)} kB`,
  );
}
const [plain = NaN, begin = NaN, own = NaN, shelf = NaN] = medians;
console.log(
  `Begin is ${(begin / plain).toFixed(1)} ×, on a device of one's own ${(own / plain).toFixed(1)} ×, the Shelf ${(shelf / plain).toFixed(1)} × the plain page.`,
);
const left = await fetch(new URL(`/api/door/${door.id}/all`, address), {
  method: 'DELETE',
  headers: { authorization: `Bearer ${TOKEN}` },
});
if (!left.ok) throw new Error('The door does not close');
await line.close();
await browser.close();
