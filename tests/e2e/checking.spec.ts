import type { Page } from '@playwright/test';
import { checkRow, expect, goTo, openDemo, test } from './support';
import { FLOOD_PLAIN, WORKSHEET } from './worksheet';

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
const bar = (page: Page) => page.getByRole('region', { name: 'Changes not applied' });
const NAMES = Object.keys(WORKSHEET);
/** What is given by hand to the answers of the file that wait, in the order of the paper: by name, points by question. */
const BY_HAND: Readonly<Record<string, Readonly<Record<number, string>>>> = {
  'Cleo Ripple': { 8: '1.5' },
  'Ines Délta': { 1: '0.5', 3: '1' },
};
/** One answer of which the teacher thinks otherwise: question and points. */
const OWN = { name: 'Alva Creek', question: 2, points: 0.5 } as const;
/** The question that is left out in the end. */
const OUT = 6;

interface Rules {
  readonly accepted?: boolean;
  readonly byHand?: boolean;
  readonly own?: boolean;
  readonly out?: boolean;
}

/** The worksheet: each total added up by hand from what each answer earns by these rules. */
function worksheet({ accepted, byHand, own, out }: Rules): Record<string, string> {
  const rounded = (sum: number): string => String(Math.round(sum * 100) / 100);
  return Object.fromEntries(
    NAMES.map((name) => {
      const cells = (WORKSHEET[name] ?? []).map((earned, index) => {
        const question = index + 1;
        if (out && question === OUT) return 0;
        if (own && name === OWN.name && question === OWN.question) return OWN.points;
        if (accepted && question === 4 && FLOOD_PLAIN.includes(name)) return 2;
        const given = byHand ? BY_HAND[name]?.[question] : undefined;
        return given === undefined ? earned : Number(given);
      });
      return [name, rounded(cells.reduce((sum, one) => sum + one, 0))];
    }),
  );
}

/** The totals in the table, without what is still to come and what a waiting change would make of them. */
async function totals(page: Page): Promise<Record<string, string>> {
  const found: [string, string][] = [];
  for (const name of NAMES)
    found.push([
      name,
      ((await checkRow(page, name)).at(-1) ?? '').replace(/^\+.*not marked yet/, '').replace(/ →.*$/, ''),
    ]);
  return Object.fromEntries(found);
}

/** Who moves by the change that waits, and from what to what. */
const moves = async (page: Page): Promise<string[]> =>
  (
    await margin(page)
      .getByRole('list', { name: 'Whose score changes' })
      .getByRole('listitem')
      .allTextContents()
  )
    .map((text) => text.replace(/ →becomes /, ' → ').replace(/(has seen|\d not marked).*$/, ''))
    .sort();

async function bringIn(page: Page): Promise<void> {
  await page.goto('/class/');
  await page.getByLabel('Class list file').setInputFiles('demo/import/class-list.csv');
  await page.getByRole('dialog').getByRole('button', { name: 'Import 12 students' }).click();
  await expect(page.getByText('38 students.')).toBeVisible();
  await openDemo(page, 'tray');
  await page.getByLabel('Answer file', { exact: true }).setInputFiles('demo/import/answers-flawed.csv');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What to do with Visitor Mill').selectOption('add');
  await dialog.getByRole('button', { name: 'Import 9 papers' }).click();
  await expect(page.getByText('33 of 39 handed in')).toBeVisible();
}

test(
  'a whole checking: from the file to scores that are right, every total against a worksheet',
  { tag: '@long' },
  async ({ page, context }) => {
    test.setTimeout(180_000);
    await page.goto('/');
    await expect(page.getByText('24 of 26 handed in')).toBeVisible();
    await bringIn(page);
    let slip = '';

    await test.step('the scores as they came, and the slip that said so', async () => {
      await goTo(page, 'Check');
      await expect.poll(() => totals(page)).toEqual(worksheet({}));
      await goTo(page, 'Tray');
      const address = await page
        .getByRole('link', { name: 'Results of Bram Spate', exact: true })
        .getAttribute('href');
      const phone = await context.newPage();
      await phone.goto(address ?? '');
      const told = phone.getByText(/^\d+(\.\d+)? of 12$/).first();
      await expect(told).toBeVisible();
      slip = (await told.textContent()) ?? '';
      await phone.close();
      expect(slip).toBe(`${worksheet({})['Bram Spate']} of 12`);
    });

    await test.step('the right form that was not foreseen is found among the look-alikes, and accepted for all', async () => {
      await goTo(page, 'Check');
      await page.getByRole('button', { name: 'One question' }).click();
      await page.getByLabel('Question', { exact: true }).selectOption({ index: 3 });
      const answers = page.getByRole('group', { name: 'Answers to question 4' });
      const first = answers.locator('[data-bundle]').first();
      await expect(first).toContainText(/^10.*flood plain/);
      await first.click();
      await page.keyboard.press('a');
      await expect(bar(page).getByText(/^10 scores go up, 23 stay/)).toBeVisible();
      await page.keyboard.press('e');
      const imported = FLOOD_PLAIN.map((name) => `${name}${worksheet({})[name]} → ${worksheet({ accepted: true })[name]} of 12`); // prettier-ignore
      const demo = ['Bela Fenn8 → 10 of 12', 'Emil Brook3 → 5 of 12', 'Hana Reed2 → 4 of 12', 'Nora Pool8 → 10 of 12', 'Wim Eddy4.5 → 6.5 of 12']; // prettier-ignore
      expect(await moves(page)).toEqual([...imported, ...demo].sort());
      await bar(page).getByRole('button', { name: 'Apply to all' }).click();
      await page.getByRole('button', { name: 'All papers' }).click();
      await expect.poll(() => totals(page)).toEqual(worksheet({ accepted: true }));
    });

    await test.step('what waits is marked by keyboard', async () => {
      await page.getByRole('button', { name: 'By hand', exact: true }).click();
      for (let left = 6; left > 0; left--) {
        await expect(margin(page).getByLabel('Points for this answer')).toBeFocused();
        const place = (await margin(page).getByText(/, question \d$/).first().textContent()) ?? ''; // prettier-ignore
        const [, name = '', question = ''] = /^(.*), question (\d)$/.exec(place) ?? [];
        await page.keyboard.type(BY_HAND[name]?.[Number(question)] ?? '1');
        await page.keyboard.press('Enter');
        if (left > 1) await expect(margin(page).getByText(place, { exact: true })).toHaveCount(0);
      }
      await page.getByRole('button', { name: 'All papers' }).click();
      await expect(page.getByText('waiting for you')).toHaveCount(0);
      await expect.poll(() => totals(page)).toEqual(worksheet({ accepted: true, byHand: true }));
    });

    await test.step('one answer gets an own score', async () => {
      const row = page
        .getByRole('row')
        .filter({ has: page.getByRole('rowheader', { name: OWN.name, exact: true }) });
      await row.getByRole('button', { name: new RegExp(`^Question ${OWN.question}:`) }).click();
      await page.keyboard.press('h');
      await margin(page).getByLabel('Your own points').fill(String(OWN.points));
      await margin(page).getByLabel('Reason').fill('copied from the board');
      await page.keyboard.press('Enter');
      await expect.poll(() => totals(page)).toEqual(worksheet({ accepted: true, byHand: true, own: true }));
      await page
        .getByRole('button', { name: /^\d+ own scores?/ })
        .first()
        .click();
      await expect(page.getByRole('dialog').getByText('copied from the board')).toBeVisible();
      await page.keyboard.press('Escape');
    });

    await test.step('one question is left out, its effect seen first', async () => {
      await page.locator(`[data-cell="sums:${OUT - 1}"]`).click();
      await margin(page).getByLabel('How this question counts').selectOption('leftOut');
      await expect(bar(page).getByText('1 change not applied')).toBeVisible();
      const [cell = ''] = (await checkRow(page, 'Dov Gravel')).slice(OUT - 1);
      expect(cell).toMatch(/would be excluded, 0 points$/);
      await bar(page).getByRole('button', { name: 'Apply to all' }).click();
      await expect
        .poll(() => totals(page))
        .toEqual(worksheet({ accepted: true, byHand: true, own: true, out: true }));
    });

    await test.step('the change of the key is put back; the question stays left out, own scores stay', async () => {
      await page.getByRole('button', { name: 'Changes to the key' }).click();
      const change = margin(page).getByRole('listitem').filter({ hasText: 'Accept “flood plain”' }).first();
      await change.getByRole('button', { name: 'Undo this change' }).click();
      await expect(bar(page).getByText(/^10 scores go down, 23 stay/)).toBeVisible();
      await bar(page).getByRole('button', { name: 'Apply to all' }).click();
      await expect.poll(() => totals(page)).toEqual(worksheet({ byHand: true, own: true, out: true }));
    });

    await test.step('what a student had by the first revision is what the slip said then', async () => {
      const row = page
        .getByRole('row')
        .filter({ has: page.getByRole('rowheader', { name: 'Bram Spate', exact: true }) });
      await row.getByRole('button').last().click();
      await page.getByRole('button', { name: 'Changes to the key' }).click();
      const all = margin(page).getByRole('list', { name: 'Versions, the newest first' }).locator('> li');
      await expect(all).toHaveCount(4);
      const by = (at: number) => all.nth(at).locator('strong');
      await expect(by(3)).toHaveText(slip);
      await expect(by(2)).toHaveText(`${worksheet({ accepted: true })['Bram Spate']} of 12`);
      await expect(by(1)).toHaveText(`${worksheet({ accepted: true, out: true })['Bram Spate']} of 11`);
      await expect(by(0)).toHaveText(`${worksheet({ out: true })['Bram Spate']} of 11`);
    });
  },
);
