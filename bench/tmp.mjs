import { chromium } from '@playwright/test';
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    ...(process.env.X ? process.env.X.split(' ') : []),
  ],
});
const ctx = await b.newContext({ ...JSON.parse(process.env.CTX ?? '{}') });
let page = await ctx.newPage();
let t = performance.now();
const sums = {};
const lap = (w) => {
  const n = performance.now();
  sums[w] = (sums[w] ?? 0) + n - t;
  t = n;
};
for (let r = 0; r < 8; r++) {
  await page.goto('http://127.0.0.1:4400/quiz/?id=demo-rivers#write');
  lap('goto');
  await page.getByRole('navigation', { name: 'Stations' }).waitFor();
  lap('stations');
  await page.getByRole('button', { name: 'Question 1', exact: true }).click();
  lap('click');
  const f = page.getByLabel('Explanation');
  await f.focus();
  await page.keyboard.press('Control+End');
  await page.keyboard.type('k3.');
  lap('type');
  await page.getByRole('banner').getByText('saved', { exact: true }).waitFor();
  lap('saved');
  await page.keyboard.type('mor');
  lap('more');
  const s = await ctx.newCDPSession(page);
  const gone = page.waitForEvent('crash');
  s.send('Page.crash').catch(() => {});
  await gone;
  lap('crash');
  await page.close();
  lap('close');
  page = await ctx.newPage();
  lap('new');
}
console.log(
  Object.entries(sums)
    .map(([a, b]) => a + ' ' + Math.round(b / 8))
    .join(' | '),
  Math.round(Object.values(sums).reduce((a, b) => a + b) / 8),
);
await b.close();
