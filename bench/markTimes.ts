import type { Page } from '@playwright/test';

export interface MarkTimes {
  /** From a key in the trial answer until the margin shows its mark, in ms, each. */
  readonly margin: number[];
  /** From a change of the question's points until the margin counts by them, in ms, each. */
  readonly points: number[];
  /** A bare echo of the same keys in the same page, in ms, each. */
  readonly bare: number[];
}

/** Types a trial answer to the question in hand, one of a word or phrase, then changes its points, and measures both. */
export async function markTimes(page: Page): Promise<MarkTimes> {
  // The page knows nothing of the names that the compiler keeps for functions.
  await page.evaluate('globalThis.__name = (named) => named');
  return page.evaluate(async () => {
    const field = document.querySelector<HTMLInputElement>(
      'input[aria-label="Try an answer"]',
    ) as HTMLInputElement;
    const worth = document.querySelector<HTMLInputElement>('input[aria-label="Points"]') as HTMLInputElement;
    const list = document.querySelector('ul[aria-live="polite"]') as HTMLElement;
    const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set as (
      value: string,
    ) => void;
    const type = (into: HTMLInputElement, text: string) => {
      setValue.call(into, text);
      into.dispatchEvent(new Event('input', { bubbles: true }));
    };
    const until = (done: () => boolean) =>
      new Promise<void>((resolve) => {
        const observer = new MutationObserver(() => done() && (observer.disconnect(), resolve()));
        observer.observe(document.body, { subtree: true, childList: true, characterData: true });
      });
    const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
    const times: MarkTimes = { margin: [], points: [], bare: [] };
    const echo = document.createElement('p');
    document.body.append(echo);
    let text = '';
    for (const letter of 'oxbow lake in a valley oxbow laek'.split('')) {
      text += letter;
      const shown = text.trim();
      let start = performance.now();
      const plain = until(() => echo.textContent === text);
      echo.textContent = text;
      await plain;
      times.bare.push(performance.now() - start);
      if (shown === list.querySelector('li .min-w-0')?.textContent?.trim()) continue;
      start = performance.now();
      const marked = until(() => (list.querySelector('li .min-w-0')?.textContent ?? '').trim() === shown);
      type(field, text);
      await marked;
      times.margin.push(performance.now() - start);
      await pause(60);
    }
    for (let points = 11; points < 41; points++) {
      const start = performance.now();
      const counted = until(() => (list.textContent ?? '').includes(`of ${points}`));
      type(worth, String(points));
      await counted;
      times.points.push(performance.now() - start);
      await pause(60);
    }
    return times;
  });
}

const quantile = (values: readonly number[], share: number) =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] as number;

/** Median and 95th percentile of times in ms. */
export const spreadOf = (values: readonly number[]) => ({
  'median ms': +quantile(values, 0.5).toFixed(2),
  'p95 ms': +quantile(values, 0.95).toFixed(2),
});
