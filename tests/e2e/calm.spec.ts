import type { Locator, Page } from '@playwright/test';
import { expectAccessibleHere } from './accessible';
import { anotherKind, expect, goTo, saved, test } from './support';

/** How many things within can be seen and pressed or filled. */
const controls = (within: Locator): Promise<number> =>
  within.evaluate(
    (element) =>
      [
        ...element.querySelectorAll<HTMLElement>(
          'button, a[href], input, select, textarea, summary, [contenteditable="true"]',
        ),
      ].filter(
        (one) =>
          one.checkVisibility({ visibilityProperty: true, opacityProperty: true }) &&
          !one.matches(':disabled'),
      ).length,
  );

const KINDS = [
  'Pick one',
  'Pick several',
  'True or false',
  'Word or phrase',
  'Number',
  'Gaps',
  'Match',
  'Put in order',
  'Sort into boxes',
  'Row by row',
  'Spot on a picture',
  'Written answer',
  'Note',
];

/** The head of the paper, and the question in hand: what is written, without the margin. */
const head = (page: Page) => page.locator('.paper-row').first();
const inHand = (page: Page) => page.locator('.paper-row').filter({ has: page.getByRole('region', { name: / in hand$/ }) }).locator('> div').first(); // prettier-ignore

test('a new quiz is calm: six controls in its head, and all of a new Pick one in sight', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await expect(page.getByLabel('Title of the quiz')).toBeFocused();
  await page.keyboard.type('Where the water goes');
  expect(await controls(head(page))).toBeLessThanOrEqual(6);
  // A row without a circle has the whole width for its words.
  await page.getByRole('button', { name: 'Feedback on the whole score' }).click();
  await page.keyboard.type('You know the river.');
  const field = await page.getByLabel('Feedback for score level 1').boundingBox();
  expect(field?.width).toBeGreaterThan(300);
  await page.getByRole('button', { name: 'Delete score level 1' }).click();
  await page.getByRole('button', { name: 'Pick one', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Text of question 1' })).toBeFocused();
  expect(await controls(inHand(page))).toBeLessThanOrEqual(20);
  const box = await inHand(page).boundingBox();
  expect(box && box.y >= 68 && box.y + box.height <= 800, JSON.stringify(box)).toBe(true);
  expect(await page.evaluate(() => scrollY)).toBe(0);
  await goTo(page, 'Plan');
  await expect(page.getByRole('radiogroup', { name: 'What students see, and when' })).toBeVisible();
  expect(await controls(page.locator('main'))).toBeLessThanOrEqual(25);
});

test('feedback that was asked for and left empty folds with its row, and takes no focus later', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByRole('button', { name: 'Pick one', exact: true }).click();
  const option = (number: number) => page.getByRole('textbox', { name: `Option ${number}`, exact: true });
  await option(1).click();
  await page.keyboard.type('gorge');
  await page.getByRole('button', { name: 'Feedback for gorge' }).click();
  await expect(page.getByRole('textbox', { name: 'Feedback for gorge' })).toBeFocused();
  await option(2).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Feedback for gorge' })).toHaveCount(0);
  await option(1).click();
  await page.keyboard.type('s');
  await expect(option(1)).toHaveValue('gorges');
});

test('each new question has at most twenty controls', { tag: '@long' }, async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  const found: [string, number][] = [];
  for (const [at, kind] of KINDS.entries()) {
    if (at === 0) await page.getByRole('button', { name: kind, exact: true }).click();
    else await anotherKind(page, kind);
    const called = kind === 'Note' ? 'note 1' : `question ${at + 1}`;
    await expect(page.getByRole('textbox', { name: `Text of ${called}` })).toBeFocused();
    found.push([kind, await controls(inHand(page))]);
  }
  console.log(found.map(([kind, count]) => `${kind} ${count}`).join(', '));
  expect(found.filter(([, count]) => count > 20)).toEqual([]);
});

/** Presses and letters, counted. */
function counted(page: Page) {
  let presses = 0;
  let letters = 0;
  return {
    press: async (thing: Locator) => {
      presses++;
      await thing.click();
    },
    type: async (text: string) => {
      letters += text.length;
      await page.keyboard.type(text);
    },
    key: async (key: string) => {
      letters++;
      await page.keyboard.press(key);
    },
    sum: () => ({ presses, letters }),
  };
}

test('a teacher’s first quarter of an hour: five questions, feedback with a link, a dry run, open to one group', async ({
  page,
}) => {
  test.setTimeout(90_000);
  const { press, type, key, sum } = counted(page);
  const button = (name: string | RegExp) =>
    page.getByRole('button', { name, exact: typeof name === 'string' });
  const text = (number: number) => page.getByRole('textbox', { name: `Text of question ${number}` });
  await page.goto('/');
  await press(button('New quiz'));
  await type('Where the water goes');

  // One right of three; a wrong one says something, with a link.
  await press(button('Pick one'));
  await expect(text(1)).toBeFocused();
  await type('Where does a river drop most of what it carries?');
  await press(page.getByRole('textbox', { name: 'Option 1', exact: true }));
  await type('where it slows down');
  await key('Enter');
  await type('in the gorge');
  await key('Enter');
  await type('at its spring');
  await press(button('where it slows down is right'));
  await press(page.getByRole('textbox', { name: 'Option 2', exact: true }));
  await press(button('Feedback for in the gorge'));
  await type('Look at the speed there.');
  await press(button('Add a link for in the gorge'));
  await type('Speed and load');
  await key('Tab');
  await type('rivers.example/load');
  await key('Enter');
  await expect(page.getByRole('link', { name: 'Speed and load' })).toBeVisible();

  const next = async (kind: string, number: number, words: string) => {
    await press(button('or another kind'));
    await press(page.getByRole('list', { name: 'Kinds of question' }).getByRole('button', { name: kind, exact: true })); // prettier-ignore
    await expect(text(number)).toBeFocused();
    await type(words);
  };
  await next('Word or phrase', 2, 'What do we call the flat land beside a river?');
  await press(page.getByLabel('Another right answer'));
  await type('floodplain');
  await key('Enter');
  // Two points for this one.
  await press(button('Rules of this question'));
  await press(page.getByLabel('Points', { exact: true }));
  await type('2');
  await next('Number', 3, 'How many metres does it fall in a kilometre?');
  await press(page.getByLabel('The right number'));
  await type('20');
  await next('True or false', 4, 'Water flows uphill.');
  await press(button('False is right'));
  await next('Put in order', 5, 'From the spring to the sea.');
  await press(page.getByRole('textbox', { name: 'Item 1', exact: true }));
  await type('spring');
  await key('Enter');
  await type('meander');
  await key('Enter');
  await type('delta');
  await saved(page);
  await expect(page.getByText('5 questions · 6 points')).toBeVisible();
  await expect(page.getByText('6 of 6')).toBeVisible();

  // A dry run, of which nothing is kept.
  const [trial] = await Promise.all([
    page.context().waitForEvent('page'),
    press(page.getByRole('link', { name: 'Try it as a student' })),
  ]);
  await trial.getByRole('button', { name: 'Begin' }).click();
  await trial.getByRole('radio', { name: 'in the gorge' }).check();
  await trial.close();
  await page.bringToFront();

  // Open to one group, with a time limit; nobody is accused of anything.
  await press(page.getByRole('banner').getByRole('button', { name: 'Open to students' }));
  const dialog = page.getByRole('dialog', { name: 'Open to students' });
  await expectAccessibleHere(page, 'opening to students');
  await expect(dialog.getByText('Every question has what it needs.')).toBeVisible();
  await expect(dialog.getByLabel('Until', { exact: true })).toHaveValue(/T16:00$/);
  await press(dialog.getByRole('button', { name: /^Change/ }));
  const who = page.getByRole('dialog', { name: 'Who takes this quiz?' });
  await press(who.getByRole('group', { name: 'Groups of 8C' }).getByLabel('blue'));
  await press(who.getByRole('button', { name: 'Set the quiz' }));
  await expect(dialog.getByText('8C (blue)')).toBeVisible();
  await dialog.getByLabel('How long an attempt can take').selectOption('for 20 minutes');
  await press(dialog.getByRole('button', { name: 'Open it' }));
  await expect(page.getByRole('banner').getByRole('button', { name: /^Open · closes/ })).toBeVisible();
  const desks = page.getByRole('navigation', { name: 'Desks' });
  await expect(desks.getByText(/warning|without key|to mark/)).toHaveCount(0);
  await goTo(page, 'Plan');
  await expect(page.getByText(/can be passed on to 13 students who can still hand in/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'Warnings' })).toHaveCount(0);
  await goTo(page, 'Tray');
  await expect(page.getByText('0 of 13 handed in, 0 working, 13 not started')).toBeVisible();
  // What it took: more than this would be a step back.
  const { presses, letters } = sum();
  console.log(`${presses} presses, ${letters} letters and keys`);
  expect(presses).toBeLessThanOrEqual(33);
});
