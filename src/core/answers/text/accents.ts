import type { TextSettings } from './settings';

/** Letters that lose their accent by becoming others. */
const LETTERS: Readonly<Record<string, string>> = {
  ø: 'o', Ø: 'O', ł: 'l', Ł: 'L', đ: 'd', Đ: 'D', ð: 'd', Ð: 'D', þ: 'th', æ: 'ae', œ: 'oe', ı: 'i',
}; // prettier-ignore

const ACCENTED = /([\p{Script=Latin}\p{Script=Greek}])\p{Mn}+/gu;

/** Letters of their own, which only look as if they had an accent, by language. */
const OWN_LETTERS: readonly (readonly [languages: RegExp, letters: string])[] = [
  [/^(es|gl)\b/i, 'ñ'],
  [/^(sv|fi)\b/i, 'åäö'],
  [/^(da|no|nb|nn)\b/i, 'æøå'],
  [/^(tr|az)\b/i, 'çğıiöşüə'],
  [/^de\b/i, 'äöü'],
];

/** What is not stripped in a language: its own letters, small and capital; null for a language without any. */
const kept = new Map<string, RegExp | null>();

function ownLetters(language: string): RegExp | null {
  const known = kept.get(language);
  if (known !== undefined) return known;
  const letters = OWN_LETTERS.find(([languages]) => languages.test(language))?.[1];
  const capitals = letters?.replaceAll('i', 'İ').toUpperCase();
  const made = letters === undefined ? null : new RegExp(`([${letters}${capitals ?? ''}])`);
  kept.set(language, made);
  return made;
}

const isGerman = (language: string): boolean => /^de\b/i.test(language);

function strip(text: string): string {
  return text
    .normalize('NFD')
    .replace(ACCENTED, '$1')
    .normalize('NFC')
    .replace(/[øØłŁđĐðÐþæœı]/g, (letter) => LETTERS[letter] as string);
}

/**
 * The text without accents on Latin and Greek letters; other scripts keep their marks. What is a letter of its own in the
 * language stays: Spanish ñ, Swedish å. German umlauts stay to be compared as ae or a (see {@link equivalents}); capital Æ,
 * Œ, Þ likewise.
 */
export function dropAccents(text: string, language: string): string {
  if (/^[\u0000-\u007F]*$/.test(text)) return text;
  const own = ownLetters(language);
  if (!own) return strip(text);
  return text
    .normalize('NFC')
    .split(own)
    .map((piece, index) => (index % 2 === 1 ? piece : strip(piece)))
    .join('');
}

/** What a letter may stand for on the other side of a comparison. */
export type Equivalents = ReadonlyMap<string, readonly string[]>;

const NONE: Equivalents = new Map();
const GERMAN: Equivalents = new Map([
  ['ä', ['a', 'ae']],
  ['ö', ['o', 'oe']],
  ['ü', ['u', 'ue']],
  ['Ä', ['A', 'Ae', 'AE']],
  ['Ö', ['O', 'Oe', 'OE']],
  ['Ü', ['U', 'Ue', 'UE']],
]);
const CAPITALS: Equivalents = new Map([
  ['Æ', ['AE', 'Ae']],
  ['Œ', ['OE', 'Oe']],
  ['Þ', ['TH', 'Th']],
]);
const GERMAN_CAPITALS: Equivalents = new Map([...GERMAN, ...CAPITALS]);

/** The letters that equal several spellings where accents are ignored under these settings. */
export function equivalents(settings: TextSettings, language: string): Equivalents {
  if (!settings.ignoreAccents) return NONE;
  return isGerman(language) ? GERMAN_CAPITALS : CAPITALS;
}
