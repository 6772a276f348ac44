import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';

/**
 * The most of a whole that differs, by a random sample of it without putting back: with `differing` of `looked` that did, the
 * share at which so few have probability 1 − confidence (C. J. Clopper and E. S. Pearson, The use of confidence or fiducial limits
 * illustrated in the case of the binomial, 1934, one side). 0 … 1; 1 for an empty sample. Throws RangeError where more differ than
 * were looked at, or the confidence is not between 0 and 1.
 */
export function mostThatDiffers(differing: number, looked: number, confidence: number): number {
  if (differing < 0 || differing > looked || confidence <= 0 || confidence >= 1)
    throw new RangeError(`No bound for ${differing} of ${looked} at ${confidence}`);
  if (differing === looked) return 1;
  if (differing === 0) return 1 - (1 - confidence) ** (1 / looked);
  return betaQuantile(confidence, differing + 1, looked - differing);
}
