import type { Fraction } from '@/core/figures/fraction';
import type { ScoreVerdict } from '@/core/scoring/scoreQuestion';

const WORDS: Readonly<Record<ScoreVerdict, string>> = {
  right: 'right',
  partly: 'partly right',
  wrong: 'wrong',
  waits: 'not marked yet',
  blank: 'no answer',
  unmarked: 'not to be marked',
};

/** A verdict as the teacher reads it; a right answer that lost points to typing errors says so. */
export const verdictWords = (verdict: ScoreVerdict, credit?: Fraction): string =>
  verdict === 'right' && credit && credit.n < credit.d ? 'right, with points off' : WORDS[verdict];
