import { compare, divide, type Fraction } from '../figures/fraction';
import type { Band } from '../quiz/quiz';

/** The bands of a quiz, the highest first. */
export const inBandOrder = (bands: readonly Band[]): Band[] =>
  [...bands].sort((a, b) => compare(b.from, a.from));

interface Scored {
  readonly score: Fraction;
  readonly outOf: Fraction;
  readonly waiting: Fraction;
  readonly none: boolean;
}

/** The band that a score lies in: the highest that it reaches. null below all of them, and while points are still to come. */
export function bandOf(bands: readonly Band[], { score, outOf, waiting, none }: Scored): Band | null {
  if (none || outOf.n <= 0 || waiting.n > 0) return null;
  const share = divide(score, outOf);
  return inBandOrder(bands).find(({ from }) => compare(share, from) >= 0) ?? null;
}
