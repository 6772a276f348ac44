import { namedOnes } from '../shared/pick/optionName';
import type { OrderQuestion } from './schema';

/** Without items that have no name. */
export function asItCounts(question: OrderQuestion): OrderQuestion {
  const items = namedOnes(question.items);
  return items === question.items ? question : { ...question, items };
}
