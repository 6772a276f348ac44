import { expectAccessibleHere } from './accessible';
import { fits } from './fits';
import { anotherKind, expect, goTo, outAndIn, pageOf, saved, test } from './support';
import { come } from './come';

const maths = (name: string | RegExp) => ({ role: 'math' as const, name });

test(
  'formulas are written by keys in any text, read and heard on a phone, and stay in files',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(150_000);
    await page.goto('/');
    await page.getByRole('button', { name: 'New quiz' }).click();
    await page.getByLabel('Title of the quiz').fill('Speed of a river');
    await page.getByRole('textbox', { name: 'Instructions' }).click();
    await page.keyboard.type('Take \\(g = 9.81\\).');
    await page.getByRole('button', { name: 'Pick one', exact: true }).click();
    const first = page.getByRole('region', { name: 'Question 1 in hand' });
    const text = first.getByRole('textbox', { name: 'Text of question 1' });
    await expect(text).toBeFocused();

    // In the question's text: by a key, with its parts put in by the dialog, shown and spoken as it is typed.
    await page.keyboard.type('Which one is ');
    await page.keyboard.press('Control+m');
    const dialog = page.getByRole('dialog', { name: 'Insert a formula' });
    const tex = dialog.getByLabel('Formula in TeX');
    await expect(tex).toBeFocused();
    await page.keyboard.type('v = ');
    await dialog.getByRole('button', { name: 'Fraction', exact: true }).press('Enter');
    await page.keyboard.type('s');
    await expect(tex).toHaveValue('v = \\frac{s}{}');
    await tex.fill('v = \\frac{s}{t');
    await expect(dialog.getByText('A closing brace } is missing.')).toBeVisible();
    await expect(dialog.getByRole('button', { name: 'Insert formula' })).toBeDisabled();
    await tex.fill('v = \\frac{s}{t}');
    await expect(dialog.getByText('Read aloud: v equals s over t')).toBeVisible();
    await expectAccessibleHere(page, 'a formula being written');
    await page.keyboard.press('Enter');
    await expect(dialog).toHaveCount(0);
    await page.keyboard.type(', if \\(s = 12\\,\\mathrm{m}\\) and \\(t = 20\\,\\mathrm{s}\\)?');
    await expect(text.getByRole('button', { name: /^Change the formula/ })).toHaveCount(3);

    // In a plain field: typed as it is, or put in where the caret is; shown below it.
    await first.getByLabel('Option 1', { exact: true }).fill('\\(0.6\\,\\mathrm{m/s}\\)');
    await expect(page.getByRole('status', { name: 'Formulas in this field' }).getByRole('math')).toHaveCount(
      1,
    );
    await page.keyboard.press('Enter');
    await page.keyboard.type('about ');
    await page.keyboard.press('Control+m');
    await tex.fill('\\frac{20}{12}');
    await page.keyboard.press('Enter');
    await expect(first.getByLabel('Option 2', { exact: true })).toHaveValue('about \\(\\frac{20}{12}\\)');
    await expect(first.getByLabel('Option 2', { exact: true })).toBeFocused();
    // With the caret in it, the same key changes it.
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Control+m');
    const change = page.getByRole('dialog', { name: 'Formula', exact: true });
    await change.getByLabel('Formula in TeX').fill('\\frac{5}{3}');
    await change.getByRole('button', { name: 'Save' }).click();
    await expect(first.getByLabel('Option 2', { exact: true })).toHaveValue('about \\(\\frac{5}{3}\\)');
    await first.getByRole('button', { name: '0.6 m divided by s is right' }).click();
    await (await come(first, 'Feedback for wrong answers')).fill('Turn it round: \\(\\frac{s}{t}\\).');
    await (await come(first, 'Explanation')).fill('\\(\\frac{12}{20} = 0.6\\) and \\(\\nosuch\\)');
    await saved(page);
    await expect(page.getByText('the formula \\nosuch cannot be shown: correct it').first()).toBeVisible();
    await (await come(first, 'Explanation')).fill('\\(\\frac{12}{20} = 0.6\\)');

    // In a text with gaps, too; undone in one step, and there again.
    await anotherKind(page, 'Gaps');
    const second = page.getByRole('region', { name: 'Question 2 in hand' });
    const passage = second.getByRole('textbox', { name: 'The text with its gaps' });
    await passage.click();
    await page.keyboard.type('Discharge \\(Q = A v\\) is measured in cubic metres.');
    await expect(passage.getByRole('button', { name: 'Change the formula: Q equals A v' })).toBeVisible();
    await saved(page);
    await expectAccessibleHere(page, 'questions with formulas');
    await page.getByRole('button', { name: 'Delete question 2' }).click();
    await expect(page.getByText('1 question · 1 point')).toBeVisible();
    await page.reload();
    await anotherKind(page, 'Note');
    await page.getByRole('textbox', { name: 'Text of note 1' }).click();
    // One that is wider than a phone.
    await page.keyboard.type(
      '\\(a + b + c + d + e + f + g + h + i + j + k + l + m + n + o + p + q + r + s = 190\\)',
    );
    await saved(page);
    const folded = page
      .getByRole('listitem')
      .filter({ has: page.getByRole('button', { name: 'Question 1', exact: true }) });
    await expect(folded.getByRole('math', maths('v equals s over t'))).toBeVisible();
    await expect(folded.getByRole('math', maths('five thirds'))).toBeVisible();

    // The student's page: set, spoken, with no typesetter; nothing that only the key says.
    await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
    await page.getByRole('checkbox', { name: 'It stays open until I close it' }).check();
    await page.getByRole('button', { name: 'Open it' }).click();
    await goTo(page, 'Tray');
    const sitting = await pageOf(page, 'Ada Marsh');
    const loaded: string[] = [];
    sitting.on('request', (request) => loaded.push(request.url()));
    await sitting.setViewportSize({ width: 360, height: 740 });
    await sitting.reload();
    await expect(sitting.getByRole('math', maths('g equals 9.81'))).toBeVisible();
    await sitting.getByRole('button', { name: 'Begin' }).click();
    await expect(sitting.getByRole('math', maths('v equals s over t'))).toBeVisible();
    await expect(sitting.getByRole('radio', { name: '0.6 m divided by s' })).toBeVisible();
    expect(await sitting.content()).not.toContain('12}{20');
    await expectAccessibleHere(sitting, 'a question with formulas');
    await fits(sitting, 'a question with formulas');
    await sitting.getByRole('radio', { name: 'about five thirds' }).check();
    await sitting.getByRole('button', { name: 'Next' }).click();
    await expect(sitting.getByRole('math', maths(/^a plus b/))).toBeVisible();
    await fits(sitting, 'a formula wider than a phone');
    await expectAccessibleHere(sitting, 'a formula wider than a phone');
    await sitting.getByRole('button', { name: 'Review and hand in' }).click();
    await sitting.getByRole('button', { name: 'Hand in', exact: true }).click();
    await expect(sitting.getByText('Not right')).toBeVisible();
    expect(loaded.filter((url) => /typeset/.test(url))).toEqual([]);
    expect(loaded.some((url) => /noto-sans-math/.test(url))).toBe(true);
    await sitting.close();

    // Check names the question and the answer in words; its trace shows them set.
    await goTo(page, 'Check');
    await page
      .getByRole('button', { name: /^Question 1: / })
      .first()
      .click();
    await expect(page.getByRole('heading', { name: 'Which one is v equals s over t, if' })).toBeVisible();
    await expect(page.getByRole('math', maths('five thirds')).first()).toBeVisible();

    // The quiz as a file has what was made of them, and brings it back.
    await outAndIn(page, 'Speed of a river');
    await page.getByRole('dialog').getByRole('button', { name: /copy/i }).first().click();
    await expect(page.getByRole('math', maths('v equals s over t')).first()).toBeVisible();
  },
);

test('what is typed is stored at once, also while the typesetter is still on its way; its formula follows', async ({
  page,
}) => {
  let arrives: () => void = () => undefined;
  const arrived = new Promise<void>((resolve) => (arrives = resolve));
  await page.route(/_astro\/typeset[^/]*\.js/, async (route) => {
    await arrived;
    await route.continue();
  });
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByRole('button', { name: 'Pick one', exact: true }).click();
  const first = page.getByRole('region', { name: 'Question 1 in hand' });
  await first.getByLabel('Option 1', { exact: true }).fill('it is \\(x^2\\)');
  await first.getByLabel('Option 2', { exact: true }).fill('none of these');
  await saved(page);
  await page.reload();
  await expect(first.getByLabel('Option 1', { exact: true })).toHaveValue('it is \\(x^2\\)');
  await expect(first.getByLabel('Option 2', { exact: true })).toHaveValue('none of these');
  // Looked at alone, nothing changes; once something is written, the formula follows when it can be set.
  await first.getByLabel('Option 2', { exact: true }).fill('none of those');
  await page.getByRole('textbox', { name: 'Instructions' }).fill('Mind \\(y^3\\).');
  await saved(page);
  arrives();
  await anotherKind(page, 'Note');
  await expect(page.getByRole('math', maths('x squared'))).toBeVisible();
  // Nobody writes in the instructions again: a student reads their formula all the same.
  await saved(page);
  await page.goto(
    (await page.getByRole('link', { name: 'Try it as a student' }).first().getAttribute('href')) ?? '',
  );
  await expect(page.getByRole('math', maths('y cubed'))).toBeVisible();
});
