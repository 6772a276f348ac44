import type { Equivalents } from '../accents';
import type { TypingErrors, WayOfMatching } from '../settings';
import type { KnownWords, OtherWord } from '../words/otherWords';

/** How a form is compared with an answer; both are prepared under the same settings. */
export interface Comparison {
  readonly way: Exclude<WayOfMatching, 'pattern'>;
  readonly wordOrderCounts: boolean;
  readonly punctuationCounts: boolean;
  readonly errors: TypingErrors;
  readonly same: Equivalents;
  /** Words that are no misspellings of others; null where any text may pass that is near enough. */
  readonly others: { readonly words: KnownWords; readonly finalS: boolean } | null;
  /** Words that deny what stands right behind them, where a form is looked for within an answer. */
  readonly negations: ReadonlySet<string>;
}

/** Why a text does not match, though it is near enough: it holds another word, or denies what it holds. */
export type Refused = OtherWord | 'denied';

/**
 * Typing errors with which a form matches an answer; why it does not, though it is near enough; null where it is not near
 * enough.
 */
export type Outcome = number | Refused | null;

const ORDER: readonly Refused[] = ['anotherWord', 'singularOrPlural', 'denied'];

/** The reason that is named where there are several. */
export const namedFirst = (a: Outcome, b: Refused): Refused =>
  typeof a === 'string' && ORDER.indexOf(a) <= ORDER.indexOf(b) ? a : b;
