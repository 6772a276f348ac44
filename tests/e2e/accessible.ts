import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { AxeResults } from 'axe-core';
import { LONG } from '../runs';
import { expect } from './support';

const axeSource = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

const LOOKS = ['chalk', 'slate'] as const;
let views = 0;

/**
 * Runs axe in the page as it is, under the page's own content policy: in both looks when there is time, else in
 * the light and the dark look by turns.
 */
export async function expectAccessible(page: Page, view: string): Promise<void> {
  await page.evaluate(axeSource);
  const own = await page.locator('html').getAttribute('data-theme');
  views += 1;
  for (const look of LONG ? LOOKS : [LOOKS[views % 2] ?? 'chalk']) {
    const violations = await page.evaluate(async (name) => {
      document.documentElement.dataset['theme'] = name;
      // Colours that are still on their way would be measured half-way.
      await Promise.all(
        document.getAnimations().map((animation) => animation.finished.catch(() => undefined)),
      );
      const { axe } = window as unknown as { axe: { run: (options: object) => Promise<AxeResults> } };
      const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
      return (await axe.run({ runOnly: tags, resultTypes: ['violations'] })).violations;
    }, look);
    const found = violations.map(
      (one) =>
        `${one.id}: ${one.nodes
          .map((node) => `${node.target.join(' ')} ${node.failureSummary ?? ''}`)
          .slice(0, 3)
          .join(' | ')}`,
    );
    expect(found, `${view}, ${look}`).toEqual([]);
  }
  await page.evaluate((name) => void (document.documentElement.dataset['theme'] = name ?? ''), own);
}
