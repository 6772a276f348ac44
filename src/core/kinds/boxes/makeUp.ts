import { oneOf, type Random } from '../../figures/random';
import type { BoxesAnswer, BoxesQuestion } from './schema';

/** Every item in a right box; or each of them in any as often as not. */
export function makeUp(
  question: BoxesQuestion,
  random: Random,
  wanted: 'right' | 'wrong',
): BoxesAnswer | null {
  const placed = question.items.flatMap((item) => {
    const right = wanted === 'right' || random() < 0.5;
    const box = right ? item.boxes[0] : oneOf(random, question.boxes)?.id;
    return box === undefined ? [] : [[item.id, box] as const];
  });
  return placed.length === 0 ? null : { kind: 'boxes', placed: Object.fromEntries(placed) };
}
