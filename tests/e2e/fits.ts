import { expect, type Page } from '@playwright/test';

/** The controls in view that a finger would miss: less than 24 px wide or high, and not words in a line of text. */
const smallTargets = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const seen = (element: Element) =>
      element.checkVisibility({ opacityProperty: true, visibilityProperty: true });
    const inText = (element: Element) =>
      getComputedStyle(element).display === 'inline' ||
      element.closest('p, li, label, td, div')?.textContent?.trim() !== element.textContent?.trim();
    return [
      ...document.querySelectorAll('button, a[href], input, select, textarea, summary, [role=checkbox]'),
    ]
      .filter(seen)
      .flatMap((element) => {
        // A box is pressed by the words beside it as well.
        const { width, height } = (element.closest('label') ?? element).getBoundingClientRect();
        if (width === 0 || element.closest('.sr-only') || (width >= 24 && height >= 24)) return [];
        // Words within a sentence are exempt by the rule; a control that stands alone is not.
        if ((element.matches('a, .link-text, .sentence-part, summary') && inText(element)) || width <= 1)
          return [];
        return [
          `${element.tagName} ${element.getAttribute('aria-label') ?? element.textContent} ${width}×${height}`,
        ];
      });
  });

/** How wide the page is, and what stands in an open dialog. */
const wide = (page: Page) =>
  page.evaluate(() =>
    Math.max(document.documentElement.scrollWidth, document.querySelector('dialog[open]')?.scrollWidth ?? 0),
  );

/** The innermost things that stand out of the screen at its right. */
const outside = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('body *')]
      .filter((one) => one.getBoundingClientRect().right > 361 && one.children.length === 0)
      .slice(0, 5)
      .map((one) => `${one.tagName}.${one.className} in ${one.parentElement?.className}: ${one.textContent}`),
  );

/** A page or dialog is no wider than a phone, and everything in it is large enough to press. */
export async function fits(page: Page, what: string): Promise<void> {
  if ((await wide(page)) > 360) expect(await outside(page), `${what}: wider than the screen`).toEqual([]);
  expect(await wide(page), `${what} is not wider than the screen`).toBeLessThanOrEqual(360);
  expect(await smallTargets(page), `${what}: targets`).toEqual([]);
}
