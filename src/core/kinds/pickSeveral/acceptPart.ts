import { equal, ONE } from '../../figures/fraction';
import type { GivenPart } from '../givenPart';
import { keyed, notKeyed, type Accepted, type Keyed } from '../kind';
import type { PickSeveralQuestion } from './schema';

/** The option becomes a right or a wrong one; where options have weights of their own, one of that weight. */
export function acceptPart(
  question: PickSeveralQuestion,
  { given }: GivenPart,
  { credit }: Accepted,
): Keyed<PickSeveralQuestion> {
  if (!question.options.some(({ id }) => id === given))
    return notKeyed('This option is not in the draft any more');
  const weighs = question.model === 'ownWeights';
  if (!weighs && credit.n !== 0 && !equal(credit, ONE)) return notKeyed('An option is right or wrong');
  const options = question.options.map((option) =>
    option.id === given
      ? { ...option, right: credit.n > 0, weight: weighs ? credit : option.weight }
      : option,
  );
  return keyed({ ...question, options });
}
