import { type Random } from '../../figures/random';
import { isRight } from './mark';
import type { PickSeveralAnswer, PickSeveralQuestion } from './schema';

/** Exactly the right options; or one of them missed, a wrong one picked, or both. */
export function makeUp(
  question: PickSeveralQuestion,
  random: Random,
  wanted: 'right' | 'wrong',
): PickSeveralAnswer | null {
  const open = question.options.filter((option) => !option.gone);
  const slip = wanted === 'right' ? 0 : 0.45;
  const options = open
    .filter((option) => (isRight(question, option) ? random() >= slip : random() < slip))
    .map(({ id }) => id);
  return options.length === 0 ? null : { kind: 'pickSeveral', options };
}
