import type { Page } from '@playwright/test';
import { drawing, expect, openDemo, pageOf, goTo, saved, test } from './support';
import { come } from './come';

const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const open = indexedDB.open('yentrel');
        open.onsuccess = () => {
          const count = open.result.transaction('media').objectStore('media').count();
          count.onsuccess = () => {
            open.result.close();
            resolve(count.result);
          };
        };
      }),
  );

test('a picture in a question and the same in an option: described, made smaller, stored once, seen by the student', async ({
  page,
}) => {
  await openDemo(page, 'write');
  const before = await stored(page);
  const buffer = await drawing(page, 2400, 1200);
  await page.getByRole('button', { name: 'Question 1', exact: true }).click();
  await page.getByRole('textbox', { name: 'Text of question 1' }).click();
  await page.getByRole('button', { name: 'Format the text' }).click();
  await page.getByRole('button', { name: 'Picture', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await dialog
    .getByLabel('Picture file')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(dialog.getByRole('alert')).toHaveText(/This file type is not supported/);
  await dialog
    .getByLabel('Picture file')
    .setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: buffer.subarray(0, 60) });
  await expect(dialog.getByRole('alert')).toHaveText('The picture is damaged and cannot be read.');
  await dialog.getByLabel('Picture file').setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer });
  await expect(dialog.getByRole('button', { name: 'Insert picture' })).toBeDisabled();
  await dialog.getByLabel(/^Description/).fill('The valley from above');
  await dialog.getByRole('button', { name: 'Insert picture' }).click();
  await expect(page.getByRole('img', { name: 'The valley from above' })).toBeVisible();

  await page.getByRole('textbox', { name: 'Option 2', exact: true }).click();
  await page.getByRole('button', { name: 'Picture for Option 2' }).click();
  await dialog.getByLabel('Picture file').setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer });
  await dialog.getByLabel(/^Description/).fill('A wide valley');
  await dialog.getByRole('button', { name: 'Insert picture' }).click();
  await saved(page);
  expect(await stored(page)).toBe(before + 1);
  const bar = page.getByRole('region', { name: 'Changes not applied' });
  await expect(bar.getByText('No score changes')).toBeVisible();
  await bar.getByRole('button', { name: 'Apply to all' }).click();

  await expect(page.getByText('Everyone is marked by the new key')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Question 2', exact: true }).click();
  await expect(page.getByRole('img', { name: 'The valley from above' })).toBeVisible();
  await goTo(page, 'Tray');
  const sit = await pageOf(page, 'Yann Isle');
  await sit.setViewportSize({ width: 360, height: 740 });
  await sit.getByRole('button', { name: 'Begin' }).click();
  const seen = sit.getByRole('img', { name: 'The valley from above' });
  await expect(seen).toBeVisible();
  await expect.poll(() => seen.evaluate((image) => (image as HTMLImageElement).naturalWidth)).toBe(1600);
  await expect(sit.getByRole('radio', { name: /A wide valley/ })).toBeVisible();
  expect(await sit.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
});

test(
  'a picture is pasted; feedback carries several links of different kinds; partly right has its own',
  { tag: '@long' },
  async ({ page }) => {
    await openDemo(page, 'write');
    const base64 = (await drawing(page, 40, 30)).toString('base64');
    await page.getByRole('button', { name: 'Question 5', exact: true }).click();
    const option = page.getByLabel('Option 4', { exact: true });
    await option.focus();
    await option.evaluate((field, data) => {
      const bytes = Uint8Array.from(atob(data), (letter) => letter.charCodeAt(0));
      const clipboardData = new DataTransfer();
      clipboardData.items.add(new File([bytes], 'p.png', { type: 'image/png' }));
      field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
    }, base64);
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Decorative picture: no description needed').check();
    await dialog.getByRole('button', { name: 'Insert picture' }).click();
    await expect(page.getByRole('button', { name: 'Change the picture of Option 4' })).toBeVisible();

    for (const [title, address, kind] of [
      ['Slopes in figures', 'https://rivers.example/slopes', 'watch'],
      ['Ask me', 'mailto:maps@rivers.example', 'practise'],
    ] as const) {
      await (await come(page, 'Feedback for the same')).focus();
      await page.getByRole('button', { name: /^Add (a|another) link for the same$/ }).click();
      await page.getByLabel('What the link for the same is for').selectOption(kind);
      await page.getByLabel('Link title for the same').fill(title);
      await page.getByLabel('Link address for the same').fill(address);
      await (await come(page, 'Explanation')).focus();
    }
    await (await come(page, 'Feedback for partly right answers')).fill('Half of it.');
    await saved(page);
    const margin = page.getByRole('complementary', { name: 'Margin' });
    await margin.getByLabel('Try an answer', { exact: true }).selectOption('the same');
    await expect(margin.getByRole('link', { name: 'Slopes in figures' })).toHaveAttribute(
      'href',
      'https://rivers.example/slopes',
    );
    await expect(margin.getByRole('link', { name: 'Ask me' })).toHaveAttribute(
      'href',
      'mailto:maps@rivers.example',
    );
    await expect(margin.getByText('Watch:')).toBeVisible();
  },
);
