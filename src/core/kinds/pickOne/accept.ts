import { isSilent } from '../../content/silence';
import { keyed, notKeyed, type Accepted, type Keyed } from '../kind';
import type { PickOneAnswer, PickOneQuestion } from './schema';

/** The chosen option gets the credit. */
export function accept(
  question: PickOneQuestion,
  answer: PickOneAnswer,
  as: Accepted,
): Keyed<PickOneQuestion> {
  if (!question.options.some((option) => option.id === answer.option))
    return notKeyed('The option that was picked is no longer there');
  const options = question.options.map((option) =>
    option.id === answer.option
      ? { ...option, credit: as.credit, feedback: isSilent(as.feedback) ? option.feedback : as.feedback }
      : option,
  );
  return keyed({ ...question, options });
}
