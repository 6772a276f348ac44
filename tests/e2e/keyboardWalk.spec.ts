import type { Page } from '@playwright/test';
import { DEMO, expect, test } from './support';

/** What has the focus, as it is named; `nowhere` where nothing has. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const at = document.activeElement;
    if (!at || at === document.body) return 'nowhere';
    const isField = at instanceof HTMLInputElement || at instanceof HTMLTextAreaElement;
    const label = isField ? at.labels?.[0]?.textContent : null;
    return (at.getAttribute('aria-label') ?? label ?? at.textContent).replace(/\s+/g, ' ').trim();
  });

const MOST_TABS = 260;

/** Goes to a press or field by Tab alone. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let at = 0; at < MOST_TABS; at++) {
    if (name.test(await focused(page))) return;
    await page.keyboard.press('Tab');
  }
  expect(await focused(page), `${String(name)} is reached by Tab`).toMatch(name);
}

/** A press, what has the focus after it, and by which key one leaves again, if one does. */
type Stop = readonly [press: RegExp, then: RegExp, leave?: 'Escape'];

/** Each is reached by Tab and pressed by Enter; left by Escape, the focus is where it was. */
async function walk(page: Page, stops: readonly Stop[]): Promise<void> {
  for (const [press, then, leave] of stops) {
    await test.step(String(press), async () => {
      await tabTo(page, press);
      const from = await focused(page);
      await page.keyboard.press('Enter');
      // A press may lead to another page.
      await expect.poll(() => focused(page).catch(() => 'on its way')).toMatch(then);
      if (!leave) return;
      await page.keyboard.press(leave);
      await expect.poll(() => focused(page)).toBe(from);
    });
  }
}

const CLOSE = 'Escape' as const;

test(
  'Shelf and Write by keyboard alone: after each press the focus is in what it added or opened',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await page.goto('/');
    await expect(page.getByText('24 of 26 handed in')).toBeVisible();
    await walk(page, [
      [/^Actions$/, /^Find an action$/, CLOSE],
      [/^More for How rivers shape/, /^Duplicate$/, CLOSE],
      [/^Reset demo$/, /^Cancel$/, CLOSE],
      [/^Remove demo$/, /^Cancel$/, CLOSE],
      [/^New quiz$/, /^Title of the quiz$/],
      [/^Open to students/, /^Open to students$/, CLOSE],
      [/^Feedback on the whole score$/, /^Feedback for score level 1$/],
      [/^Pick one$/, /^Text of question 1$/],
      [/^Option 1 is right$/, /^Option 1 is right$/],
      [/^Formula where you are writing$/, /^Formula in TeX$/, CLOSE],
      [/^Picture for Option 1$/, /^Choose a file$/, CLOSE],
      [/^Feedback for Option 1$/, /^Feedback for Option 1$/],
      [/^Format what is said of Option 1$/, /^Feedback for Option 1$/],
      [/^Add a link for Option 1$/, /^Link title for Option 1$/],
      [/^Another option$/, /^Option 4$/],
      [/^Feedback of question 1$/, /^Feedback for right answers$/],
      [/^Format what is said of right answers$/, /^Feedback for right answers$/],
      [/^Add a link for wrong answers$/, /^Link title for wrong answers$/],
      [/^Explanation of question 1$/, /^Explanation$/],
      [/^Format what explains it$/, /^Explanation$/],
      [/^Hint of question 1$/, /^Hint 1$/],
      [/^Another hint$/, /^Hint 2$/],
      [/^Copy questions/, /^1Question without text/, CLOSE],
      [/^Add a section$/, /^Heading of the section$/],
      [/^or another kind$/, /^Pick one$/],
      [/^Match$/, /^Text of question 2$/],
      [/^Next question: match$/, /^Text of question 3$/],
      [/^Duplicate question 3$/, /^Text of question 4$/],
      [/^Delete question 4$/, /^Text of question 3$/],
    ]);
    // What Tab reaches in a kind's own fields: each press that adds a row.
    for (const [kind, adds, field] of [
      ['Pick several', /^Another option$/, /^Option 4$/],
      ['Sort into boxes', /^Another box$/, /^Name of box 3$/],
      ['Put in order', /^Another item$/, /^Item \d$/],
      ['Row by row', /^Another row$/, /^Row \d$/],
    ] as const) {
      await walk(page, [
        [/^or another kind$/, /^Pick one$/],
        [new RegExp(`^${kind}$`), /^Text of question \d+$/],
        [adds, field],
      ]);
    }
  },
);

test('Plan, Tray, Check, Hand back and Classes by keyboard alone', { tag: '@long' }, async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto(`${DEMO}#plan`);
  await expect(page.getByRole('button', { name: 'Finer, or for one group' })).toBeVisible();
  await walk(page, [
    [/^Open · closes/, /^This quiz is open$/, CLOSE],
    [/^Finer, or for one group$/, /^Finer, or for one group$/],
    [/The score appears: one more condition/, /^The score appears, condition 2$/],
    [/The score appears, condition 2: remove/, /^The score appears$/],
  ]);
  await page.goto(`${DEMO}#tray`);
  await expect(page.getByRole('rowheader', { name: 'Ada Marsh' })).toBeVisible();
  await walk(page, [
    [/^Change who takes this quiz$/, /^Cancel$/, CLOSE],
    [/^Time and attempts of Bela Fenn$/, /^Bela Fenn$/, CLOSE],
  ]);
  await page.goto(`${DEMO}#check`);
  await expect(page.getByText('Karl Mead, question 8')).toBeVisible();
  const cell = await focused(page);
  expect(cell).toMatch(/^Question 8: not marked yet/);
  for (const [key, field] of [
    ['h', /^Your own points$/],
    ['p', /^Points for this answer, %$/],
    ['w', /^Feedback for this answer$/],
    ['?', /^Close$/],
  ] as const) {
    await page.keyboard.press(key);
    await expect.poll(() => focused(page)).toMatch(field);
    await page.keyboard.press('Escape');
    await expect.poll(() => focused(page)).toBe(cell);
  }
  await walk(page, [[/^Type in a paper/, /^Find whose paper it is$/, CLOSE]]);
  await page.goto(`${DEMO}#handback`);
  await expect(page.getByRole('link', { name: 'Change the plan' })).toBeVisible();
  // A way to another station: the focus goes there too.
  await walk(page, [[/^Change the plan$/, /^Plan$/]]);
  await page.goto('/class/');
  await expect(page.getByLabel('Name of Ada Marsh')).toBeVisible();
  await walk(page, [[/^New class$/, /^Name of the class$/]]);
});
