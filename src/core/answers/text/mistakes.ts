import { below, oneOf, type Random } from '../../figures/random';

/** How students write: the same answer in other capitals, with a typing error, shortened, or something else. */

const NONSENSE = [
  'no idea',
  'water',
  'it depends',
  'the map',
  '?',
  'idk',
  'something with rocks',
  'page 3',
  'yes',
];

/** A letter lost, doubled, or changed with its neighbour. */
export function withTypingError(random: Random, text: string): string {
  if (text.length < 4) return text;
  const at = 1 + below(random, text.length - 2);
  const how = below(random, 3);
  if (how === 0) return text.slice(0, at) + text.slice(at + 1);
  if (how === 1) return text.slice(0, at) + (text[at] ?? '') + text.slice(at);
  return text.slice(0, at) + (text[at + 1] ?? '') + (text[at] ?? '') + text.slice(at + 2);
}

/** The text as students may write it without being wrong. */
export function asWritten(random: Random, text: string): string {
  const how = below(random, 10);
  if (how < 6) return text;
  if (how === 6) return text.charAt(0).toUpperCase() + text.slice(1);
  if (how === 7) return `${text}.`;
  if (how === 8) return text.toUpperCase();
  return ` ${text} `;
}

/** Only the longest word of several. */
export const shortName = (text: string): string =>
  text.split(' ').reduce((longest, word) => (word.length > longest.length ? word : longest), '');

export const nonsense = (random: Random): string => oneOf(random, NONSENSE) ?? '';
