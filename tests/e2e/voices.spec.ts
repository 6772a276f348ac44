import type { Page } from '@playwright/test';
import { beginIn } from './inLanguage';
import { expect, test } from './support';

/** What is said aloud on a page from now on, in its order: each text that a live region comes to hold. */
const listen = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const heard: string[] = [];
    Object.assign(window, { heard });
    const last = new WeakMap<Element, string>();
    new MutationObserver((changes) => {
      for (const { target } of changes) {
        const from = target instanceof Element ? target : target.parentElement;
        const region = from?.closest('[role=status], [role=alert], [aria-live=polite]');
        const text = region?.textContent?.trim() ?? '';
        if (!region || text === '' || last.get(region) === text) continue;
        last.set(region, text);
        heard.push(text);
      }
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
  });

const heard = (page: Page): Promise<string[]> =>
  page.evaluate(() => (window as unknown as { heard: string[] }).heard);

/** Goes on by the keyboard, to the page that a heading begins. */
async function next(page: Page, to: string): Promise<void> {
  await page.getByRole('button', { name: 'Next', exact: true }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(to);
}

test('a sitting by ears and keys: what is turned to is said, what goes hands the focus on, saving is said once', async ({
  page,
}) => {
  await beginIn(page, 'en', ['meander', 'delta', 'mouth'], 'Begin');
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toBeFocused();
  await expect(heading).toHaveText('To read, nothing to answerNew beside the questions: mouth. meander.');
  await expect(page).toHaveTitle('To read · meander');
  await listen(page);
  await next(page, 'Question 1 of 12 · 1 point');
  await expect(heading).not.toContainText('New beside');
  await expect(page).toHaveTitle('Question 1 · meander');

  // The only hint: its press goes, and what it showed has the focus.
  await page.getByRole('button', { name: /^Show a hint/ }).press('Enter');
  await expect(page.getByRole('list', { name: 'Hints' })).toBeFocused();
  await page.getByRole('radio').first().press(' ');
  await page.getByRole('button', { name: 'Clear my answer' }).press('Enter');
  await expect(page.getByRole('radio').first()).toBeFocused();
  expect(await heard(page)).toContain('Your answer is cleared.');

  await next(page, 'Question 2 of 12');
  await next(page, 'Question 3 of 12');
  await next(page, 'Question 4 of 12');
  await page.keyboard.press('Tab');
  await page.keyboard.type('a river of nineteen');
  await expect(page.getByText(/^Saved on this device at/)).toBeVisible();
  const saving = (await heard(page)).filter((text) => /saved/i.test(text));
  expect(new Set(saving), 'saving is told once on a page').toEqual(
    new Set(['Your answers are saved as you go.']),
  );
  expect(saving.length).toBeLessThanOrEqual(2);

  // A word of the bank: said where it went; used up, it keeps the focus.
  await next(page, 'Question 5 of 12');
  await next(page, 'Question 6 of 12');
  const word = page.getByRole('list').getByRole('button', { name: 'delta' });
  await word.press('Enter');
  await expect(word).toBeFocused();
  await expect(word).toHaveAttribute('aria-disabled', 'true');
  expect(await heard(page)).toContain('delta is in gap 2.');

  await next(page, 'Question 7 of 12');
  const pair = page.getByRole('button', { name: 'meander: choose' });
  await pair.press('Enter');
  await page.keyboard.press('Enter');
  const chosen = page.getByRole('button', { name: /^meander: (delta|mouth)/ });
  await expect(chosen).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(pair).toBeFocused();
  expect(await heard(page)).toContain('meander has no match chosen any more.');

  await next(page, 'Question 8 of 12');
  await page.getByRole('button', { name: 'Leave them in this order' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Clear my answer' })).toBeFocused();
  expect(await heard(page)).toContain('This order is your answer.');

  await next(page, 'Question 9 of 12');
  await next(page, 'Question 10 of 12');
  await page.getByRole('radio').first().press(' ');
  await page.getByRole('button', { name: 'Clear my answer to meander' }).press('Enter');
  await expect(page.getByRole('radio').first()).toBeFocused();

  await next(page, 'Question 11 of 12');
  await page.getByRole('button', { name: 'Set a spot with the keyboard' }).press('Enter');
  await expect(page.getByRole('button', { name: /^Spot 1/ })).toBeFocused();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('button', { name: 'Set a spot with the keyboard' })).toBeFocused();
  expect(await heard(page)).toContain('Spot 1 is taken away.');

  // How long an answer is belongs to its field.
  await next(page, 'Question 12 of 12');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Rivers bend.');
  await expect(page.getByRole('textbox')).toHaveAccessibleDescription(
    '2 words. Your teacher marks this answer.',
  );

  // The last page names what is open; from a question that it led to, it is one press back.
  await page.getByRole('button', { name: 'Review and hand in' }).press('Enter');
  await expect(heading).toHaveText('Ready to hand in?');
  await expect(heading).toBeFocused();
  await expect(page).toHaveTitle('Ready to hand in? · meander');
  await page.getByRole('button', { name: /^2 meander/ }).press('Enter');
  await expect(heading).toBeFocused();
  await expect(heading).toContainText('Question 2 of 12');
  await page.getByRole('button', { name: 'Review and hand in' }).press('Enter');
  await expect(heading).toHaveText('Ready to hand in?');
  await page.getByRole('button', { name: 'Hand in', exact: true }).press('Enter');
  await expect(page.getByRole('heading', { level: 2, name: 'Question 1', exact: true })).toBeVisible();
});

for (const [width, height] of [
  [320, 256],
  [740, 360],
] as const)
  test(`on a screen of ${width} × ${height} nothing that stays covers what has the focus`, async ({
    page,
  }) => {
    await beginIn(page, 'en', ['meander', 'delta', 'mouth'], 'Begin');
    await page.setViewportSize({ width, height });
    await page.getByRole('button', { name: 'Next', exact: true }).press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Question 1');
    for (let at = 0; at < 12; at++) {
      await page.keyboard.press('Tab');
      const seen = await page.evaluate(() => {
        const held = document.activeElement;
        if (!held || held === document.body) return 'none';
        const { left, top, width: wide, height: high } = held.getBoundingClientRect();
        const [x, y] = [left + wide / 2, top + Math.min(high, innerHeight) / 2];
        const front = document.elementFromPoint(x, y);
        const shown = front !== null && (held.contains(front) || front.contains(held) || front.closest('label')?.contains(held));
        return shown ? 'seen' : `${held.tagName} ${held.textContent?.slice(0, 30)} at ${Math.round(y)} below ${front?.className}`;
      }); // prettier-ignore
      expect(['seen', 'none']).toContain(seen);
    }
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
  });
