import { namedOnes } from '../shared/pick/optionName';
import type { BoxesQuestion } from './schema';

/** Without items and boxes that have no name. */
export function asItCounts(question: BoxesQuestion): BoxesQuestion {
  const named = namedOnes(question.items);
  const boxes = namedOnes(question.boxes);
  if (named === question.items && boxes === question.boxes) return question;
  const ids = new Set(boxes.map(({ id }) => id));
  const items = named.map((item) => ({ ...item, boxes: item.boxes.filter((id) => ids.has(id)) }));
  return { ...question, items, boxes };
}
