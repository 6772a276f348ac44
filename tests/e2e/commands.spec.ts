import type { Page } from '@playwright/test';
import { expect, openDemo, test } from './support';

test('every action is found by its name, every key is listed, stations have keys', async ({ page }) => {
  await openDemo(page, 'write');
  await page.keyboard.press('Alt+4');
  await expect(page.getByRole('heading', { name: 'Check', level: 1 })).toBeVisible();
  await page.keyboard.press('Control+k');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Find an action')).toBeFocused();
  await page.keyboard.type('zzz');
  await expect(dialog.getByText('No action matches.')).toBeVisible();
  await dialog.getByLabel('Find an action').fill('hand back');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Hand back', level: 1 })).toBeVisible();
  await expect(dialog).toHaveCount(0);

  await page.keyboard.press('?');
  await expect(dialog.getByText('accept as right, for everyone')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);

  await page.keyboard.press('Control+k');
  await dialog.getByLabel('Find an action').fill('new question: pick');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Draft: 9 questions/)).toBeVisible();
  await page.keyboard.press('Control+k');
  await dialog.getByLabel('Find an action').fill('undo');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^8 questions · 12 points/)).toBeVisible();

  await page.keyboard.press('Control+k');
  await dialog.getByLabel('Find an action').fill('quiz as a file');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: '“How rivers shape the land” as a file' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);

  await page.keyboard.press('Control+k');
  await dialog.getByLabel('Find an action').fill('light or dark');
  const before = await page.locator('html').getAttribute('data-theme');
  await page.keyboard.press('Enter');
  await expect(page.locator('html')).not.toHaveAttribute('data-theme', before ?? '');
});

/** What each action of the palette does, as a teacher sees it; of several alike, by the words that they share. */
const EFFECTS: readonly (readonly [name: RegExp, done: (page: Page, press: () => Promise<void>) => Promise<void>])[] = [
  [/^Go to Write$/, async (page, press) => { await press(); await expect(page.getByLabel('Title of the quiz')).toBeVisible(); }],
  [/^Go to (Plan|Tray|Check|Hand back)$/, async (page, press) => { await press(); await expect(page.getByRole('heading', { name: /^(Plan|Tray|Check|Hand back)$/, level: 1 })).toBeVisible(); }],
  [/^New question: choose its kind/, async (page, press) => { await press(); await expect(page.getByRole('list', { name: 'Kinds of question' }).getByRole('button').first()).toBeFocused(); }],
  [/^New question: /, async (page, press) => { await press(); await expect(page.getByText(/changes? not applied/)).toBeVisible(); }],
  [/^Change the times, or close the quiz$/, async (page, press) => { await press(); await expect(page.getByRole('dialog', { name: 'This quiz is open' })).toBeVisible(); }],
  [/^Save (the scores|all answers) as /, async (page, press) => { const [file] = await Promise.all([page.waitForEvent('download'), press()]); expect(file.suggestedFilename()).toMatch(/(scores|answers)/); }],
  [/^Save this quiz as a file$/, async (page, press) => { await press(); await expect(page.getByRole('dialog', { name: /as a file$/ })).toBeVisible(); }],
  [/^Dry run: /, async (page, press) => { const [trial] = await Promise.all([page.context().waitForEvent('page'), press()]); await expect(trial.getByRole('button', { name: 'Begin' })).toBeVisible(); await trial.close(); }],
  [/^Print results with/, async (page, press) => { const [sheet] = await Promise.all([page.context().waitForEvent('page'), press()]); await expect(sheet.getByRole('heading', { name: 'Printed results' })).toBeVisible(); await sheet.close(); }],
  [/^Go to the Shelf$/, async (page, press) => { await press(); await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible(); }],
  [/^Go to the classes$/, async (page, press) => { await press(); await expect(page.getByText('26 students.')).toBeVisible(); }],
  [/^Try how answers are compared$/, async (page, press) => { await press(); await expect(page.getByRole('heading', { level: 1 })).toHaveText('How answers are compared'); }],
  [/^Light or dark$/, async (page, press) => { const before = await page.locator('html').getAttribute('data-theme'); await press(); await expect(page.locator('html')).not.toHaveAttribute('data-theme', before ?? ''); }],
  [/^List of keys$/, async (page, press) => { await press(); await expect(page.getByText('accept as right, for everyone')).toBeVisible(); }],
  // Tried with something to undo, in the test above.
  [/^(Undo|Redo)$/, async (page, press) => { await press(); await expect(page.getByRole('dialog')).toHaveCount(0); }],
]; // prettier-ignore

test('each action of the palette is tried once', { tag: '@long' }, async ({ page }) => {
  test.setTimeout(240_000);
  await openDemo(page, 'tray');
  await page.keyboard.press('Control+k');
  const names = await page.getByRole('dialog').getByRole('option').allInnerTexts();
  const actions = names.map((name) => name.split('\n')[0]?.trim() ?? '');
  expect(actions.length).toBeGreaterThan(30);
  for (const action of actions) {
    const effect = EFFECTS.find(([name]) => name.test(action));
    expect(effect, action).toBeDefined();
    await openDemo(page, 'tray');
    await page.reload();
    await expect(page.getByRole('rowheader', { name: 'Ada Marsh' })).toBeVisible();
    await page.keyboard.press('Control+k');
    await page.keyboard.type(action);
    await effect?.[1](page, () => page.keyboard.press('Enter'));
    const undo = page.getByRole('button', { name: /^Undo: / });
    if (action.startsWith('New question') && !action.includes('choose its kind')) await undo.click();
  }
});
