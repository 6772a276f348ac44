import type { ScoreVerdict } from '../scoring/scoreQuestion';

/** How many answers to one question came out how. */
export type Spread = Readonly<Record<ScoreVerdict, number>>;

export const NO_SPREAD: Spread = { right: 0, partly: 0, wrong: 0, waits: 0, blank: 0, unmarked: 0 };

/** Counts verdicts. */
export function spreadOf(verdicts: Iterable<ScoreVerdict>): Spread {
  const spread = { ...NO_SPREAD };
  for (const verdict of verdicts) spread[verdict] += 1;
  return spread;
}

/** How many answers a spread is of. */
export const spreadTotal = (spread: Spread): number =>
  Object.values(spread).reduce((sum, times) => sum + times, 0);
