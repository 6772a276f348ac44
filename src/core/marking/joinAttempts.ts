import { add, compare, divide, fraction, roundTo, ZERO, type Fraction } from '../figures/fraction';
import type { AttemptRule } from '../quiz/rules';
import { SCORE_STEPS, type Total } from './markAttempt';

/** A student's recorded score, joined from the attempts that count. */
export interface Recorded {
  /** Rounded to hundredths. */
  readonly score: Fraction;
  readonly exact: Fraction;
  readonly outOf: Fraction;
  /** Points that may still come to the recorded score. */
  readonly waiting: Fraction;
  /** True while waiting points of any attempt could change the recorded score. */
  readonly provisional: boolean;
  /** Which of the attempts given stands for the student; null where their mean does. */
  readonly counted: number | null;
}

const mean = (values: readonly Fraction[]): Fraction =>
  divide(values.reduce(add, ZERO), fraction(values.length));

/** Best by the score before rounding; of equal bests the earliest. */
function bestOf(totals: readonly Total[]): number {
  let best = 0;
  totals.forEach((total, index) => {
    if (compare(total.exact, (totals[best] as Total).exact) > 0) best = index;
  });
  return best;
}

function recordOf(
  exact: Fraction,
  outOf: Fraction,
  waiting: Fraction,
): Omit<Recorded, 'counted' | 'provisional'> {
  return { score: roundTo(exact, SCORE_STEPS), exact, outOf, waiting };
}

/** True where a best could still be beaten, or grow, by points that wait. */
const bestMayChange = (totals: readonly Total[], best: Total): boolean =>
  totals.some(
    (total) =>
      total.waiting.n > 0 && (total === best || compare(add(total.exact, total.waiting), best.exact) > 0),
  );

/**
 * Joins attempts in their order, joined from scores so far; null without any. All are marked by one key, so
 * that they have one maximum.
 */
export function joinAttempts(totals: readonly Total[], counts: AttemptRule['counts']): Recorded | null {
  const [first] = totals;
  if (!first) return null;
  if (counts === 'mean') {
    const waiting = mean(totals.map((total) => total.waiting));
    const joined = recordOf(mean(totals.map((total) => total.exact)), first.outOf, waiting);
    return { ...joined, provisional: waiting.n > 0, counted: totals.length === 1 ? 0 : null };
  }
  const counted = counts === 'best' ? bestOf(totals) : counts === 'first' ? 0 : totals.length - 1;
  const one = totals[counted] as Total;
  const provisional = counts === 'best' ? bestMayChange(totals, one) : one.waiting.n > 0;
  return { ...recordOf(one.exact, one.outOf, one.waiting), provisional, counted };
}
