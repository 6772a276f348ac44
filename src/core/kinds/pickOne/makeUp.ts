import { oneOf, type Random } from '../../figures/random';
import type { PickOneAnswer, PickOneQuestion } from './schema';

/** A right option; or a wrong one, the first of them more often: one misconception is the popular one. */
export function makeUp(
  question: PickOneQuestion,
  random: Random,
  wanted: 'right' | 'wrong',
): PickOneAnswer | null {
  if (random() < 0.03) return null;
  const open = question.options.filter((option) => !option.gone);
  const right = open.filter(({ credit }) => credit.n === credit.d);
  const wrong = open.filter(({ credit }) => credit.n !== credit.d);
  const popular = random() < 0.5 ? wrong[0] : oneOf(random, wrong);
  const option = (wanted === 'right' ? oneOf(random, right) : popular) ?? oneOf(random, open);
  return option ? { kind: 'pickOne', option: option.id } : null;
}
