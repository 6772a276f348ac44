import { kindOf, type Answer, type Question } from '../kinds';
import { pointsOf } from '../quiz/points';
import type { Paper, QuizContent } from '../quiz/quiz';
import { add, larger, multiply, ONE, roundTo, subtract, ZERO, type Fraction } from '../figures/fraction';
import type { Mark, MarkingContext } from './mark';
import { change, note, type TraceLine } from './trace';

/** Recorded scores are rounded to hundredths, halves away from zero. */
const SCORE_STEPS = 100;

export const contextOf = (content: QuizContent): MarkingContext => ({ language: content.language });

/** One question's share in a score. */
export interface QuestionScore {
  readonly mark: Mark;
  readonly possible: Fraction;
  readonly earned: Fraction;
  /** What is still to come if the waiting answer turns out right. */
  readonly waiting: Fraction;
}

/** A total: what is earned so far, out of what, and what still waits. */
export interface Total {
  /** As recorded: rounded to hundredths. */
  readonly score: Fraction;
  /** Before rounding. */
  readonly exact: Fraction;
  readonly outOf: Fraction;
  readonly waiting: Fraction;
}

/** Marks one answer by its question's key. A pure function of question, answer and language. */
export function markAnswer(question: Question, answer: Answer | null, context: MarkingContext): Mark {
  return kindOf(question).mark(question, answer, context);
}

/** Credit × points, not below 0. */
export function scoreQuestion(mark: Mark, possible: Fraction): QuestionScore {
  const earned = larger(ZERO, multiply(mark.credit, possible));
  const waiting = mark.state === 'waits' ? multiply(subtract(ONE, mark.credit), possible) : ZERO;
  return { mark, possible, earned, waiting };
}

/** Adds up an attempt: the sum, not below 0, rounded for the record; waiting points are named beside it. */
export function total(scores: readonly QuestionScore[]): Total {
  let exact = ZERO;
  let outOf = ZERO;
  let waiting = ZERO;
  for (const score of scores) {
    exact = add(exact, score.earned);
    outOf = add(outOf, score.possible);
    waiting = add(waiting, score.waiting);
  }
  exact = larger(ZERO, exact);
  return { score: roundTo(exact, SCORE_STEPS), exact, outOf, waiting };
}

/** Marks a whole attempt: each question's score in the paper's order. */
export function markAttempt(paper: Paper, answers: Readonly<Record<string, Answer>>): QuestionScore[] {
  const context = contextOf(paper.content);
  return paper.questions.map((question) =>
    scoreQuestion(
      markAnswer(question, answers[question.id] ?? null, context),
      pointsOf(question, paper.content),
    ),
  );
}

/** Every step by which one answer came to its points; the last line holds the points. */
export function traceAnswer(question: Question, answer: Answer | null, content: QuizContent): TraceLine[] {
  const context = contextOf(content);
  const { mark, possible, earned, waiting } = scoreQuestion(
    markAnswer(question, answer, context),
    pointsOf(question, content),
  );
  const lines = kindOf(question).explain(question, answer, context);
  const last =
    mark.state === 'waits'
      ? change('points', 'pointsWait', ZERO, earned, { waiting, possible })
      : change('points', 'pointsEarned', mark.credit, earned, { credit: mark.credit, possible });
  return [...lines, last];
}

/** How the total came about: the sum of the questions, and the rounding where it changed something. */
export function traceTotal(scores: readonly QuestionScore[]): TraceLine[] {
  const { exact, score, outOf, waiting } = total(scores);
  const lines = [change('sum', 'sum', null, exact, { questions: scores.length, outOf })];
  if (waiting.n > 0) lines.push(note('sum', 'stillWaiting', { waiting }));
  if (exact.n * score.d !== score.n * exact.d) lines.push(change('rounding', 'toHundredths', exact, score));
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
