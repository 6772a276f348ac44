import { type Problem } from '../kind';
import { hasKey } from './mark';
import type { TrueFalseQuestion } from './schema';

export const problems = (question: TrueFalseQuestion): Problem[] =>
  hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];
