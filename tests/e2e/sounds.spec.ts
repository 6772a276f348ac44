import type { Locator } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import { tool } from './come';
import { fits } from './fits';
import { silence } from './silence';
import { checkRow, expect, goTo, newQuiz, openIt, outAndIn, pageOf, saved, test } from './support';

/** Drops a sound onto a field, as out of a folder. */
const dropSound = (field: Locator, name: string): Promise<void> =>
  field.evaluate(
    (onto, [called, data]) => {
      const bytes = Uint8Array.from(atob(data), (letter) => letter.charCodeAt(0));
      const dataTransfer = new DataTransfer();
      dataTransfer.items.add(new File([bytes], called, { type: 'audio/wav' }));
      onto.dispatchEvent(new DragEvent('drop', { dataTransfer, bubbles: true, cancelable: true }));
    },
    [name, silence().toString('base64')] as const,
  );

test('sounds in a question and its options: heard without picking, marked, named everywhere, out and in', async ({
  page,
}) => {
  await newQuiz(page, 'What a river sounds like', 'Pick one');
  await page.keyboard.type('Which is the weir?');
  const hand = page.getByRole('region', { name: 'Question 1 in hand' });
  await hand.getByRole('button', { name: 'Format the text' }).click();
  await hand.getByRole('button', { name: 'Sound or video' }).first().click();
  const dialog = page.getByRole('dialog');
  const file = dialog.getByLabel('Sound or video file');
  await file.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('rivers') });
  await expect(dialog.getByRole('alert')).toContainText('This file type is not supported.');
  await file.setInputFiles({ name: 'upstream.wav', mimeType: 'audio/wav', buffer: silence() });
  const name = dialog.getByLabel('Name, which students read');
  await expect(name).toHaveValue('upstream');
  await name.press('Control+a');
  await name.pressSequentially('Far upstream');
  await dialog.getByLabel('What is said and shown').pressSequentially('Water runs over pebbles.');
  await expectAccessibleHere(page, 'a sound being put in');
  await dialog.getByRole('button', { name: 'Insert sound or video' }).click();
  await expect(hand.locator('audio')).toHaveAttribute('aria-label', 'Far upstream');

  // One option by its press, one by a drop; the third is words.
  await tool(hand, 'Sound or video', 'Option 1');
  await file.setInputFiles({ name: 'A.wav', mimeType: 'audio/wav', buffer: silence() });
  await dialog.getByRole('button', { name: 'Insert sound or video' }).click();
  await dropSound(hand.getByLabel('Option 2', { exact: true }), 'B.wav');
  await expect(dialog.getByLabel('Name, which students read')).toHaveValue('B');
  await dialog.getByRole('button', { name: 'Insert sound or video' }).click();
  await hand.getByLabel('Option 3', { exact: true }).pressSequentially('neither');
  await hand.getByRole('button', { name: 'B is right' }).click();
  await expect(hand.getByRole('button', { name: 'Change the sound or video of Option 2: B' })).toBeVisible();
  await saved(page);
  await expectAccessibleHere(page, 'sounds in Write');

  await openIt(page);
  await goTo(page, 'Tray');
  const sit = await pageOf(page, 'Ada Marsh');
  await sit.setViewportSize({ width: 360, height: 740 });
  await sit.getByRole('button', { name: 'Begin' }).click();
  await expect(sit.getByRole('heading', { level: 1 })).toHaveText(
    'Question 1 of 1 · 1 pointWhich is the weir?',
  );
  const sounds = sit.locator('audio');
  await expect(sounds).toHaveCount(3);
  for (const at of [0, 1, 2])
    await expect
      .poll(() => sounds.nth(at).evaluate((sound) => (sound as HTMLAudioElement).duration), String(at))
      .toBe(1);
  await sounds.nth(2).click();
  await expect(sit.getByRole('radio', { name: 'B' })).not.toBeChecked();
  await sit.getByRole('radio', { name: 'B' }).check();
  await fits(sit, 'options that are sounds');
  await expectAccessibleHere(sit, 'options that are sounds');
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await sit.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(sit.getByText('It has been received.')).toBeVisible();
  await expect(sit.getByText('Your answer B')).toBeVisible();

  await goTo(page, 'Check');
  await expect.poll(() => checkRow(page, 'Ada Marsh')).toEqual(['Question 1: right, 1 point, “B”', '1']);
  await outAndIn(page, 'What a river sounds like');
  await page.getByRole('button', { name: 'Add it as a copy' }).click();
  await page.getByRole('button', { name: 'Question 1', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Change the sound or video of Option 2: B' })).toBeVisible();
  await expect
    .poll(() => page.locator('audio').evaluate((sound) => (sound as HTMLAudioElement).duration))
    .toBe(1);
});
