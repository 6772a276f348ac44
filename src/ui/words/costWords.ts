import type { Penalty } from '@/core/content/questionBase';
import { percent, pointsWord } from './figures';

/** What a wrong answer may cost, as it goes on in a sentence. */
export const PENALTIES: Readonly<Record<Penalty['kind'], string>> = {
  none: 'nothing',
  share: 'a share of the points',
  points: 'points',
  guessing: 'what guessing would gain',
};

/** A penalty in words, as in “costs 25% of the points”. */
export function penaltyWords(penalty: Penalty): string {
  if (penalty.kind === 'share') return `${percent(penalty.share)} of the points`;
  if (penalty.kind === 'points') return pointsWord(penalty.points);
  return PENALTIES[penalty.kind];
}

/** What becomes of a question that ends below 0. */
export const BELOW_0 = { false: 'counts as 0', true: 'takes points away' } as const;
