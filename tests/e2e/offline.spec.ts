import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { appendFileSync, cpSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { checkRow, expect, goTo, test } from './support';

const DIST = process.env['DIST'] ?? 'dist-test';

/** A server of its own, that can be stopped. */
let server: ChildProcess | null = null;

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const address = probe.address();
  probe.close();
  return typeof address === 'object' && address ? address.port : 0;
}

async function started(port: number, dist = DIST): Promise<string> {
  const address = `http://127.0.0.1:${port}`;
  server = spawn(process.execPath, ['server.mjs'], {
    env: { ...process.env, PORT: String(port), DIST: dist },
    stdio: 'ignore',
  });
  await expect
    .poll(
      () =>
        fetch(`${address}/api/about`).then(
          ({ ok }) => ok,
          () => false,
        ),
      { timeout: 30_000 },
    ) // prettier-ignore
    .toBe(true);
  return address;
}

async function stopped(): Promise<void> {
  if (!server) return;
  const ended = once(server, 'exit');
  server.kill('SIGKILL');
  await ended;
  server = null;
}

test.afterEach(stopped);
test.use({
  serviceWorkers: 'allow',
  allowedErrors: [/ERR_CONNECTION_REFUSED|Failed to load resource|Failed to fetch/],
});

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });

test('with the server away Yentrel opens, marks, takes answers in and gives scores out', async ({ page }) => {
  test.setTimeout(120_000);
  const address = await started(await freePort());
  await page.goto(`${address}/`);
  await expect(page.getByText('24 of 26 handed in')).toBeVisible();
  await expect(page.getByText('it opens and works with its server away')).toBeVisible({ timeout: 60_000 });
  // Lists of words are kept once they were asked for.
  await page.goto(`${address}/quiz/?id=demo-rivers#check`);
  await expect(page.getByRole('grid', { name: 'Scores' })).toBeVisible();
  await stopped();

  await page.goto(`${address}/`);
  await page.getByRole('link', { name: 'How rivers shape the land' }).press('Enter');
  await goTo(page, 'Check');
  await expect.poll(async () => (await checkRow(page, 'Ada Marsh')).at(-1)).toBe('12');
  await page
    .getByRole('button', { name: 'Question 4: wrong, 0 points, near miss, “flood plain”' })
    .first()
    .press('Enter');
  await expect(margin(page).getByText('equal to an accepted answer without the spaces')).toBeVisible();
  await page.keyboard.press('a');
  await expect(page.getByText(/^5 scores go up/)).toBeVisible();

  await goTo(page, 'Tray');
  await page.getByLabel('Answer file', { exact: true }).setInputFiles({
    name: 'late.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Name,Q1\nYann Isle,upper course\n'),
  });
  await page.getByRole('button', { name: 'Import 1 paper' }).press('Enter');
  await expect(page.getByText('25 of 26')).toBeVisible();

  await goTo(page, 'Check');
  await expect(page.getByRole('rowheader', { name: 'Yann Isle' })).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Scores as CSV' }).press('Enter'),
  ]);
  expect(file.suggestedFilename()).toMatch(/\.csv$/);
});

test('a newer version waits until somebody takes it', async ({ page }, info) => {
  test.setTimeout(120_000);
  const port = await freePort();
  const address = await started(port);
  await page.goto(`${address}/`);
  await expect(page.getByText('it opens and works with its server away')).toBeVisible({ timeout: 60_000 });
  await stopped();
  // The same application, but for its list of files.
  const newer = info.outputPath('newer');
  cpSync(DIST, newer, { recursive: true });
  for (const end of ['.br', '.gz']) rmSync(join(newer, 'client', `serviceworker.js${end}`));
  appendFileSync(join(newer, 'client', 'serviceworker.js'), '\n// newer\n');
  await started(port, newer);
  await page.goto(`${address}/class/`);
  await expect(page.getByText('26 students.')).toBeVisible();
  const take = page.getByRole('button', { name: 'Use it now' });
  await expect(take).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('A newer version of Yentrel is ready.')).toBeVisible();
  const [reloaded] = await Promise.all([page.waitForEvent('load'), take.press('Enter')]);
  await expect(reloaded.getByText('26 students.')).toBeVisible();
  await page.waitForTimeout(4000);
  await expect(take).toHaveCount(0);
});

test.describe('where it cannot be kept', () => {
  test.use({ serviceWorkers: 'block' });
  test('the Shelf says so, and everything else works', async ({ page }) => {
    const address = await started(await freePort());
    await page.goto(`${address}/`);
    await expect(page.getByText('24 of 26 handed in')).toBeVisible();
    await expect(
      page.getByText('Yentrel opens only with its server: this browser did not keep it.'),
    ).toBeVisible();
  });
});

test('what could not be fetched whole is not kept, and said; the next visit tries again', async ({
  page,
}, info) => {
  test.setTimeout(120_000);
  const port = await freePort();
  const broken = info.outputPath('broken');
  cpSync(DIST, broken, { recursive: true });
  for (const end of ['', '.br', '.gz'])
    rmSync(join(broken, 'client', 'class', `index.html${end}`), { force: true });
  const address = await started(port, broken);
  await page.goto(`${address}/`);
  await expect(page.getByText('this browser did not keep it')).toBeVisible({ timeout: 60_000 });
  await stopped();
  await started(port);
  await page.goto(`${address}/`);
  await expect(page.getByText('it opens and works with its server away')).toBeVisible({ timeout: 60_000 });
});
