import { kindOf, type Answer, type Question } from '../kinds';
import { pointsOf } from '../quiz/points';
import type { Paper, QuizContent } from '../quiz/quiz';
import {
  add, clamp, compare, divide, equal, larger, multiply, ONE, roundTo, subtract, ZERO, type Fraction,
} from '../figures/fraction'; // prettier-ignore
import type { Override } from '../quiz/override';
import { verdictOf, type Mark, type MarkingContext, type Verdict } from './mark';
import { afterLateness, type Lateness } from './lateness';
import { change, note, type TraceLine } from './trace';

/** Recorded scores are rounded to hundredths, halves away from zero. */
export const SCORE_STEPS = 100;

export const contextOf = (content: QuizContent): MarkingContext => ({ language: content.language });

/** One question's share in a score. */
export interface QuestionScore {
  readonly mark: Mark;
  readonly possible: Fraction;
  readonly earned: Fraction;
  /** What is still to come if the waiting answer turns out right. */
  readonly waiting: Fraction;
  /** What marking alone gives; null while the answer waits. */
  readonly marked: Fraction | null;
  /** The teacher's own score, which stands instead. */
  readonly override: Override | null;
}

/** An attempt's total: what is earned so far, out of what, and what still waits. */
export interface Total {
  /** As recorded: rounded to hundredths. */
  readonly score: Fraction;
  /** Before rounding. */
  readonly exact: Fraction;
  readonly outOf: Fraction;
  readonly waiting: Fraction;
  /** How late the attempt is; null where it is in time. */
  readonly late: Lateness | null;
  /** The sum before anything was taken off for being late. */
  readonly sum: Fraction;
}

/** Marks one answer by its question's key. A pure function of question, answer and language. */
export function markAnswer(question: Question, answer: Answer | null, context: MarkingContext): Mark {
  return kindOf(question).mark(question, answer, context);
}

/** Credit × points, not below 0; an override stands instead and ends waiting. */
export function scoreQuestion(
  mark: Mark,
  possible: Fraction,
  override: Override | null = null,
): QuestionScore {
  const earned = larger(ZERO, multiply(mark.credit, possible));
  const waits = mark.state === 'waits';
  const marked = waits ? null : earned;
  if (override) return { mark, possible, earned: override.points, waiting: ZERO, marked, override };
  const waiting = waits ? multiply(subtract(ONE, mark.credit), possible) : ZERO;
  return { mark, possible, earned, waiting, marked, override: null };
}

/** True where marking now gives something else than it gave when the override was set. */
export function overrideDiffers({ override, marked }: QuestionScore): boolean {
  if (!override) return false;
  if (override.gave === null || marked === null) return override.gave !== marked;
  return !equal(override.gave, marked);
}

/** Right, partly right or wrong: an overridden answer goes by its points. */
export function verdictOfScore({ mark, override, possible }: QuestionScore): Verdict {
  if (!override) return verdictOf(mark);
  if (override.points.n <= 0) return 'wrong';
  return compare(override.points, possible) >= 0 ? 'right' : 'partly';
}

/** The share of the points earned, 0 … 1: what a credit pie shows. */
export function shareOfScore({ mark, override, possible }: QuestionScore): Fraction {
  if (!override) return mark.credit;
  return possible.n === 0 ? ZERO : clamp(divide(override.points, possible), ZERO, ONE);
}

/**
 * Adds up an attempt: the sum, not below 0, less what lateness costs, rounded for the record; waiting points
 * are named beside it.
 */
export function total(scores: readonly QuestionScore[], late: Lateness | null = null): Total {
  let sum = ZERO;
  let outOf = ZERO;
  let waiting = ZERO;
  for (const score of scores) {
    sum = add(sum, score.earned);
    outOf = add(outOf, score.possible);
    waiting = add(waiting, score.waiting);
  }
  sum = larger(ZERO, sum);
  const exact = afterLateness(sum, outOf, late);
  return { score: roundTo(exact, SCORE_STEPS), exact, outOf, waiting, late, sum };
}

/** Marks a whole attempt: each question's score in the paper's order. */
export function markAttempt(
  paper: Paper,
  answers: Readonly<Record<string, Answer>>,
  overrides: Readonly<Record<string, Override>> = {},
): QuestionScore[] {
  const context = contextOf(paper.content);
  return paper.questions.map((question) =>
    scoreQuestion(
      markAnswer(question, answers[question.id] ?? null, context),
      pointsOf(question, paper.content),
      overrides[question.id] ?? null,
    ),
  );
}

/** Every step by which one answer came to its points; the last line holds the points. */
export function traceAnswer(
  question: Question,
  answer: Answer | null,
  content: QuizContent,
  override: Override | null = null,
): TraceLine[] {
  const context = contextOf(content);
  const mark = markAnswer(question, answer, context);
  const score = scoreQuestion(mark, pointsOf(question, content));
  const { possible, earned, waiting } = score;
  const lines = kindOf(question).explain(question, answer, context);
  const points =
    mark.state === 'waits'
      ? change('points', 'pointsWait', ZERO, earned, { waiting, possible })
      : change('points', 'pointsEarned', mark.credit, earned, { credit: mark.credit, possible });
  return [...lines, points, ...overrideLines(scoreQuestion(mark, possible, override))];
}

function overrideLines(score: QuestionScore): TraceLine[] {
  const { override, marked, possible } = score;
  if (!override) return [];
  const { reason, points, gave } = override;
  const differs = overrideDiffers(score)
    ? [note('override', 'overrideDiffers', { gave, gives: marked })]
    : [];
  return [...differs, change('override', 'override', marked, points, { reason, possible })];
}

/** How an attempt's total came about: the sum of the questions, then each step that changed something. */
export function traceTotal(scores: readonly QuestionScore[], late: Lateness | null = null): TraceLine[] {
  const { sum, exact, score, outOf, waiting } = total(scores, late);
  const lines = [change('sum', 'sum', null, sum, { questions: scores.length, outOf })];
  if (waiting.n > 0) lines.push(note('sum', 'stillWaiting', { waiting }));
  if (late) {
    const { started, unit, share, of, excused } = late;
    const values = { started, unit, share, of };
    if (excused) lines.push(note('late', 'lateExcused', values));
    else if (equal(sum, exact)) lines.push(note('late', 'lateFree', values));
    else lines.push(change('late', 'late', sum, exact, values));
  }
  if (!equal(exact, score)) lines.push(change('rounding', 'toHundredths', exact, score));
  return lines;
}

/** The best possible paper: every question answered for the most its key gives. */
export function bestPossible(paper: Paper): { best: Fraction; outOf: Fraction; missing: string[] } {
  let best = ZERO;
  let outOf = ZERO;
  const missing: string[] = [];
  for (const question of paper.questions) {
    const credit = kindOf(question).bestCredit(question);
    const points = pointsOf(question, paper.content);
    best = add(best, multiply(credit ?? ZERO, points));
    outOf = add(outOf, points);
    if (credit === null || credit.n < credit.d) missing.push(question.id);
  }
  return { best, outOf, missing };
}
