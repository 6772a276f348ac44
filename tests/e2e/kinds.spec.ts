import type { Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { fits } from './fits';
import { enter, sitEveryKind, writeEveryKind } from './everyKind';
import {
  anotherKind,
  checkRow,
  downloaded,
  expect,
  goTo,
  newQuiz,
  openIt,
  outAndIn,
  pageOf,
  saved,
  test,
} from './support';
import { come, tool } from './come';

const PHONE = { width: 360, height: 740 };

/** What each way of answering is worth by question; the written answer waits. */
const WORTH = {
  'Ada Marsh': ['1', '2', '1', '1', '1', '2', '3', '2', '4', '2', '1'],
  'Bela Fenn': ['0.5', '1', '1', '0.5', '0.5', '1', '2', '1', '2', '1', '1'],
  'Cato Weir': ['0', '0', '0', '0', '0', '0', '0', '0', '0', '0', '0'],
} as const;
const TOTALS = { 'Ada Marsh': '20', 'Bela Fenn': '11.5', 'Cato Weir': '0' } as const;
type Name = keyof typeof WORTH;
const NAMES = Object.keys(WORTH) as Name[];

async function allScores(page: Page): Promise<void> {
  for (const name of NAMES) {
    await expect
      .poll(async () => (await checkRow(page, name)).at(-1))
      .toBe(`+3 not marked yet${TOTALS[name]}`);
    const cells = (await checkRow(page, name)).slice(0, -1);
    expect(cells.length, 'no column for a note').toBe(12);
    WORTH[name].forEach((points, at) =>
      expect(cells[at], `${name}, question ${at + 1}`).toMatch(
        new RegExp(`^Question ${at + 1}: .*?\\b${points.replace('.', '\\.')} points?\\b`),
      ),
    );
    expect(cells.at(-1)).toContain('Question 12: not marked yet');
  }
}

test('a note is no question: one count in Write, on the cover, the pages, the review, Check and the Shelf', async ({
  page,
}) => {
  await newQuiz(page, 'The Alder', 'True or false');
  const text = (called: string) => page.getByRole('textbox', { name: `Text of ${called}`, exact: true });
  const right = page.getByRole('button', { name: 'True is right' });
  await text('question 1').click();
  await page.keyboard.type('A river has one mouth.');
  await right.click();
  await anotherKind(page, 'Note');
  await expect(text('note 1')).toBeFocused();
  await page.keyboard.type('Now look at the map.');
  await anotherKind(page, 'True or false');
  await page.keyboard.type('The Alder flows north.');
  await expect(text('question 2')).toHaveText('The Alder flows north.');
  await right.click();
  await saved(page);
  await expect(page.getByText('2 questions · 2 points')).toBeVisible();
  await page.getByRole('button', { name: 'Move note 1' }).press('ArrowUp');
  await expect(page.getByText('Note 1 was moved')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();

  await openIt(page);
  await goTo(page, 'Tray');
  const sit = await pageOf(page, 'Ada Marsh');
  await expect(sit.getByText(/^2 questions, 2 points/)).toBeVisible();
  await sit.getByRole('button', { name: 'Begin' }).click();
  await expect(sit.getByText('Question 1 of 2')).toBeVisible();
  await sit.getByRole('radio', { name: 'True' }).check();
  await sit.getByRole('button', { name: 'Next' }).click();
  await expect(sit.getByText('To read, nothing to answer')).toBeVisible();
  await sit.getByRole('button', { name: 'Next' }).click();
  await expect(sit.getByText('Question 2 of 2')).toBeVisible();
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await expect(sit.getByText('1 question has no answer yet:')).toBeVisible();
  await expect(sit.getByRole('button', { name: '2 The Alder flows north.' })).toBeVisible();
  await sit.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(sit.getByText('It has been received.')).toBeVisible();
  await page.bringToFront();
  await goTo(page, 'Check');
  await expect(page.getByRole('button', { name: /^Question 2: no answer/ })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('listitem').filter({ hasText: 'The Alder' })).toContainText('2 questions');
});

test(
  'a question of every kind: written by keys alone, sat on a phone, marked, handed back, out and in as files',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(240_000);
    await page.goto('/');
    await expect(page.getByText('24 of 26 handed in')).toBeVisible();
    await writeEveryKind(page);
    await page.reload();
    await expect(page.getByText('12 questions · 23 points')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Question 12', exact: true })).toBeVisible();
    await expect(page.getByText('Full marks cannot be reached')).toHaveCount(0);
    await expectAccessible(page, 'a quiz of every kind');

    await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
    await page.getByRole('checkbox', { name: 'It stays open until I close it' }).check();
    await page.getByRole('button', { name: 'Open it' }).click();
    await goTo(page, 'Tray');
    // The first by keys, the others by touch.
    for (const [name, way, press] of [
      ['Ada Marsh', 'right', enter],
      ['Bela Fenn', 'half', (thing) => thing.click()],
      ['Cato Weir', 'wrong', (thing) => thing.click()],
    ] as const satisfies readonly (readonly [Name, string, typeof enter])[]) {
      const sitting = await pageOf(page, name);
      await sitting.setViewportSize(PHONE);
      await sitEveryKind(sitting, way, press);
      await sitting.close();
      await page.bringToFront();
    }

    await goTo(page, 'Check');
    await allScores(page);

    // The slip says what came of it, question by question.
    await page.getByRole('button', { name: /^Open(?! a door)/ }).click();
    await page.getByRole('button', { name: 'Close now' }).click();
    await goTo(page, 'Tray');
    const slip = await pageOf(page, 'Cato Weir', 'Results');
    await slip.setViewportSize(PHONE);
    await expect(slip.getByText('A delta is built, not cut.')).toBeVisible();
    await expect(slip.getByText('Which bank has the longer way?')).toBeVisible();
    await expect(slip.getByText('Read this first')).toHaveCount(0);
    await slip.close();

    // Answers of every kind out as a file and in again: nothing has changed.
    await goTo(page, 'Hand back');
    const answers = await downloaded(page, () =>
      page.getByRole('button', { name: 'Answers as CSV' }).click(),
    );
    await goTo(page, 'Tray');
    await page.getByLabel('Answer file', { exact: true }).setInputFiles({
      name: 'answers.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(answers.text),
    });
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Import 3 papers' }).click();
    await expect(dialog).toHaveCount(0);
    await goTo(page, 'Check');
    await allScores(page);

    // The quiz out as a file, and in again as another one.
    await outAndIn(page, 'Every kind of river');
    await expect(page.getByRole('dialog').getByText('12 questions')).toBeVisible();
  },
);

test(
  'a name for the teacher alone, options in each student’s order, special letters, and copies in another quiz',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await page.goto('/');
    await page.getByRole('button', { name: 'New quiz' }).click();
    await page.getByLabel('Title of the quiz').fill('Flüsse');
    await (await come(page, 'Language of the answers')).selectOption('de');
    await (await come(page, 'Order of options')).selectOption('true');
    await (await come(page, 'Must questions be answered')).selectOption('every');
    await page.getByRole('button', { name: 'Pick one', exact: true }).click();
    const first = page.getByRole('region', { name: 'Question 1 in hand' });
    await first.getByRole('textbox', { name: 'Text of question 1' }).fill('Was baut ein Fluss auf?');
    await first.getByLabel('Option 1', { exact: true }).fill('Delta');
    for (const name of ['Schlucht', 'Wasserfall', 'Quelle', 'nichts davon']) {
      await page.keyboard.press('Enter');
      await page.keyboard.type(name);
    }
    await first.getByRole('button', { name: 'Delta is right' }).click();
    await tool(first, 'Keep in place', 'nichts davon');
    await (await come(first, 'Short name, for you alone')).fill('built up');
    await (await come(first, 'Another topic')).fill('landforms');
    await page.keyboard.press('Enter');
    await anotherKind(page, 'Word or phrase');
    await page
      .getByRole('textbox', { name: 'Text of question 2' })
      .fill('Wie heißt der Bogen eines Flusses?');
    await page.getByLabel('Another right answer').fill('Mäander');
    await page.keyboard.press('Enter');
    await saved(page);

    await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
    await page.getByRole('checkbox', { name: 'It stays open until I close it' }).check();
    await page.getByRole('button', { name: 'Open it' }).click();
    await goTo(page, 'Tray');
    const orders = new Set<string>();
    for (const name of ['Ada Marsh', 'Bela Fenn', 'Cato Weir', 'Dina Ford', 'Emil Brook']) {
      const sitting = await pageOf(page, name);
      await sitting.getByRole('button', { name: 'Anfangen' }).click();
      await expect(sitting.getByRole('radio')).toHaveCount(5);
      const options = await sitting.getByRole('radiogroup').locator('label').allInnerTexts();
      expect(options[4]).toBe('nichts davon');
      expect([...options].sort()).toEqual(['Delta', 'Quelle', 'Schlucht', 'Wasserfall', 'nichts davon']);
      expect(await sitting.content()).not.toContain('built up');
      orders.add(options.join());
      await sitting.getByRole('radio', { name: 'Delta' }).check();
      await sitting.getByRole('button', { name: 'Weiter' }).click();
      await sitting.getByRole('button', { name: 'Prüfen und abgeben' }).click();
      await expect(sitting.getByRole('button', { name: 'Abgeben', exact: true })).toBeDisabled();
      await sitting.getByRole('button', { name: 'Zurück' }).click();
      // Written by the letters below the field: one in the middle of a word, one as its capital.
      await sitting.getByRole('textbox').fill('Mander');
      await sitting.getByRole('textbox').press('Home');
      await sitting.getByRole('textbox').press('ArrowRight');
      await sitting.getByRole('textbox').press('ArrowRight');
      await sitting.getByRole('button', { name: 'ä schreiben' }).click();
      await expect(sitting.getByRole('textbox')).toHaveValue('Maänder');
      await sitting.getByRole('textbox').fill('M');
      await sitting.getByRole('button', { name: 'ä schreiben' }).click();
      await sitting.keyboard.type('ander');
      await expect(sitting.getByRole('textbox')).toHaveValue('Mäander');
      await expect(sitting.getByText(/auf diesem Gerät gespeichert$/)).toBeVisible();
      await sitting.getByRole('button', { name: 'Prüfen und abgeben' }).click();
      await sitting.getByRole('button', { name: 'Abgeben', exact: true }).click();
      await expect(sitting.getByText(/Die Arbeit ist angekommen\.$/)).toBeVisible();
      await sitting.close();
      await page.bringToFront();
    }
    expect(orders.size, 'orders in which five students met four options').toBeGreaterThan(1);
    await goTo(page, 'Check');
    await expect(page.getByRole('columnheader', { name: /built up/ })).toBeVisible();
    await expect.poll(async () => (await checkRow(page, 'Emil Brook')).at(-1)).toBe('2');
    const scores = await downloaded(page, () => page.getByRole('button', { name: 'Scores as CSV' }).click());
    expect(scores.text).toContain('1. built up');

    // Copies: one by keys, two into another quiz, taken back there.
    await goTo(page, 'Write');
    await page.getByRole('button', { name: 'Question 2', exact: true }).click();
    await page.keyboard.press('Alt+Shift+D');
    await expect(page.getByRole('region', { name: 'Question 3 in hand' })).toContainText(
      'Wie heißt der Bogen',
    );
    await page.keyboard.press('Alt+Shift+Delete');
    await expect(page.getByText('Question 3 deleted')).toBeVisible();
    await page.getByRole('button', { name: 'Copy questions…' }).click();
    const dialog = page.getByRole('dialog', { name: 'Copy questions' });
    await expectAccessible(page, 'copying questions');
    await dialog.getByRole('checkbox', { name: /built up/ }).check();
    await dialog.getByRole('checkbox', { name: /Wie heißt/ }).check();
    await dialog.getByLabel('Copy them to').selectOption({ label: 'Where a river ends, at its end' });
    await dialog.getByRole('button', { name: 'Copy 2 questions' }).click();
    await expect(page.getByText('2 questions copied to Where a river ends')).toBeVisible();
    await page.goto('/quiz/?id=demo-deltas#write');
    await expect(page.getByText('6 questions')).toBeVisible();
    await page.getByRole('button', { name: 'Question 5', exact: true }).click();
    const copied = page.getByRole('region', { name: 'Question 5 in hand' });
    await expect(copied.getByLabel('Short name, for you alone')).toHaveValue('built up');
    await expect(copied.getByText('landforms')).toBeVisible();
    await page.getByRole('button', { name: 'Undo: Copy 2 questions' }).click();
    await expect(page.getByText('4 questions')).toBeVisible();
  },
);

test(
  'every kind in Write and on a student’s page: axe finds nothing, and a phone shows all of it',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(180_000);
    await page.setViewportSize(PHONE);
    await page.goto('/quiz/?id=demo-journey#write');
    for (const called of ['Note 1', ...Array.from({ length: 10 }, (_, at) => `Question ${at + 1}`)]) {
      await page.getByRole('button', { name: called, exact: true }).click();
      await expect(page.getByRole('region', { name: `${called} in hand` })).toBeVisible();
      await fits(page, `${called} in Write`);
      await expectAccessible(page, `${called} in Write`);
    }
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto('/');
    await page.getByRole('button', { name: 'More for The journey of a river' }).click();
    await page.getByRole('button', { name: 'Duplicate' }).filter({ visible: true }).click();
    await page.getByRole('link', { name: /The journey of a river \(copy\)/ }).click();
    await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
    await page.getByRole('checkbox', { name: 'It stays open until I close it' }).check();
    await page.getByRole('button', { name: 'Open it' }).click();
    await goTo(page, 'Tray');
    const sitting = await pageOf(page, 'Amal Syke');
    await sitting.setViewportSize(PHONE);
    await sitting.getByRole('button', { name: 'Begin' }).click();
    for (let number = 0; number <= 10; number++) {
      const said = number === 0 ? /^To read, nothing to answer/ : new RegExp(`^Question ${number} of 10`);
      await expect(sitting.getByText(said)).toBeVisible();
      // What opens below an item, and what stands on a picture, is looked at as well.
      await sitting.waitForLoadState('networkidle');
      const shown = sitting.getByRole('main').filter({ visible: true });
      const opener = shown.locator('button[aria-expanded="false"]').filter({ visible: true }).first();
      if ((await opener.count()) > 0) await opener.click();
      const spot = shown.getByRole('button', { name: 'Set a spot with the keyboard' });
      if ((await spot.count()) > 0) await spot.click();
      await fits(sitting, `question ${number} on the student’s page`);
      await expectAccessible(sitting, `question ${number} on the student’s page`);
      const on = number === 10 ? 'Review and hand in' : 'Next';
      await sitting.getByRole('button', { name: on }).click();
    }
    await fits(sitting, 'the last page');
    await expectAccessible(sitting, 'the last page');
  },
);

test('by mouse: an area is drawn, moved and pulled; a spot and items are dragged; ideas and lists fill gaps', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.goto('/quiz/?id=demo-journey#write');
  await page.getByRole('button', { name: 'Question 8', exact: true }).click();
  const hand = page.getByRole('region', { name: 'Question 8 in hand' });
  const picture = hand.locator('.spot-picture');
  await expect(picture.locator('img')).toBeVisible();
  await picture.scrollIntoViewIfNeeded();
  const box = (await picture.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const at = (x: number, y: number) => [box.x + box.width * x, box.y + box.height * y] as const;
  const drag = async (from: readonly [number, number], to: readonly [number, number], on = page) => {
    await on.mouse.move(...from);
    await on.mouse.down();
    await on.mouse.move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2, { steps: 4 });
    await on.mouse.move(...to, { steps: 4 });
    await on.mouse.up();
  };
  await drag(at(0.1, 0.7), at(0.3, 0.9));
  const area = hand.getByRole('button', { name: /^area 4: from/ });
  await expect(area).toHaveAccessibleName('area 4: from 10% / 70% to 30% / 90%');
  await drag(at(0.2, 0.8), at(0.25, 0.75));
  await expect(area).toHaveAccessibleName('area 4: from 15% / 65% to 35% / 85%');
  await drag(at(0.35, 0.85), at(0.45, 0.95));
  await expect(area).toHaveAccessibleName('area 4: from 15% / 65% to 45% / 95%');
  await hand.getByLabel('Right edge of area 4, %').fill('40');
  await expect(area).toHaveAccessibleName('area 4: from 15% / 65% to 40% / 95%');
  await area.press('Delete');
  await expect(area).toHaveCount(0);
  // A tool is chosen, and adds nothing before it is used.
  await hand.getByRole('button', { name: 'Polygon' }).click();
  await expect(hand.getByRole('button', { name: 'Polygon' })).toHaveAttribute('aria-pressed', 'true');
  await expect(hand.getByLabel('Name of area 4')).toHaveCount(0);
  await hand.getByRole('button', { name: 'put one in the middle' }).click();
  await hand.getByRole('button', { name: 'Add a corner behind corner 1 of area 4' }).click();
  await expect(hand.getByText('4 corners')).toBeVisible();

  // In the margin, as a student: a spot is set by a press and dragged into the area.
  const margin = page.getByRole('complementary', { name: 'Margin' });
  const small = margin.locator('.spot-picture');
  const inside = (await small.boundingBox()) ?? box;
  const spotAt = (x: number, y: number) =>
    [inside.x + inside.width * x, inside.y + inside.height * y] as const;
  await page.mouse.click(...spotAt(0.1, 0.1));
  await expect(margin.getByText('0 of 1', { exact: true }).first()).toBeVisible();
  await drag(spotAt(0.1, 0.1), spotAt(0.67, 0.45));
  await expect(margin.getByText('1 of 1', { exact: true }).first()).toBeVisible();

  // An order, dragged item by item.
  await page.getByRole('button', { name: 'Question 5', exact: true }).click();
  await margin.getByRole('button', { name: 'Leave them in this order' }).click();
  const middle = async (text: string) => {
    const row = await margin.getByRole('listitem').filter({ hasText: text }).first().boundingBox();
    return [(row?.x ?? 0) + 16, (row?.y ?? 0) + (row?.height ?? 0) / 2] as const;
  };
  for (const [to, item] of ['waterfall', 'confluence', 'oxbow lake', 'delta'].entries()) {
    const rows = margin.locator('.order-row');
    const target = await rows.nth(to).boundingBox();
    const from = await middle(item);
    if (target && Math.abs(from[1] - (target.y + target.height / 2)) > 4)
      await drag(from, [from[0], target.y + target.height / 2]);
    await expect(rows.nth(to)).toContainText(item);
  }
  await expect(margin.getByText('3 of 3', { exact: true }).first()).toBeVisible();

  // Things dragged into boxes: what was dragged opens nothing.
  await page.getByRole('button', { name: 'Question 6', exact: true }).click();
  for (const item of ['abrasion', 'attrition', 'hydraulic action']) {
    const thing = await margin.getByRole('button', { name: `${item}: not sorted yet` }).boundingBox();
    const place = await margin.getByRole('region', { name: 'wears away' }).boundingBox();
    if (!thing || !place) throw new Error('nothing to drag');
    await drag([thing.x + 12, thing.y + 12], [place.x + place.width / 2, place.y + place.height - 12]);
    await expect(margin.getByRole('button', { name: `${item}: wears away` })).toHaveAttribute(
      'aria-expanded',
      'false',
    );
  }
  await expect(margin.getByText('1.2 of 2', { exact: true }).first()).toBeVisible();

  // A gap that takes one of a list, and two that take any of three ideas.
  await page.getByRole('button', { name: 'Question 3', exact: true }).click();
  const gaps = page.getByRole('region', { name: 'Question 3 in hand' });
  await gaps.getByRole('button', { name: /^Gap 1: faster/ }).click();
  await gaps.getByLabel('How gap 1 is filled').selectOption('list');
  await gaps.getByLabel('Option 2 of gap 1', { exact: true }).fill('slower');
  await gaps.getByRole('button', { name: /^Gap 2: erodes/ }).click();
  await gaps.getByLabel('How gap 2 is filled').selectOption('pool');
  await gaps.getByRole('button', { name: /^Gap 3: deposits/ }).click();
  await gaps.getByLabel('How gap 3 is filled').selectOption('pool');
  await gaps.getByLabel('Another idea').fill('undercuts');
  await page.keyboard.press('Enter');
  await margin.getByLabel('Gap 1', { exact: true }).selectOption('faster');
  await margin.getByLabel('Gap 2', { exact: true }).fill('undercuts');
  await margin.getByLabel('Gap 3', { exact: true }).fill('undercuts');
  await expect(margin.getByText('2 of 4', { exact: true }).first()).toBeVisible();
  await expect(margin.getByText(/is already counted/)).toBeVisible();
  await margin.getByLabel('Gap 3', { exact: true }).fill('erodes');
  await expect(margin.getByText('3 of 4', { exact: true }).first()).toBeVisible();
});

test(
  'the keys that are more than a word: stretches of an order, a number in a gap, options of a single row, criteria',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await page.goto('/quiz/?id=demo-journey#write');
    const margin = page.getByRole('complementary', { name: 'Margin' });
    const take = async (number: number) => {
      await page.getByRole('button', { name: `Question ${number}`, exact: true }).click();
      return page.getByRole('region', { name: `Question ${number} in hand` });
    };

    // Stretches that earn what a table says: 2 together a quarter, 3 a half, all 4 everything.
    const order = await take(5);
    await (await come(order, 'Partial credit')).selectOption('longestRun');
    await order.getByLabel('What a stretch earns').selectOption('false');
    for (const [at, credit] of ['25', '50', '100'].entries()) {
      await expect(order.getByLabel(`Length of stretch ${at + 1}`)).toHaveValue(String(at + 2));
      await order.getByLabel(`Points for stretch ${at + 1}`).fill(credit);
    }
    await margin.getByRole('button', { name: 'Leave them in this order' }).click();
    const key = ['waterfall', 'confluence', 'oxbow lake', 'delta'];
    const rows = margin.locator('.order-row');
    const up = (item: string) => margin.getByRole('button', { name: new RegExp(`^Move ${item} up`) }).click();
    const places = async () =>
      (await rows.allInnerTexts()).map((text) => key.findIndex((item) => text.includes(item)));
    const longest = (of: readonly number[]) => {
      let [best, now] = [1, 1];
      for (let at = 1; at < of.length; at++) {
        now = of[at] === (of[at - 1] as number) + 1 ? now + 1 : 1;
        best = Math.max(best, now);
      }
      return best;
    };
    const WORTH = { 1: '0', 2: '0.75', 3: '1.5', 4: '3' } as Record<number, string>;
    const shown = (worth: string) => margin.getByText(`${worth} of 3`, { exact: true }).first();
    const seen = new Set<number>();
    // Item by item to its place, as insertion sort does: at each step the stretch that stands there counts.
    for (let round = 0; round < 8; round++) {
      const now = await places();
      const run = longest(now);
      seen.add(run);
      await expect(shown(WORTH[run] ?? '')).toBeVisible();
      const wrong = now.findIndex((item, at) => at > 0 && item < (now[at - 1] as number));
      if (wrong < 0) break;
      await up(key[now[wrong] as number] as string);
    }
    await expect(shown('3')).toBeVisible();
    expect(seen.size).toBeGreaterThan(1);

    // A gap that takes a number, near enough.
    const gaps = await take(3);
    await gaps.getByRole('button', { name: /^Gap 1: faster/ }).click();
    await gaps.getByLabel('How gap 1 is filled').selectOption('number');
    const hand = gaps.getByRole('region', { name: 'Gap 1 in hand' });
    await hand.getByLabel('The right number').fill('3.5');
    await page.keyboard.press('Tab');
    await margin.getByLabel('Gap 1', { exact: true }).fill('3.50');
    await expect(margin.getByText('1 of 4', { exact: true }).first()).toBeVisible();
    await margin.getByLabel('Gap 1', { exact: true }).fill('3.6');
    await expect(margin.getByText('0 of 4', { exact: true }).first()).toBeVisible();

    // A row with options of its own, of which two are right for part of the points.
    const table = await take(7);
    await table.getByLabel('Option 1 of every row', { exact: true }).focus();
    await table.getByRole('button', { name: 'Other options for each row' }).click();
    const second = 'It is 60 km long.';
    await table.getByLabel(`Another option of ${second}`).fill('about');
    await page.keyboard.press('Enter');
    await expect(table.getByLabel(`Option 4 of ${second}`, { exact: true })).toHaveValue('about');
    await table.getByRole('button', { name: 'Part of the points' }).click();
    await table.getByLabel(`Points for about for ${second}`).fill('50');
    const row = (name: string) => margin.getByRole('group', { name });
    await row('It carries mud at its end.').getByRole('radio', { name: 'yes' }).check();
    await row(second).getByRole('radio', { name: 'about' }).check();
    await expect(margin.getByText('1.5 of 3', { exact: true }).first()).toBeVisible();
    await expect(row('Ships sail on it.').getByRole('radio')).toHaveCount(3);

    // Criteria, whose best levels together are what is marked against.
    const why = await take(10);
    await expect(why.getByText('3 points at best')).toBeVisible();
    await why.getByRole('button', { name: 'Another criterion' }).click();
    await why.getByLabel('Criterion 3', { exact: true }).fill('Words of the lesson');
    await why.getByLabel('Points of level 2 of Words of the lesson').fill('2');
    await why.getByLabel('What level 2 of Words of the lesson is').fill('at least two');
    await expect(why.getByText('5 points at best')).toBeVisible();
    await saved(page);
    await page.reload();
    await expect(page.getByText('Words of the lesson: 0 · 2')).toBeVisible();
  },
);
