import type { Page } from '@playwright/test';
import { downloaded, expect, goTo, openDemo, saved, test } from './support';
import { come } from './come';

/** Texts that would do harm where they were taken for anything but text. */
const MARKUP = '<img src=x onerror="window.harmed=1"><script>window.harmed=1</script>';
const NAMES = [
  `Eve ${MARKUP}`,
  '=HYPERLINK("https://rivers.example","win")',
  'Lock \u202Ekcol\u0007 Gate',
  'נהר רחב',
  '{{constructor}} ${1+1}',
];
const SHOWN = [NAMES[0], NAMES[1], 'Lock kcol Gate', NAMES[3], NAMES[4]] as string[];
const ANSWER = `${MARKUP} \u202Eesrever\u0000`;
const SHOWN_ANSWER = `${MARKUP} esrever`;

const cell = (text: string) => `"${text.replace(/"/g, '""')}"`;

async function unharmed(page: Page, view: string): Promise<void> {
  expect(await page.evaluate(() => (window as unknown as { harmed?: number }).harmed), view).toBeUndefined();
  expect(await page.locator('img[src="x"], main script').count(), view).toBe(0);
  const text = await page.locator('body').innerText();
  expect(/[\u0000-\u0008\u202A-\u202E\u2066-\u2069]/.test(text), `${view}: characters that disturb`).toBe(
    false,
  );
}

test('names, answers, feedback and comments with markup, formulas and odd characters are text everywhere', async ({
  page,
  context,
}) => {
  test.setTimeout(90_000);
  page.on('dialog', (dialog) => {
    throw new Error(`a dialog was opened: ${dialog.message()}`);
  });
  await openDemo(page, 'write');
  await page.getByRole('button', { name: 'Question 2', exact: true }).click();
  await page.getByLabel('Another expected wrong answer').fill(MARKUP);
  await page.keyboard.press('Enter');
  await (await come(page, `Feedback for ${MARKUP}`)).fill(`Not ${MARKUP}`);
  await (await come(page, 'Explanation')).fill(MARKUP);
  await saved(page);
  await page
    .getByRole('region', { name: 'Changes not applied' })
    .getByRole('button', { name: 'Apply to all' })
    .click();
  await expect(page.getByText('Everyone is marked by the new key')).toBeVisible();
  await unharmed(page, 'Write');

  await goTo(page, 'Tray');
  const rows = NAMES.map((name, at) => `${cell(name)},upper course,${cell(at === 0 ? MARKUP : ANSWER)}`);
  await page.getByLabel('Answer file', { exact: true }).setInputFiles({
    name: `<b>${'answers'}.csv`,
    mimeType: 'text/csv',
    buffer: Buffer.from(`Student,Q1,"Q2"\n${rows.join('\n')}\n`),
  });
  await page.getByRole('dialog').getByRole('button', { name: 'Add all' }).click();
  await expect(page.getByText('5 papers ready')).toBeVisible();
  await unharmed(page, 'the columns of a file');
  await page.getByRole('button', { name: 'Import 5 papers' }).click();
  await expect(page.getByText('29 of 31 handed in')).toBeVisible();
  for (const name of SHOWN) await expect(page.getByRole('rowheader', { name, exact: true })).toBeVisible();
  await unharmed(page, 'Tray');

  await goTo(page, 'Check');
  for (const name of SHOWN) await expect(page.getByRole('rowheader', { name, exact: true })).toBeVisible();
  await page
    .getByRole('row')
    .filter({ hasText: 'Lock kcol Gate' })
    .getByRole('button', { name: /^Question 2/ })
    .click();
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await expect(margin.getByText(SHOWN_ANSWER, { exact: true })).toBeVisible();
  await margin.getByLabel('Comment to the student on this answer').fill(MARKUP);
  await unharmed(page, 'Check');

  await goTo(page, 'Hand back');
  await page.getByLabel(`Comment to ${SHOWN[0]}`).fill(`=1+1 ${MARKUP}`);
  await page.getByRole('checkbox', { name: 'Comment', exact: true }).check();
  await unharmed(page, 'Hand back');
  const { text } = await downloaded(page, () => page.getByRole('button', { name: 'Save as CSV' }).click());
  expect(text).toContain(`"'=HYPERLINK(""https://rivers.example"",""win"")"`);
  expect(text).toContain(`"'=1+1 ${MARKUP.replace(/"/g, '""')}"`);
  expect(text.split(/[\r\n,]+/).filter((part) => /^["']?[=+@]/.test(part) && !part.startsWith(`"'`))).toEqual(
    [],
  );

  const slip = await context.newPage();
  const address = await page
    .getByRole('link', { name: `Results of ${SHOWN[0]}`, exact: true })
    .getAttribute('href');
  await slip.goto(address ?? '');
  await expect(slip.getByText(`${SHOWN[0]}’s results`)).toBeVisible();
  await expect(slip.getByText(`Not ${MARKUP}`)).toBeVisible();
  await expect(slip.getByText(`=1+1 ${MARKUP}`)).toBeVisible();
  await unharmed(slip, 'slip');
  await slip.goto('/print/?quiz=demo-rivers&right=with');
  await expect(slip.getByRole('region', { name: 'Results of Lock kcol Gate' })).toContainText(SHOWN_ANSWER);
  await expect(slip.getByRole('region', { name: `Results of ${SHOWN[0]}` })).toContainText(MARKUP);
  await unharmed(slip, 'print');
});
