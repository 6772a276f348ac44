import { knownWords, wordsAround } from '../../../answers/text/words/otherWords';
import { listFor, type Edition } from '../../../answers/text/words/wordLists';
import { dictionaryWords } from '../../../answers/text/words/speltWords';
import { errorsAllowed } from '../../../answers/text/settings';
import { graphemes } from '../../../answers/text/graphemes';
import type { TextKey } from './schema';

/** Shorter words have too many neighbours, which nobody confuses with them. */
const LEAST_LETTERS = 5;
const MOST = 6;

/** Those of the same length are taken for each other most easily; then the shorter way. */
const nearer =
  (word: string) =>
  (a: string, b: string): number =>
    Math.abs(graphemes(a).length - graphemes(word).length) -
      Math.abs(graphemes(b).length - graphemes(word).length) || (a < b ? -1 : 1);

/**
 * Words that students may write instead of the right one without making a typing error: other words of the list, within the
 * errors that are let pass, that the key does not hold yet. Empty where nothing passes or there is no list for the language.
 */
export function confusedWords(key: TextKey, language: string, edition: Edition): string[] {
  const list = listFor(language, edition);
  if (!list) return [];
  const known = knownWords(list.name, language, []);
  const held = new Set(
    key.variants.flatMap(({ forms }) => forms.flatMap((form) => dictionaryWords(form, language))),
  );
  const found = new Set<string>();
  for (const { forms, credit, match, settings } of key.variants) {
    if (credit.n <= 0 || match === 'pattern') continue;
    for (const form of forms) {
      const [word, ...more] = dictionaryWords(form, language);
      if (word === undefined || more.length > 0 || graphemes(word).length < LEAST_LETTERS) continue;
      const errors = errorsAllowed({ ...key.settings, ...settings }.typingErrors, graphemes(word).length);
      if (errors === 0) continue;
      const around = wordsAround(word, errors, known).filter((one) => !held.has(one));
      for (const one of around.sort(nearer(word)).slice(0, MOST)) found.add(one);
    }
  }
  return [...found].slice(0, MOST);
}
