import { cheapestAssignment } from '../../../figures/assignment';
import type { Equivalents } from '../accents';
import { graphemes } from '../graphemes';
import type { Prepared } from '../prepare';
import { typingErrors } from './distance';

/** More than any typing errors: what cannot be paired. */
export const NEVER = 1e7;

/** Words in which a letter more or less makes another thing: with a digit, single letters, Roman figures of i, v, x. */
const EXACT_WORD = /\p{Nd}|^\p{L}$|^[ivx]+$/iu;
const isExactWord = (word: string): boolean => EXACT_WORD.test(word);

/** Whether a text holds such a word at all: most do not, and need not be parted into words. */
const HOLDS_EXACT = /\p{Nd}|(?<![^ ])(?:\p{L}|[ivx]+)(?![^ ])/iu;

const exactWordsOf = new WeakMap<Prepared, string>();

/** Words that must be the same, as often as they stand: worked out once for each text. */
function exactWords(text: Prepared): string {
  if (!HOLDS_EXACT.test(text.text)) return '';
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

/** Errors between two words, null for more than `limit`; one that must be the same equals only itself. */
export function wordErrors(a: string, b: string, limit: number, same: Equivalents): number | null {
  if (a === b) return 0;
  if (limit === 0 && same.size === 0) return null;
  if (isExactWord(a) || isExactWord(b)) return null;
  return typingErrors(graphemes(a), graphemes(b), limit, same);
}

/** Errors between two texts as they stand; null for more than `limit`. */
export function textErrors(
  form: Prepared,
  answer: Prepared,
  limit: number,
  same: Equivalents,
): number | null {
  if (form.text === answer.text) return 0;
  if (same.size === 0 && (limit === 0 || Math.abs(form.letters.length - answer.letters.length) > limit))
    return null;
  if (!sameExactWords(form, answer)) return null;
  return typingErrors(form.letters, answer.letters, limit, same);
}

/** Words paired so that errors are fewest; one without a partner costs its letters and a space. */
export function anyOrderErrors(
  form: Prepared,
  answer: Prepared,
  limit: number,
  same: Equivalents,
): number | null {
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
