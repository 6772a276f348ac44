import type { Feedback } from '../quiz/feedback';
import { ZERO, type Fraction } from '../figures/fraction';
import { SILENCE } from '../quiz/silence';

/**
 * What one answer earns by its key alone, before points:
 * - `marked`: the credit stands.
 * - `waits`: the teacher decides; the credit so far is 0 and `ifRight` what a right answer would earn.
 * - `blank`: nothing was given; 0, and it does not wait.
 */
type MarkState = 'marked' | 'waits' | 'blank';

/** Why an answer that matched nothing may still be right. */
export type NearMiss = 'withoutSpaces' | 'moreIgnored' | 'typingErrors' | 'shortName' | 'longName';

export interface Mark {
  readonly state: MarkState;
  /** 0 … 1, by the key and after the price of typing errors. */
  readonly credit: Fraction;
  /** Credit by the key before any price: says whether the answer is right, partly right or wrong. */
  readonly keyCredit: Fraction;
  /** The option or variant that gave the credit. */
  readonly rule: string | null;
  /** What the student reads. */
  readonly feedback: Feedback;
  readonly errors: number;
  readonly nearMiss: NearMiss | null;
  /** The answer holds two variants of different credit: marked by the rule, and shown to the teacher. */
  readonly contradiction: boolean;
}

/** Nothing was given. */
export const BLANK: Mark = {
  state: 'blank',
  credit: ZERO,
  keyCredit: ZERO,
  rule: null,
  feedback: SILENCE,
  errors: 0,
  nearMiss: null,
  contradiction: false,
};

/** The teacher decides. */
export const WAITS: Mark = { ...BLANK, state: 'waits' };

/** Right, partly right or wrong as shown and filtered everywhere; waiting and blank are states of their own. */
export type Verdict = 'right' | 'partly' | 'wrong' | 'waits' | 'blank';

export function verdictOf(mark: Mark): Verdict {
  if (mark.state !== 'marked') return mark.state;
  if (mark.keyCredit.n <= 0) return 'wrong';
  return mark.keyCredit.n === mark.keyCredit.d ? 'right' : 'partly';
}

/** What of the quiz a question's marking depends on. */
export interface MarkingContext {
  /** Language tag of the quiz, such as `en`. */
  readonly language: string;
}
