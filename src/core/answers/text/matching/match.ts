import type { Equivalents } from '../accents';
import type { Prepared } from '../prepare';
import { errorsAllowed } from '../settings';
import { allWordsErrors } from './allWords';
import { namedFirst, type Comparison, type Outcome, type Refused } from './comparison';
import { holdsNegation, isDenied, NONE } from './denial';
import { anyOrderErrors, textErrors } from './errors';
import { asTheTextHasIt } from './kin';
import { otherIn, refused } from './others';
import { holds, stretches, stretchesAt } from './stretches';

/** Errors between two texts, their words in order or in any; null for more than `limit`. */
const errorsBetween = (
  form: Prepared,
  text: Prepared,
  limit: number,
  comparison: Comparison,
): number | null =>
  comparison.wordOrderCounts || comparison.way === 'phrase'
    ? textErrors(form, text, limit, comparison.same)
    : anyOrderErrors(form, text, limit, comparison.same);

/** Errors between a form and a text; words in another spelling, or of another number, are one each whatever their length. */
function textOutcome(
  form: Prepared,
  text: Prepared,
  limit: number,
  comparison: Comparison,
  exact: boolean,
): Outcome {
  const { others } = comparison;
  const kin = exact || others === null ? null : asTheTextHasIt(form, text, comparison);
  const besideKin = kin && errorsBetween(kin.form, text, limit, comparison);
  const errors =
    kin === null || besideKin === null ? errorsBetween(form, text, limit, comparison) : besideKin + kin.count;
  if (errors === null || others === null) return errors;
  const why = refused(form, text, errors, comparison);
  if (why === 'anotherWord') return why;
  const isOtherNumber = besideKin !== null && kin !== null && kin.plurals.length > 0;
  return isOtherNumber && !others.finalS ? 'singularOrPlural' : (why ?? errors);
}

/** A form in a stretch of the answer, added to the best that was found before: denied, it is none. */
function withStretch(best: Outcome, found: Outcome, isRuledOut: boolean): Outcome {
  if (typeof found !== 'number')
    return found === null || typeof best === 'number' ? best : namedFirst(best, found);
  if (isRuledOut) return typeof best === 'number' ? best : namedFirst(best, 'denied');
  return typeof best === 'number' ? Math.min(best, found) : found;
}

/** A form anywhere in the answer, where it is not denied. */
function phraseOutcome(
  form: Prepared,
  answer: Prepared,
  limit: number,
  comparison: Comparison,
  exact: boolean,
): Outcome {
  const { negations, punctuationCounts, same, others } = comparison;
  const denials = holdsNegation(answer, negations) ? negations : NONE;
  const isHeld = holds(form, answer, punctuationCounts, denials);
  if (isHeld && (!others || (form.plain && answer.plain))) return 0;
  const mayBeNear = limit > 0 || same.size > 0 || (!exact && others !== null);
  if (!isHeld && !mayBeNear && denials.size === 0) return null;
  let best: Outcome = null;
  for (const [stretch, from] of stretchesAt(form, answer, punctuationCounts)) {
    const most = typeof best === 'number' ? best - 1 : limit;
    const found = textOutcome(form, stretch, most, comparison, exact);
    best = withStretch(best, found, found !== null && isDenied(answer.words, from, denials));
    if (best === 0) return 0;
  }
  return best === null && isHeld ? 0 : best;
}

/** A form that an answer would match with errors, without its accents, or somewhere else in it, and what speaks against that. */
export interface Refusal {
  readonly why: Refused;
  readonly words: readonly string[];
  readonly errors: number;
}

/** Why an answer does not match a form that it is near enough to; null where that is not so. */
export function refusalOf(form: Prepared, answer: Prepared, comparison: Comparison): Refusal | null {
  const why = formErrors(form, answer, comparison, false);
  if (typeof why !== 'string') return null;
  if (why === 'denied') return { why, words: [], errors: 0 };
  const texts =
    comparison.way === 'phrase' ? [...stretches(form, answer, comparison.punctuationCounts)] : [answer];
  for (const text of texts) {
    const errors = formErrors(form, text, { ...comparison, others: null }, false);
    const other = typeof errors === 'number' ? otherIn(form, text, errors, comparison) : null;
    if (other && typeof errors === 'number') return { ...other, errors };
  }
  const plurals = texts.flatMap((text) => asTheTextHasIt(form, text, comparison)?.plurals ?? []);
  return { why, words: [...new Set(plurals)], errors: 1 };
}

/** How a form matches an answer. With `exact` only matches without an error are looked for. */
export function formErrors(
  form: Prepared,
  answer: Prepared,
  comparison: Comparison,
  exact: boolean,
): Outcome {
  if (comparison.way === 'allWords') return allWordsErrors(form, answer, exact, comparison);
  const limit = exact ? 0 : errorsAllowed(comparison.errors, form.letters.length);
  return comparison.way === 'phrase'
    ? phraseOutcome(form, answer, limit, comparison, exact)
    : textOutcome(form, answer, limit, comparison, exact);
}

const AS_IT_STANDS: Omit<Comparison, 'same'> = {
  way: 'phrase',
  wordOrderCounts: true,
  punctuationCounts: false,
  errors: 0,
  others: null,
  negations: NONE,
};

/** True where the form stands in the answer as a phrase, without an error, denied or not. */
export const standsIn = (form: Prepared, answer: Prepared, same: Equivalents): boolean =>
  same.size === 0
    ? holds(form, answer, false, NONE)
    : phraseOutcome(form, answer, 0, { ...AS_IT_STANDS, same }, true) === 0;
