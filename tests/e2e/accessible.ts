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
      const { axe } = window as unknown as {
        axe: { run: (...given: object[]) => Promise<AxeResults> };
      };
      const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
      const { violations } = await axe.run({ runOnly: tags, resultTypes: ['violations'] });
      // What stands half below a bar can be scrolled free: its size is looked at where nothing lies on it.
      for (const one of violations.filter(({ id }) => id === 'target-size')) {
        const left: typeof one.nodes = [];
        for (const node of one.nodes) {
          const element = document.querySelector(String(node.target[0]));
          element?.scrollIntoView({ block: 'center' });
          const again = element && (await axe.run(element, { runOnly: ['target-size'] })).violations;
          if (
            !again ||
            again.some(({ nodes }) => nodes.some(({ target }) => String(target) === String(node.target)))
          )
            left.push(node);
        }
        one.nodes = left;
      }
      return violations.filter(({ nodes }) => nodes.length > 0);
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

/** The same in the middle of a task, when there is time: every desk, dialog and page is looked at by itself in access, phone and kinds. */
export const expectAccessibleHere = async (page: Page, view: string): Promise<void> => {
  if (LONG) await expectAccessible(page, view);
};
