import { namedOnes } from '../shared/pick/optionName';
import type { GapsQuestion } from './schema';

/** Without words of the bank, and options of a gap, that have no name. */
export function asItCounts(question: GapsQuestion): GapsQuestion {
  const bank = namedOnes(question.bank);
  const gaps = question.gaps.map((gap) => {
    if (gap.type !== 'list') return gap;
    const options = namedOnes(gap.options);
    return options === gap.options ? gap : { ...gap, options };
  });
  const whole = bank === question.bank && gaps.every((gap, at) => gap === question.gaps[at]);
  return whole ? question : { ...question, bank, gaps };
}
