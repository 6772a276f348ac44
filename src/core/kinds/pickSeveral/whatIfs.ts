import type { WhatIf } from '../kind';
import { guessesAt, guessing } from '../shared/pick/guesses';
import { isRight, openOptions } from './mark';
import type { PickSeveralAnswer, PickSeveralQuestion, SeveralOption } from './schema';

const ticked = (options: readonly SeveralOption[]): PickSeveralAnswer | null =>
  options.length === 0 ? null : { kind: 'pickSeveral', options: options.map(({ id }) => id) };

/** Everything ticked, nothing, one wrong pick too many, and each ticked or not by chance. */
export function whatIfs(question: PickSeveralQuestion): WhatIf<PickSeveralAnswer>[] {
  const options = openOptions(question);
  const right = options.filter((option) => isRight(question, option));
  const wrong = options.filter((option) => !isRight(question, option));
  const oneTooMany = wrong.map((option) => ticked([...right, option]));
  const byChance = guessesAt(options.map(() => 2)).map((ticks) =>
    ticked(options.filter((_, at) => ticks[at] === 1)),
  );
  return [
    { words: 'every option ticked', answers: [ticked(options)] },
    { words: 'none ticked', answers: [null] },
    ...(wrong.length > 0 ? [{ words: 'the right ones and a wrong one', answers: oneTooMany }] : []),
    guessing(byChance),
  ];
}
