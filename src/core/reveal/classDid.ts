import type { Fraction } from '../figures/fraction';
import type { RecordedTotal } from '../scoring/joinAttempts';
import type { ClassDid } from './packets';

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** The middle value, or the mean of the two middle ones, of values in order. */
function median(values: readonly number[]): number {
  const half = Math.floor(values.length / 2);
  return values.length % 2 === 1 ? (values[half] ?? 0) : mean(values.slice(half - 1, half + 1));
}

/**
 * Mean and quartiles of the recorded scores that are final: quartiles are the medians of the lower and the upper half, where
 * the middle one of an odd number is in neither (Moore and McCabe). null for fewer than two.
 */
export function classDid(
  recorded: readonly (RecordedTotal | null)[],
  papers: number,
  outOf: Fraction,
): ClassDid | null {
  const scores = recorded
    .flatMap((one) => (one && !one.provisional ? [one.score.n / one.score.d] : []))
    .sort((a, b) => a - b);
  if (scores.length < 2) return null;
  const half = Math.floor(scores.length / 2);
  return {
    papers,
    mean: mean(scores),
    quartiles: [median(scores.slice(0, half)), median(scores), median(scores.slice(-half))],
    outOf,
  };
}
