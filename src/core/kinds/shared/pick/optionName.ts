import { comparedText } from '../../../answers/text/comparedText';
import { DEFAULT_SETTINGS } from '../../../answers/text/settings';
import type { Option } from './option';

type Named = Pick<Option, 'text' | 'picture' | 'clip'>;

/** An option as it is named: its words, else what its picture shows, else what its sound or film is called. */
export const optionName = ({ text, picture, clip }: Named): string =>
  text.trim() || picture?.alt || clip?.title.trim() || '';

/** The things of a list that have a name; one that is still empty is shown to nobody and counts for nothing. */
export function namedOnes<One extends Partial<Named> & { text: string }>(list: One[]): One[] {
  const isNamed = (one: One) => optionName({ picture: null, ...one }) !== '';
  return list.every(isNamed) ? list : list.filter(isNamed);
}

type HasName = Named & { readonly gone?: boolean };

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
