import {
  comparedSteps,
  otherWays,
  signsIn,
  triedPaper,
  type ComparedStep,
  type OtherWay,
  type Tried,
} from '@/core/checking/compared';
import type { CountedSign } from '@/core/answers/text/signs/countingSigns';
import { typedAnswer } from '@/core/kinds/tried';
import { tryAnswer, type Trial } from './tryAnswer';

/** What became of one answer. */
export type Outcome = Pick<Trial, 'verdict' | 'credit' | 'errors' | 'nearMiss'>;

/** An answer compared: how, with what result, and what other ways would make of it. */
export interface Compared {
  readonly steps: readonly ComparedStep[];
  /** The signs that count in the right answer, and in the one that was tried. */
  readonly signs: { readonly right: readonly CountedSign[]; readonly answer: readonly CountedSign[] };
  readonly trial: Trial;
  readonly others: readonly (readonly [way: OtherWay, outcome: Outcome])[];
}

function trialOf(tried: Tried, answer: string): Trial {
  const { question, paper } = triedPaper(tried);
  return tryAnswer(question, typedAnswer(question, answer), paper);
}

/** Only what became of it. */
export function outcomeOf(tried: Tried, answer: string): Outcome {
  const { verdict, credit, errors, nearMiss } = trialOf(tried, answer);
  return { verdict, credit, errors, nearMiss };
}

/** Compares an answer by the code that marks. */
export const compareTyped = (tried: Tried, answer: string): Compared => ({
  steps: tried.reads === 'words' ? comparedSteps(tried, answer) : [],
  signs: { right: signsIn(tried, tried.right), answer: signsIn(tried, answer) },
  trial: trialOf(tried, answer),
  others: otherWays(tried).map(([way, other]) => [way, outcomeOf(other, answer)]),
});

/** Several examples at once. */
export const compareExamples = (examples: readonly (readonly [tried: Tried, answer: string])[]): Outcome[] =>
  examples.map(([tried, answer]) => outcomeOf(tried, answer));
