import { expectAccessibleHere } from './accessible';
import { expect, finer, goTo, newQuiz, openIt, pageOf, putIntoEffect, saved, test } from './support';
import { come } from './come';

test(
  'feedback that is complete: formatted, if missed, on the whole score, and comments that are used again',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await newQuiz(page, 'What the river says', 'Pick several');
    const hand = page.getByRole('region', { name: 'Question 1 in hand' });
    await hand.getByRole('textbox', { name: 'Text of question 1' }).fill('Which are built up?');
    await hand.getByLabel('Option 1', { exact: true }).fill('delta');
    for (const name of ['levee', 'gorge']) {
      await page.keyboard.press('Enter');
      await page.keyboard.type(name);
    }
    await hand.getByRole('button', { name: 'delta is right' }).click();
    await hand.getByRole('button', { name: 'levee is right' }).click();
    await (await come(hand, 'Points')).fill('2');
    await (await come(hand, 'Feedback for levee if it is missed')).fill('Floods leave levees behind.');
    // A wrong option has nothing to be missed.
    await expect(hand.getByLabel('Feedback for gorge if it is missed')).toHaveCount(0);
    await come(hand, 'Feedback for gorge');
    await hand.getByRole('button', { name: 'Format what is said of gorge' }).click();
    const said = hand.getByRole('textbox', { name: 'Feedback for gorge' });
    await said.click();
    await page.keyboard.press('Control+b');
    await page.keyboard.type('Worn away');
    await page.keyboard.press('Control+b');
    await page.keyboard.type(', not built.');
    await (await come(hand, 'Explanation')).fill('Speed is \\(v = \\frac{s}{t}\\).');
    await page.getByRole('button', { name: 'Feedback on the whole score' }).click();
    await (await come(page, 'Feedback for score level 1')).fill('You know the river.');
    await page.getByRole('button', { name: 'Another score level' }).click();
    await page.getByLabel('Where score level 2 begins, %').fill('0');
    await (await come(page, 'Feedback for score level 2')).fill('Walk along it once more.');
    await page.getByLabel('Whether the first page shows what is expected').selectOption('true');
    await saved(page);
    await expectAccessibleHere(page, 'feedback in Write');
    await page.reload();
    await expect(hand.getByRole('textbox', { name: 'Feedback for gorge' }).locator('strong')).toHaveText(
      'Worn away',
    );

    await openIt(page);
    await goTo(page, 'Plan');
    await finer(page);
    await page
      .getByLabel('The right answers and explanations appear', { exact: true })
      .selectOption('handedIn');
    await putIntoEffect(page);
    await goTo(page, 'Tray');
    const sit = async (name: string, picks: readonly string[]) => {
      const opened = await pageOf(page, name);
      await opened.setViewportSize({ width: 360, height: 740 });
      await expect(opened.getByRole('heading', { name: 'What is expected' })).toBeVisible();
      await expect(opened.getByText('from 80%You know the river.')).toBeVisible();
      await opened.getByRole('button', { name: 'Begin' }).click();
      for (const pick of picks) await opened.getByRole('checkbox', { name: pick }).check();
      await opened.getByRole('button', { name: 'Review and hand in' }).click();
      await opened.getByRole('button', { name: 'Hand in', exact: true }).click();
      await expect(opened.getByText('It has been received.')).toBeVisible();
      return opened;
    };
    const ada = await sit('Ada Marsh', ['delta', 'levee']);
    await expect(ada.getByText('You know the river.')).toBeVisible();
    await expect(ada.getByText('Floods leave levees behind.')).toHaveCount(0);
    const bela = await sit('Bela Fenn', ['delta', 'gorge']);
    await expect(bela.getByText('Walk along it once more.')).toBeVisible();
    await expect(bela.getByText('Floods leave levees behind.')).toBeVisible();
    await expect(bela.locator('strong').filter({ hasText: 'Worn away' })).toBeVisible();
    await expect(bela.getByText('Worn away, not built.')).toBeVisible();
    await expect(bela.locator('math')).toBeVisible();
    await expectAccessibleHere(bela, 'a slip with formatted feedback');

    // A comment that was written before is offered by its first letters, by keys.
    await page.bringToFront();
    await goTo(page, 'Hand back');
    const comment = (name: string) => page.getByRole('textbox', { name: `Comment to ${name}` });
    await comment('Ada Marsh').fill('Well observed along the bank.');
    await saved(page);
    await comment('Bela Fenn').click();
    await page.keyboard.type('well');
    await expect(page.getByRole('list', { name: 'Earlier comments that begin like this' })).toBeVisible();
    await expectAccessibleHere(page, 'earlier comments');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(comment('Bela Fenn')).toHaveValue('Well observed along the bank.');
    await expect(page.getByRole('list', { name: 'Earlier comments that begin like this' })).toHaveCount(0);
    await saved(page);
    await bela.bringToFront();
    await bela.reload();
    await expect(bela.getByText('Your teacher Well observed along the bank.')).toBeVisible();
  },
);
