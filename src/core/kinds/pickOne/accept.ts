import { isSilent } from '../../quiz/silence';
import type { Accepted } from '../kind';
import type { PickOneAnswer, PickOneQuestion } from './schema';

/** The chosen option gets the credit; words that name none of the options cannot be keyed. */
export function accept(
  question: PickOneQuestion,
  answer: PickOneAnswer,
  as: Accepted,
): PickOneQuestion | null {
  if (answer.kind !== 'pickOne' || !question.options.some((option) => option.id === answer.option))
    return null;
  const options = question.options.map((option) =>
    option.id === answer.option
      ? { ...option, credit: as.credit, feedback: isSilent(as.feedback) ? option.feedback : as.feedback }
      : option,
  );
  return { ...question, options };
}
