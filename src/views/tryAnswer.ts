import type { Answer, Question } from '@/core/kinds';
import type { NearMiss } from '@/core/marks/mark';
import { verdictOfScore, type ScoreVerdict } from '@/core/scoring/scoreQuestion';
import { contextOf } from '@/core/scoring/context';
import { markAnswer, scoreMark } from '@/core/scoring/markAttempt';
import { traceAnswer } from '@/core/scoring/traceAnswer';
import type { Fraction } from '@/core/figures/fraction';
import type { Feedback } from '@/core/content/feedback';
import { feedbackTold } from '@/core/marks/feedbackTold';
import type { Override } from '@/core/quiz/work/override';
import { carriesPoints } from '@/core/quiz/placement';
import type { Paper } from '@/core/quiz/quiz';
import { readerWords } from './readerWords';

/** A line of a trace ready to be read, with the step it belongs to. */
export interface TraceText {
  readonly step: string;
  readonly text: string;
}

/** What the margin shows for one tried answer. */
export interface Trial {
  readonly verdict: ScoreVerdict;
  readonly credit: Fraction;
  readonly earned: Fraction;
  readonly possible: Fraction;
  readonly waiting: Fraction;
  readonly errors: number;
  readonly nearMiss: NearMiss | null;
  readonly feedback: Feedback;
  readonly trace: readonly TraceText[];
}

/** Marks one answer and explains it. */
export function tryAnswer(
  question: Question,
  answer: Answer | null,
  paper: Paper,
  override: Override | null = null,
  hints: readonly string[] = [],
): Trial {
  const score = scoreMark(
    markAnswer(question, answer, contextOf(paper, question)),
    question,
    paper,
    null,
    hints,
  );
  const { mark, earned, possible, waiting } = score;
  const trace = traceAnswer(question, answer, paper, override, hints).map((line) => ({
    step: line.step,
    text: readerWords(line),
  }));
  const { credit, errors } = mark;
  const nearMiss = carriesPoints(score) ? mark.nearMiss : null;
  const feedback = feedbackTold(mark);
  return {
    verdict: verdictOfScore(score),
    credit,
    earned,
    possible,
    waiting,
    errors,
    nearMiss,
    feedback,
    trace,
  };
}
