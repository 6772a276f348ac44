import type { Answer, Question } from '@/core/kinds';
import { verdictOf, type NearMiss, type Verdict } from '@/core/marks/mark';
import { contextOf } from '@/core/scoring/context';
import { markAnswer, scoreMark } from '@/core/scoring/markAttempt';
import { traceAnswer } from '@/core/scoring/traceAnswer';
import { worthOf } from '@/core/scoring/whatIf';
import type { Fraction } from '@/core/figures/fraction';
import { NEWEST_EDITION } from '@/core/answers/text/wordLists';
import { confusedWords } from '@/core/kinds/shared/textKey/confused';
import type { TextKey } from '@/core/kinds/shared/textKey/schema';
import { readerWords } from './readerWords';
import type { Feedback } from '@/core/content/feedback';
import { feedbackTold } from '@/core/marks/feedbackTold';
import { compareWays, type Given } from '@/core/checking/ways';
import { brokenChecks } from '@/core/checking/checks';
import { madeUpAnswers } from '@/core/madeUp/answers';
import type { Placed } from '@/core/quiz/placement';
import { madeUpSpreads } from '@/core/madeUp/spreads';
import type { Override } from '@/core/quiz/work/override';
import type { Paper } from '@/core/quiz/quiz';

/** A line of a trace ready to be read, with the step it belongs to. */
export interface TraceText {
  readonly step: string;
  readonly text: string;
}

/** What the margin shows for one tried answer. */
export interface Trial {
  readonly verdict: Verdict;
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
  const { mark, earned, possible, waiting } = scoreMark(
    markAnswer(question, answer, contextOf(paper, question)),
    question,
    paper,
    null,
    hints,
  );
  const trace = traceAnswer(question, answer, paper, override, hints).map((line) => ({
    step: line.step,
    text: readerWords(line),
  }));
  const { credit, errors, nearMiss } = mark;
  const feedback = feedbackTold(mark);
  return { verdict: verdictOf(mark), credit, earned, possible, waiting, errors, nearMiss, feedback, trace };
}

export const quickDesk = {
  /** Marks what is tried beside a question. */
  tryAnswers(question: Question, answers: (Answer | null)[], paper: Paper): Trial[] {
    return answers.map((answer) => tryAnswer(question, answer, paper));
  },
  /** What the rules of a question make of ways to answer where they can surprise. */
  worthOf,
  /** What answers earn, and would earn by other ways of part credit; those of a made-up class where none are given. */
  compareWays(placed: Placed, paper: Paper, given: readonly Given[] | null): ReturnType<typeof compareWays> {
    return compareWays(placed, paper, given ?? madeUpAnswers(placed.question));
  },
  /** Other words that students may write instead of a right one, for a key in a language. */
  confusedWords: (key: TextKey, language: string): string[] => confusedWords(key, language, NEWEST_EDITION),
  /** By question, how many of its checks are not met. */
  brokenChecks,
  /** How a made-up class would do on each question. */
  madeUpSpreads,
};
export type QuickDesk = typeof quickDesk;
