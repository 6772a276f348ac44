import type { MustAnswer } from '@/core/quiz/placement';

/** Whether a question must be answered, as it goes on in a sentence. */
export const MUST_WORDS: Readonly<Record<MustAnswer, string>> = {
  no: 'may be left out',
  any: 'must be answered in part',
  every: 'must be answered in full',
};
