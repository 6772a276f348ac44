import type { Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import {
  expect,
  goTo,
  inDays,
  newQuiz,
  openDemo,
  openIt,
  pageOf,
  putIntoEffect,
  saved,
  test,
  timesFor,
} from './support';

const lanes = (page: Page) =>
  page.getByRole('list', { name: 'Who can take the quiz when' }).getByRole('listitem');
const leaks = (page: Page) => page.getByRole('list', { name: 'What can be told too early' });
const then = (page: Page) => page.getByRole('region', { name: 'What the student sees then' });

test(
  'two groups on two days and an exception: the leak and its remedy, and what each sees at another time',
  { tag: '@long' },
  async ({ page }) => {
    await newQuiz(page, 'Two days', 'Word or phrase');
    await page.getByLabel('Another right answer').fill('CANARY form');
    await page.keyboard.press('Enter');
    await page.getByLabel('Feedback for wrong answers').fill('CANARY feedback');
    await page.getByLabel('Explanation', { exact: true }).fill('CANARY explanation');
    await saved(page);
    await goTo(page, 'Reveal plan');
    await expect(lanes(page)).toHaveCount(1);
    await timesFor(page, '8C blue', -1, 1);
    await timesFor(page, '8C green', 2, 3);
    await timesFor(page, 'Bela Fenn', 2, 4);
    await expect(lanes(page)).toHaveCount(3);
    await expect(lanes(page).filter({ hasText: '8C blue' })).toContainText('13 students');
    await expect(lanes(page).filter({ hasText: 'Bela Fenn' })).toBeVisible();

    // Feedback comes when blue hands in: blue can tell the others.
    const told = leaks(page)
      .getByRole('listitem')
      .filter({ hasText: /^8C blue.* can tell Bela Fenn\./ });
    await expect(told).toContainText('feedback, what was right and wrong and the questions');
    await expectAccessibleHere(page, 'the reveal plan with leaks');
    await leaks(page)
      .getByRole('button', { name: /^Hold it until everyone has closed/ })
      .first()
      .click();
    await expect(leaks(page)).toHaveCount(0);
    await expect(page.getByLabel('Feedback with its links appears', { exact: true })).toHaveValue(
      'allClosed all',
    );
    // Blue can sit already: what is changed says whom it concerns, and waits.
    await expect(page.getByText('Not in effect yet.')).toBeVisible();
    expect(await putIntoEffect(page)).toContain('For 26 students something comes at another time.');

    // A condition more, a delay, a filter.
    await page
      .getByLabel('The right answers and explanations appear, condition 2: how much later', { exact: true })
      .selectOption('1 hour later');
    await page.getByLabel('Feedback with its links appears: for which questions').selectOption('questions that were not fully right'); // prettier-ignore
    await expect(page.getByText('feedback for right answers')).toBeVisible();
    await putIntoEffect(page);

    await goTo(page, 'Tray');
    const sit = await pageOf(page, 'Ada Marsh');
    await sit.getByRole('button', { name: 'Begin' }).click();
    await sit.getByRole('textbox').fill('mine');
    await sit.getByRole('button', { name: 'Review and hand in' }).click();
    await sit.getByRole('button', { name: 'Hand in' }).click();
    await expect(sit.getByText('It has been received.')).toBeVisible();
    await expect(sit.getByText('CANARY')).toHaveCount(0);
    await page.bringToFront();
    await goTo(page, 'Reveal plan');
    await page.getByLabel('Which student').selectOption({ label: 'Ada Marsh' });
    const look = async (days: number) => page.getByLabel('At which time').fill(await inDays(page, days));
    await look(-0.5);
    await expect(then(page)).toContainText('The quiz is open, and not begun.');
    await look(0.1);
    await expect(then(page)).toContainText('0 of 1');
    await expect(then(page)).not.toContainText('CANARY');
    await look(3.9);
    await expect(then(page)).not.toContainText('CANARY');
    await look(4.01);
    await expect(then(page)).toContainText('CANARY feedback');
    await expect(then(page)).not.toContainText('CANARY form');
    await look(4.1);
    await expect(then(page)).toContainText('CANARY form');
    await expect(then(page)).toContainText('CANARY explanation');
    await page.getByLabel('Which student').selectOption({ label: 'Cato Weir' });
    await expect(then(page)).toContainText(/The quiz is not open for this student|has closed/);

    // Undone, green closes with everyone again.
    await page.getByRole('button', { name: 'Times for 8C green' }).click();
    await page.getByRole('button', { name: 'The same as everyone' }).click();
    await expect(page.getByRole('button', { name: 'Times for 8C green' })).toHaveCount(0);
  },
);

test('the plan on a phone: lanes, sentences, at another time', async ({ page }) => {
  await newQuiz(page, 'On a phone', 'True or false');
  await goTo(page, 'Reveal plan');
  await openIt(page);
  await page.setViewportSize({ width: 360, height: 740 });
  await expect(page.getByRole('heading', { name: 'At another time' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await expectAccessibleHere(page, 'the reveal plan on a phone');
});

/** What is changed after students can sit. */
const changes = (page: Page) => page.getByRole('region', { name: 'Changes to the plan' });
const moved = (page: Page) => page.getByRole('region', { name: 'Times that were moved' });
const grip = (page: Page, name: string) => page.getByRole('slider', { name, exact: true });

test(
  'on the line, ends of windows and marks are moved with the keys and by drag, with the effect first',
  { tag: '@long' },
  async ({ page }) => {
    await newQuiz(page, 'Moved', 'True or false');
    await page.getByRole('radio', { name: 'True', exact: true }).click();
    await saved(page);
    await goTo(page, 'Reveal plan');
    await timesFor(page, '8C blue', -1, 1);
    await timesFor(page, '8C green', 2, 3);
    const until = grip(page, '8C blue: until');
    const before = Number(await until.inputValue());
    await until.press('ArrowRight');
    await expect(moved(page)).toContainText('8C blue');
    await page.keyboard.press('ArrowRight');
    await moved(page).getByRole('button', { name: 'Leave them' }).click();
    await expect(moved(page)).toHaveCount(0);
    expect(Math.abs(Number(await until.inputValue()) - before)).toBeLessThan(900_000);

    await until.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    const wanted = Number(await until.inputValue());
    expect(wanted - before).toBeGreaterThan(900_000);
    await expectAccessibleHere(page, 'times that were moved');
    await moved(page).getByRole('button', { name: 'Set these times' }).click();
    await expect(page.getByText('Times set for 8C blue', { exact: true })).toBeVisible();
    await page.reload();
    await expect(until).toHaveValue(String(wanted));

    // By drag: green opens sooner.
    const from = grip(page, '8C green: open from');
    const opened = Number(await from.inputValue());
    const box = (await from.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
    const [low, high] = [Number(await from.getAttribute('min')), Number(await from.getAttribute('max'))];
    const x = box.x + 12 + ((box.width - 24) * (opened - low)) / (high - low);
    await page.mouse.move(x, box.y + 16);
    await page.mouse.down();
    await page.mouse.move(x - 30, box.y + 16, { steps: 4 });
    await page.mouse.up();
    expect(Number(await from.inputValue())).toBeLessThan(opened - 3_600_000);
    await moved(page).getByRole('button', { name: 'Set these times' }).click();
    await expect(moved(page)).toHaveCount(0);

    // A mark: the right answers come so much later.
    const mark = grip(page, '8C blue: right answers');
    await mark.press('ArrowRight');
    await expect(
      page.getByLabel('The right answers and explanations appear: how much later', { exact: true }),
    ).toHaveValue(JSON.stringify({ amount: 15, unit: 'minute' }));
    await expect(changes(page)).toContainText('For 26 students something comes at another time.');
    // Beside a sentence stands when that is, where it is one time for all.
    const sentence = page
      .getByRole('listitem')
      .filter({ hasText: 'The right answers and explanations appear' });
    await expect(sentence.getByText(/^\w{3}.*\d\d:\d\d$/)).toHaveCount(0);
    await page.getByLabel('The right answers and explanations appear', { exact: true }).selectOption('allClosed all'); // prettier-ignore
    await expect(sentence.getByText(/^\w{3}.*\d\d:\d\d$/)).toBeVisible();
    await changes(page).getByRole('button', { name: 'Leave the plan as it was' }).click();
    await expect(
      page.getByLabel('The right answers and explanations appear: how much later', { exact: true }),
    ).toHaveValue('null');
  },
);

test(
  'a plan of its own for one group, a leak that is let be, and another time zone',
  { tag: '@long' },
  async ({ page }) => {
    await newQuiz(page, 'Set apart', 'Word or phrase');
    await page.getByLabel('Another right answer').fill('silt');
    await page.keyboard.press('Enter');
    await saved(page);
    await openIt(page);
    await goTo(page, 'Tray');
    const sit = await pageOf(page, 'Ada Marsh');
    await sit.getByRole('button', { name: 'Begin' }).click();
    await sit.getByRole('textbox').fill('silt');
    await sit.getByRole('button', { name: 'Review and hand in' }).click();
    await sit.getByRole('button', { name: 'Hand in' }).click();
    await expect(sit.getByText('1 of 1')).toHaveCount(2);

    await goTo(page, 'Reveal plan');
    await page.getByLabel('Whose plan is shown').selectOption({ label: '8C blue' });
    await page.getByRole('button', { name: /^Set apart ?: The score appears/ }).click();
    await page.getByLabel('The score appears', { exact: true }).selectOption('closed');
    await expectAccessibleHere(page, 'a plan of its own');
    expect(await putIntoEffect(page)).toContain('It hides score from 1 student.');
    await page.getByLabel('Whose plan is shown').selectOption('');
    await expect(page.getByText('Set apart for 8C blue')).toBeVisible();
    await expect(page.getByLabel('The score appears', { exact: true })).toHaveValue('handedIn');
    await sit.bringToFront();
    await sit.reload();
    await expect(sit.getByText('It has been received.')).toBeVisible();
    // What is left is the question's own.
    await expect(sit.getByText('1 of 1')).toHaveCount(1);
    await page.bringToFront();
    await page.getByRole('button', { name: '8C blue', exact: true }).click();
    await page.getByRole('button', { name: /^As for everyone ?: The score appears/ }).click();
    expect(await putIntoEffect(page)).toContain('It shows score to 1 student at once.');
    await page.getByLabel('Whose plan is shown').selectOption('');

    // What can be told is let be, and named again.
    await expect(leaks(page)).toBeVisible();
    await page.getByRole('button', { name: /^let (all of it|it) be/ }).last().click(); // prettier-ignore
    await expect(leaks(page)).toHaveCount(0);
    await expect(page.getByText(/leaks? that you let be\./)).toBeVisible();
    await page.getByRole('button', { name: /^Name (it|them) again$/ }).click();
    await expect(leaks(page)).toBeVisible();

    // Closing names the exceptions, and a rule that would change scores says so first.
    await timesFor(page, 'Bela Fenn', -1, 9);
    await page.getByRole('banner').getByRole('button', { name: 'Open', exact: true }).click();
    await expect(page.getByRole('dialog').getByText('also closes it for Bela Fenn')).toBeVisible();
    await page.keyboard.press('Escape');
    const unfinished = page.getByLabel('Work that is not handed in when the quiz closes');
    await unfinished.selectOption('notCounted');
    const rule = page.getByRole('dialog', { name: 'Change the rule for unfinished work?' });
    await expect(rule.getByText('No score would change.')).toBeVisible();
    await rule.getByRole('button', { name: 'Cancel' }).click();
    await expect(unfinished).toHaveValue('taken');

    // Another zone keeps clock times, and says before what that does.
    await page.getByLabel('Time zone', { exact: true }).selectOption('Asia/Tokyo');
    const dialog = page.getByRole('dialog', { name: 'Times of Asia/Tokyo' });
    await expect(dialog.getByText('No score would change.')).toBeVisible();
    await expectAccessibleHere(page, 'another time zone');
    await dialog.getByRole('button', { name: 'Change the time zone' }).click();
    await expect(page.getByLabel('Time zone', { exact: true })).toHaveValue('Asia/Tokyo');
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
    await expect(page.getByLabel('Time zone', { exact: true })).not.toHaveValue('Asia/Tokyo');
  },
);

test('a plan that waits in one tab is still there when another tab was faster', async ({ page, context }) => {
  await openDemo(page, 'plan');
  const other = await context.newPage();
  await openDemo(other, 'plan');
  await other.getByLabel('Feedback with its links appears', { exact: true }).selectOption('never');
  await page.bringToFront();
  await page.getByLabel('The score appears', { exact: true }).selectOption('never');
  await expect(changes(page)).toBeVisible();
  await other.bringToFront();
  await putIntoEffect(other);
  await page.bringToFront();
  await changes(page).getByRole('button', { name: 'Put it into effect' }).click();
  await expect(page.getByText('Another tab changed the plan meanwhile.')).toBeVisible();
  await expect(page.getByLabel('The score appears', { exact: true })).toHaveValue('never');
  await putIntoEffect(page);
  await expect(other.getByLabel('The score appears', { exact: true })).toHaveValue('never');
});
