import {
  add,
  divide,
  equal,
  larger,
  multiply,
  roundTo,
  smaller,
  subtract,
  sum as sumOf,
  toDecimalText,
  ONE,
  ZERO,
  type Fraction,
} from '../figures/fraction';
import type { ScoreRules } from '../quiz/rules';
import { afterLateness, type Lateness } from './lateness';
import type { QuestionScore } from './scoreQuestion';
import { change, note, type TraceLine } from '../marks/trace';

/** The parts of the quiz and of the attempt that turn a sum into a score. */
export interface AttemptPath {
  readonly rules: ScoreRules;
  /** Which of the student's attempts that count this is: 1 for the first. */
  readonly repeat: number;
  /** How late the attempt is; null where it is in time. */
  readonly late: Lateness | null;
}

/** An attempt's total: what is earned so far, out of what, and what still waits. */
export interface Total {
  /** As recorded: rounded as the quiz sets. */
  readonly score: Fraction;
  /** Before rounding. */
  readonly exact: Fraction;
  readonly outOf: Fraction;
  readonly waiting: Fraction;
  /** What it would be before rounding if everything that waits, bonus points too, turned out right. */
  readonly couldBe: Fraction;
  /** How late the attempt is; null where it is in time. */
  readonly late: Lateness | null;
  /** The sum before anything was taken off for being late. */
  readonly sum: Fraction;
  /** The most that the score can be: the maximum, with bonus points where they may lift it, scaled. */
  readonly cap: Fraction;
  /** True where nothing is in the maximum, so that there is no score. */
  readonly none: boolean;
}

/** What an attempt after the first keeps of its sum: 1 − price for each earlier one, at least the least share. */
export function repeatFactor(repeat: ScoreRules['repeat'], attempt: number): Fraction {
  if (!repeat || attempt <= 1) return ONE;
  const left = subtract(ONE, multiply(repeat.price, { n: attempt - 1, d: 1 }));
  return larger(repeat.least, left);
}

/** Rounded to so many steps a point (null: not at all), halves away from zero, and not above the cap. */
export function recorded(exact: Fraction, rounding: ScoreRules['rounding'], cap: Fraction): Fraction {
  return rounding === null ? exact : smaller(roundTo(exact, rounding), larger(cap, exact));
}

interface Steps {
  readonly sum: Fraction;
  readonly floored: Fraction;
  readonly factor: Fraction;
  readonly repeated: Fraction;
  readonly afterLate: Fraction;
  readonly cap: Fraction;
  readonly capped: Fraction;
  readonly maximum: Fraction;
  readonly scaled: Fraction;
  readonly scaledCap: Fraction;
}

/** The sums of an attempt's questions, in one pass. */
interface Sums {
  readonly earned: Fraction;
  readonly maximum: Fraction;
  readonly bonus: Fraction;
  readonly waiting: Fraction;
  /** Bonus points that wait. */
  readonly bonusWaiting: Fraction;
}

function sumsOf(scores: readonly QuestionScore[]): Sums {
  let [earned, maximum, bonus, waiting, bonusWaiting] = [ZERO, ZERO, ZERO, ZERO, ZERO];
  for (const score of scores) {
    earned = add(earned, score.earned);
    maximum = add(maximum, score.maximum);
    if (score.standing === 'bonus') {
      bonus = add(bonus, score.possible);
      bonusWaiting = add(bonusWaiting, score.waiting);
    } else waiting = add(waiting, score.waiting);
  }
  return { earned, maximum, bonus, waiting, bonusWaiting };
}

function stepsOf({ earned: sum, maximum, bonus }: Sums, { rules, repeat, late }: AttemptPath): Steps {
  const floored = rules.floor ? larger(ZERO, sum) : sum;
  const factor = repeatFactor(rules.repeat, repeat);
  const repeated = floored.n > 0 && factor !== ONE ? multiply(floored, factor) : floored;
  const afterLate = afterLateness(repeated, maximum, late);
  const cap = rules.bonusLifts ? add(maximum, bonus) : maximum;
  const capped = smaller(afterLate, cap);
  const scale = rules.outOf && maximum.n > 0 ? divide(rules.outOf, maximum) : ONE;
  const [scaled, scaledCap] = scale === ONE ? [capped, cap] : [multiply(capped, scale), multiply(cap, scale)];
  return { sum, floored, factor, repeated, afterLate, cap, capped, maximum, scaled, scaledCap };
}

/**
 * Adds up an attempt: sum, floor of the quiz, repeat factor, lateness, cap, scale and rounding, in this order; points
 * that wait are named beside it, unscaled.
 */
export function total(scores: readonly QuestionScore[], path: AttemptPath): Total {
  const sums = sumsOf(scores);
  const { repeated, scaled, scaledCap, maximum } = stepsOf(sums, path);
  const none = maximum.n === 0;
  const { waiting, bonusWaiting } = sums;
  const still = add(waiting, bonusWaiting);
  const most = still.n === 0 ? scaled : stepsOf({ ...sums, earned: add(sums.earned, still) }, path).scaled;
  const exact = none ? ZERO : scaled;
  return {
    score: recorded(exact, path.rules.rounding, scaledCap),
    exact,
    outOf: none ? ZERO : (path.rules.outOf ?? maximum),
    waiting,
    couldBe: none ? ZERO : most,
    late: path.late,
    sum: repeated,
    cap: scaledCap,
    none,
  };
}

/** How an attempt's total came about: the sum of the questions, then each step that changed something. */
export function traceTotal(scores: readonly QuestionScore[], path: AttemptPath): TraceLine[] {
  const steps = stepsOf(sumsOf(scores), path);
  const { score, exact, waiting, none } = total(scores, path);
  const lines: TraceLine[] = [
    change('sum', 'sum', null, steps.sum, { questions: scores.length, outOf: steps.maximum }),
  ];
  const step = (
    at: TraceLine['step'],
    code: string,
    before: Fraction,
    after: Fraction,
    values: TraceLine['values'] = {},
  ) => {
    if (!equal(before, after)) lines.push(change(at, code, before, after, values));
  };
  if (!addsUpAsShown(scores, steps.sum)) lines.push(note('sum', 'shownPartsDiffer'));
  if (waiting.n > 0) lines.push(note('sum', 'stillWaiting', { waiting }));
  const bonus = sumOf(scores.map((one) => (one.standing === 'bonus' ? one.waiting : ZERO)));
  if (bonus.n > 0) lines.push(note('sum', 'bonusWaiting', { waiting: bonus }));
  if (none) return [...lines, change('sum', 'noScore', steps.sum, ZERO)];
  step('floor', 'quizFloor', steps.sum, steps.floored);
  step('repeat', 'repeat', steps.floored, steps.repeated, { factor: steps.factor, number: path.repeat });
  lines.push(...lateLines(path.late, steps));
  step('cap', 'cap', steps.afterLate, steps.capped);
  step('scale', 'scale', steps.capped, steps.scaled, { outOf: path.rules.outOf, maximum: steps.maximum });
  step('rounding', 'rounded', exact, score, { steps: path.rules.rounding });
  return lines;
}

function lateLines(late: Lateness | null, { repeated, afterLate }: Steps): TraceLine[] {
  if (!late) return [];
  const { started, unit, share, of, each, excused } = late;
  const values = { started, unit, share, of, each, capped: each !== null };
  if (excused) return [note('late', 'lateExcused', values)];
  return equal(repeated, afterLate)
    ? [note('late', 'lateFree', values)]
    : [change('late', 'late', repeated, afterLate, values)];
}

/** True where the parts as shown, with 2 decimals, add up to the sum as shown. */
function addsUpAsShown(scores: readonly QuestionScore[], sum: Fraction): boolean {
  const shown = sumOf(scores.map(({ earned }) => roundTo(earned, 100)));
  return toDecimalText(shown) === toDecimalText(sum);
}
