import type { MustAnswer } from '@/core/quiz/placement';

/** Whether a question must be answered, as it goes on in a sentence. */
export const MUST_WORDS: Readonly<Record<MustAnswer, string>> = {
  no: 'is optional',
  any: 'needs at least part of an answer',
  every: 'needs a full answer',
};
