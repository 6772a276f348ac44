import { chromium } from '@playwright/test';
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
  ],
});
const ctx = await b.newContext();
let page = await ctx.newPage();
for (let i = 0; i < 3; i++) {
  const s = await ctx.newCDPSession(page);
  await s.send('Profiler.enable');
  await s.send('Profiler.start');
  const t0 = Date.now();
  await page.goto('http://127.0.0.1:4400/quiz/?id=demo-rivers#write');
  await page.getByRole('navigation', { name: 'Stations' }).waitFor();
  const t1 = Date.now();
  await page.getByRole('button', { name: 'Question 1', exact: true }).click();
  await page.getByLabel('Explanation').focus();
  const t2 = Date.now();
  const { profile } = await s.send('Profiler.stop');
  const self = new Map();
  const dt = profile.timeDeltas;
  const byId = new Map(profile.nodes.map((n) => [n.id, n]));
  profile.samples.forEach((id, k) => {
    const n = byId.get(id);
    const key =
      n.callFrame.functionName + ' ' + n.callFrame.url.split('/').pop() + ':' + n.callFrame.lineNumber;
    self.set(key, (self.get(key) ?? 0) + dt[k]);
  });
  console.log(
    'stations',
    t1 - t0,
    'click',
    t2 - t1,
    [...self]
      .sort((a, b) => b[1] - a[1])
      .slice(0, 14)
      .map(([k, v]) => k + ' ' + Math.round(v / 1000)),
  );
  const res = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .map((r) => [
        r.name.split('/').pop(),
        Math.round(r.startTime),
        Math.round(r.responseEnd),
        r.decodedBodySize,
      ]),
  );
  if (i == 2)
    console.log(
      res,
      await page.evaluate(() => performance.getEntriesByType('paint').map((p) => [p.name, p.startTime])),
    );
  await page.close();
  page = await ctx.newPage();
}
await b.close();
