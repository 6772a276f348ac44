import type { KnownWords } from '../answers/text/words/otherWords';
import type { Edition } from '../answers/text/words/wordLists';
import type { Feedback } from '../content/feedback';
import { ONE, ZERO, type Fraction } from '../figures/fraction';
import { SILENCE } from '../content/silence';

/**
 * What one answer earns by its key alone, before points:
 * - `marked`: the credit stands.
 * - `waits`: the teacher decides; the credit so far is 0 and `ifRight` what a right answer would earn.
 * - `blank`: nothing was given; 0, and it does not wait.
 */
type MarkState = 'marked' | 'waits' | 'blank';

/** Why an answer that matched nothing may still be right. */
export type NearMiss =
  | 'anotherWord'
  | 'singularOrPlural'
  | 'denied'
  | 'withoutSpaces'
  | 'moreIgnored'
  | 'withoutSigns'
  | 'otherForm'
  | 'otherUnit'
  | 'powerOfTen'
  | 'notANumber'
  | 'unknownUnit'
  | 'missingUnit'
  | 'percentSign'
  | 'typingErrors'
  | 'sameBeginning'
  | 'shortName'
  | 'longName'
  | 'otherQuestion'
  | 'patternUntried';

/** What one part of an answer (a gap, a pair, a row, a spot) earned, and why. */
export interface PartMark {
  readonly id: string;
  readonly state: MarkState;
  /** Share of the part, after the price of typing errors. */
  readonly credit: Fraction;
  readonly keyCredit: Fraction;
  readonly rule: string | null;
  readonly feedback: Feedback;
  readonly errors: number;
  readonly nearMiss: NearMiss | null;
  /** Something right that counts already in another part. */
  readonly alreadyCounted: boolean;
}

export interface Mark {
  readonly state: MarkState;
  /** −1 … 1, by the key and after the price of typing errors; not below 0 unless negative credit is on. */
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
  /** The credit if everything that waits were right; null where nothing waits. */
  readonly ifRight: Fraction | null;
  /** Answered, and nothing in it was right: what a penalty for wrong answers is for. */
  readonly allWrong: boolean;
  /** What the parts earned, in their order; empty for kinds without parts. */
  readonly parts: readonly PartMark[];
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
  ifRight: null,
  allWrong: false,
  parts: [],
};

/** The teacher decides. */
export const WAITS: Mark = { ...BLANK, state: 'waits', ifRight: ONE };

/** Right, partly right or wrong, of a whole answer or of a part, as shown and filtered everywhere; waiting and blank are states of their own. */
export type Verdict = 'right' | 'partly' | 'wrong' | 'waits' | 'blank';

export function verdictOf(mark: Pick<Mark, 'state' | 'keyCredit'>): Verdict {
  if (mark.state !== 'marked') return mark.state;
  if (mark.keyCredit.n <= 0) return 'wrong';
  return mark.keyCredit.n === mark.keyCredit.d ? 'right' : 'partly';
}

/** Another question of the quiz, of which a kind knows only those of its own. */
export interface OtherQuestion {
  readonly id: string;
  readonly kind: string;
}

/** The parts of the quiz that a question's marking depends on. */
export interface MarkingContext {
  /** Language tag of the quiz, such as `en`. */
  readonly language: string;
  /** The sign before the decimals of typed numbers. */
  readonly decimalSign: 'point' | 'comma';
  /** The version of the rules of comparing; the newest where it is not said. Only what reads typed answers asks for it. */
  readonly comparing?: Edition;
  /** The words that are no misspellings of others; absent where the question lets no errors pass or has no list. */
  readonly words?: KnownWords;
  /** Whether credits may fall below 0 in questions that leave it to the quiz; not unless set. */
  readonly negativeCredit?: boolean;
  /** The quiz's questions, among which a near miss may be right for another one. */
  readonly others?: readonly OtherQuestion[];
  /** The levels that the teacher gave a written answer, by criterion. */
  readonly levels?: Readonly<Record<string, string>>;
}
