import { chromium } from '@playwright/test';
import { slowLine } from './bench/slowNetwork';
const line = await slowLine(4555, { rate: 200_000, roundTrip: 150 });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox','--disable-gpu','--disable-background-networking','--no-first-run'] });
for (const path of process.argv.slice(2)) {
  const context = await browser.newContext({ viewport: { width: 360, height: 740 } });
  const page = await context.newPage();
  const s = await context.newCDPSession(page);
  await s.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const t0 = performance.now();
  const reqs = new Map();
  context.on('request', r => reqs.set(r, performance.now()-t0));
  context.on('requestfinished', async r => { const e=performance.now()-t0; const z = await r.sizes().catch(()=>null); console.log(r.url().replace(/.*:\d+/,'').padEnd(50), (reqs.get(r)??0).toFixed(0).padStart(6), e.toFixed(0).padStart(6), z?.responseBodySize); });
  await page.goto(`http://127.0.0.1:${line.port}${path}`, { waitUntil: 'commit' });
  if (path.startsWith('/sit')) await page.getByRole('button', { name: 'Begin' }).click({ trial: true });
  else await page.getByRole('link', { name: 'How rivers shape the land' }).waitFor();
  console.log('SEEN', path, (performance.now()-t0).toFixed(0));
  await page.waitForTimeout(1500);
  await context.close();
}
await line.close(); await browser.close(); process.exit(0);
