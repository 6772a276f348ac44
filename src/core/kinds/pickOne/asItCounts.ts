import { namedOnes } from '../shared/pick/optionName';
import type { PickOneQuestion } from './schema';

/** Without options that have no name. */
export function asItCounts(question: PickOneQuestion): PickOneQuestion {
  const options = namedOnes(question.options);
  return options === question.options ? question : { ...question, options };
}
