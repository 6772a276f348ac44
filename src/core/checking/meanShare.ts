import type { Fraction } from '../figures/fraction';
import type { ScoreVerdict } from '../scoring/scoreQuestion';

interface Marked {
  readonly verdict: ScoreVerdict;
  readonly credit: Fraction;
}

/** The mean credit of answers to a question, 0 … 1, over those that are marked; null without any, and while all that was given waits. */
export function meanShare(answers: readonly Marked[]): number | null {
  const marked = answers.filter(({ verdict }) => verdict !== 'waits' && verdict !== 'unmarked');
  // While answers wait, blanks alone would make it 0.
  const isGiven = marked.some(({ verdict }) => verdict !== 'blank');
  if (marked.length === 0 || (!isGiven && marked.length < answers.length)) return null;
  return marked.reduce((sum, { credit }) => sum + credit.n / credit.d, 0) / marked.length;
}
