import { madeUpTicket } from '@/core/madeUp/tickets';
import { takeRow } from './come';
import { DEMO, expect, newQuiz, openDemo, saved, test } from './support';

/** Parts that do not come: what needs them says so, and comes once they do. */

test.use({ allowedErrors: [/Failed to load resource|ERR_FAILED/] });

test('a word list that is not there is said on each desk that needs it, and loaded once it is', async ({
  page,
  context,
}) => {
  await context.route('**/words/*.bin', (route) => route.fulfill({ status: 404, body: 'none' }));
  await page.goto('/');
  const row = page.getByRole('listitem').filter({ hasText: 'How rivers shape the land' });
  await expect(row.getByText('not counted: a word list is missing')).toBeVisible();
  await page.goto(`${DEMO}#check`);
  await expect(page.getByText('A word list that marking needs could not be loaded.').first()).toBeVisible();
  await page.goto('/');
  await expect(row.getByText('not counted: a word list is missing')).toBeVisible();
  await context.unroute('**/words/*.bin');
  await row.getByRole('button', { name: 'Try again' }).click();
  await expect(row.getByText('24 of 26 handed in')).toBeVisible();
});

test('a word list that is still being made comes without a press', async ({ page, context }) => {
  let asked = 0;
  await context.route('**/words/*.bin', (route) =>
    ++asked < 2 ? route.fulfill({ status: 503, body: 'being made' }) : route.continue(),
  );
  await openDemo(page, 'check');
  await expect(page.getByText(/is still being made/).first()).toBeVisible();
  await expect(page.getByText('24 papers marked, 3 answers to mark')).toBeVisible();
});

for (const [what, how] of [
  ['is missing', 404],
  ['cannot be reached', null],
] as const)
  test(`a worker whose file ${what} is said, and started anew by the next try`, async ({ page, context }) => {
    await context.route(/\.worker-[^/]*\.js$/, (route) =>
      how === null ? route.abort() : route.fulfill({ status: how, body: 'none' }),
    );
    await openDemo(page, 'check');
    await expect(page.getByText(/^A part of Yentrel could not be loaded/).first()).toBeVisible();
    const sit = await context.newPage();
    await sit.goto(`/sit/?quiz=demo-rivers&ticket=${madeUpTicket('demo-25')}`);
    await expect(sit.getByRole('button', { name: 'Try again' })).toBeVisible();
    await context.unroute(/\.worker-[^/]*\.js$/);
    await sit.getByRole('button', { name: 'Try again' }).click();
    await expect(sit.getByRole('button', { name: 'Begin' })).toBeVisible();
    await page.bringToFront();
    await page.getByRole('button', { name: 'Try again' }).first().click();
    await expect(page.getByText('24 papers marked, 3 answers to mark')).toBeVisible();
  });

test('a pattern is tried by a part that comes when it is asked for; where it does not come, the paper waits for it', async ({
  page,
  context,
}) => {
  await newQuiz(page, 'Beside rivers', 'Word or phrase');
  const hand = page.getByRole('region', { name: 'Question 1 in hand' });
  await hand.getByRole('textbox', { name: 'Text of question 1' }).click();
  await page.keyboard.type('What is the flat land beside a river called?');
  await hand.getByLabel('Another right answer').click();
  await page.keyboard.type('flood ?plains?');
  await page.keyboard.press('Enter');
  await takeRow(hand, 'flood ?plains?');
  await hand.locator('select').filter({ hasText: 'as a pattern' }).first().selectOption('pattern');
  await saved(page);
  await context.route(/patternEngine[^/]*\.js$/, (route) => route.abort());
  const [sit] = await Promise.all([
    context.waitForEvent('page'),
    page.getByRole('link', { name: 'Try it as a student' }).first().click(),
  ]);
  await sit.getByRole('button', { name: 'Begin' }).click();
  await sit.getByRole('textbox').click();
  await sit.keyboard.type('floodplain');
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await sit.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(sit.getByRole('heading', { name: 'Handed in' })).toBeVisible();
  await expect(sit.getByText('Everything saved is kept.')).toBeVisible();
  await context.unroute(/patternEngine[^/]*\.js$/);
  await sit.getByRole('button', { name: 'Try again' }).click();
  await expect(sit.getByText('1 of 1').first()).toBeVisible();
});
