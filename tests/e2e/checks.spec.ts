import { expectAccessibleHere } from './accessible';
import { expect, newQuiz, saved, test } from './support';
import { come } from './come';

test(
  'what each way of part credit would give is seen before one is chosen; kept checks speak up and are mended',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await newQuiz(page, 'Ways of the river', 'Pick several');
    const hand = page.getByRole('region', { name: 'Question 1 in hand' });
    await hand.getByRole('textbox', { name: 'Text of question 1' }).fill('Which are built up?');
    await hand.getByLabel('Option 1', { exact: true }).fill('delta');
    for (const name of ['levee', 'gorge', 'waterfall', 'cave']) {
      await page.keyboard.press('Enter');
      await page.keyboard.type(name);
    }
    await hand.getByRole('button', { name: 'delta is right' }).click();
    await hand.getByRole('button', { name: 'levee is right' }).click();
    await (await come(hand, 'Points')).fill('2');
    const margin = page.getByRole('complementary', { name: 'Margin' });

    // Two answers are kept, with what they earn now: one right pick and a wrong one 0, one right pick 1.
    const keep = margin.getByRole('button', { name: 'Save as a test answer' });
    await margin.getByRole('checkbox', { name: 'delta' }).check();
    await margin.getByRole('checkbox', { name: 'gorge' }).check();
    await expect(margin.getByText('0 of 2', { exact: true })).toBeVisible();
    await keep.click();
    await margin.getByRole('checkbox', { name: 'levee' }).check();
    await expect(margin.getByText('1 of 2', { exact: true })).toBeVisible();
    await keep.click();
    const checks = margin.getByRole('list', { name: 'Test answers' });
    await expect(checks.getByText('as expected')).toHaveCount(2);

    // The made-up class, and what other ways would give the same answers.
    await expect(
      margin.getByRole('heading', { name: '26 made-up students under these rules' }),
    ).toBeVisible();
    await expect(margin.getByText(/^mean [\d.]+ of 2/)).toBeVisible();
    const ways = margin.getByRole('table', { name: 'Other methods would give' });
    const way = (words: string) => ways.getByRole('row').filter({ hasText: words });
    await expect(way('right picks earn, wrong ones cost (now)')).toBeVisible();
    const mean = async (words: string) => Number(await way(words).getByRole('cell').first().textContent());
    // They follow the last change of the rules a moment later.
    await expect
      .poll(async () => (await mean('all or nothing')) < (await mean('right picks earn, wrong ones cost')))
      .toBe(true);
    await expect
      .poll(
        async () => (await mean('each option counts')) > (await mean('right picks earn, wrong ones cost')),
      )
      .toBe(true);
    await expect(way('all or nothing')).toContainText(/\d+ lower/);
    await expect(way('each option counts')).toContainText(/\d+ higher/);
    const promised = await mean('each option counts');
    await expectAccessibleHere(page, 'checks and ways of part credit');

    // Chosen, it gives what it was said to give, and both checks are told as not met.
    await ways.getByRole('button', { name: 'each option counts, picked or left' }).click();
    await expect(margin.getByText('You wanted 0 of 2; now it earns 1.2.')).toBeVisible();
    await expect(margin.getByText('You wanted 1 of 2; now it earns 1.6.')).toBeVisible();
    await expect(margin.getByText(`mean ${promised} of 2, before your last change`)).toBeVisible();
    await expect(hand.getByLabel('Partial credit')).toHaveValue('everyOption');
    await saved(page);
    await expect(margin.getByText('2 checks are not met')).toBeVisible();

    // They survive a reload, and speak up from beside the folded question too.
    await page.reload();
    await expect(margin.getByText('You wanted 0 of 2; now it earns 1.2.')).toBeVisible();
    await page.getByRole('button', { name: 'Next question: pick several' }).click();
    const about = page.getByRole('group', { name: 'About question 1' });
    await expect(about.getByText('1.2, not 0')).toBeVisible();
    await expect(about.getByText('2 checks are not met')).toBeVisible();

    // Mended: one by wanting what it earns now, the other by the rule.
    await page.getByRole('button', { name: 'Question 1', exact: true }).click();
    await checks.getByRole('button', { name: 'Expect 1.6 from now on' }).click();
    await expect(checks.getByText('as expected')).toHaveCount(1);
    await checks.getByRole('button', { name: 'Delete this test answer' }).last().click();
    await expect(checks.getByRole('button', { name: 'Delete this test answer' })).toHaveCount(1);
    await expect(margin.getByText('check is not met')).toHaveCount(0);
    await (await come(hand, 'Partial credit')).selectOption('rightMinusWrong');
    await expect(margin.getByText('You wanted 1.6 of 2; now it earns 1.')).toBeVisible();
    await checks.getByRole('button', { name: 'Expect 1 from now on' }).click();
    await expect(checks.getByText('as expected')).toHaveCount(1);
    await saved(page);
  },
);

test(
  'with real answers, the class’s own: what they earn under the rules of now and of before',
  { tag: '@long' },
  async ({ page }) => {
    await page.goto('/');
    await expect(page.getByText('24 of 26 handed in')).toBeVisible();
    await page.goto('/quiz/?id=demo-journey#write');
    await page.getByRole('button', { name: 'Question 1', exact: true }).click();
    const margin = page.getByRole('complementary', { name: 'Margin' });
    await expect(margin.getByRole('heading', { name: '22 answers under these rules' })).toBeVisible();
    const now = margin.getByText(/^mean [\d.]+ of 2/);
    const before = await now.textContent();
    const hand = page.getByRole('region', { name: 'Question 1 in hand' });
    await (await come(hand, 'Partial credit')).selectOption('allOrNothing');
    await expect(now).toContainText(
      `before your last change ${/mean ([\d.]+)/.exec(before ?? '')?.[1] ?? ''}`,
    );
  },
);
