import { expectAccessibleHere } from './accessible';
import { fits } from './fits';
import { downloaded, expect, goTo, newQuiz, openIt, pageOf, saved, test } from './support';
import { come } from './come';

test(
  'a hint is asked for by a press that names its price, and is found on the slip, on Check, in the trace and in the file',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await newQuiz(page, 'Hints of the river', 'Word or phrase');
    const hand = page.getByRole('region', { name: 'Question 1 in hand' });
    await hand.getByRole('textbox', { name: 'Text of question 1' }).fill('What is built up at a mouth?');
    await hand.getByLabel('Another right answer').fill('delta');
    await page.keyboard.press('Enter');
    await (await come(hand, 'Points')).fill('2');
    await hand.getByRole('button', { name: /^Hint of / }).click();
    await hand.getByRole('textbox', { name: 'Hint 1', exact: true }).fill('It is a Greek letter, too.');
    await expect(hand.getByText('= 0.5 points')).toBeVisible();
    await hand.getByRole('button', { name: 'Another hint' }).click();
    // The second one is formatted: a word that leads somewhere.
    await hand.getByRole('button', { name: 'Format the words of number 2' }).click();
    const second = hand.getByRole('textbox', { name: 'Hint 2', exact: true });
    await second.click();
    await page.keyboard.type('Look at the mouth of the Alder.');
    await page.keyboard.press('Control+a');
    await hand
      .getByRole('toolbar', { name: 'Text format' })
      .last()
      .getByRole('button', { name: 'Link' })
      .click();
    const dialog = page.getByRole('dialog', { name: 'Insert a link' });
    await dialog.getByLabel('Address').fill('javascript:alert(1)');
    await expect(dialog.getByRole('button', { name: 'Insert link' })).toBeDisabled();
    await dialog.getByLabel('Address').fill('rivers.example/alder');
    await expect(dialog.getByText('Saved as https://rivers.example/alder')).toBeVisible();
    await dialog.getByRole('button', { name: 'Insert link' }).click();
    await (await come(hand, 'Price of hint 2, %')).fill('50');
    await saved(page);
    await expectAccessibleHere(page, 'hints in Write');

    await openIt(page);
    await goTo(page, 'Tray');
    const sit = await pageOf(page, 'Ada Marsh');
    await sit.setViewportSize({ width: 360, height: 740 });
    await sit.getByRole('button', { name: 'Begin' }).click();
    await expect(sit.getByText('Greek letter')).toHaveCount(0);
    await sit.getByRole('button', { name: 'Show a hint (costs 0.5 points)' }).click();
    await expect(sit.getByText('It is a Greek letter, too.')).toBeVisible();
    await expect(sit.getByRole('button', { name: 'Another hint (costs 1 point)' })).toBeVisible();
    await expect(sit.getByText('Look at the mouth')).toHaveCount(0);
    await sit.getByRole('textbox').fill('delta');
    await expect(sit.getByText('Saved on this device')).toBeVisible();
    // What was shown stays shown.
    await sit.reload();
    await expect(sit.getByRole('heading', { name: 'Ready to hand in?' })).toBeVisible();
    await sit.getByRole('button', { name: 'Back' }).click();
    await expect(sit.getByText('It is a Greek letter, too.')).toBeVisible();
    await expect(sit.getByRole('textbox')).toHaveValue('delta');
    await fits(sit, 'a question with hints');
    await expectAccessibleHere(sit, 'a question with hints');
    await sit.getByRole('button', { name: 'Another hint (costs 1 point)' }).click();
    await expect(sit.getByRole('link', { name: 'Look at the mouth of the Alder.' })).toHaveAttribute(
      'href',
      'https://rivers.example/alder',
    );
    await expect(sit.getByRole('button', { name: /hint/ })).toHaveCount(0);
    await sit.getByRole('button', { name: 'Review and hand in' }).click();
    await sit.getByRole('button', { name: 'Hand in', exact: true }).click();
    await expect(sit.getByText('0.5 of 2').first()).toBeVisible();
    await expect(sit.getByText(', with 1.5 points off for hints')).toBeVisible();
    await expect(sit.getByText('Hint 1 It is a Greek letter, too.')).toBeVisible();

    await page.bringToFront();
    await goTo(page, 'Check');
    const row = page
      .getByRole('row')
      .filter({ has: page.getByRole('rowheader', { name: 'Ada Marsh', exact: true }) });
    await row.getByRole('button').first().click();
    const margin = page.getByRole('complementary').filter({ hasText: 'After 2 hints' });
    await expect(margin).toContainText('It is a Greek letter, too.');
    await expect(margin.getByText('Hints cost 1.5: 0.5 left')).toBeVisible();

    await goTo(page, 'Hand back');
    await page.getByText('All answers as a file').click();
    const { text } = await downloaded(page, () =>
      page.getByRole('button', { name: 'Answers as CSV' }).click(),
    );
    const [head, ...rows] = text.split('\r\n');
    expect(head).toContain('Q1,Hints for Q1,Points for Q1');
    expect(rows.find((line) => line.startsWith('Ada Marsh'))).toContain('delta,"1, 2",0.5');
  },
);
