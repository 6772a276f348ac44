import { randomBytes } from 'node:crypto';
import type { BrowserContext, Page } from '@playwright/test';
import { downloaded, expect, openDemo, saved, test } from './support';
import { come } from './come';

/**
 * Lets the pages of a browser store so many bytes, from before the first write; gives what changes it. It hangs on a page
 * that stays where it is.
 */
async function quota(
  context: BrowserContext,
  baseURL: string | undefined,
  bytes: number,
): Promise<(bytes: number) => Promise<void>> {
  const keeper = await context.newPage();
  await keeper.goto('/mark.svg');
  const session = await context.newCDPSession(keeper);
  const { origin } = new URL(baseURL ?? '');
  const allow = async (quotaSize: number): Promise<void> => {
    await session.send('Storage.overrideQuotaForOrigin', { origin, quotaSize });
  };
  await allow(bytes);
  return allow;
}

/** Bytes that nothing makes smaller. */
const noise = (size: number): Buffer => randomBytes(size);

/** Writes into the quiz's own database until nothing more fits. */
const fillUp = (page: Page) =>
  page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve) => {
      const open = indexedDB.open('yentrel');
      open.onsuccess = () => resolve(open.result);
    });
    // The browser stores compressed: only noise takes up room.
    const noise = (size: number) =>
      Array.from({ length: size / 500 }, () =>
        String.fromCharCode(...crypto.getRandomValues(new Uint8Array(500)).map((byte) => (byte & 63) + 48)),
      ).join('');
    const put = (key: string, size: number) =>
      new Promise<boolean>((resolve) => {
        const transaction = db.transaction(['meta'], 'readwrite');
        transaction.objectStore('meta').put({ key, value: noise(size) });
        transaction.oncomplete = () => resolve(true);
        transaction.onabort = () => resolve(false);
      });
    for (const size of [400_000, 40_000, 2000]) {
      for (let n = 0; n < 60 && (await put(`filler-${size}-${n}`, size)); n++);
    }
    db.close();
  });

test.describe('a full storage', () => {
  // The page that holds the quota has no icon.
  test.use({ allowedErrors: [/404/] });
  test('a full storage: a clear message, a file with everything typed, and on it goes once there is room', async ({
    page,
    context,
    baseURL,
  }) => {
    const allow = await quota(context, baseURL, 2_000_000);
    await page.bringToFront();
    await openDemo(page, 'write');
    await page.getByRole('button', { name: 'Question 1', exact: true }).click();
    await saved(page);
    await fillUp(page);
    const typed = `Typed while full. ${'x'.repeat(3000)}`;
    await (await come(page, 'Explanation')).fill(typed);
    const alert = page.getByRole('alert').filter({ hasText: 'The storage of this browser is full' });
    await expect(alert).toBeVisible();
    await expect(page.getByLabel('Explanation')).toHaveValue(typed);
    const file = await downloaded(page, () => alert.getByRole('button', { name: 'Save to a file' }).click());
    expect(file.name).toBe('How-rivers-shape-the-land.rescue.json');
    const rescued = JSON.parse(file.text) as { questions: { explanation: string }[] };
    expect(rescued.questions[0]?.explanation).toBe(typed);

    await allow(1_000_000_000);
    await expect(async () => {
      await alert
        .getByRole('button', { name: 'Try again' })
        .click({ timeout: 2000 })
        .catch(() => undefined);
      await expect(alert).toHaveCount(0, { timeout: 1000 });
    }).toPass({ timeout: 45_000 });
    await saved(page);
    await page.reload();
    await page.getByRole('button', { name: 'Question 1', exact: true }).click();
    await expect(page.getByLabel('Explanation')).toHaveValue(typed);

    await page.goto('/');
    await page
      .getByLabel('Quiz file, backup or rescue file')
      .setInputFiles({ name: 'r.json', mimeType: 'application/json', buffer: Buffer.from(file.text) });
    await page.getByRole('button', { name: 'Add it to the Shelf' }).click();
    await page.waitForURL(/quiz/);
    await expect(page.getByText('8 questions · 12 points')).toBeVisible();
    await page.goto('/');
    await page
      .getByLabel('Quiz file, backup or rescue file')
      .setInputFiles({ name: 'r.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"x"}') });
    const dialog = page.getByRole('dialog', { name: 'This file cannot be imported' });
    await expect(dialog).toContainText('r.json: nothing was changed.');
    await expect(dialog).toContainText('format is “x”, it can be yentrel-quiz');
  });
});

test.describe('a storage too small for a film', { tag: '@long' }, () => {
  test.use({ allowedErrors: [/404/] });
  test('says so beside it, loses nothing else, and takes it once there is room', async ({
    page,
    context,
    baseURL,
  }) => {
    const allow = await quota(context, baseURL, 12_000_000);
    await page.bringToFront();
    await openDemo(page, 'write');
    await page.getByRole('button', { name: 'Add a section' }).click();
    await expect(page.getByLabel('Heading of the section')).toBeFocused();
    await page.keyboard.type('A film');
    const section = page.getByRole('region', { name: 'Section A film' });
    await section.getByRole('button', { name: 'Add a sound or a video' }).click();
    const film = { name: 'weir.mp4', mimeType: 'video/mp4', buffer: noise(15_000_000) };
    await page.getByLabel('Sound or video file').setInputFiles(film);
    const alert = section.getByRole('alert');
    await expect(alert).toContainText('The storage of this browser is full. Nothing was changed');
    // What is typed beside it goes on being stored.
    await section.getByLabel('Heading of the section').fill('A film of the weir');
    await saved(page);
    await allow(1_000_000_000);
    const after = page.getByRole('region', { name: 'Section A film of the weir' });
    await after.getByRole('button', { name: 'Try again' }).click();
    await expect(after.getByLabel('Name of file 1')).toHaveValue('weir');
    await expect(after.getByText('15 MB')).toBeVisible();
    await saved(page);
    await page.reload();
    await expect(after.getByLabel('Name of file 1')).toHaveValue('weir');
    // It is no film that can be played, and the page says so.
    await expect(after.getByText('this cannot be played here')).toBeVisible();
    // A backup says what such files weigh.
    await page.goto('/');
    await page.getByRole('button', { name: 'Back up everything now' }).click();
    await expect(page.getByText(/of which pictures, sounds and films are 15(\.\d)? MB/)).toBeVisible();
  });
});

test.describe('a forbidden storage', () => {
  test.use({ allowedErrors: [/SecurityError/] });
  test('is said on every page', async ({ page }) => {
    await page.addInitScript(() => {
      Object.defineProperty(IDBFactory.prototype, 'open', {
        value: () => {
          throw new DOMException('forbidden by a setting', 'SecurityError');
        },
      });
    });
    await page.goto('/');
    await expect(page.getByRole('alert')).toContainText('This browser does not let Yentrel store anything');
    await page.goto('/quiz/?id=demo-rivers');
    await expect(page.getByRole('heading', { name: 'This browser stores nothing' })).toBeVisible();
  });
});
