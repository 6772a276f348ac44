import { compare, divide, type Fraction } from '../figures/fraction';

/** Bands of a tenth of the maximum each, and one for scores above it. */
export const BANDS = 11;

/**
 * How many scores lie in each tenth of the maximum: the lower end of a band is in it, the last of the ten has both ends; what is
 * above the maximum has a band of its own behind them. Scores out of nothing are in none.
 */
export function histogram(
  scores: Iterable<{ readonly score: Fraction; readonly outOf: Fraction }>,
): readonly number[] {
  const bands = Array.from({ length: BANDS }, () => 0);
  for (const { score, outOf } of scores) {
    if (outOf.n === 0) continue;
    const above = compare(score, outOf) > 0;
    const { n, d } = divide(score, outOf);
    const band = above ? BANDS - 1 : Math.min(BANDS - 2, Math.max(0, Math.floor((n * 10) / d)));
    bands[band] = (bands[band] ?? 0) + 1;
  }
  return bands;
}
