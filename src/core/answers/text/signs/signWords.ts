import type { Counting } from './countingSigns';

const SIGNS: Readonly<Record<Counting, string>> = {
  bracket: 'brackets around figures, letters or signs',
  quote: 'quotation marks in brackets',
  prime: 'a prime behind a letter or figure',
  factorial: 'a factorial',
  not: 'a sign right in front of a word',
  charge: 'a charge',
  minus: 'a minus between two',
  negative: 'the sign of what stands behind it',
  between: 'between two figures or letters',
  pointer: 'right in front of a single letter',
  bar: 'beside a figure or letter',
  about: 'about how much it is',
  separator: 'between what the brackets hold',
};

/** As what a sign counts, for reading. */
export const signWords = (as: Counting): string => SIGNS[as];
