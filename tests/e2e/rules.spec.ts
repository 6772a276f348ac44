import { expectAccessibleHere } from './accessible';
import { anotherKind, checkRow, expect, goTo, newQuiz, openIt, pageOf, saved, test } from './support';
import { come, unfold } from './come';

test(
  'every rule set as a sentence is found in the figures below it, the trial, the score, the trace and the slip',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(150_000);
    await page.goto('/');
    await page.getByRole('button', { name: 'New quiz' }).click();
    await page.getByLabel('Title of the quiz').fill('Rules of the river');
    const margin = page.getByRole('complementary', { name: 'Margin' });
    const inHand = (number: number) => page.getByRole('region', { name: `Question ${number} in hand` });
    const earn = (number: number) => inHand(number).getByRole('status', { name: 'What these rules earn' });

    // Two of five are right: what a wrong pick, everything and chance earn stands below the rules.
    await page.getByRole('button', { name: 'Pick several', exact: true }).click();
    const first = inHand(1);
    await first.getByRole('textbox', { name: 'Text of question 1' }).fill('Which are built up?');
    await first.getByLabel('Option 1', { exact: true }).fill('delta');
    for (const name of ['levee', 'gorge', 'waterfall', 'cave']) {
      await page.keyboard.press('Enter');
      await page.keyboard.type(name);
    }
    await first.getByRole('button', { name: 'delta is right' }).click();
    await first.getByRole('button', { name: 'levee is right' }).click();
    await (await come(first, 'Points')).fill('2');
    await expect(earn(1)).toContainText(
      'every option ticked 0 · none ticked 0 · the right ones and a wrong one 1',
    );
    await (await come(first, 'Price of a wrong pick')).fill('0.5');
    await expect(earn(1)).toContainText(
      'every option ticked 0.5 · none ticked 0 · the right ones and a wrong one 1.5',
    );
    await (await come(first, 'What a wrong answer costs')).selectOption('points');
    await expect(first.getByLabel('Points that a wrong answer costs')).toHaveValue('0.5');
    await margin.getByRole('checkbox', { name: 'gorge' }).check();
    await expect(margin.getByText('-0.5 of 2', { exact: true })).toBeVisible();
    // A credit below 0 takes points away, once that is wanted: the larger loss counts.
    await (await come(first, 'Below 0')).selectOption('true');
    await margin.getByRole('checkbox', { name: 'waterfall' }).check();
    await margin.getByRole('checkbox', { name: 'cave' }).check();
    await expect(margin.getByText('-1.5 of 2', { exact: true })).toBeVisible();
    await (await come(first, 'Below 0')).selectOption('false');
    await expect(margin.getByText('-0.5 of 2', { exact: true })).toBeVisible();

    // Guessing one of three gains nothing, once it costs what it would gain.
    await anotherKind(page, 'Pick one');
    const second = inHand(2);
    await second.getByRole('textbox', { name: 'Text of question 2' }).fill('Where is it fastest?');
    await second.getByLabel('Option 1', { exact: true }).fill('outside');
    for (const name of ['inside', 'nowhere']) {
      await page.keyboard.press('Enter');
      await page.keyboard.type(name);
    }
    await second.getByRole('button', { name: 'outside is right' }).click();
    await unfold(second, 'Rules of this question');
    await expect(earn(2)).toContainText('a wrong option 0 · guessing, on average 0.33');
    // An option of its own loss, which can be typed once points may be taken away.
    const loss = await come(second, 'Points for inside, %');
    await loss.fill('-50');
    // Whatever is stored or drawn meanwhile, what was typed stays as it was typed.
    await saved(page);
    await expect(loss).toHaveValue('-50');
    await expect(loss).toHaveClass(/text-error/);
    await (await come(second, 'Below 0')).focus();
    await (await come(second, 'Below 0')).selectOption('true');
    await (await come(second, 'Points for inside, %')).fill('-50');
    await expect(earn(2)).toContainText('a wrong option -0.25 · guessing, on average 0.17');
    await loss.fill('0');
    await (await come(second, 'Below 0')).selectOption('false');
    await (await come(second, 'What a wrong answer costs')).selectOption('guessing');
    await expect(earn(2)).toContainText('a wrong option -0.5 · guessing, on average 0');

    // One on top of the maximum, one that only asks.
    await anotherKind(page, 'Word or phrase');
    await inHand(3).getByRole('textbox', { name: 'Text of question 3' }).fill('What is a bend called?');
    await inHand(3).getByLabel('Another right answer').fill('meander');
    await page.keyboard.press('Enter');
    await (await come(inHand(3), 'How it counts')).selectOption('bonus');
    await anotherKind(page, 'Word or phrase');
    await inHand(4).getByRole('textbox', { name: 'Text of question 4' }).fill('What should we do next?');
    await inHand(4).getByLabel('Another right answer').fill('maps');
    await page.keyboard.press('Enter');
    await (await come(inHand(4), 'How it counts')).selectOption('notMarked');

    // The score of the paper: out of 100, whole points, bonus on top, below 0 if it comes to that.
    await (await come(page, 'What the score is out of')).selectOption('false');
    await expect(page.getByLabel('Score out of')).toHaveValue('100');
    await (await come(page, 'How scores are rounded')).selectOption('1');
    await (await come(page, 'Scores below 0')).selectOption('false');
    await (await come(page, 'What bonus points can do')).selectOption('true');
    await saved(page);
    await expect(page.getByText('4 questions · 3 points, given out of 100')).toBeVisible();
    await expectAccessibleHere(page, 'rules as sentences');
    await page.reload();
    await expect(await come(page, 'How scores are rounded')).toHaveValue('1');

    await openIt(page);
    await goTo(page, 'Tray');
    const sit = async (name: string, picks: readonly string[], one: string, bonus: string) => {
      const sitting = await pageOf(page, name);
      await expect(sitting.getByText('4 questions, 3 points; your score is given out of 100.')).toBeVisible();
      await sitting.getByRole('button', { name: 'Begin' }).click();
      for (const pick of picks) await sitting.getByRole('checkbox', { name: pick }).check();
      await sitting.getByRole('button', { name: 'Next' }).click();
      await sitting.getByRole('radio', { name: one }).check();
      await sitting.getByRole('button', { name: 'Next' }).click();
      if (bonus) await sitting.getByRole('textbox').fill(bonus);
      await sitting.getByRole('button', { name: 'Next' }).click();
      await sitting.getByRole('textbox').fill('something else');
      await sitting.getByRole('button', { name: 'Review and hand in' }).click();
      await sitting.getByRole('button', { name: 'Hand in', exact: true }).click();
      return sitting;
    };
    // 2 + 1 + 1 of 3; 1/2 of 2 + 1; −0.5 − 0.5.
    const ada = await sit('Ada Marsh', ['delta', 'levee'], 'outside', 'meander');
    await expect(ada.getByText('133 of 100')).toBeVisible();
    const bela = await sit('Bela Fenn', ['delta'], 'outside', '');
    await expect(bela.getByText('67 of 100')).toBeVisible();
    const cato = await sit('Cato Weir', ['gorge'], 'inside', '');
    await expect(cato.getByText('-33 of 100')).toBeVisible();

    await goTo(page, 'Check');
    for (const [name, score] of [
      ['Ada Marsh', '133'],
      ['Bela Fenn', '67'],
      ['Cato Weir', '-33'],
    ] as const)
      await expect.poll(async () => (await checkRow(page, name)).at(-1)).toBe(score);
    const cells = await checkRow(page, 'Cato Weir');
    expect(cells[0]).toMatch(/-0\.5/);
    await page
      .getByRole('row')
      .filter({ has: page.getByRole('rowheader', { name: 'Cato Weir', exact: true }) })
      .getByRole('button')
      .last()
      .click();
    const trace = page.getByRole('list', { name: 'How the total came about' });
    await expect(trace).toContainText('100');
    await expect(trace).toContainText('-33');
  },
);

test(
  'what the quiz sets for all its questions, where one differs, and points for each part',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(90_000);
    await newQuiz(page, 'Rules for all', 'True or false');
    const hand = page.getByRole('region', { name: 'Question 1 in hand' });
    const margin = page.getByRole('complementary', { name: 'Margin' });
    await hand.getByRole('textbox', { name: 'Text of question 1' }).fill('Water flows downhill.');
    await hand.getByRole('button', { name: 'True is right' }).click();
    // The quiz's own sentence is the first on the page.
    await (await come(page, 'What a wrong answer costs')).selectOption('share');
    await expect(page.getByLabel('Share that a wrong answer costs, %')).toHaveValue('25');
    await saved(page);
    const own = await come(hand, 'What a wrong answer costs');
    await expect(own.locator('option:checked')).toHaveText('25% of the points (quiz default)');
    await margin.getByRole('radio', { name: 'False' }).check();
    await expect(margin.getByText('-0.25 of 1', { exact: true })).toBeVisible();
    await expect(margin.getByText('-0.25 of 1', { exact: true })).toBeVisible();
    // It differs, which is said, and is as the quiz has it again at a press.
    const differs = hand.getByRole('status', { name: 'What differs from the quiz' });
    await expect(differs).toHaveCount(0);
    await own.selectOption('none');
    await (await come(hand, 'Points')).fill('3');
    await expect(differs).toContainText(
      'Set for this question alone: its points and what a wrong answer costs.',
    );
    await expect(margin.getByText('0 of 3', { exact: true })).toBeVisible();
    await differs.getByRole('button', { name: 'Use the quiz’s rules' }).click();
    await expect(differs).toHaveCount(0);
    await expect(margin.getByText('-0.25 of 1', { exact: true })).toBeVisible();
    await expect(page.getByText('Worst possible score')).toBeVisible();

    // Points follow the number of pairs.
    await anotherKind(page, 'Match');
    const second = page.getByRole('region', { name: 'Question 2 in hand' });
    await second.getByRole('textbox', { name: 'Text of question 2' }).fill('What belongs where?');
    for (const [at, words] of [
      'gorge',
      'upper course',
      'delta',
      'mouth',
      'meander',
      'lower course',
    ].entries()) {
      if (at > 0) await page.keyboard.press('Enter');
      else await second.locator('[data-row]').first().focus();
      await page.keyboard.type(words);
    }
    await (await come(second, 'What the points are for')).selectOption('true');
    await expect(second.getByText('= 3 points for 3 pairs')).toBeVisible();
    await (await come(second, 'Points')).fill('2');
    await expect(second.getByText('= 6 points for 3 pairs')).toBeVisible();
    await saved(page);
    await expect(page.getByText('2 questions · 7 points')).toBeVisible();
    await page.reload();
    await expect(page.getByText('2 questions · 7 points')).toBeVisible();

    // A question in another language than the quiz: its articles are those of that language.
    await page.getByRole('button', { name: 'Question 2', exact: true }).click();
    await anotherKind(page, 'Word or phrase');
    const third = page.getByRole('region', { name: 'Question 3 in hand' });
    await third.getByRole('textbox', { name: 'Text of question 3' }).fill('How do you say river in German?');
    await third.getByLabel('Another right answer').fill('Fluss');
    await page.keyboard.press('Enter');
    await (await come(third, 'What counts in spelling')).selectOption('onlyTheSense');
    await margin.getByRole('textbox', { name: 'Try an answer' }).fill('der Fluß');
    await expect(margin.getByText('-0.25 of 1', { exact: true })).toBeVisible();
    await (await come(third, 'Language of its answers')).selectOption('de');
    await expect(margin.getByText('1 of 1', { exact: true })).toBeVisible();
    await expect(third.getByRole('status', { name: 'What differs from the quiz' })).toContainText(
      'the language of its answers',
    );
  },
);
