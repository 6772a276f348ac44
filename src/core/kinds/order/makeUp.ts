import { below, type Random } from '../../figures/random';
import type { OrderAnswer, OrderQuestion } from './schema';

/** The right order; or one or two items moved elsewhere. */
export function makeUp(
  question: OrderQuestion,
  random: Random,
  wanted: 'right' | 'wrong',
): OrderAnswer | null {
  if (random() < 0.04) return null;
  const places = question.items.map(({ id }) => id);
  const moves = wanted === 'right' ? 0 : 1 + below(random, 2);
  for (let move = 0; move < moves && places.length > 1; move++) {
    const [item] = places.splice(below(random, places.length), 1);
    places.splice(below(random, places.length + 1), 0, item as string);
  }
  return { kind: 'order', places, touched: true };
}
