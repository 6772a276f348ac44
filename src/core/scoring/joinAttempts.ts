import { add, compare, divide, equal, fraction, multiply, ZERO, type Fraction } from '../figures/fraction';
import type { AttemptRule, ScoreRules } from '../quiz/rules';
import { recorded, type Total } from './total';

/** A student's recorded score, joined from the attempts that count. */
export interface RecordedTotal {
  /** Rounded as the quiz sets. */
  readonly score: Fraction;
  readonly exact: Fraction;
  readonly outOf: Fraction;
  /** Points that may still come to the recorded score. */
  readonly waiting: Fraction;
  /** True while waiting points of any attempt could change the recorded score. */
  readonly provisional: boolean;
  /** Which of the attempts given stands for the student; null where their mean does. */
  readonly counted: number | null;
  /** True where nothing is in the maximum, so that there is no score. */
  readonly none: boolean;
}

const mean = (values: readonly Fraction[]): Fraction =>
  divide(values.reduce(add, ZERO), fraction(values.length));

/** Per cent, in which attempts of different maxima are recorded where the quiz gives no scale. */
const HUNDRED: Fraction = { n: 100, d: 1 };

/** Attempts of different maxima as shares of one: of the scale where the quiz gives one, else in per cent. */
function alike(totals: readonly Total[], outOf: ScoreRules['outOf']): readonly Total[] {
  const [first] = totals;
  if (!first || totals.every((total) => equal(total.outOf, first.outOf))) return totals;
  const scale = outOf ?? HUNDRED;
  return totals.map((total) => {
    const by = total.none ? ZERO : divide(scale, total.outOf);
    const scaled = (value: Fraction): Fraction => multiply(value, by);
    return {
      ...total,
      exact: scaled(total.exact),
      waiting: scaled(total.waiting),
      couldBe: scaled(total.couldBe),
      cap: scaled(total.cap),
      outOf: scale,
    };
  });
}

/** Best by the score before rounding; of equal bests the earliest. */
function bestOf(totals: readonly Total[]): number {
  let best = 0;
  totals.forEach((total, index) => {
    if (compare(total.exact, (totals[best] as Total).exact) > 0) best = index;
  });
  return best;
}

/** True where points that wait, counted through all further steps, could change a score. */
const mayChange = ({ couldBe, exact }: Total): boolean => !equal(couldBe, exact);

/** True where a best could still be beaten, or grow, by points that wait. */
const bestMayChange = (totals: readonly Total[], best: Total): boolean =>
  totals.some((total) => mayChange(total) && (total === best || compare(total.couldBe, best.exact) > 0));

/**
 * Joins attempts in their order, joined from scores so far; null without any that has a score. Attempts of
 * different maxima are joined by share.
 */
export function joinAttempts(
  attempts: readonly Total[],
  counts: AttemptRule['counts'],
  { outOf, rounding }: Pick<ScoreRules, 'outOf' | 'rounding'>,
): RecordedTotal | null {
  const totals = alike(attempts, outOf);
  const [first] = totals;
  if (!first) return null;
  if (counts === 'mean') {
    const exact = mean(totals.map((total) => total.exact));
    const waiting = mean(totals.map((total) => total.waiting));
    const cap = mean(totals.map((total) => total.cap));
    return {
      score: recorded(exact, rounding, cap),
      exact,
      outOf: first.outOf,
      waiting,
      provisional: totals.some(mayChange),
      counted: totals.length === 1 ? 0 : null,
      none: first.none,
    };
  }
  const counted = counts === 'best' ? bestOf(totals) : counts === 'first' ? 0 : totals.length - 1;
  const one = totals[counted] as Total;
  return {
    score: recorded(one.exact, rounding, one.cap),
    exact: one.exact,
    outOf: one.outOf,
    waiting: one.waiting,
    provisional: counts === 'best' ? bestMayChange(totals, one) : mayChange(one),
    counted,
    none: one.none,
  };
}
