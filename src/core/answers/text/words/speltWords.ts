import { foldCapitals } from '../capitals';
import { comparedText } from '../comparedText';
import type { TextSettings } from '../settings';
import { unify } from '../unify';

/** Stands for an apostrophe within a word while punctuation is taken away: a letter, so that it stays. */
const APOSTROPHE = '\uA78C';
const WITHIN = /(?<=\p{L}\p{M}*)'(?=\p{L})/gu;
const WORD = /[\p{L}\p{M}\p{N}]+/gu;

const partsOf = (text: string): string[] => text.replaceAll(APOSTROPHE, "'").match(WORD) ?? [];

/**
 * For each word of a text as it is compared, the words of a dictionary that it is made of: with its accents, in small
 * letters, parted at hyphens and apostrophes.
 */
export function speltWords(
  source: string,
  compared: string,
  settings: TextSettings,
  language: string,
): string[][] {
  const slots = compared === '' ? [] : compared.split(' ');
  const whole = comparedText(
    unify(source).replace(WITHIN, APOSTROPHE),
    { ...settings, ignoreAccents: false, ignoreCapitals: true },
    language,
  );
  const spelt = whole === '' ? [] : whole.split(' ');
  // Where the two are parted otherwise, the words as compared are all that is known.
  return (spelt.length === slots.length ? spelt : slots).map(partsOf);
}

/** The words of a key's form as they are looked up. */
export const dictionaryWords = (form: string, language: string): string[] =>
  partsOf(foldCapitals(unify(form), language));
