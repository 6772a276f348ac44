import type { Page } from '@playwright/test';
import { LONG } from '../runs';
import { DEMO, expect, goTo, newQuiz, openDemo, saved, test } from './support';
import { come } from './come';

/** A processor so many times slower, as those of old school computers are. */
async function slow(page: Page, rate = 4): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate });
}

test('what is typed right after a press is in what the press added', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByLabel('Title of the quiz').waitFor();
  await slow(page);
  // No waiting: a teacher who has pressed types on.
  await page.getByRole('button', { name: 'Word or phrase', exact: true }).click();
  await page.keyboard.type('What is your river?');
  await expect(page.getByRole('textbox', { name: 'Text of question 1' })).toHaveText('What is your river?');
  await page.keyboard.type(' Name it.');
  await expect(page.getByRole('textbox', { name: 'Text of question 1' })).toHaveText(
    'What is your river? Name it.',
  );
  await page.getByRole('button', { name: 'Next question: word or phrase' }).click();
  await page.keyboard.type('And its mouth?\nBoth count.');
  const second = page.getByRole('textbox', { name: 'Text of question 2' });
  await expect(second.locator('p')).toHaveText(['And its mouth?', 'Both count.']);
  await page.getByRole('button', { name: 'Add a section' }).click();
  await page.keyboard.type('The map');
  await expect(page.getByLabel('Heading of the section')).toHaveValue('The map');
  await page.getByRole('button', { name: /^Hint of / }).click();
  await page.keyboard.type('Look north.');
  await expect(page.getByLabel('Hint 1', { exact: true })).toHaveValue('Look north.');
  await page.getByRole('button', { name: 'Feedback on the whole score' }).click();
  await page.keyboard.type('Well read.');
  await expect(page.getByLabel('Feedback for score level 1')).toHaveValue('Well read.');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Text of question 1' })).toHaveText(
    'What is your river? Name it.',
  );
  await expect(page.getByLabel('Feedback for score level 1')).toHaveValue('Well read.');
});

test('whoever has gone on writing elsewhere is not fetched back', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByLabel('Title of the quiz').waitFor();
  await slow(page);
  await page.getByRole('button', { name: 'Number', exact: true }).click();
  await page.keyboard.type('How long');
  await (await come(page, 'Topic')).click();
  await page.keyboard.type('Maps');
  await expect(page.getByRole('textbox', { name: 'Text of question 1' })).toHaveText('How long');
  await expect(page.getByLabel('Topic', { exact: true })).toBeFocused();
  await expect(page.getByLabel('Topic', { exact: true })).toHaveValue('Maps');
});

test('a comment is begun with a key, and every letter after it is in it', async ({ page }) => {
  await openDemo(page, 'check');
  await page
    .getByRole('button', { name: /^Question 4: wrong/ })
    .first()
    .click();
  await slow(page);
  await page.keyboard.press('c');
  await page.keyboard.type('Two words.');
  await expect(page.locator('[data-comment] textarea')).toHaveValue('Two words.');
});

interface Shift {
  readonly at: number;
  readonly what: readonly string[];
}

/** Everything that can be pressed and moved, without anybody having pressed or typed. */
const watchShifts = (page: Page) =>
  page.addInitScript(() => {
    const shifts: Shift[] = [];
    Object.assign(window, { shifts });
    interface Entry extends PerformanceEntry {
      readonly sources: readonly {
        readonly node: Node | null;
        readonly previousRect: DOMRectReadOnly;
        readonly currentRect: DOMRectReadOnly;
      }[];
    }
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as Entry[]) {
        const what = entry.sources.flatMap(({ node, previousRect: a, currentRect: b }) => {
          const element = node instanceof Element ? node : node?.parentElement;
          const pressed = 'a, button, input, select, textarea, [contenteditable]';
          if (!element?.isConnected || (!element.matches(pressed) && !element.querySelector(pressed)))
            return [];
          // What comes into being is no move, and nobody misses by a pixel or two.
          if (b.height === 0 || Math.abs(a.y - b.y) < 3) return [];
          return [
            `${element.tagName} ${(element.textContent ?? '').slice(0, 40)}: ${Math.round(a.y)} to ${Math.round(b.y)}`,
          ];
        });
        if (what.length > 0) shifts.push({ at: Math.round(entry.startTime), what });
      }
    }).observe({ type: 'layout-shift', buffered: true });
  });

/** High, so that what lies below the fold is looked at as well. */
const SIZES = [
  { width: 1280, height: 2600 },
  { width: 360, height: 2600 },
];

for (const desk of ['write', 'plan', 'tray', 'check', 'handback'])
  for (const size of LONG && desk !== 'plan' ? SIZES : SIZES.slice(0, 1))
    test(
      `nothing on ${desk} moves under the hand while its parts are loaded, ${size.width} wide`,
      { tag: ['tray', 'handback'].includes(desk) ? '@long' : [] },
      async ({ page }) => {
        await page.setViewportSize(size);
        await page.goto('/');
        await expect(page.getByText('24 of 26 handed in')).toBeVisible();
        await watchShifts(page);
        await slow(page);
        await page.goto(`${DEMO}#${desk}`);
        await expect(page.getByRole('main')).toBeVisible();
        await page.waitForLoadState('networkidle');
        // The last parts come from workers, after the network is quiet.
        await expect(page.getByText(/^(Opening|Loading|Marking|Working out)/)).toHaveCount(0);
        await page.evaluate(() => new Promise((done) => requestIdleCallback(() => setTimeout(done, 300))));
        expect(await page.evaluate(() => (window as unknown as { shifts: Shift[] }).shifts)).toEqual([]);
      },
    );

test('the first press on Write takes the question that is pressed, however soon it comes', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByText('24 of 26 handed in')).toBeVisible();
  await page.setViewportSize({ width: 1280, height: 2600 });
  await slow(page);
  await page.goto(`${DEMO}#check`);
  for (const number of [4, 6]) {
    await goTo(page, 'Write');
    const question = page.getByRole('button', { name: `Question ${number}`, exact: true });
    await question.waitFor();
    const box = (await question.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
    // Where it is seen first is where it is pressed: nobody looks twice.
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
    await expect(page.getByRole('region', { name: `Question ${number} in hand` })).toBeVisible();
    await goTo(page, 'Check');
  }
});

test('gaps made by quick keys hold the words that were selected, and each is an undo of its own', async ({
  page,
}) => {
  await newQuiz(page, 'Flow', 'Gaps');
  await page.keyboard.type('Fill in.');
  const hand = page.getByRole('region', { name: 'Question 1 in hand' });
  const passage = hand.getByRole('textbox', { name: 'The text with its gaps' });
  await passage.click();
  await page.keyboard.type('Rivers carry silt and sand');
  await saved(page);
  await page.keyboard.press('Control+Shift+ArrowLeft');
  await page.keyboard.press('Control+g');
  const chips = passage.getByRole('button');
  await expect(chips).toHaveText([/^sand/]);
  // The next word, with no more than a moment between.
  await passage.press('ArrowLeft');
  for (let at = 0; at < ' and '.length; at++) await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Control+Shift+ArrowLeft');
  await page.keyboard.press('Control+g');
  await expect(chips).toHaveText([/^silt/, /^sand/]);
  await saved(page);
  const undo = page.getByRole('button', { name: /^Undo/ });
  await undo.click();
  await expect(chips).toHaveText([/^sand/]);
  await undo.click();
  await expect(chips).toHaveCount(0);
  await expect(passage).toHaveText('Rivers carry silt and sand');
});

test('keys work on Check on arrival, by address and by its station, without a press before', async ({
  page,
}) => {
  await openDemo(page, 'check');
  await expect(page.getByText('Karl Mead, question 8')).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByText('Karl Mead, question 8')).toHaveCount(0);
  await page.keyboard.press('b');
  await expect(page.getByText('Karl Mead, question 8')).toBeVisible();
  await page.keyboard.press('h');
  const own = page.getByLabel('Your own points');
  await expect(own).toBeVisible();
  await page.keyboard.press('Backspace');
  expect((await own.boundingBox())?.width ?? 0).toBeGreaterThan(20);
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Your own points')).toHaveCount(0);
  await page.keyboard.press('4');
  await expect(page.getByRole('button', { name: 'By hand' })).toHaveAttribute('aria-pressed', 'true');
  await goTo(page, 'Tray');
  await goTo(page, 'Check');
  await expect(page.getByText('Karl Mead, question 8')).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByText('Karl Mead, question 8')).toHaveCount(0);
});
