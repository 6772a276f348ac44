import type { WhatIf } from '../../kind';
import { below, randomFrom, shuffled } from '../../../figures/random';

/** Up to so many ways to answer are all gone through; of more, so many are drawn, the same each time. */
const MOST_GUESSES = 4000;

/**
 * Ways to choose one thing at each place, as its number there, each as likely: all of them, or of many a fixed draw.
 * `choices` says how many there are at each place.
 */
export function guessesAt(choices: readonly number[]): number[][] {
  if (choices.length === 0 || choices.some((most) => most === 0)) return [];
  const all = choices.reduce((product, most) => product * most, 1);
  if (all > MOST_GUESSES) {
    const random = randomFrom(choices.length);
    return Array.from({ length: MOST_GUESSES }, () => choices.map((most) => below(random, most)));
  }
  return Array.from({ length: all }, (_, at) => {
    let left = at;
    return choices.map((most) => {
      const here = left % most;
      left = Math.floor(left / most);
      return here;
    });
  });
}

/** Orders of so many things, each as likely: all of them, or of many a fixed draw. */
export function guessedOrders(length: number): number[][] {
  const first = Array.from({ length }, (_, at) => at);
  let all = 1;
  for (let n = 2; n <= length; n++) all *= n;
  if (all > MOST_GUESSES) {
    const random = randomFrom(length);
    return Array.from({ length: MOST_GUESSES }, () => shuffled(random, first));
  }
  return first.reduce<number[][]>(
    (orders, item) =>
      orders.flatMap((order) =>
        Array.from({ length: order.length + 1 }, (_, at) => [
          ...order.slice(0, at),
          item,
          ...order.slice(at),
        ]),
      ),
    [[]],
  );
}

/** Answering by chance, from answers that are each as likely; of a draw the mean is only near. */
export const guessing = <Answer>(answers: readonly (Answer | null)[]): WhatIf<Answer> => ({
  words: answers.length < MOST_GUESSES ? 'guessing, on average' : 'guessing, about',
  answers,
});
