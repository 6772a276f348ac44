import type { Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import { fits } from './fits';
import { checkRow, expect, goTo, openDemo, test } from './support';

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
const names = (page: Page) => page.getByRole('grid', { name: 'Scores' }).getByRole('rowheader');
const view = (page: Page, name: string) =>
  page.getByRole('group', { name: 'View' }).getByRole('button', { name });

test(
  'all papers: shown by what is in them, by group and by a question, without names, and their sums agree',
  { tag: '@long' },
  async ({ page }) => {
    await openDemo(page, 'check');
    await expect(names(page)).toHaveCount(25);
    await page.getByLabel('Showing').selectOption('waiting');
    await expect(names(page)).toHaveText(['Karl Mead', 'Pia Strand', 'Wim Eddy', 'Sum of 3 papers']);
    await page.getByLabel('Showing').selectOption('near');
    const near = await page.locator('td .near-mark').count();
    expect(near).toBeGreaterThan(4);
    await page.getByLabel('Showing').selectOption('all');
    await page.getByLabel('Class or group').selectOption('blue');
    const blue = await names(page).count();
    expect(blue).toBeGreaterThan(5);
    expect(blue).toBeLessThan(25);
    await page.getByLabel('Class or group').selectOption('everybody');

    // A press on a question's head sorts by what was earned in it.
    const head = page.getByRole('columnheader', { name: /^4.*sort by it/ });
    await head.getByRole('button').click();
    await expect(page.getByRole('columnheader', { name: /^4.*sorted by it/ })).toHaveAttribute('aria-sort', 'ascending'); // prettier-ignore
    const first = (await names(page).first().textContent()) ?? '';
    expect((await checkRow(page, first))[3]).toMatch(/^Question 4: (wrong|nothing)/);
    await page.getByLabel('Questions').selectOption('hardest');
    const heads = page.getByRole('grid', { name: 'Scores' }).getByRole('columnheader');
    const shares = (await heads.allTextContents()).flatMap((text) => /(\d+)%/.exec(text)?.[1] ?? []).map(Number); // prettier-ignore
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    await page.getByLabel('Questions').selectOption('paper');

    // The sums of the columns and of the totals, against the cells themselves.
    const spoken = await page
    .locator('[data-cell^="demo-rivers-paper"]')
    .evaluateAll((cells) =>
      cells.map((cell) => [cell.getAttribute('data-cell'), cell.getAttribute('aria-label') ?? cell.textContent]),
    ); // prettier-ignore
    const earned = (column: number) =>
      spoken
        .filter(([at]) => at?.endsWith(`:${column}`))
        .reduce((sum, [, text]) => sum + Number(/([\d.]+) points?/.exec(text ?? '')?.[1] ?? 0), 0);
    for (const column of [0, 3, 7]) {
      const sum = page.locator(`[data-cell="sums:${column}"]`);
      expect(Number(await sum.textContent())).toBeCloseTo(earned(column), 2);
    }
    await page.locator('[data-cell="sums:3"]').click();
    await expect(margin(page).getByText('Question 4, all papers shown')).toBeVisible();
    await expect(margin(page).getByRole('list', { name: 'How the sum came about' })).toContainText('papers × 2 ='); // prettier-ignore
    await page.locator('[data-cell="sums:8"]').click();
    await expect(margin(page).getByText(/^The totals add up to/)).toBeVisible();

    await page.getByLabel('Sorted by').selectOption('name');
    await page.getByLabel('Names').selectOption('hidden');
    await expect(names(page).first()).toHaveText('Student 1');
    await expect(page.getByText('Ada Marsh')).toHaveCount(0);
    await expectAccessibleHere(page, 'all papers');
  },
);

test('one paper: what was handed in as it was met, marked by key, from paper to paper, the place kept', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await page.getByRole('button', { name: /^Question 8: not marked yet/ }).first().click(); // prettier-ignore
  await page.keyboard.press('3');
  await expect(view(page, 'One paper')).toHaveAttribute('aria-pressed', 'true');
  const paper = page.getByRole('group', { name: 'The paper of Karl Mead' });
  await expect(paper.getByRole('button', { name: 'Question 8: not marked yet, “scraping”' })).toBeFocused();
  await expect(paper.getByRole('list', { name: 'Questions' }).getByRole('listitem').first()).toContainText(/Answered:/); // prettier-ignore
  await page.keyboard.press('h');
  await margin(page).getByLabel('Your own points').fill('1.5');
  await page.keyboard.press('Enter');
  // The next answer that waits is at hand, in its own paper.
  await expect(page.getByRole('group', { name: 'The paper of Pia Strand' })).toBeVisible();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('button', { name: /^Question 7:/ })).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('group', { name: 'The paper of Pia Strand' })).toHaveCount(0);
  await page.getByRole('button', { name: 'The next paper: Pia Strand' }).click();
  await page.keyboard.press('1');
  await expect(page.getByRole('grid', { name: 'Scores' })).toBeVisible();
  await expect(margin(page).getByText('Pia Strand, question 7')).toBeVisible();
  await view(page, 'One paper').click();
  await expectAccessibleHere(page, 'one paper');
  await page.setViewportSize({ width: 360, height: 740 });
  await fits(page, 'one paper');
});

test(
  'a paper that was written on paper is typed in, marked as it is typed, kept, and taken back',
  { tag: '@long' },
  async ({ page }) => {
    await openDemo(page, 'check');
    await page.getByRole('button', { name: 'Type in a paper…' }).click();
    const dialog = page.getByRole('dialog', { name: 'Type in a paper' });
    await dialog.getByLabel('Find whose paper it is').fill('ora');
    await dialog.getByLabel('Find whose paper it is').fill('');
    const student = dialog.getByRole('button', { name: /nothing handed in$/ }).first();
    const name = ((await student.textContent()) ?? '').replace('nothing handed in', '');
    await student.click();
    const paper = page.getByRole('group', { name: `The paper of ${name}` });
    await expect(paper.getByText('on paper, typed in by you')).toBeVisible();
    await paper.getByRole('textbox').first().fill('oxbow laek');
    await expect(paper.getByRole('button', { name: /^Question 2: right, .*“oxbow laek”/ })).toBeVisible();
    await page.reload();
    await page.keyboard.press('1');
    await expect.poll(async () => (await checkRow(page, name))[1]).toMatch(/“oxbow laek”/);
    await goTo(page, 'Tray');
    await expect(page.getByRole('listitem').or(page.getByRole('row')).filter({ hasText: name }).first()).toContainText('on paper, typed in by you'); // prettier-ignore
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await goTo(page, 'Check');
    await expect(page.getByRole('rowheader', { name, exact: true })).toHaveCount(0);
  },
);

test('one question: look-alikes together, what wants a look first, who gave them; one press and one key apart', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await page.getByRole('button', { name: 'Question 4: wrong, 0 points, near miss, “flood plain”' }).first().click(); // prettier-ignore
  await page.keyboard.press('2');
  const answers = page.getByRole('group', { name: 'Answers to question 4' });
  await expect(answers.getByRole('heading', { level: 3 }).first()).toHaveText(/^Near misses/);
  const bundle = answers.getByRole('button', { name: /flood plain/ }).first();
  await expect(bundle).toHaveAttribute('aria-pressed', 'true');
  await expect(bundle).toHaveText(/^5/);
  // Every paper that counts is in one bundle.
  const counts = await answers.locator('[data-bundle] .figures').allTextContents();
  expect(counts.reduce((sum, one) => sum + Number(one), 0)).toBe(24);
  await expect(answers.getByRole('button', { name: 'Bela Fenn' })).toBeVisible();
  await answers.getByRole('button', { name: 'Nora Pool' }).click();
  await expect(margin(page).getByText('Nora Pool, question 4')).toBeVisible();
  await page.keyboard.press('a');
  await expect(page.getByRole('region', { name: 'Changes not applied' }).getByText(/^5 scores go up/)).toBeVisible(); // prettier-ignore
  await page.getByRole('button', { name: 'Apply to all' }).click();
  const right = answers.getByRole('region', { name: 'Right' });
  await expect(right.getByRole('button', { name: /flood plain/ }).first()).toBeVisible();
  await bundle.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('group', { name: 'Answers to question 5' })).toBeVisible();
  await page.getByLabel('Question', { exact: true }).selectOption({ index: 1 });
  const second = page.getByRole('group', { name: 'Answers to question 2' });
  await expect(second.getByRole('region', { name: 'Near misses' }).getByRole('button', { name: /Oxbow lakes.*singular or plural/ })).toBeVisible(); // prettier-ignore
  await expectAccessibleHere(page, 'one question');
  await page.getByLabel('Find a student').fill('ada');
  await expect(second.locator('[data-bundle]')).toHaveCount(1);
  await page.setViewportSize({ width: 360, height: 740 });
  await fits(page, 'one question');
});

test(
  'look-alikes by hand: put together, taken out, taken back, and kept for whatever comes later',
  { tag: '@long' },
  async ({ page }) => {
    await openDemo(page, 'check');
    await page.getByRole('button', { name: /^Question 2: wrong/ }).first().click(); // prettier-ignore
    await page.keyboard.press('2');
    const answers = page.getByRole('group', { name: 'Answers to question 2' });
    const bundle = (name: RegExp) => answers.locator('[data-bundle]').filter({ hasText: name });
    const bundles = answers.locator('[data-bundle]');
    await expect(bundle(/cutoff lake/)).toHaveCount(1);
    const before = await bundles.count();
    await bundle(/cutoff lake/).click();
    // Nothing of the key changes: no bar asks to apply anything.
    await answers.getByLabel('Group with').selectOption({ label: 'cut-off' });
    await answers.getByRole('button', { name: /^Group .* with “cut-off”/ }).click();
    await expect(bundles).toHaveCount(before - 1);
    await expect(bundle(/cut-off/)).toHaveText(/^2.*cut-off.*cutoff lake/);
    await expect(page.getByRole('region', { name: 'Changes not applied' })).toHaveCount(0);
    // Answers that are marked differently can be the same thing, too: the bundle says what each earns.
    await bundle(/lagoon/).click();
    await answers.getByLabel('Group with').selectOption({ label: 'horseshoe lake' });
    await answers.getByRole('button', { name: /^Group .* with “horseshoe lake”/ }).click();
    await bundle(/horseshoe lake/).click();
    await answers.getByLabel('Group with').selectOption({ label: 'cut-off' });
    await answers.getByRole('button', { name: /^Group .* with “cut-off”/ }).click();
    await expect(bundle(/horseshoe lake/)).toHaveText(/3 wrong, 2 partly right|2 partly right, 3 wrong/);
    await page.reload();
    await page.getByRole('button', { name: /^Question 2: partly right/ }).first().click(); // prettier-ignore
    await page.keyboard.press('2');
    await expect(bundles).toHaveCount(before - 3);
    const joined = bundle(/cut-off/);
    await joined.click();
    await answers.getByRole('button', { name: /^Ungroup “lagoon”|^Ungroup “horseshoe lake”/ }).first().click(); // prettier-ignore
    await expect(bundles).toHaveCount(before - 2);
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
    await expect(bundles).toHaveCount(before - 3);
    await expectAccessibleHere(page, 'look-alikes by hand');
  },
);

test(
  'the class at once: shares by thirds, who put what where, spots on the picture, numbers on a line',
  { tag: '@long' },
  async ({ page }) => {
    const atOnce = page.getByRole('region', { name: 'Class overview' });
    const look = async (quiz: string, question: number) => {
      await page.goto(`/quiz/?id=${quiz}#check`);
      await view(page, 'One question').click();
      await page.getByLabel('Question', { exact: true }).selectOption({ index: question });
    };
    // Which students stand behind a number is one press away, and their answers one more.
    await look('demo-rivers', 4);
    await expect(atOnce.getByRole('row').filter({ hasText: 'a little higher' })).toHaveText(/right: a little higher.*7.*29%0%14%86%/); // prettier-ignore
    await atOnce.getByRole('button', { name: /much lower/ }).click();
    await expect(atOnce.getByRole('status')).toContainText(/^“much lower”:.*Bela Fenn/);
    await atOnce.getByRole('button', { name: 'Hana Reed' }).click();
    await expect(margin(page).getByText('Hana Reed, question 5')).toBeVisible();
    await expectAccessibleHere(page, 'shares');
    // Class overview is of the papers that are shown.
    await page.getByLabel('Find a student').fill('Bela');
    await expect(atOnce.getByRole('row').filter({ hasText: 'much lower' })).toHaveText(/1100%/);

    await look('demo-journey', 3);
    await atOnce.getByRole('button', { name: '“meander” to “upper course”: 3 students' }).click();
    await expect(atOnce.getByRole('status')).toContainText('Carla Strait');
    await expect(atOnce.getByRole('button', { name: '“delta” to “lower course”: 16 students, right' })).toBeVisible(); // prettier-ignore
    await expectAccessibleHere(page, 'who put what where');
    await look('demo-journey', 4);
    await expect(
      atOnce.getByRole('button', { name: '“waterfall” to “1”: 16 students, right' }),
    ).toBeVisible();
    await look('demo-journey', 5);
    await expect(atOnce.getByRole('button', { name: '“abrasion” to “wears away”: 19 students, right' })).toBeVisible(); // prettier-ignore
    await look('demo-journey', 6);
    await expect(atOnce.getByRole('rowheader', { name: 'It is 60 km long.' })).toBeVisible();
    await look('demo-journey', 8);
    await expect(atOnce.locator('circle').first()).toBeVisible();
    await atOnce.getByRole('button', { name: 'Outside every area: 3 students' }).click();
    await expect(atOnce.getByRole('status').getByRole('button')).toHaveCount(3);
    await expectAccessibleHere(page, 'spots');
    await look('demo-floods', 1);
    await expect(atOnce.getByRole('listitem').filter({ hasText: '47 to 49 earns 100%' })).toBeVisible();
    await expect(atOnce.locator('circle').first()).toBeVisible();
    await expectAccessibleHere(page, 'a number line');
    await page.setViewportSize({ width: 360, height: 740 });
    await fits(page, 'a number line');
    await look('demo-journey', 8);
    await fits(page, 'spots');
    await look('demo-journey', 3);
    await fits(page, 'who put what where');
    await look('demo-rivers', 4);
    await fits(page, 'shares');
  },
);

test(
  'parts are judged alone: a gap by key, an option of a row, a box; what gathers is listed and dropped one by one',
  { tag: '@long' },
  async ({ page }) => {
    await page.goto('/quiz/?id=demo-journey#check');
    await view(page, 'One question').click();
    const pick = (index: number) => page.getByLabel('Question', { exact: true }).selectOption({ index });
    const bar = page.getByRole('region', { name: 'Changes not applied' });
    await pick(2);
    const answers = page.getByRole('group', { name: 'Answers to question 3' });
    // In the second gap: three students put the other word there.
    const gap = answers.getByRole('region', { name: 'Gap 2: Wrong' }).locator('[data-bundle]').first();
    await gap.click();
    await expect(margin(page).getByText(/^Gap 2: “deposits”$/)).toBeVisible();
    await page.keyboard.press('a');
    await expect(bar.getByText(/^3 scores go up, 19 stay/)).toBeVisible();
    // Keys go from bundle to bundle, also from one gap to the next.
    await gap.focus();
    await page.keyboard.press('ArrowDown');
    await expect(margin(page).getByText(/^Gap 2: “erodes”$/)).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    await expect(margin(page).getByText(/^Gap 3: “[^”]*”$/)).toBeVisible();

    await pick(6);
    const atOnce = page.getByRole('region', { name: 'Class overview' });
    await atOnce
      .getByRole('button', { name: /it does not say/ })
      .first()
      .click();
    await pick(5);
    await atOnce.getByRole('button', { name: '“silting” to “wears away”: 3 students' }).click();
    await expect(margin(page).getByText('“silting” to “wears away”, 3 students')).toBeVisible();
    await page.keyboard.press('a');
    await expect(bar.getByText('2 changes not applied')).toBeVisible();
    await page.keyboard.press('p');
    await margin(page).getByRole('button', { name: 'Accept for 50%', exact: true }).click();
    await expect(page.getByText(/A thing is right in a box or it is not/)).toBeVisible();

    await page.keyboard.press('Escape');
    await bar.getByRole('button', { name: 'See who' }).click();
    const waits = margin(page).getByRole('list', { name: 'Not applied yet' }).getByRole('listitem');
    await expect(waits).toHaveText([
      /Accept Gap 2: “deposits”, question 3/,
      /Accept “silting” to “wears away”, 3 students, question 6/,
    ]);
    await expectAccessibleHere(page, 'what waits');
    await waits
      .first()
      .getByRole('button', { name: /^Discard/ })
      .click();
    await expect(waits).toHaveCount(1);
    await expect(bar.getByText('1 change not applied')).toBeVisible();
    await waits
      .first()
      .getByRole('button', { name: /^Discard/ })
      .click();
    await expect(bar).toHaveCount(0);
  },
);
