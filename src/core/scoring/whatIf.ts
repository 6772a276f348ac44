import { divide, sum, type Fraction } from '../figures/fraction';
import { kindOf, type Question } from '../kinds';
import type { Paper } from '../quiz/quiz';
import { contextOf } from './context';
import { markAnswer, scoreMark } from './markAttempt';

/** What a way to answer a question would earn by its rules. */
export interface Worth {
  readonly words: string;
  /** Points; of several ways that are as likely, their mean. */
  readonly points: Fraction;
}

/**
 * What a question's rules make of ways to answer where they can surprise, as the question is placed in the paper. Nothing
 * where it has no key, or where it earns nothing by its standing.
 */
export function worthOf(question: Question, paper: Paper): Worth[] {
  if (!kindOf(question).hasKey(question)) return [];
  const context = contextOf(paper, question);
  return kindOf(question)
    .whatIfs(question)
    .flatMap(({ words, answers }) => {
      if (answers.length === 0) return [];
      const earned = answers.map(
        (answer) =>
          scoreMark(markAnswer(question, answer, context), question, paper).marked ?? { n: 0, d: 1 },
      );
      return [{ words, points: divide(sum(earned), { n: answers.length, d: 1 }) }];
    });
}
