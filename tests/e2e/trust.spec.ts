import { come, unfold } from './come';
import type { Page } from '@playwright/test';
import { checkRow, expect, goTo, openDemo, pageOf, putIntoEffect, saved, test } from './support';

/** What a teacher has to be able to rely on: a press does what it says, and undoing undoes just that. */

const margin = (page: Page) => page.getByRole('complementary', { name: 'Margin' });
const bar = (page: Page) => page.getByRole('region', { name: 'Changes not applied' });
const total = async (page: Page, name: string) => (await checkRow(page, name)).at(-1);
const acceptFloodPlain = async (page: Page) => {
  await page
    .getByRole('button', { name: /^Question 4: wrong.*“flood plain”/ })
    .first()
    .click();
  await page.keyboard.press('a');
  await expect(bar(page).getByText(/5 scores go up/)).toBeVisible();
};

test('after Apply to all, Ctrl Z takes the applying back: scores and draft are as before it', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await acceptFloodPlain(page);
  await bar(page).getByRole('button', { name: 'Apply to all' }).click();
  await expect.poll(() => total(page, 'Nora Pool')).toBe('10');
  await page.keyboard.press('Control+z');
  await expect.poll(() => total(page, 'Nora Pool')).toBe('8 →would be 10');
  await expect(bar(page).getByText(/5 scores go up/)).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect.poll(() => total(page, 'Nora Pool')).toBe('10');
});

test('a notice undoes its own step, not what was done since', async ({ page }) => {
  await openDemo(page, 'write');
  await page.getByRole('button', { name: 'Question 2', exact: true }).click();
  await page.getByRole('button', { name: 'Delete question 2' }).click();
  await expect(page.getByText(/^Draft: 7 questions/)).toBeVisible();
  const notice = page.getByRole('button', { name: 'Undo', exact: true }).last();
  await expect(notice).toBeVisible();
  await page.getByLabel('Title of the quiz').fill('Rivers and floods');
  await saved(page);
  await notice.click();
  await expect(page.getByText(/8 questions · 12 points/)).toBeVisible();
  await expect(page.getByLabel('Title of the quiz')).toHaveValue('Rivers and floods');
});

test('what was applied is what was shown: a change in another tab is seen first', async ({
  page,
  context,
}) => {
  await openDemo(page, 'check');
  await acceptFloodPlain(page);
  const other = await context.newPage();
  await openDemo(other, 'write');
  await other.getByRole('button', { name: 'Question 2', exact: true }).click();
  await other.getByLabel('Another right answer').fill('lagoon');
  await other.keyboard.press('Enter');
  await saved(other);
  await page.bringToFront();
  // The bar tells of both before they can be applied.
  await expect(bar(page).getByText('2 changes not applied')).toBeVisible();
  await expect(bar(page).getByText(/scores? goe?s? up/)).not.toHaveText(/^5 scores go up/);
  await bar(page).getByRole('button', { name: 'Apply to all' }).click();
  await expect(bar(page)).toHaveCount(0);
});

test('an own score as it may be typed, and what is not taken for one', async ({ page }) => {
  await openDemo(page, 'check');
  const field = margin(page).getByLabel('Your own points');
  await page.getByRole('button', { name: 'Question 8: not marked yet, “scraping”' }).click();
  await page.keyboard.press('h');
  for (const typed of ['-1', '2,x', 'two']) {
    await field.selectText();
    await page.keyboard.type(typed);
    await expect(page.getByText('not a number from 0 to 1000')).toBeVisible();
    await expect(margin(page).getByRole('button', { name: 'Save this score' })).toBeDisabled();
    await page.keyboard.press('Enter');
    expect(await total(page, 'Karl Mead')).toBe('+2 not marked yet4');
  }
  await page.keyboard.press('Escape');
  for (const [typed, kept] of [
    ['1/2', '0.5'],
    ['1,5', '1.5'],
  ] as const) {
    await page
      .getByRole('row', { name: /Karl Mead/ })
      .getByRole('button', { name: /^Question 8/ })
      .click();
    await page.keyboard.press('h');
    // The field is ready to be written over: what stood in it does not stay in front.
    await page.keyboard.type(typed);
    await page.keyboard.press('Enter');
    await expect.poll(() => total(page, 'Karl Mead')).toBe(String(4 + Number(kept)));
  }
});

test('a hand that is quicker than the margin loses no key: points, a share, and a press that accepts', async ({
  page,
}) => {
  // What the margin asks for comes late, as on a slow machine.
  await page.addInitScript(() => {
    const send = Reflect.get(Worker.prototype, 'postMessage') as (...given: unknown[]) => void;
    Worker.prototype.postMessage = function late(this: Worker, ...given: unknown[]) {
      const isSlow = JSON.stringify(given[0] ?? null).includes('openAnswer');
      setTimeout(() => send.apply(this, given), isSlow ? 900 : 0);
    };
  });
  await openDemo(page, 'check');
  const cell = (name: string, question: number) =>
    page
      .getByRole('row', { name: new RegExp(name) })
      .getByRole('button', { name: new RegExp(`^Question ${question}:`) });
  await cell('Karl Mead', 8).click();
  await page.keyboard.press('h');
  await page.keyboard.type('1/3');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('2');
  await page.keyboard.press('Enter');
  await expect.poll(() => total(page, 'Karl Mead')).toBe('4.5');
  // A share of the points: what stands in the field is written over.
  await page
    .getByRole('button', { name: /^Question 4: wrong.*“flood plain”/ })
    .first()
    .click();
  await page.keyboard.press('p');
  await page.keyboard.type('30');
  await page.keyboard.press('Enter');
  await expect(bar(page).getByText('1 change not applied')).toBeVisible();
  await expect.poll(() => total(page, 'Nora Pool')).toBe('8 →would be 8.6');
  await page.keyboard.press('Control+z');
  await expect(bar(page)).toHaveCount(0);
  // Accepted, and on by an arrow, before the answer was there.
  await page
    .getByRole('button', { name: /^Question 4: wrong.*“flood plain”/ })
    .first()
    .click();
  await page.keyboard.press('a');
  await page.keyboard.press('ArrowRight');
  await expect(bar(page).getByText(/5 scores go up/)).toBeVisible();
  await expect(margin(page).getByText(/question 5$/)).toBeVisible();
});

test(
  'a file without times: nobody is late by it, before closing and after',
  { tag: '@long' },
  async ({ page }) => {
    await openDemo(page, 'plan');
    await page.getByLabel('What late work loses').selectOption({ index: 1 });
    await page.getByRole('button', { name: /^Open · closes/ }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Late work' }).click();
    await dialog.getByLabel(/^Due/).fill('2020-01-01T08:00');
    await dialog.getByLabel('Open from').fill('2019-12-01T08:00');
    await dialog.getByRole('button', { name: 'Change the times' }).click();
    await goTo(page, 'Tray');
    const text = 'Student,Number,Q1,Q2\nYann Isle,825,upper course,oxbow lake\n';
    const csv = { name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from(text) };
    await page.getByLabel('Answer file', { exact: true }).setInputFiles(csv);
    await expect(dialog.getByText('Yann Isle 3 of 12')).toBeVisible();
    await page.getByRole('button', { name: 'Import 1 paper' }).click();
    await goTo(page, 'Check');
    await expect.poll(() => total(page, 'Yann Isle')).toBe('3');
    await page.getByRole('button', { name: /^Open · closes/ }).click();
    await page.getByRole('button', { name: 'Close now' }).click();
    await expect(page.getByRole('banner').getByRole('button', { name: /^Closed/ })).toBeVisible();
    await expect.poll(() => total(page, 'Yann Isle')).toBe('3');
  },
);

test('the Open dialog shows what is set, and what other times would change before they hold', async ({
  page,
}) => {
  await openDemo(page, 'plan');
  await page.getByRole('button', { name: /^Open · closes/ }).click();
  const dialog = page.getByRole('dialog', { name: 'This quiz is open' });
  await expect(dialog.getByText('Europe/Berlin')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Change the times' })).toBeDisabled();
  const until = await dialog.getByLabel('Until', { exact: true }).inputValue();
  expect(until).toMatch(/T16:00$/);
  await dialog.getByLabel('Until', { exact: true }).fill('2099-01-01T08:00');
  await expect(dialog.getByRole('status')).toHaveText(/^No score would change\.$/);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Open · closes/ }).click();
  await expect(page.getByLabel('Until', { exact: true })).toHaveValue(until);
});

test('a date to come is scheduled, said, and can be called off', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByRole('button', { name: /^Open to students/ }).click();
  await page.getByLabel('Open from').fill('2099-01-01T08:00');
  await page.getByLabel('Until', { exact: true }).fill('2099-01-02T08:00');
  await page.getByRole('button', { name: 'Schedule it' }).click();
  await expect(page.getByText(/^The quiz opens on .*1 Jan 2099, 08:00/)).toBeVisible();
  await page
    .getByRole('banner')
    .getByRole('button', { name: /^Opens/ })
    .click();
  await page.getByRole('button', { name: 'Don’t open it' }).click();
  await expect(page.getByRole('banner').getByRole('button', { name: /^Open to students/ })).toBeVisible();
});

test('an option without text or picture never reaches a student', { tag: '@long' }, async ({ page }) => {
  await openDemo(page, 'write');
  await page.getByRole('button', { name: 'Question 1', exact: true }).click();
  await page.getByRole('button', { name: /another option/i }).click();
  await saved(page);
  await bar(page).getByRole('button', { name: 'Apply to all' }).click();
  await expect(bar(page)).toHaveCount(0);
  await goTo(page, 'Tray');
  const sit = await pageOf(page, 'Zoe Mere');
  await sit.getByRole('button', { name: 'Begin' }).click();
  await expect(sit.getByRole('radiogroup').getByRole('radio')).toHaveCount(3);
});

test('“Show to all” says that it holds for later hand-ins, and asks while the quiz is open', async ({
  page,
}) => {
  await openDemo(page, 'plan');
  await page.getByRole('radio', { name: /^Everything when I choose/ }).click();
  expect(await putIntoEffect(page)).toContain('from 24 students');
  await goTo(page, 'Hand back');
  await page.getByRole('button', { name: 'Show to all' }).click();
  const dialog = page.getByRole('dialog', { name: 'Show to all while the quiz is open?' });
  await expect(dialog).toContainText(/later|hand in/);
  await page.keyboard.press('Escape');
  await expect(page.getByText('Some results are shown to 0 of 24 students.')).toBeVisible();
});

test('a link is typed letter by letter, and taken when it is whole; an address in the name’s field is the address', async ({
  page,
}) => {
  await openDemo(page, 'write');
  await page.getByRole('button', { name: 'Question 2', exact: true }).click();
  const hand = page.getByRole('region', { name: 'Question 2 in hand' });
  const told = page.getByText(/was not saved/);
  await come(hand, 'Feedback for meander');
  await hand.getByRole('button', { name: 'Add a link for meander', exact: true }).click();
  await page.keyboard.type('Bends, page 3');
  await page.keyboard.press('Tab');
  await page.keyboard.type('https://rivers.example/bends?page=3');
  await expect(hand.getByLabel('Link address for meander')).toHaveValue(
    'https://rivers.example/bends?page=3',
  );
  await page.keyboard.press('Enter');
  const link = hand.getByRole('link', { name: 'Bends, page 3' });
  await expect(link).toHaveAttribute('href', 'https://rivers.example/bends?page=3');
  await expect(hand.getByRole('button', { name: 'Change the link for meander' })).toBeFocused();
  await saved(page);

  // Another one, whose address is typed into the first field at hand, without its beginning.
  await (await come(hand, 'Feedback for meander')).focus();
  await hand.getByRole('button', { name: 'Add another link for meander' }).click();
  await page.keyboard.type('www.rivers.example/floods');
  await page.keyboard.press('Enter');
  await expect(hand.getByRole('link', { name: 'https://www.rivers.example/floods' })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Question 2', exact: true }).click();
  await expect(link).toHaveAttribute('href', 'https://rivers.example/bends?page=3');
  await expect(told).toHaveCount(0);

  // What is no address stays in the field and is named; left, it is said not to be saved.
  await (await come(hand, 'Feedback for meander')).focus();
  await hand.getByRole('button', { name: 'Add another link for meander' }).click();
  await page.keyboard.press('Tab');
  await page.keyboard.type('the library');
  await page.keyboard.press('Tab');
  await expect(hand.getByText('A link begins with http://, https:// or mailto:')).toBeVisible();
  await page.getByRole('button', { name: 'Question 3', exact: true }).click();
  await expect(told).toBeVisible();
});

test('keys on Check: A, then the next answer; undo takes it back; a letter in a field is a letter', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await page.getByLabel('Find a student').fill('a');
  await page.getByLabel('Find a student').press('h');
  await expect(page.getByLabel('Your own points')).toHaveCount(0);
  await page.getByLabel('Find a student').fill('');
  await acceptFloodPlain(page);
  await page.keyboard.press('Control+z');
  await expect(bar(page)).toHaveCount(0);
});

test('the server compresses what it sends, and answers for known hosts only', async ({
  request,
  baseURL,
}) => {
  for (const coding of ['br', 'gzip'] as const) {
    const page = await request.get('/', { headers: { 'accept-encoding': coding } });
    expect(page.headers()['content-encoding']).toBe(coding);
    expect(await page.text()).toContain('<title>Shelf · Yentrel</title>');
    const [, script = ''] = /href="(\/_astro\/[^"]+\.js)"/.exec(await page.text()) ?? [];
    const piece = await request.get(script, { headers: { 'accept-encoding': coding } });
    expect(piece.headers()['content-encoding']).toBe(coding);
    expect(piece.headers()['cache-control']).toContain('immutable');
  }
  const plain = await request.get('/', { headers: { 'accept-encoding': 'identity' } });
  expect(plain.headers()['content-encoding']).toBeUndefined();
  const same = await request.get('/', {
    headers: {
      'accept-encoding': 'br',
      'if-none-match':
        (await request.get('/', { headers: { 'accept-encoding': 'br' } })).headers()['etag'] ?? '',
    },
  });
  expect(same.status()).toBe(304);
  const { port } = new URL(baseURL ?? '');
  const own = await request.get('/', { headers: { host: `localhost:${port}` } });
  expect(own.status()).toBe(200);
  const foreign = await request.get('/', { headers: { host: `elsewhere.example:${port}` } });
  expect(foreign.status()).toBe(421);
  expect(await foreign.text()).toContain('ALLOWED_HOSTS');
});

test('figures in fields have the reader’s decimal sign, and stay what they are', async ({ browser }) => {
  const context = await browser.newContext({ locale: 'de-DE', timezoneId: 'Europe/Berlin' });
  const page = await context.newPage();
  await openDemo(page, 'write');
  const points = page.getByLabel('Points', { exact: true });
  await unfold(page, 'Rules of this question');
  await points.fill('2,5');
  await saved(page);
  await page.reload();
  await unfold(page, 'Rules of this question');
  await expect(points).toHaveValue('2,5');
  await points.fill('1.25');
  await saved(page);
  await page.reload();
  await unfold(page, 'Rules of this question');
  await expect(points).toHaveValue('1,25');
  await context.close();
});
