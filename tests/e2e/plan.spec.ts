import type { Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import {
  expect,
  finer,
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
import { come } from './come';

const lanes = (page: Page) =>
  page.getByRole('list', { name: 'Who can take the quiz when' }).getByRole('listitem');
const leaks = (page: Page) => page.getByRole('list', { name: 'Warnings' });
const station = (page: Page) =>
  page.getByRole('navigation', { name: 'Desks' }).getByRole('link', { name: /Plan/ });
const then = (page: Page) => page.getByRole('region', { name: 'What the student sees then' });

test(
  'two groups on two days and an exception: the leak and its remedy, and what each sees at another time',
  { tag: '@long' },
  async ({ page }) => {
    await newQuiz(page, 'Two days', 'Word or phrase');
    await page.getByLabel('Another right answer').fill('CANARY form');
    await page.keyboard.press('Enter');
    await (await come(page, 'Feedback for wrong answers')).fill('CANARY feedback');
    await (await come(page, 'Explanation')).fill('CANARY explanation');
    await saved(page);
    await goTo(page, 'Plan');
    await page.getByRole('button', { name: 'Draw it on a time line' }).click();
    await expect(lanes(page)).toHaveCount(1);
    await timesFor(page, '8C blue', -1, 1);
    await timesFor(page, '8C green', 2, 3);
    await timesFor(page, 'Bela Fenn', 2, 4);
    await expect(lanes(page)).toHaveCount(3);
    await expect(lanes(page).filter({ hasText: '8C blue' })).toContainText('13 students');
    await expect(lanes(page).filter({ hasText: 'Bela Fenn' })).toBeVisible();

    // The usual plan gives nothing of the key away, whatever the windows are: hints stand in one quiet line.
    await expect(page.getByText(/can be passed on to 26 students who can still hand in\./)).toBeVisible();
    await expect(leaks(page)).toHaveCount(0);
    await expect(station(page)).not.toContainText('warning');
    // The right answers on hand-in do, and a strict teacher is warned of the rest as well.
    await page.getByRole('radio', { name: /^Everything on hand-in/ }).check();
    expect(await putIntoEffect(page)).toContain('For 26 students something comes at another time.');
    await expect(station(page)).toContainText(/\d warnings/);
    await expect(leaks(page).getByRole('listitem').first()).toContainText('see the right answers');
    await page.getByRole('button', { name: 'Be strict: warn of this too' }).click();
    const told = leaks(page)
      .getByRole('listitem')
      .filter({ hasText: /^8C blue.* could pass answers on to Bela Fenn\./ });
    await expect(told).toContainText(
      'the right answers, feedback, what was right and wrong, and the questions',
    );
    await expectAccessibleHere(page, 'the reveal plan with leaks');
    await leaks(page)
      .getByRole('button', { name: /^Show them after closing/ })
      .first()
      .click();
    await expect(leaks(page)).toHaveCount(0);
    await expect(page.getByLabel('Feedback with its links appears', { exact: true })).toHaveValue(
      'allClosed all',
    );
    // Blue can sit already: what is changed says whom it concerns, and waits.
    await expect(page.getByText('Not applied yet.')).toBeVisible();
    expect(await putIntoEffect(page)).toContain('For 26 students something comes at another time.');

    // A condition more, a delay, a filter.
    await page
      .getByLabel('The right answers and explanations appear: how much later', { exact: true })
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
    await goTo(page, 'Plan');
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
  await goTo(page, 'Plan');
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
    await goTo(page, 'Plan');
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
    await finer(page);
    const mark = grip(page, '8C blue: right answers');
    await mark.press('ArrowRight');
    await expect(
      page.getByLabel('The right answers and explanations appear: how much later', { exact: true }),
    ).not.toHaveValue('null');
    await expect(changes(page)).toContainText('For 26 students something comes at another time.');
    // Beside a sentence stands when that is, where it is one time for all.
    const sentence = page
      .getByRole('listitem')
      .filter({ hasText: 'The right answers and explanations appear' });
    await expect(sentence.getByText(/^\w{3}.*\d\d:\d\d$/)).toBeVisible();
    await page.getByLabel('The right answers and explanations appear', { exact: true }).selectOption('closed'); // prettier-ignore
    await expect(sentence.getByText(/^\w{3}.*\d\d:\d\d$/)).toHaveCount(0);
    await changes(page).getByRole('button', { name: 'Discard changes' }).click();
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

    await goTo(page, 'Plan');
    await finer(page);
    await page.getByLabel('Whose plan is shown').selectOption({ label: '8C blue' });
    await page.getByRole('button', { name: /^Make an exception ?: The score appears/ }).click();
    await page.getByLabel('The score appears', { exact: true }).selectOption('closed');
    await expectAccessibleHere(page, 'a plan of its own');
    expect(await putIntoEffect(page)).toContain('It hides score from 1 student.');
    await page.getByLabel('Whose plan is shown').selectOption('');
    await expect(page.getByText('Exceptions for 8C blue')).toBeVisible();
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

    // A warning is ignored, and shown again.
    await page.getByRole('radio', { name: /^Everything on hand-in/ }).check();
    await putIntoEffect(page);
    await expect(leaks(page)).toBeVisible();
    await page.getByRole('button', { name: /^Ignore/ }).last().click(); // prettier-ignore
    await expect(leaks(page)).toHaveCount(0);
    await expect(page.getByText(/ignored warnings?\./)).toBeVisible();
    await page.getByRole('button', { name: /^Show (it|them) again$/ }).click();
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
  await finer(page);
  await finer(other);
  await other.getByLabel('Feedback with its links appears', { exact: true }).selectOption('never');
  await page.bringToFront();
  await page.getByLabel('The score appears', { exact: true }).selectOption('never');
  await expect(changes(page)).toBeVisible();
  await other.bringToFront();
  await putIntoEffect(other);
  await page.bringToFront();
  await changes(page).getByRole('button', { name: 'Apply' }).click();
  await expect(page.getByText('Another tab changed the plan meanwhile.')).toBeVisible();
  await expect(page.getByLabel('The score appears', { exact: true })).toHaveValue('never');
  await putIntoEffect(page);
  await expect(other.getByLabel('The score appears', { exact: true })).toHaveValue('never');
});
