import type { Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import { expect, goTo, newQuiz, pageOf, saved, test } from './support';

/**
 * Lets time pass for whoever is working: as if the attempt had been begun, and its page had given its last sign, so many
 * minutes sooner.
 */
const earlier = (page: Page, minutes: number): Promise<void> =>
  page.evaluate(async (by) => {
    const db = await new Promise<IDBDatabase>((done, fail) => {
      const open = indexedDB.open('yentrel');
      open.onsuccess = () => done(open.result);
      open.onerror = () => fail(open.error);
    });
    await new Promise<void>((done) => {
      const writing = db.transaction('attempts', 'readwrite');
      const store = writing.objectStore('attempts');
      const all = store.getAll();
      type Kept = {
        quizId: string;
        openedAt: number;
        savedAt: number;
        seenAt?: number;
        handedInAt: number | null;
      };
      all.onsuccess = () => {
        for (const attempt of all.result as Kept[]) {
          if (attempt.handedInAt !== null || attempt.quizId.startsWith('demo-')) continue;
          const sooner = (at: number) => at - by * 60_000;
          const seen = attempt.seenAt === undefined ? {} : { seenAt: sooner(attempt.seenAt) };
          store.put({
            ...attempt,
            openedAt: sooner(attempt.openedAt),
            savedAt: sooner(attempt.savedAt),
            ...seen,
          });
        }
      };
      writing.oncomplete = () => done();
    });
    db.close();
  }, minutes);

/** So often a student's page looks where its paper stands, and a little more: ms. */
const LOOK = 16_000;

/** Lets the student's page look again, without anybody waiting for it: its timers run on, the clock of the port does not. */
const looks = (sit: Page): Promise<void> => sit.clock.runFor(LOOK);

/** A student's page whose timers can be let run. */
async function timedPage(page: Page, name: string): Promise<Page> {
  const sit = await pageOf(page, name);
  await sit.clock.install();
  await sit.reload();
  return sit;
}

/** A quiz of two questions, in which an attempt can take 40 minutes. */
async function timedQuiz(page: Page): Promise<void> {
  await newQuiz(page, 'Against the clock', 'Word or phrase');
  await page.getByLabel('Another right answer').fill('silt');
  await page.keyboard.press('Enter');
  await goTo(page, 'Plan');
  await page.getByLabel('How long an attempt can take').selectOption('for 40 minutes');
  await saved(page);
  await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
  await page.getByRole('button', { name: 'Open it' }).click();
  await goTo(page, 'Tray');
}

const rowOf = (page: Page, name: string) => page.getByRole('row').filter({ hasText: name });
const adjust = async (page: Page, name: string) => {
  await page.getByRole('button', { name: `Time and attempts of ${name}` }).click();
  return page.getByRole('dialog', { name });
};

test('a time limit: told first, counted down, warned of, and kept while the page is closed', async ({
  page,
}) => {
  await timedQuiz(page);
  const sit = await pageOf(page, 'Ada Marsh');
  await expect(sit.getByText('You have 40 minutes from when you begin')).toBeVisible();
  await sit.getByRole('button', { name: 'Begin' }).click();
  await expect(sit.getByRole('timer')).toHaveText(/^(40|39) minutes left$/);
  await sit.getByRole('textbox').fill('silt');
  await expect(sit.getByText(/saved/i).first()).toBeVisible();

  await earlier(sit, 36);
  await sit.reload();
  await expect(sit.getByRole('timer')).toHaveText('4 minutes left');
  await expect(sit.getByText('Less than five minutes are left.')).toBeVisible();
  await sit.getByRole('button', { name: 'Back' }).click();
  await expect(sit.getByRole('textbox')).toHaveValue('silt');

  // It ends with the page closed, and is taken as it is.
  const address = sit.url();
  await sit.close();
  await earlier(page, 5);
  const back = await page.context().newPage();
  await back.goto(address);
  await expect(back.getByText('Collected automatically when your time was over')).toBeVisible();
  await expect(back.getByText('1 of 1').first()).toBeVisible();
  await page.bringToFront();
  await page.reload();
  await expect(rowOf(page, 'Ada Marsh')).toContainText('not handed in when it closed');
});

test(
  'at its end the page hands over by itself, with the last thing typed',
  { tag: '@long' },
  async ({ page }) => {
    await timedQuiz(page);
    const sit = await pageOf(page, 'Ada Marsh');
    await sit.getByRole('button', { name: 'Begin' }).click();
    await earlier(sit, 39 + 53 / 60);
    await sit.reload();
    await expect(sit.getByText('The last minute.')).toBeVisible();
    await sit.getByRole('textbox').fill('silt');
    await expect(sit.getByText('Collected automatically when your time was over')).toBeVisible({
      timeout: 30_000,
    });
    await expect(sit.getByText('1 of 1').first()).toBeVisible();
  },
);

test(
  'on a phone, in two presses each: more time for one, until tomorrow, a second try, a fresh start, given back',
  { tag: '@long' },
  async ({ page }) => {
    await timedQuiz(page);
    const sit = await timedPage(page, 'Ada Marsh');
    await sit.getByRole('button', { name: 'Begin' }).click();
    await sit.getByRole('textbox').fill('mud');
    await earlier(sit, 20);
    await sit.reload();
    await expect(sit.getByRole('timer')).toHaveText(/^20 minutes left$/);

    await page.bringToFront();
    await page.setViewportSize({ width: 360, height: 740 });
    await page.reload();
    let sheet = await adjust(page, 'Ada Marsh');
    await expectAccessibleHere(page, 'what can be done for a student');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
    await sheet.getByRole('button', { name: '20 minutes more on the clock' }).click();
    await expect(page.getByText('Ada Marsh has 20 minutes more')).toBeVisible();
    // The student's page finds out by itself.
    await sit.bringToFront();
    await looks(sit);
    await expect(sit.getByRole('timer')).toHaveText(/^(40|39) minutes left$/);

    await sit.getByRole('button', { name: 'Hand in' }).click();
    await expect(sit.getByText('0 of 1').first()).toBeVisible();
    await expect(sit.getByRole('button', { name: 'Take the quiz again' })).toHaveCount(0);

    await page.bringToFront();
    await page.reload();
    sheet = await adjust(page, 'Ada Marsh');
    await expect(sheet.getByText(/The score 0 of 1 no longer counts\./)).toHaveCount(2);
    await sheet.getByRole('button', { name: 'One more attempt' }).click();
    await expect(page.getByText('Ada Marsh has one more attempt')).toBeVisible();
    await sit.bringToFront();
    await sit.reload();
    await expect(sit.getByRole('button', { name: 'Take the quiz again' })).toBeVisible();

    await page.bringToFront();
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    sheet = await adjust(page, 'Ada Marsh');
    await sheet.getByRole('button', { name: 'Reopen with its answers' }).click();
    await expect(page.getByText('Ada Marsh can continue with the answers')).toBeVisible();
    await sit.bringToFront();
    await sit.reload();
    await expect(sit.getByText('0 of 1')).toHaveCount(0);
    await sit.getByRole('button', { name: 'Back' }).click();
    await expect(sit.getByRole('textbox')).toHaveValue('mud');
    await sit.getByRole('textbox').fill('silt');
    await sit.getByRole('button', { name: 'Review and hand in' }).click();
    await sit.getByRole('button', { name: 'Hand in' }).click();
    await expect(sit.getByText('1 of 1').first()).toBeVisible();

    await page.bringToFront();
    await page.reload();
    sheet = await adjust(page, 'Ada Marsh');
    await expect(sheet.getByText(/The score 1 of 1 no longer counts\./)).toHaveCount(2);
    await sheet.getByRole('button', { name: 'Replace the last attempt' }).click();
    await sit.bringToFront();
    await sit.reload();
    await expect(sit.getByText('Your teacher does not count this attempt.')).toBeVisible();
    await sit.getByRole('button', { name: 'Take the quiz again' }).click();
    await expect(sit.getByRole('textbox')).toHaveValue('');
  },
);

test('taken back for now: nobody sits, and the clock stands still until it goes on', async ({ page }) => {
  await timedQuiz(page);
  const sit = await timedPage(page, 'Ada Marsh');
  await sit.getByRole('button', { name: 'Begin' }).click();
  await sit.getByRole('textbox').fill('silt');
  await page.bringToFront();
  await page.getByRole('button', { name: /^Open(?! a door)/ }).click();
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByRole('button', { name: 'Paused' })).toBeVisible();
  await sit.bringToFront();
  await sit.reload();
  await expect(sit.getByText('Your teacher has taken the quiz back for now.')).toBeVisible();
  await page.bringToFront();
  await page.getByRole('button', { name: 'Paused' }).click();
  await page.getByRole('button', { name: 'Resume' }).click();
  await expect(page.getByText('The quiz is open again')).toBeVisible();
  await sit.bringToFront();
  await looks(sit);
  await sit.getByRole('button', { name: 'Back' }).click();
  await expect(sit.getByRole('textbox')).toHaveValue('silt');
  await expect(sit.getByRole('timer')).toHaveText(/^(40|39) minutes left$/);
});

test(
  'where nobody goes back: a page is left for good, and what must be answered holds it',
  { tag: '@long' },
  async ({ page }) => {
    await newQuiz(page, 'One way', 'Word or phrase');
    await page.getByLabel('Another right answer').fill('silt');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'or another kind' }).click();
    await page.getByRole('list', { name: 'Kinds of question' }).getByRole('button', { name: 'True or false', exact: true }).click(); // prettier-ignore
    await goTo(page, 'Plan');
    await page.getByLabel('Going back to a page').selectOption('cannot');
    await saved(page);
    await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
    await page.getByRole('button', { name: 'Open it' }).click();
    await goTo(page, 'Tray');
    const sit = await pageOf(page, 'Ada Marsh');
    await expect(sit.getByText('You cannot go back: once you go on')).toBeVisible();
    await sit.getByRole('button', { name: 'Begin' }).click();
    await sit.getByRole('textbox').fill('silt');
    await sit.getByRole('button', { name: 'Next' }).click();
    await expect(sit.getByText('Question 2 of 2')).toBeVisible();
    await expect(sit.getByRole('button', { name: 'Back' })).toHaveCount(0);
    // Another tab, or the page loaded again, does not go back either.
    await sit.reload();
    await expect(sit.getByText('Question 2 of 2')).toBeVisible();
    await sit.getByRole('button', { name: 'Review and hand in' }).click();
    await expect(sit.getByText('1 question has no answer yet:')).toBeVisible();
    await expectAccessibleHere(sit, 'the last page where nobody goes back');
    await sit.getByRole('button', { name: 'Hand in' }).click();
    await expect(sit.getByText('1 of 2').first()).toBeVisible();
  },
);

test('a clock that was changed on the device changes nothing', async ({ page }) => {
  await timedQuiz(page);
  const sit = await pageOf(page, 'Ada Marsh');
  // A week later, as far as this page can tell.
  await sit.addInitScript(() => {
    const real = Date.now.bind(Date);
    Date.now = () => real() + 8 * 86_400_000;
  });
  await sit.reload();
  await sit.getByRole('button', { name: 'Begin' }).click();
  await expect(sit.getByRole('timer')).toHaveText(/^(40|39) minutes left$/);
  await sit.getByRole('textbox').fill('mud');
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await sit.getByRole('button', { name: 'Hand in' }).click();
  await expect(sit.getByText('0 of 1').first()).toBeVisible();
  await expect(
    sit.getByText(/^The right answers will come on .*, when the quiz has closed for everyone\.$/),
  ).toBeVisible();
  await expect(sit.getByText('silt')).toHaveCount(0);
});

test('where nobody comes back: a page that was left is locked, keeps what was typed, and goes on once the teacher lets it', async ({
  page,
}) => {
  await newQuiz(page, 'Stay here', 'Word or phrase');
  await page.getByLabel('Another right answer').fill('silt');
  await page.keyboard.press('Enter');
  await goTo(page, 'Plan');
  await page.getByLabel('Students who leave the page for two minutes').selectOption('cannot');
  await saved(page);
  await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
  await page.getByRole('button', { name: 'Open it' }).click();
  await goTo(page, 'Tray');
  const sit = await timedPage(page, 'Ada Marsh');
  await expect(sit.getByText('if you leave it for two minutes, it is locked')).toBeVisible();
  await sit.getByRole('button', { name: 'Begin' }).click();
  await sit.getByRole('textbox').fill('silt');
  await expect(sit.getByText(/^Saved on this device/)).toBeVisible();

  // The device slept for three minutes: the page finds out by itself, and hides what it held.
  await earlier(sit, 3);
  await looks(sit);
  await expect(sit.getByText('your paper is locked')).toBeVisible();
  await expect(sit.getByRole('textbox')).toHaveCount(0);
  await expectAccessibleHere(sit, 'a locked paper');
  // A page that is opened anew is no way around it.
  await sit.reload();
  await expect(sit.getByText('your paper is locked')).toBeVisible();

  await page.bringToFront();
  await page.setViewportSize({ width: 360, height: 740 });
  await page.reload();
  await expect(page.getByText('1 working (1 locked)')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await page.getByRole('button', { name: /^Unlock/ }).click();
  await expect(page.getByText('Ada Marsh can continue', { exact: true })).toBeVisible();
  await sit.bringToFront();
  await looks(sit);
  await expect(sit.getByRole('button', { name: /^(Hand in|Back)$/ }).first()).toBeVisible();
  await sit.getByRole('button', { name: 'Hand in' }).click();
  await expect(sit.getByText('1 of 1').first()).toBeVisible();
});
