import type { Fraction } from '../figures/fraction';
import type { RecordedTotal } from '../scoring/joinAttempts';
import { meanOf, medianOf, quartilesOf } from '../statistics/spread';
import type { ClassDid } from './packets';

/**
 * Mean and quartiles of the recorded scores that are final: quartiles are the medians of the lower and the upper half, where
 * the middle one of an odd number is in neither (Moore and McCabe). null for fewer than two.
 */
export function classDid(
  recorded: readonly (RecordedTotal | null)[],
  papers: number,
  outOf: Fraction,
): ClassDid | null {
  const scores = recorded.flatMap((one) => (one && !one.provisional ? [one.score.n / one.score.d] : []));
  const [mean, median, quartiles] = [meanOf(scores), medianOf(scores), quartilesOf(scores)];
  return mean === null || median === null || quartiles === null
    ? null
    : { papers, mean, quartiles: [quartiles[0], median, quartiles[1]], outOf };
}
