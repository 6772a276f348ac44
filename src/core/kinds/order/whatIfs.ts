import type { WhatIf } from '../kind';
import { guessedOrders, guessing } from '../shared/pick/guesses';
import type { OrderAnswer, OrderQuestion } from './schema';

/** Two neighbours the other way round, the first at the end, and any order. */
export function whatIfs({ items }: OrderQuestion): WhatIf<OrderAnswer>[] {
  if (items.length < 2) return [];
  const ids = items.map(({ id }) => id);
  const answerOf = (places: readonly number[]): OrderAnswer => ({
    kind: 'order',
    places: places.map((at) => ids[at] ?? null),
    touched: true,
  });
  const key = ids.map((_, at) => at);
  const swapped = key.slice(1).map((at) => {
    const places = [...key];
    [places[at - 1], places[at]] = [at, at - 1];
    return answerOf(places);
  });
  return [
    { words: 'two neighbours swapped', answers: swapped },
    ...(items.length > 2 ? [{ words: 'the first put last', answers: [answerOf([...key.slice(1), 0])] }] : []),
    guessing(guessedOrders(items.length).map(answerOf)),
  ];
}
