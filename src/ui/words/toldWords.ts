import type { Telling } from '@/core/reveal/leaks';

const TOLD: Readonly<Record<Telling, string>> = {
  rightAnswers: 'the right answers',
  feedback: 'feedback',
  rightWrong: 'what was right and wrong',
  questions: 'the questions',
};

/** What can be told too early, as a list in a sentence. */
export const toldWords = (aspects: readonly Telling[]): string =>
  aspects
    .map((aspect) => TOLD[aspect])
    .join(', ')
    .replace(/, ([^,]*)$/, ' and $1');
