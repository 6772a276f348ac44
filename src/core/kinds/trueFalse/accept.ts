import { isSilent } from '../../content/silence';
import { keyed, type Accepted, type Keyed } from '../kind';
import { sideOf } from './mark';
import type { TrueFalseAnswer, TrueFalseQuestion } from './schema';

export function accept(
  question: TrueFalseQuestion,
  answer: TrueFalseAnswer,
  as: Accepted,
): Keyed<TrueFalseQuestion> {
  const side = sideOf(question, answer.value);
  const next = { credit: as.credit, feedback: isSilent(as.feedback) ? side.feedback : as.feedback };
  return keyed(answer.value ? { ...question, whenTrue: next } : { ...question, whenFalse: next });
}
