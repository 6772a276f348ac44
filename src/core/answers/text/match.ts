import type { Equivalents } from './accents';
import { cheapestAssignment } from '../../figures/assignment';
import { typingErrors } from './distance';
import { graphemes } from './graphemes';
import { otherWordIn, type FoundOther, type KnownWords, type OtherWord } from './otherWords';
import { stretchOf, type Prepared } from './prepare';
import { isMark } from './punctuation';
import { errorsAllowed, type TypingErrors, type WayOfMatching } from './settings';

/** How a form is compared with an answer; both are prepared under the same settings. */
export interface Comparison {
  readonly way: Exclude<WayOfMatching, 'pattern'>;
  readonly wordOrderCounts: boolean;
  readonly punctuationCounts: boolean;
  readonly errors: TypingErrors;
  readonly same: Equivalents;
  /** Words that are no misspellings of others; null where any text may pass that is near enough. */
  readonly others: { readonly words: KnownWords; readonly finalS: boolean } | null;
}

/**
 * Typing errors with which a form matches an answer; why it does not, though it is near enough, where the answer holds
 * another word; null where it is not near enough.
 */
export type Outcome = number | OtherWord | null;

const UNSPACED = /[\p{sc=Han}\p{sc=Hira}\p{sc=Kana}\p{sc=Thai}\p{sc=Laoo}\p{sc=Khmr}\p{sc=Mymr}]/u;
const NEVER = 1e7;

/** Words in which a letter more or less makes another thing: with a digit, single letters, Roman figures of i, v, x. */
const EXACT_WORD = /\p{Nd}|^\p{L}$|^[ivx]+$/iu;
const isExactWord = (word: string): boolean => EXACT_WORD.test(word);

const exactWordsOf = new WeakMap<Prepared, string>();

/** Words that must be the same, as often as they stand: worked out once for each text. */
function exactWords(text: Prepared): string {
  const known = exactWordsOf.get(text);
  if (known !== undefined) return known;
  const made = text.words.filter(isExactWord).sort().join(' ');
  exactWordsOf.set(text, made);
  return made;
}
const unspaced = (text: string): string => text.replaceAll(' ', '');

/** Whether the words that must be the same are so, or the texts are equal without their spaces. */
const sameExactWords = (a: Prepared, b: Prepared): boolean =>
  exactWords(a) === exactWords(b) || unspaced(a.text) === unspaced(b.text);

/** Errors between two words; one that must be the same equals only itself. */
function wordErrors(a: string, b: string, limit: number, same: Equivalents): number | null {
  if (a === b) return 0;
  if (limit === 0 && same.size === 0) return null;
  if (isExactWord(a) || isExactWord(b)) return null;
  return typingErrors(graphemes(a), graphemes(b), limit, same);
}

function textErrors(form: Prepared, answer: Prepared, limit: number, same: Equivalents): number | null {
  if (form.text === answer.text) return 0;
  if (same.size === 0 && (limit === 0 || Math.abs(form.letters.length - answer.letters.length) > limit))
    return null;
  if (!sameExactWords(form, answer)) return null;
  return typingErrors(form.letters, answer.letters, limit, same);
}

/** Words paired so that errors are fewest; one without a partner costs its letters and a space. */
function anyOrderErrors(form: Prepared, answer: Prepared, limit: number, same: Equivalents): number | null {
  const [few, many] =
    form.words.length <= answer.words.length ? [form.words, answer.words] : [answer.words, form.words];
  if (many.length - few.length > limit) return null;
  if (limit === 0 && same.size === 0) {
    return [...few].sort().join(' ') === [...many].sort().join(' ') ? 0 : null;
  }
  if (!sameExactWords(form, answer)) return null;
  const alone = many.map((word) => graphemes(word).length + 1);
  const cost = many.map((_, row) =>
    many.map((word, column) => {
      const other = few[row];
      if (other === undefined) return alone[column] as number;
      return wordErrors(other, word, limit, same) ?? NEVER;
    }),
  );
  const total = cheapestAssignment(cost).reduce(
    (errors, column, row) => errors + ((cost[row] as number[])[column] as number),
    0,
  );
  return total <= limit ? total : null;
}

/** What speaks against letting a text pass for a form; equal texts can differ by the accents that were dropped. */
function otherIn(form: Prepared, text: Prepared, errors: number, { others }: Comparison): FoundOther | null {
  if (!others || (errors === 0 && form.plain && text.plain)) return null;
  const other = otherWordIn(form.spelt.flat(), text.spelt.flat(), others.words);
  return other?.why === 'singularOrPlural' && others.finalS ? null : other;
}

const refused = (form: Prepared, text: Prepared, errors: number, comparison: Comparison): OtherWord | null =>
  otherIn(form, text, errors, comparison)?.why ?? null;

/** The reason that is named where there are several. */
const namedFirst = (a: Outcome, b: OtherWord): OtherWord => (a === 'anotherWord' ? a : b);

function wholeErrors(form: Prepared, answer: Prepared, limit: number, comparison: Comparison): Outcome {
  const errors = comparison.wordOrderCounts
    ? textErrors(form, answer, limit, comparison.same)
    : anyOrderErrors(form, answer, limit, comparison.same);
  return errors === null ? null : (refused(form, answer, errors, comparison) ?? errors);
}

const trimMarks = (word: string): string => {
  const letters = graphemes(word);
  let from = 0;
  let to = letters.length;
  while (from < to && isMark(letters[from] as string)) from++;
  while (to > from && isMark(letters[to - 1] as string)) to--;
  return letters.slice(from, to).join('');
};

const onlyMarks = (text: string): boolean => graphemes(text).every(isMark);

/** The phrase stands in the text between spaces, or between marks at a word's ends where those count. */
function holdsPhrase(form: string, text: string, punctuationCounts: boolean): boolean {
  for (let at = text.indexOf(form); at >= 0; at = text.indexOf(form, at + 1)) {
    const before = text.slice(text.lastIndexOf(' ', at - 1) + 1, at);
    const end = at + form.length;
    const space = text.indexOf(' ', end);
    const after = text.slice(end, space < 0 ? text.length : space);
    const starts = at === 0 || text[at - 1] === ' ' || (punctuationCounts && onlyMarks(before));
    const ends = after === '' || (punctuationCounts && onlyMarks(after));
    if (starts && ends) return true;
  }
  return false;
}

/** Every stretch of the answer that is as long as the form, one longer or one shorter. */
export function* stretches(
  form: Prepared,
  answer: Prepared,
  punctuationCounts: boolean,
): Generator<Prepared> {
  const isUnspaced = UNSPACED.test(form.text);
  const units = isUnspaced ? answer.letters : answer.words;
  const length = isUnspaced ? form.letters.length : form.words.length;
  const glue = isUnspaced ? '' : ' ';
  for (const size of [length, length - 1, length + 1]) {
    if (size < 1) continue;
    for (let from = 0; from + size <= units.length; from++) {
      const text = units.slice(from, from + size).join(glue);
      yield stretchOf(answer, from, from + size, text);
      if (punctuationCounts) yield stretchOf(answer, from, from + size, trimMarks(text));
    }
  }
}

const holdsForm = (form: Prepared, { text }: Prepared, punctuationCounts: boolean): boolean =>
  (UNSPACED.test(form.text) && text.includes(form.text)) || holdsPhrase(form.text, text, punctuationCounts);

function phraseErrors(form: Prepared, answer: Prepared, limit: number, comparison: Comparison): Outcome {
  const holds = holdsForm(form, answer, comparison.punctuationCounts);
  if (holds && (!comparison.others || (form.plain && answer.plain))) return 0;
  if (!holds && limit === 0 && comparison.same.size === 0) return null;
  let best: Outcome = null;
  for (const stretch of stretches(form, answer, comparison.punctuationCounts)) {
    const errors = textErrors(form, stretch, typeof best === 'number' ? best - 1 : limit, comparison.same);
    if (errors === null) continue;
    const why = refused(form, stretch, errors, comparison);
    if (why === null) best = errors;
    else if (typeof best !== 'number') best = namedFirst(best, why);
    if (best === 0) return 0;
  }
  return best === null && holds ? 0 : best;
}

/** The sum of the cheapest way to give each row a column of its own; null where some row has none. */
function cheapestSum(cost: readonly (readonly number[])[]): number | null {
  if (cost.length === 0 || cost.some((row) => Math.min(...row) >= NEVER)) return null;
  const sum = cheapestAssignment(cost).reduce(
    (errors, column, row) => errors + ((cost[row] as readonly number[])[column] as number),
    0,
  );
  return sum < NEVER ? sum : null;
}

/** Each word of the form against its best word of the answer, each word used once. */
function allWordsErrors(form: Prepared, answer: Prepared, exact: boolean, comparison: Comparison): Outcome {
  const words = comparison.punctuationCounts
    ? answer.words.map((word) => (form.words.includes(word) ? word : trimMarks(word)))
    : answer.words;
  if (form.words.length > words.length) return null;
  const allowed = form.words.map((word) =>
    exact ? 0 : errorsAllowed(comparison.errors, graphemes(word).length),
  );
  const limit =
    comparison.errors === 'byLength' ? allowed.reduce((a, b) => a + b, 0) : exact ? 0 : comparison.errors;
  let why: OtherWord | null = null;
  const near = form.words.map((word, row) =>
    words.map((other) => wordErrors(word, other, allowed[row] as number, comparison.same) ?? NEVER),
  );
  const passing = near.map((row, at) =>
    row.map((errors, column) => {
      if (errors >= NEVER) return errors;
      const [own, other] = [stretchOf(form, at, at + 1, ''), stretchOf(answer, column, column + 1, '')];
      const found = refused(own, other, errors, comparison);
      if (found) why = namedFirst(why, found);
      return found ? NEVER : errors;
    }),
  );
  const total = cheapestSum(passing);
  if (total !== null && total <= limit) return total;
  const nearest = why === null ? null : cheapestSum(near);
  return nearest !== null && nearest <= limit ? why : null;
}

/** A form that an answer would match with errors, or without its accents, but for another word in it. */
export interface Refusal extends FoundOther {
  readonly errors: number;
}

/** Why an answer does not match a form that it is near enough to; null where that is not so. */
export function refusalOf(form: Prepared, answer: Prepared, comparison: Comparison): Refusal | null {
  if (typeof formErrors(form, answer, comparison, false) !== 'string') return null;
  const near = { ...comparison, others: null };
  const texts =
    comparison.way === 'phrase' ? stretches(form, answer, comparison.punctuationCounts) : [answer];
  for (const text of texts) {
    const errors = formErrors(form, text, near, false);
    const other = typeof errors === 'number' ? otherIn(form, text, errors, comparison) : null;
    if (other && typeof errors === 'number') return { ...other, errors };
  }
  return null;
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
    ? phraseErrors(form, answer, limit, comparison)
    : wholeErrors(form, answer, limit, comparison);
}

/** True where the form stands in the answer as a phrase, without an error. */
export function standsIn(form: Prepared, answer: Prepared, same: Equivalents): boolean {
  return (
    phraseErrors(form, answer, 0, {
      way: 'phrase',
      wordOrderCounts: true,
      punctuationCounts: false,
      errors: 0,
      same,
      others: null,
    }) === 0
  );
}
