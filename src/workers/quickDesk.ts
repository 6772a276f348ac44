import type { Answer, Question } from '@/core/kinds';
import { worthOf } from '@/core/scoring/whatIf';
import { NEWEST_EDITION } from '@/core/answers/text/words/wordLists';
import { confusedWords } from '@/core/kinds/shared/textKey/confused';
import type { TextKey } from '@/core/kinds/shared/textKey/schema';
import { compareWays, type Given } from '@/core/checking/ways';
import { brokenChecks } from '@/core/checking/checks';
import { madeUpAnswers } from '@/core/madeUp/answers';
import type { Placed } from '@/core/quiz/placement';
import { madeUpSpreads } from '@/core/madeUp/spreads';
import type { Paper } from '@/core/quiz/quiz';
import { compareExamples, compareTyped } from '@/views/compared';
import { tryAnswer, type Trial } from '@/views/tryAnswer';

/** What is asked while the teacher types: one answer, one question. */
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
  /** What a typed answer is compared as, beside a right one, and what comes of it; of examples what comes of each. */
  compareTyped,
  compareExamples,
  /** By question, how many of its checks are not met. */
  brokenChecks,
  /** How a made-up class would do on each question. */
  madeUpSpreads,
};
export type QuickDesk = typeof quickDesk;
