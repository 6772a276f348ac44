import type { Locator, Page } from '@playwright/test';

type Within = Page | Locator;

/** Fields that are rules of the whole quiz. */
const OF_THE_QUIZ =
  /^(Points of a question|Must questions be answered|(Language|Decimal sign) of the answers|Order of (questions|options)|Pages|Topic|What the score is out of|Score out of|How scores are rounded|Scores below 0|What bonus points can do|What a repeated attempt loses|What (each|a) repeat .*)$/;

/** What is on one line in words until it is wanted. */
const MORE: readonly (readonly [RegExp, RegExp])[] = [
  [/^Feedback for (right|partly right|wrong) answers$/, /^Feedback of (question|note) \d/],
  [/^Explanation$/, /^Explanation of question \d/],
  [/^Hint 1$/, /^Hint of question \d/],
  [/^Another topic$/, /^Topic of (question|note) \d/],
  [/^Short name, for you alone$/, /^Short name of (question|note) \d/],
];

/** What belongs to one row of a key, and the name of that row. */
const OF_A_ROW = /^(?:Feedback for|Points for|Weight of|Another form of) (.+?)(?: if it is missed)?(?:, %)?$/;

/** Unfolds what a press unfolds, unless it is. */
export async function unfold(scope: Within, press: string): Promise<void> {
  const button = scope.getByRole('button', { name: press, exact: true }).first();
  if ((await button.getAttribute('aria-expanded')) === 'false') await button.click();
}

/** Takes a row of a key in hand by what stands in it: its circle, its words, or its number. */
export async function takeRow(scope: Within, name: string): Promise<void> {
  const ways = [
    scope.getByRole('button', { name: `${name} is right`, exact: true }),
    scope.getByLabel(`Form 1 of ${name}`, { exact: true }),
    scope.getByLabel(`Value ${name}`, { exact: true }),
    scope.getByLabel(`Kind of ${name}`, { exact: true }),
    scope.getByLabel(name, { exact: true }),
  ];
  for (const way of ways) if ((await way.count()) > 0) return way.first().focus();
  for (const field of await scope.locator('[data-row]').all())
    if ((await field.inputValue()) === name) return field.focus();
  throw new Error(`No row is called ${name}`);
}

/** Comes to a field as a person does: what it is folded under is unfolded, the row that it belongs to taken in hand. */
export async function come(scope: Within, label: string): Promise<Locator> {
  const field = scope
    .getByLabel(label, { exact: true })
    .and(scope.locator('input, textarea, select, .tiptap'));
  if ((await field.count()) > 0) return field.first();
  const more = MORE.find(([own]) => own.test(label));
  const row = OF_A_ROW.exec(label)?.[1] ?? /^Price of (h.*), %$/.exec(label)?.[1]?.replace('h', 'H');
  if (more) await scope.getByRole('button', { name: more[1] }).click();
  else if (row !== undefined) {
    await takeRow(scope, row);
    const press = label.endsWith(' if it is missed')
      ? `Feedback if missed for ${row}`
      : `Feedback for ${row}`;
    if (label.startsWith('Feedback for ') && (await field.count()) === 0)
      await scope.getByRole('button', { name: press, exact: true }).click();
  } else {
    const isOfTheQuiz = OF_THE_QUIZ.test(label) || (label === 'What a wrong answer costs' && 'goto' in scope);
    await unfold(scope, isOfTheQuiz ? 'Rules' : 'Rules of this question');
  }
  return field.first();
}

/** Presses one of the words below a row of a key, as in *Delete* of *delta*. */
export async function tool(scope: Within, words: string, row: string): Promise<void> {
  await takeRow(scope, row);
  await scope
    .getByRole('group', { name: `For ${row}`, exact: true })
    .getByRole('button', { name: words })
    .click();
}
