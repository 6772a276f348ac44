import { comparedText } from '../../../answers/text/comparedText';
import { DEFAULT_SETTINGS } from '../../../answers/text/settings';
import type { Option } from './option';

/** An option as it is named: its words, else what its picture shows. */
export const optionName = ({ text, picture }: Pick<Option, 'text' | 'picture'>): string =>
  text.trim() || picture?.alt || '';

/** The things of a list that have a name; one that is still empty is shown to nobody and counts for nothing. */
export function namedOnes<One extends { text: string; picture?: Option['picture'] }>(list: One[]): One[] {
  const isNamed = ({ text, picture = null }: One) => optionName({ text, picture }) !== '';
  return list.every(isNamed) ? list : list.filter(isNamed);
}

type HasName = Pick<Option, 'text' | 'picture'> & { readonly gone?: boolean };

/** The first thing of a list that is named so: letter by letter, else with capitals and punctuation apart. */
export function namedSo<One extends HasName>(
  list: readonly One[],
  words: string,
  language: string,
): One | undefined {
  const compared = (text: string) => comparedText(text, DEFAULT_SETTINGS, language);
  const wanted = compared(words);
  return (
    list.find((one) => optionName(one) === words) ?? list.find((one) => compared(optionName(one)) === wanted)
  );
}

/** The option that a file names by its words, else by its letter: `B`, `b)`. */
export function optionNamed<One extends HasName>(
  options: readonly One[],
  words: string,
  language: string,
): One | undefined {
  const byWords = namedSo(options, words, language);
  if (byWords) return byWords;
  const letter = /^\(?([a-z])[).:]?$/i.exec(words)?.[1];
  return letter === undefined
    ? undefined
    : options.filter(({ gone }) => !gone)[letter.toLowerCase().charCodeAt(0) - 97];
}
