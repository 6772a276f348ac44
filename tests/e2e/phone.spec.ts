import type { Locator, Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { fits } from './fits';
import { LONG } from '../runs';
import { expect, test } from './support';

test.use({ viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true });

/** Taps and counts: the tasks of a teacher with a phone take at most three of them. */
function finger() {
  let taps = 0;
  return {
    tap: async (target: Locator) => {
      taps++;
      await target.tap();
    },
    taps: () => taps,
  };
}

const STATIONS = ['write', 'plan', 'tray', 'check', 'handback'] as const;
const quiz = (id: string, station: string) => `/quiz/?id=${id}#${station}`;
const ready = (page: Page) => expect(page.getByRole('button', { name: /All desks/ })).toBeVisible();

// axe looks at both looks by turns; with much time, at each page in both.
for (const theme of LONG ? ['chalk', 'slate'] : ['chalk'])
  test(`every page fits a phone, in ${theme}: no wider than the screen, large enough to press, axe finds nothing`, async ({
    page,
  }) => {
    await page.addInitScript((name) => {
      if (location.protocol === 'http:') localStorage.setItem('yentrel-theme', name);
    }, theme);
    await page.goto('/');
    await expect(page.getByText('24 of 26 handed in')).toBeVisible();
    await fits(page, 'Shelf');
    await expectAccessible(page, 'Shelf');
    for (const id of LONG ? ['demo-rivers', 'demo-floods'] : ['demo-rivers'])
      for (const station of STATIONS) {
        await page.goto(quiz(id, station));
        await ready(page);
        await expect(page.getByText(/^(Marking|Opening|Loading).*…$/)).toHaveCount(0);
        await fits(page, `${id} ${station}`);
        await expectAccessible(page, `${id} ${station}`);
      }
    await page.goto(quiz('demo-rivers', 'plan'));
    await expect(page.getByRole('heading', { name: 'Late and missing work' })).toBeVisible();
    await page.getByRole('button', { name: /All desks/ }).tap();
    await fits(page, 'the line of stations');
    await expectAccessible(page, 'the line of stations');
    const check = page.getByRole('navigation', { name: 'Desks' }).getByRole('link', { name: /^Check/ });
    await page.getByRole('heading', { name: 'What students see, and when' }).tap();
    await expect(check).toBeHidden();
    await page.getByRole('button', { name: /All desks/ }).tap();
    await check.tap();
    await page
      .getByRole('button', { name: /^Question 4: wrong/ })
      .first()
      .tap();
    await expect(page.getByText('How it was marked')).toBeVisible();
    await fits(page, 'an answer');
    await expectAccessible(page, 'an answer');
    await page.getByRole('button', { name: /^Closes/ }).tap();
    await expect(page.getByRole('dialog')).toBeVisible();
    await fits(page, 'Open');
    await expectAccessible(page, 'Open');
    await page.goto(quiz('demo-rivers', 'tray'));
    await page.getByLabel('Answer file', { exact: true }).setInputFiles('demo/import/answers-flawed.csv');
    await expect(page.getByText(/papers ready/)).toBeVisible();
    await fits(page, 'an answer file');
    await expectAccessible(page, 'an answer file');
    await page.goto('/class/');
    await expect(page.getByText('26 students.')).toBeVisible();
    await fits(page, 'class list');
    await expectAccessible(page, 'class list');
  });

test('who has not handed in: from the Shelf in two taps', async ({ page }) => {
  const { tap, taps } = finger();
  await page.goto('/');
  await tap(page.getByRole('link', { name: '24 of 26 handed in' }));
  await tap(page.getByRole('button', { name: 'Not handed in (2)' }));
  expect(taps()).toBeLessThanOrEqual(3);
  const listed = page.getByRole('main').getByRole('listitem');
  await expect(listed).toHaveText([/Yann Isle.*not started/, /Zoe Mere.*not started/]);
});

test('why this score: from any station in three taps, beside the answer', async ({ page }) => {
  const { tap, taps } = finger();
  await page.goto(quiz('demo-rivers', 'tray'));
  await tap(page.getByRole('button', { name: /All desks/ }));
  await tap(page.getByRole('navigation', { name: 'Desks' }).getByRole('link', { name: /^Check/ }));
  const disc = page.getByRole('button', { name: /^Question 2: .*1\.8 points, “oxbow laek”/ });
  await tap(disc);
  expect(taps()).toBeLessThanOrEqual(3);
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await expect(margin.getByText('1.8 of 2').first()).toBeInViewport();
  await expect(margin.getByText(/1 typing error/).first()).toBeInViewport();
  await expect(disc).toBeInViewport();
  // What is at hand stays above the sheet, also far down the list.
  const last = page.getByRole('button', { name: /^Question 8: / }).last();
  await margin.getByRole('button', { name: /Lower the margin/ }).tap();
  await last.tap();
  await expect(margin.getByText('Xenia Flood').first()).toBeInViewport();
  const sheet = await margin.boundingBox();
  await expect.poll(async () => (await last.boundingBox())?.y ?? 0).toBeLessThan(sheet?.y ?? 0);
  // With a keyboard: what a key opens comes with the sheet.
  await margin.getByRole('button', { name: /Lower the margin/ }).tap();
  await last.focus();
  await page.keyboard.press('h');
  await expect(margin.getByRole('button', { name: 'Save this score' })).toBeInViewport();
});

test('accept this answer for all: in three taps, its effect seen before', async ({ page }) => {
  const { tap, taps } = finger();
  await page.goto(quiz('demo-rivers', 'check'));
  await tap(
    page.getByRole('button', { name: /^Question 4: wrong, 0 points, near miss, “flood plain”/ }).first(),
  );
  await tap(page.getByRole('button', { name: 'Accept as right, for everyone' }));
  const bar = page.getByRole('region', { name: 'Changes not applied' });
  await expect(bar.getByText('5 scores go up')).toBeVisible();
  await expect(page.getByText(/would earn 2 of 2/)).toBeInViewport();
  await bar.getByRole('button', { name: 'See who' }).tap();
  const moves = page
    .getByRole('complementary', { name: 'Margin' })
    .getByRole('list', { name: 'Whose score changes' });
  await expect(moves.getByText('Bela Fenn')).toBeInViewport();
  await expect(moves.getByRole('listitem').first()).toContainText(/8 →becomes 10 of 12/);
  await fits(page, 'who goes up');
  await tap(bar.getByRole('button', { name: 'Apply to all' }));
  expect(taps()).toBeLessThanOrEqual(3);
  await expect(page.getByRole('button', { name: /^Question 4: right, 2 points, “flood plain”/ })).toHaveCount(
    4,
  );
  const bela = page.getByRole('listitem').filter({ hasText: 'Bela Fenn' });
  await expect(bela).toContainText('10 of 12');
  await fits(page, 'the effect');
});

test('show to all: from the Hand back station in one tap, and taken back in one', async ({ page }) => {
  const { tap, taps } = finger();
  await page.goto(quiz('demo-floods', 'handback'));
  await expect(page.getByText(/^Some results are shown to 0 of 21 students/)).toBeVisible();
  await tap(page.getByRole('button', { name: 'Show to all' }));
  expect(taps()).toBeLessThanOrEqual(3);
  await expect(page.getByText(/^Some results are shown to 21 of 21 students/)).toBeVisible();
  await page.getByRole('button', { name: 'Hide from all' }).tap();
  await expect(page.getByText(/^Some results are shown to 0 of 21 students/)).toBeVisible();
});

test('a question is written, keyed and tried on a phone', async ({ page }) => {
  await page.goto(quiz('demo-deltas', 'write'));
  await page.getByRole('button', { name: 'Question 4', exact: true }).tap();
  await page.getByLabel('Another right answer').fill('estuary');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Try an answer/ }).tap();
  await page.getByRole('textbox', { name: 'Try an answer' }).fill('Estuary');
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await expect(margin.getByText('1 of 1', { exact: true })).toBeInViewport();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('textbox', { name: 'Try an answer' })).toBeHidden();
  await fits(page, 'Write');
});
