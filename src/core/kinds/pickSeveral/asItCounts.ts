import { namedOnes } from '../shared/pick/optionName';
import type { PickSeveralQuestion } from './schema';

/** Without options that have no name. */
export function asItCounts(question: PickSeveralQuestion): PickSeveralQuestion {
  const options = namedOnes(question.options);
  return options === question.options ? question : { ...question, options };
}
