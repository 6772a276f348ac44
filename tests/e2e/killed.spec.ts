import { madeUpTicket } from '@/core/madeUp/tickets';
import { come } from './come';
import { chromium, type BrowserContext, type Locator, type Page } from '@playwright/test';
import { LONG, times } from '../runs';
import { expect, newQuiz, openDemo, saved, test as base } from './support';

/** A browser with a folder of its own keeps what it has compiled: pages that are opened 100 times come up sooner. */
const test = base.extend<{ context: BrowserContext }>({
  context: async ({}, use, { project }) => {
    const { launchOptions, baseURL, locale, timezoneId, viewport, actionTimeout } = project.use;
    const context = await chromium.launchPersistentContext('', {
      ...launchOptions,
      ...(baseURL && { baseURL }),
      ...(locale && { locale }),
      ...(timezoneId && { timezoneId }),
      ...(viewport && { viewport }),
    });
    context.setDefaultTimeout(actionTimeout ?? 0);
    await use(context);
    await context.close();
  },
});

/** A place where something is typed: how to come to its field, and how to see that all of it is kept. */
interface Place {
  readonly name: string;
  readonly kills: number;
  readonly field: (page: Page) => Promise<Locator>;
  readonly kept: (page: Page) => Promise<void>;
}

const KEPT = /Saved on this device at/;

/** A student's paper at its second question. */
const paperOf = (name: string, student: string): Place => ({
  name,
  kills: times(1, 45),
  field: async (page) => {
    await page.goto(`/sit/?quiz=demo-rivers&ticket=${madeUpTicket(student)}`);
    const begin = page.getByRole('button', { name: 'Begin' });
    const next = page.getByRole('button', { name: 'Next' });
    await expect(begin.or(next)).toBeVisible();
    if (await begin.isVisible()) await begin.click();
    await expect(next).toBeVisible();
    while (!(await page.getByText('Question 2 of 8').isVisible())) {
      const back = page.getByRole('button', { name: 'Back' });
      await ((await page.getByText('Question 1 of 8').isVisible()) ? next : back).click();
    }
    return page.getByRole('textbox');
  },
  kept: (page) => expect(page.getByText(KEPT)).toBeVisible(),
});

const PLACES: readonly Place[] = [
  {
    name: 'Write',
    kills: times(1, 6),
    field: async (page) => {
      await openDemo(page, 'write');
      await page.getByRole('button', { name: 'Question 1', exact: true }).click();
      return come(page, 'Explanation');
    },
    kept: saved,
  },
  {
    name: 'a comment on Check',
    kills: times(1, 4),
    field: async (page) => {
      await openDemo(page, 'check');
      await expect(page.getByText('Karl Mead, question 8')).toBeVisible();
      return page.getByLabel('Comment to the student on this answer');
    },
    kept: saved,
  },
  paperOf('a student’s paper', 'demo-25'),
  ...(LONG ? [paperOf('another student’s paper', 'demo-26')] : []),
];

/** Ends the page’s process at once, as a power cut would: no handler of the page runs. */
async function kill(context: BrowserContext, page: Page): Promise<void> {
  const session = await context.newCDPSession(page);
  const gone = page.waitForEvent('crash');
  void session.send('Page.crash').catch(() => undefined);
  await gone;
  await page.close();
}

for (const { name, kills, field, kept } of PLACES) {
  test(`typing is never lost: the page is killed ${kills === 1 ? 'once' : `${kills} times`} while typing in ${name}`, async ({
    context,
    page,
  }) => {
    test.setTimeout(300_000);
    let current = page;
    let place = await field(current);
    let before = await place.inputValue();
    for (let round = 0; round < kills; round++) {
      await place.focus();
      await current.keyboard.press('Control+End');
      await current.keyboard.type(`k${round}.`);
      await kept(current);
      const safe = `${before}k${round}.`;
      expect(await place.inputValue()).toBe(safe);
      await current.keyboard.type('more'.slice(0, round % 5));
      await kill(context, current);
      current = await context.newPage();
      place = await field(current);
      const typed = `${safe}${'more'.slice(0, round % 5)}`;
      await expect.poll(() => place.inputValue()).toMatch(/k\d+\.m?o?r?e?$/);
      before = await place.inputValue();
      expect(before.startsWith(safe), `kept ${before.slice(-30)} of ${typed.slice(-30)}`).toBe(true);
      expect(typed.startsWith(before), `kept ${before.slice(-30)} of ${typed.slice(-30)}`).toBe(true);
    }
  });
}

test('a new formula is stored as it is typed: the tab is closed before it can be set', async ({
  context,
  page,
}) => {
  // What sets formulas never comes in this page.
  await page.route('**/typeset.*.js', () => {});
  await newQuiz(page, 'Speed', 'Word or phrase');
  const text = page.getByRole('textbox', { name: 'Text of question 1' });
  await text.click();
  await page.keyboard.type('Which letter is the time in \\(v = s/t\\)', { delay: 30 });
  await saved(page);
  await page.close();
  const again = await context.newPage();
  await again.goto('/');
  await again.getByRole('link', { name: 'Speed' }).click();
  // As it was typed, or already set.
  await expect(again.getByRole('textbox', { name: 'Text of question 1' })).toContainText(/v ?= ?s\/t/);
});
