import type { Fraction } from '@/core/figures/fraction';
import type { Verdict } from '@/core/marks/mark';

const WORDS: Readonly<Record<Verdict, string>> = {
  right: 'right',
  partly: 'partly right',
  wrong: 'wrong',
  waits: 'not marked yet',
  blank: 'no answer',
};

/** A verdict as the teacher reads it; a right answer that lost points to typing errors says so. */
export const verdictWords = (verdict: Verdict, credit?: Fraction): string =>
  verdict === 'right' && credit && credit.n < credit.d ? 'right, with points deducted' : WORDS[verdict];
