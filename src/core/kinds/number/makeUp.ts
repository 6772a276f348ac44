import type { Random } from '../../figures/random';
import { numberFor } from '../shared/number/numberMakeUp';
import type { NumberAnswer, NumberQuestion } from './schema';

export function makeUp(
  question: NumberQuestion,
  random: Random,
  wanted: 'right' | 'wrong',
): NumberAnswer | null {
  const text = numberFor(question, random, wanted);
  return text === '' ? null : { kind: 'number', text };
}
