import { anotherKind, checkRow, downloaded, expect, finer, goTo, pageOf, saved, test } from './support';
import { come } from './come';

/**
 * A teacher's whole task on fresh data: a new quiz is written, keyed and tried, planned and opened; one
 * student sits it, others come from a file; scores are checked, the key is mended, everyone is marked again,
 * it is undone and applied, and the scores leave as a file.
 */
test('from a new quiz to the scores', { tag: '@long' }, async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto('/');
  await expect(page.getByText('24 of 26 handed in')).toBeVisible();
  await page.getByRole('button', { name: 'New quiz' }).click();

  await test.step('write', async () => {
    await page.getByLabel('Title of the quiz').fill('Flood words');
    await page.getByRole('textbox', { name: 'Instructions' }).click();
    await page.keyboard.type('Answer in a word or two.');
    await page.getByRole('button', { name: 'Pick one', exact: true }).click();
    await page.getByRole('textbox', { name: 'Text of question 1' }).click();
    await page.keyboard.type('Where is the flood plain of a river in H');
    await page.keyboard.press('Control+,');
    await page.keyboard.type('2O?');
    const options = ['beside it', 'under it', 'at its source'];
    for (const [index, text] of options.entries())
      await page.getByLabel(`Option ${index + 1}`, { exact: true }).fill(text);
    await page.getByRole('button', { name: 'beside it is right' }).click();
    await (await come(page, 'Points for under it, %')).fill('50');
    await (await come(page, 'Feedback for at its source')).fill('That is where it begins.');
    await page.getByRole('button', { name: 'Add a link for at its source' }).click();
    await page.getByLabel('Link title for at its source').fill('The course of a river');
    await page.getByLabel('Link address for at its source').fill('javascript:alert(1)');
    await page.keyboard.press('Tab');
    await expect(page.getByText('A link begins with http://, https:// or mailto:')).toBeVisible();
    await page.getByLabel('Link address for at its source').fill('https://rivers.example/course');
    await (await come(page, 'Feedback for right answers')).fill('Yes.');

    await anotherKind(page, 'Word or phrase');
    await page.getByRole('textbox', { name: 'Text of question 2' }).click();
    await page.keyboard.type('What is the low wall beside a river called?');
    await (await come(page, 'Points')).fill('3');
    await page.getByLabel('Another right answer').fill('levée');
    await page.keyboard.press('Enter');
    await (await come(page, 'Another form of levée')).fill('river levee');
    await page.keyboard.press('Enter');
    await page.getByLabel('Another right answer').fill('bank');
    await page.keyboard.press('Enter');
    await (await come(page, 'Points for bank, %')).fill('33.333');
    await page.getByLabel('Another expected wrong answer').fill('dam');
    await page.keyboard.press('Enter');
    await (await come(page, 'Feedback for dam')).fill('A dam lies across the river.');
    await (await come(page, 'Explanation')).fill('Floods build it up from their coarsest load.');
    await (await come(page, 'What counts in spelling')).selectOption('smallErrorsPass');
    await (await come(page, 'Price of a typing error, %')).fill('10');

    await page.getByRole('button', { name: 'Next question: word or phrase' }).click();
    await expect(page.getByRole('textbox', { name: 'Text of question 3' })).toBeFocused();
    // Points of one question are its own: the next one has the quiz’s.
    await expect(await come(page, 'Points')).toHaveValue('');
    await (await come(page, 'Points')).fill('3');
    await expect(page.getByLabel('What counts in spelling')).toHaveValue('smallErrorsPass');
    await page.getByRole('textbox', { name: 'Text of question 3' }).click();
    await page.keyboard.type('Name one thing you saw on the flood map.');
    await (await come(page, 'Must it be answered')).selectOption('any');
    await saved(page);
    await expect(page.getByText('3 questions · 7 points')).toBeVisible();
    await expect(page.getByText('1 without key')).toBeVisible();
    await expect(
      page.getByText('Full marks cannot be reached: question 3 has no fully right answer yet.'),
    ).toBeVisible();
  });

  await test.step('the margin marks what is typed', async () => {
    await page.getByRole('button', { name: 'Question 2', exact: true }).click();
    const margin = page.getByRole('complementary', { name: 'Margin' });
    await margin.getByRole('textbox', { name: 'Try an answer' }).fill('river leve');
    await expect(margin.getByText('2.7 of 3')).toBeVisible();
    await expect(margin.getByText('1 typing error at 10% each: 90% left of 100%')).toBeVisible();
    await margin.getByRole('textbox', { name: 'Try an answer' }).fill('Dam!');
    await expect(margin.getByText('0 of 3', { exact: true })).toBeVisible();
    await expect(margin.getByText('A dam lies across the river.')).toBeVisible();
    await margin.getByRole('textbox', { name: 'Try an answer' }).fill('bank');
    await expect(margin.getByText('1 of 3', { exact: true })).toBeVisible();
    await expect(margin.getByText('Earns 33333/100000 of 3 points: 1')).toBeVisible();
  });

  await test.step('undo and redo reach across a reload', async () => {
    await (await come(page, 'Points for bank, %')).fill('50');
    await saved(page);
    await page.reload();
    await page.getByRole('button', { name: /^Undo: / }).click();
    await page.getByRole('button', { name: 'Question 2', exact: true }).click();
    await expect(await come(page, 'Points for bank, %')).toHaveValue('33.333');
    await page.keyboard.press('Control+Shift+Z');
    await expect(await come(page, 'Points for bank, %')).toHaveValue('50');
  });

  await test.step('plan and open', async () => {
    await goTo(page, 'Plan');
    await finer(page);
    await page.getByLabel('Feedback with its links appears', { exact: true }).selectOption('closed');
    await page
      .getByLabel('The right answers and explanations appear', { exact: true })
      .selectOption('byTeacher');
    await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
    await page.getByRole('checkbox', { name: 'It stays open until I close it' }).check();
    await page.getByRole('button', { name: 'Open it' }).click();
    await expect(page.getByRole('banner').getByRole('button', { name: 'Open', exact: true })).toBeVisible();
    // Nobody is accused: what hints at the key is one quiet line.
    await expect(page.getByText(/can be passed on to 26 students who can still hand in\./)).toBeVisible();
    await expect(page.getByRole('list', { name: 'Warnings' })).toHaveCount(0);
  });

  const sitting = await test.step('a student sits it', async () => {
    await goTo(page, 'Tray');
    await page.getByLabel('Name of a new student').fill('Rhea Ness');
    await page.getByRole('button', { name: 'Add to the class list' }).click();
    const sit = await pageOf(page, 'Rhea Ness');
    await sit.setViewportSize({ width: 360, height: 740 });
    await expect(sit.getByText('3 questions, 7 points.')).toBeVisible();
    await expect(sit.getByText('The right answers: when your teacher shows it.')).toBeVisible();
    await sit.getByRole('button', { name: 'Begin' }).click();
    await sit.getByText('under it').click();
    await expect(sit.getByText(/Saved on this device at/)).toBeVisible();
    await sit.getByRole('button', { name: 'Next' }).click();
    await sit.getByRole('textbox').fill('Levee');
    await expect(sit.getByText(/Saved on this device at/)).toBeVisible();
    await sit.reload();
    await expect(sit.getByText('Question 3 of 3')).toBeVisible();
    await sit.getByRole('button', { name: 'Back' }).click();
    await expect(sit.getByRole('textbox')).toHaveValue('Levee');
    await sit.getByRole('button', { name: 'Next' }).click();
    await sit.getByRole('button', { name: 'Review and hand in' }).click();
    await expect(sit.getByText('1 question has no answer yet:')).toBeVisible();
    await expect(sit.getByText('Before you can hand in, one question must be answered.')).toBeVisible();
    await expect(sit.getByRole('button', { name: 'Hand in' })).toBeDisabled();
    await sit.getByRole('button', { name: /Name one thing you saw/ }).click();
    await sit.getByRole('textbox').fill('a bridge');
    await sit.getByRole('button', { name: 'Review and hand in' }).click();
    await expect(sit.getByText('All 3 questions are answered.')).toBeVisible();
    await sit.getByRole('button', { name: 'Hand in' }).click();
    await expect(sit.getByText('It has been received.')).toBeVisible();
    await expect(sit.getByText('3.5 of 7')).toBeVisible();
    await expect(sit.getByText('so far, 3 not marked yet')).toBeVisible();
    await expect(sit.getByText('Partly right')).toBeVisible();
    await expect(sit.getByText('Feedback will come when your teacher closes the quiz.')).toBeVisible();
    await expect(sit.getByText('The right answers will come when your teacher shows it.')).toBeVisible();
    await expect(sit.getByText('Yes.')).toHaveCount(0);
    return sit;
  });

  await test.step('answers from a file', async () => {
    const csv = [
      'Who,Wall,Remark,Where',
      'Ada Marsh,"levee",late,beside it',
      'Bela Fenn,dyke,,under it',
      'Cato Weir,Bank,,at its source',
      '=Evil Name,=1+1,,beside it',
      ',levee,,beside it',
    ].join('\n');
    await page
      .getByLabel('Answer file')
      .setInputFiles({ name: 'answers.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByLabel('Column Who')).toHaveValue('student');
    await dialog
      .getByLabel('Column Wall')
      .selectOption({ label: '2. What is the low wall beside a river called?' });
    await dialog
      .getByLabel('Column Where')
      .selectOption({ label: '1. Where is the flood plain of a river in H2O?' });
    await expect(dialog.getByLabel('Column Remark')).toHaveValue('note');
    await expect(dialog.getByText('line 6: no name, number or email address')).toBeVisible();
    await expect(dialog.getByText('1 student in the file is not on the class list.')).toBeVisible();
    await expect(dialog.getByText('3 papers ready.')).toBeVisible();
    await dialog.getByRole('button', { name: 'Add all' }).click();
    await dialog.getByRole('button', { name: 'Import 4 papers' }).click();
    await expect(page.getByText('5 of 28 handed in')).toBeVisible();
  });

  await test.step('check, mend the key, see the effect, apply, undo', async () => {
    await goTo(page, 'Check');
    await expect(page.getByText('5 papers marked, 1 answer to mark')).toBeVisible();
    const totals = async () =>
      Object.fromEntries(
        await Promise.all(
          ['Ada Marsh', 'Bela Fenn', 'Cato Weir', '=Evil Name', 'Rhea Ness'].map(
            async (name) => [name, (await checkRow(page, name)).at(-1)] as const,
          ),
        ),
      );
    const before = {
      'Ada Marsh': '4',
      'Bela Fenn': '0.5',
      'Cato Weir': '1.5',
      '=Evil Name': '1',
      'Rhea Ness': '+3 not marked yet3.5',
    };
    await expect.poll(totals).toEqual(before);
    await page.getByRole('button', { name: 'Question 2: wrong, 0 points, “dyke”' }).click();
    await expect(page.getByText('Matches nothing in the key, so it is wrong')).toBeVisible();

    await goTo(page, 'Write');
    await page.getByRole('button', { name: 'Question 2', exact: true }).click();
    await (await come(page, 'Another form of levée')).fill('dyke');
    await page.keyboard.press('Enter');
    const bar = page.getByRole('region', { name: 'Changes not applied' });
    await expect(bar.getByText('1 change not applied')).toBeVisible();
    await expect(bar.getByText('1 score goes up, 4 stay')).toBeVisible();
    await (await come(page, 'Points for bank, %')).fill('0');
    await expect(bar.getByText('1 score goes up, 1 score goes down, 3 stay')).toBeVisible();
    await goTo(page, 'Check');
    await expect
      .poll(totals)
      .toEqual({ ...before, 'Bela Fenn': '0.5 →would be 3.5', 'Cato Weir': '1.5 →would be 0' });
    await bar.getByRole('button', { name: 'See who' }).click();
    await expect(page.getByRole('list', { name: 'Whose score changes' }).getByRole('listitem')).toHaveText([
      /^Bela Fenn0\.5.*3\.5 of 7has seen the old score$/,
      /^Cato Weir1\.5.*0 of 7has seen the old score$/,
    ]);
    await bar.getByRole('button', { name: 'Apply to all' }).click();
    const after = { ...before, 'Bela Fenn': '3.5', 'Cato Weir': '0' };
    await expect.poll(totals).toEqual(after);
    await page.getByRole('button', { name: 'Undo the change' }).click();
    await expect
      .poll(totals)
      .toEqual({ ...before, 'Bela Fenn': '0.5 →would be 3.5', 'Cato Weir': '1.5 →would be 0' });
    await bar.getByRole('button', { name: 'Apply to all' }).click();
    await expect.poll(totals).toEqual(after);
  });

  await test.step('scores as a file', async () => {
    const file = await downloaded(page, () => page.getByRole('button', { name: 'Scores as CSV' }).click());
    expect(file.name).toBe('Flood-words-scores.csv');
    const lines = file.text.split('\r\n');
    expect(lines[0]).toBe(
      '\uFEFFName,Number,Score,Out of,Points not marked yet,1. Where is the flood plain of a river in H2O?,2. What is the low wall beside a river called?,3. Name one thing you saw on the flood map.',
    );
    expect(lines).toContain('Ada Marsh,801,4,7,0,1,3,0');
    expect(lines).toContain(`"'=Evil Name",,1,7,0,1,0,0`);
    expect(lines).toContain('Rhea Ness,,3.5,7,3,0.5,3,');
    expect(lines).toContain('Zoe Mere,826,,7,,,,');
  });

  await test.step('the student sees what the plan says, later', async () => {
    await goTo(page, 'Plan');
    await page.getByRole('button', { name: 'Show it now' }).click();
    await sitting.bringToFront();
    await sitting.reload();
    await expect(sitting.getByText('Floods build it up from their coarsest load.')).toBeVisible();
    await expect(sitting.getByText('levée', { exact: true })).toBeVisible();
    await page.bringToFront();
    await page.getByRole('banner').getByRole('button', { name: 'Open', exact: true }).click();
    await page.getByRole('button', { name: 'Close now' }).click();
    await sitting.bringToFront();
    await sitting.reload();
    await expect(sitting.getByText(/Feedback will come/)).toHaveCount(0);
    await goTo(page, 'Plan');
    await page.getByRole('button', { name: 'Hide it again' }).click();
    await sitting.reload();
    await expect(sitting.getByText('Floods build it up from their coarsest load.')).toHaveCount(0);
  });
});
