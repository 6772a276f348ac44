import type { Verdict } from '../marks/mark';

/** How many answers to one question came out how. */
export type Spread = Readonly<Record<Verdict, number>>;

export const NO_SPREAD: Spread = { right: 0, partly: 0, wrong: 0, waits: 0, blank: 0 };

/** Counts verdicts. */
export function spreadOf(verdicts: Iterable<Verdict>): Spread {
  const spread = { ...NO_SPREAD };
  for (const verdict of verdicts) spread[verdict] += 1;
  return spread;
}

/** How many answers a spread is of. */
export const spreadTotal = (spread: Spread): number =>
  spread.right + spread.partly + spread.wrong + spread.waits + spread.blank;
