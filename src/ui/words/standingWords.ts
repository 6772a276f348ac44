import type { Standing } from '@/core/content/questionBase';

/** How a question counts, as it goes on in a sentence. */
export const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  counts: 'counts',
  notMarked: 'carries no points',
  bonus: 'is a bonus, on top of the maximum',
  leftOut: 'is excluded from the score',
  given: 'gives everyone full points',
  givenToAnswered: 'gives full points to whoever answered it',
};

/** How a teacher sets a question to count before anybody has sat it. */
export const STANDINGS_BEFORE: readonly Standing[] = ['counts', 'notMarked', 'bonus'];
