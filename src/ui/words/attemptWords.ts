import type { AttemptRule } from '@/core/quiz/rules';

const COUNTS: Readonly<Record<AttemptRule['counts'], string>> = {
  best: 'your best attempt counts',
  latest: 'your latest attempt counts',
  first: 'your first attempt counts',
  mean: 'the average of your attempts counts',
};

/** Which of several attempts counts, as the student reads it. */
export const countsWords = ({ counts }: Pick<AttemptRule, 'counts'>): string => COUNTS[counts];
