import { expect, newQuiz, openDemo, test } from './support';

test('with the reader’s own text spacing the plan stays within a phone', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 });
  await page.goto('/quiz/?id=demo-flow#plan');
  await expect(page.getByRole('heading', { name: 'Plan', exact: true })).toBeAttached();
  await expect(page.getByText('Set for 7B.').first()).toBeVisible();
  await page.evaluate(() => {
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(
      '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important } p { margin-bottom: 2em !important }',
    );
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
  });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
});

test('in the reader’s own colours marks, stations and the view at hand are told apart', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await openDemo(page, 'check');
  const view = page.getByRole('button', { name: 'All papers', exact: true });
  await expect(view).toHaveCSS('outline-style', 'solid');
  await expect(page.getByRole('button', { name: 'One question', exact: true })).toHaveCSS(
    'outline-style',
    'none',
  );
  const colours = (selector: string) =>
    page
      .locator(selector)
      .evaluateAll((all) => [...new Set(all.map((one) => getComputedStyle(one).backgroundColor))]);
  const paper = await page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  expect(await colours('.near-mark')).not.toContain(paper);
  // Right, partly and wrong: full, in part, empty.
  expect((await colours('.pie-full')).length).toBe(1);
  expect(await colours('.pie-full')).not.toEqual(await colours('.pie:not(.pie-full, .pie-part)'));
  await page.goto('/quiz/?id=demo-flow#plan');
  await expect(page.locator('.graphic.rotate-45').first()).toBeVisible();
  // Results and right answers have diamonds of two colours, neither that of the paper.
  const diamonds = await colours('.graphic.rotate-45');
  expect(diamonds).toHaveLength(2);
  expect(diamonds).not.toContain(paper);
});

test('a long option is seen whole while it is written, and Enter still begins the next', async ({ page }) => {
  await newQuiz(page, 'Long options', 'Pick one');
  const first = page.getByLabel('Option 1', { exact: true });
  await first.click();
  await page.keyboard.type(
    'where the river has lost so much of its speed that even the finest mud sinks to the bottom, and the land grows into the sea',
  );
  expect(await first.evaluate((one) => [one.scrollHeight - one.clientHeight <= 2, one.scrollWidth <= one.clientWidth])).toEqual([true, true]); // prettier-ignore
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Option 2', { exact: true })).toBeFocused();
  await expect(first).not.toHaveValue(/\n/);
});
