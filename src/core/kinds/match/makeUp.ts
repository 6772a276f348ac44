import { oneOf, type Random } from '../../figures/random';
import type { MatchAnswer, MatchQuestion } from './schema';

/** Every pair right; or each of them somewhere else as often as not. */
export function makeUp(
  question: MatchQuestion,
  random: Random,
  wanted: 'right' | 'wrong',
): MatchAnswer | null {
  const pairs = question.items.flatMap(({ id, partner }) => {
    const to =
      wanted === 'right' || random() < 0.5 ? partner : (oneOf(random, question.partners)?.id ?? null);
    return to === null ? [] : [[id, to] as const];
  });
  return pairs.length === 0 ? null : { kind: 'match', pairs: Object.fromEntries(pairs) };
}
