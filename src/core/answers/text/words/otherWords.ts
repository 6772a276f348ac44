import { dropAccents } from '../accents';
import type { WordList } from './automaton';
import { graphemes } from '../graphemes';
import { areOpposite } from './opposites';
import { isPlural } from './plurals';
import { isSameWord } from './spellings';
import { listAtHand, wordList } from './wordLists';

/** What is known of the words of a language in a quiz. The same object for the same list and words. */
export interface KnownWords {
  /** The same text for the same list, language and words. */
  readonly id: string;
  readonly list: string;
  readonly language: string;
  /** The words of the quiz's own keys, as {@link WordList} has its own. */
  readonly inKeys: ReadonlySet<string>;
}

const MOST_KEPT = 200;
const kept = new Map<string, KnownWords>();

/**
 * A list of a language with the words of a quiz's keys. Where the list is at hand, those of them that it knows as words anyway
 * are left out: a key that grows by a common word changes nothing about other answers, which then need no marking again.
 */
export function knownWords(list: string, language: string, words: Iterable<string>): KnownWords {
  const atHand = listAtHand(list);
  const own = [...words].filter((word) => !atHand || !atHand.has(word) || atHand.isName(word));
  const inKeys = new Set(own);
  const id = `${language} ${list} ${[...inKeys].sort().join(' ')}`;
  const known = kept.get(id);
  if (known) return known;
  if (kept.size >= MOST_KEPT) kept.clear();
  const made = { id, list, language, inKeys };
  kept.set(id, made);
  return made;
}

/** Why a text is not a misspelt form, though no more letters differ than may: the nearer reason. */
export type OtherWord = 'singularOrPlural' | 'anotherWord';

/** A circumflex on i or u tells no words apart in French, but for these. */
const TOLD_BY_CIRCUMFLEX = new Set(['du', 'mur', 'mure', 'murs', 'sur', 'sure', 'surs', 'jeune', 'jeunes']);

/** In French a word that only lacks accents may be another one: `mange`, `ou`. */
const isToldByAccents = (word: string, of: string, language: string): boolean =>
  /^fr\b/i.test(language) &&
  (TOLD_BY_CIRCUMFLEX.has(word) || of.replace(/[îû]/g, (letter) => (letter === 'î' ? 'i' : 'u')) !== word);

const UMLAUTS: Readonly<Record<string, readonly string[]>> = {
  ä: ['a', 'ae'],
  ö: ['o', 'oe'],
  ü: ['u', 'ue'],
};

const umlautsAs = (word: string, way: 0 | 1): string =>
  word.replace(/[äöü]/g, (letter) => (UMLAUTS[letter] as readonly string[])[way] as string);

/** How missing accents are taken: whatever comes out passes; only what misses some; what is no other word. */
export type AccentsPass = 'all' | 'missing' | 'told';

/** A German word that is another one with ae for ä; or, as is let pass, with a for it. */
const isUmlautAway = (word: string, of: string, language: string, pass: AccentsPass): boolean =>
  /^de\b/i.test(language) &&
  (umlautsAs(of, 1) === word ||
    umlautsAs(word, 1) === of ||
    (pass !== 'told' && umlautsAs(of, 0) === word) ||
    (pass === 'all' && umlautsAs(word, 0) === of));

/** A word that is written like another one, but lacks accents of it; not one with other accents. */
function lacksAccents(word: string, of: string, language: string): boolean {
  if (dropAccents(of, language) === word) return true;
  const [letters, full] = [graphemes(word), graphemes(of)];
  return (
    letters.length === full.length &&
    letters.every((letter, at) => {
      const other = full[at] as string;
      return letter === other || letter === dropAccents(other, language);
    })
  );
}

/** The words of `words` that do not stand in `among`, as often as they stand there. */
function leftOver(words: readonly string[], among: readonly string[]): string[] {
  const left = [...among];
  return words.filter((word) => {
    const at = left.indexOf(word);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}

const LEAST_PART = 4;

/** German and Dutch words are put together: two that begin alike and each end in a word of the list differ as those do. */
function endInWords(a: string, b: string, { language }: KnownWords, list: WordList): boolean {
  if (!/^(de|nl)\b/i.test(language)) return false;
  let same = 0;
  while (same < a.length && a[same] === b[same]) same++;
  for (let at = Math.min(same, a.length - LEAST_PART, b.length - LEAST_PART); at >= LEAST_PART - 1; at--)
    if (list.has(a.slice(at)) && list.has(b.slice(at))) return true;
  return false;
}

/**
 * Whether a word that does not stand in a form is a word of its own, beside the form's words that are missing. What is one as a
 * name alone is so only beside another name, or a word that the list does not know: *Gambia* is not *Zambia*, but *Mai* may
 * well be *May*.
 */
function isWord(word: string, missing: readonly string[], known: KnownWords, list: WordList): boolean {
  const { inKeys } = known;
  if (word.length < 2) return word === 'a' && missing.includes('à');
  if (inKeys.has(word)) return true;
  if (!list.has(word)) return missing.some((one) => endInWords(word, one, known, list));
  return !list.isName(word) || missing.some((one) => list.isName(one) || !list.has(one));
}

/** A word of the list or of the quiz's own keys, or one put together that ends in one, as another does that begins alike. */
export const isListed = (word: string, beside: string, known: KnownWords): boolean =>
  known.inKeys.has(word) ||
  wordList(known.list).has(word) ||
  endInWords(word, beside, known, wordList(known.list));

/** A text that is near a form and holds other words: which, and what they are. */
export interface FoundOther {
  readonly why: OtherWord;
  readonly words: readonly string[];
}

/**
 * Whether a text is another word than a form of the key rather than a misspelling of it: one of its words that do not stand
 * in the form is a word of the language or of the quiz. What differs by spaces and signs alone, lacks accents, or is the
 * British or American spelling is none. Both are given as dictionary words; null says that nothing speaks against it.
 */
export function otherWordIn(
  form: readonly string[],
  text: readonly string[],
  known: KnownWords,
  accents: AccentsPass = 'told',
): FoundOther | null {
  if (form.join('') === text.join('')) return null;
  const others = leftOver(text, form);
  if (others.length === 0) return null;
  const missing = leftOver(form, text);
  const list = wordList(known.list);
  const plurals: string[] = [];
  const strange: string[] = [];
  for (const word of others) {
    if (!missing.some((one) => areOpposite(word, one)) && !isWord(word, missing, known, list)) continue;
    const passes = (one: string): boolean =>
      isSameWord(word, one, known) ||
      isUmlautAway(word, one, known.language, accents) ||
      (lacksAccents(word, one, known.language) &&
        (accents !== 'told' || !isToldByAccents(word, one, known.language)));
    if (missing.some(passes)) continue;
    const isOnlyS = missing.some((one) => isPlural(word, one, known.language));
    (isOnlyS ? plurals : strange).push(word);
  }
  if (strange.length > 0) return { why: 'anotherWord', words: strange };
  return plurals.length > 0 ? { why: 'singularOrPlural', words: plurals } : null;
}

/** The words around a word of the key that are easily taken for it: within so many typing errors, and words themselves. */
export const wordsAround = (word: string, errors: number, known: KnownWords): string[] =>
  wordList(known.list)
    .around(word, errors)
    .filter((one) => !wordList(known.list).isName(one) || wordList(known.list).isName(word))
    .filter((one) => !lacksAccents(one, word, known.language) && !wordList(known.list).sameWord(one, word));
