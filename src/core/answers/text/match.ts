import type { Equivalents } from './accents';
import { cheapestAssignment } from '../../figures/assignment';
import { typingErrors } from './distance';
import { graphemes } from './graphemes';
import { prepared, type Prepared } from './prepare';
import { isMark } from './punctuation';
import { errorsAllowed, type TypingErrors, type WayOfMatching } from './settings';

/** How a form is compared with an answer; both are prepared under the same settings. */
export interface Comparison {
  readonly way: Exclude<WayOfMatching, 'pattern'>;
  readonly wordOrderCounts: boolean;
  readonly punctuationCounts: boolean;
  readonly errors: TypingErrors;
  readonly same: Equivalents;
}

const UNSPACED = /[\p{sc=Han}\p{sc=Hira}\p{sc=Kana}\p{sc=Thai}\p{sc=Laoo}\p{sc=Khmr}\p{sc=Mymr}]/u;
const NEVER = 1e7;

/** Words in which a letter more or less makes another thing: with a digit, single letters, Roman figures of i, v, x. */
const EXACT_WORD = /\p{Nd}|^\p{L}$|^[ivx]+$/iu;
const isExactWord = (word: string): boolean => EXACT_WORD.test(word);

/** Words that must be the same, as often as they stand. */
const exactWords = (words: readonly string[]): string => words.filter(isExactWord).sort().join(' ');
const unspaced = (text: string): string => text.replaceAll(' ', '');

/** Whether the words that must be the same are so, or the texts are equal without their spaces. */
const sameExactWords = (a: Prepared, b: Prepared): boolean =>
  exactWords(a.words) === exactWords(b.words) || unspaced(a.text) === unspaced(b.text);

/** Errors between two words; one that must be the same equals only itself. */
function wordErrors(a: string, b: string, limit: number, same: Equivalents): number | null {
  if (a === b) return 0;
  if (limit === 0 && same.size === 0) return null;
  if (isExactWord(a) || isExactWord(b)) return null;
  return typingErrors(graphemes(a), graphemes(b), limit, same);
}

function textErrors(form: Prepared, answer: Prepared, limit: number, same: Equivalents): number | null {
  if (form.text === answer.text) return 0;
  if (limit === 0 && same.size === 0) return null;
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

/** Every stretch of the answer that is as long as the phrase, one longer or one shorter. */
function* stretches(form: Prepared, answer: Prepared, comparison: Comparison): Generator<Prepared> {
  const unspaced = UNSPACED.test(form.text);
  const units = unspaced ? answer.letters : answer.words;
  const length = unspaced ? form.letters.length : form.words.length;
  const glue = unspaced ? '' : ' ';
  for (const size of [length, length - 1, length + 1]) {
    if (size < 1) continue;
    for (let from = 0; from + size <= units.length; from++) {
      const text = units.slice(from, from + size).join(glue);
      yield prepared(text);
      if (comparison.punctuationCounts) yield prepared(trimMarks(text));
    }
  }
}

function phraseErrors(
  form: Prepared,
  answer: Prepared,
  limit: number,
  comparison: Comparison,
): number | null {
  if (UNSPACED.test(form.text) && answer.text.includes(form.text)) return 0;
  if (holdsPhrase(form.text, answer.text, comparison.punctuationCounts)) return 0;
  if (limit === 0 && comparison.same.size === 0) return null;
  let best: number | null = null;
  for (const stretch of stretches(form, answer, comparison)) {
    const errors = textErrors(form, stretch, best === null ? limit : best - 1, comparison.same);
    if (errors !== null) best = errors;
    if (best === 0) return 0;
  }
  return best;
}

/** Each word of the form against its best word of the answer, each word used once. */
function allWordsErrors(
  form: Prepared,
  answer: Prepared,
  exact: boolean,
  comparison: Comparison,
): number | null {
  const words = comparison.punctuationCounts
    ? answer.words.map((word) => (form.words.includes(word) ? word : trimMarks(word)))
    : answer.words;
  if (form.words.length > words.length) return null;
  const allowed = form.words.map((word) =>
    exact ? 0 : errorsAllowed(comparison.errors, graphemes(word).length),
  );
  const cost = form.words.map((word, row) =>
    words.map((other) => wordErrors(word, other, allowed[row] as number, comparison.same) ?? NEVER),
  );
  if (cost.length === 0 || cost.some((row) => Math.min(...row) >= NEVER)) return null;
  const total = cheapestAssignment(cost).reduce(
    (errors, column, row) => errors + ((cost[row] as number[])[column] as number),
    0,
  );
  const limit =
    comparison.errors === 'byLength' ? allowed.reduce((a, b) => a + b, 0) : exact ? 0 : comparison.errors;
  return total <= limit ? total : null;
}

/**
 * Typing errors with which the form matches the answer, null where it does not. With `exact` only
 * matches without an error are looked for.
 */
export function formErrors(
  form: Prepared,
  answer: Prepared,
  comparison: Comparison,
  exact: boolean,
): number | null {
  if (comparison.way === 'allWords') return allWordsErrors(form, answer, exact, comparison);
  const limit = exact ? 0 : errorsAllowed(comparison.errors, form.letters.length);
  if (comparison.way === 'phrase') return phraseErrors(form, answer, limit, comparison);
  return comparison.wordOrderCounts
    ? textErrors(form, answer, limit, comparison.same)
    : anyOrderErrors(form, answer, limit, comparison.same);
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
    }) === 0
  );
}
