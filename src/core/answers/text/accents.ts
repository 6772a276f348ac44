import type { TextSettings } from './settings';

/** Letters that lose their accent by becoming others. */
const LETTERS: Readonly<Record<string, string>> = {
  ø: 'o', Ø: 'O', ł: 'l', Ł: 'L', đ: 'd', Đ: 'D', ð: 'd', Ð: 'D', þ: 'th', æ: 'ae', œ: 'oe', ı: 'i',
}; // prettier-ignore

const ACCENTED = /([\p{Script=Latin}\p{Script=Greek}])\p{Mn}+/gu;
const UMLAUTS = /([äöüÄÖÜ])/;

const isGerman = (language: string): boolean => /^de\b/i.test(language);

function strip(text: string): string {
  return text
    .normalize('NFD')
    .replace(ACCENTED, '$1')
    .normalize('NFC')
    .replace(/[øØłŁđĐðÐþæœı]/g, (letter) => LETTERS[letter] as string);
}

/**
 * The text without accents on Latin and Greek letters; other scripts keep their marks. In German the
 * umlauts stay, to be compared as ae or a (see {@link equivalents}); capital Æ, Œ, Þ likewise.
 */
export function dropAccents(text: string, language: string): string {
  if (/^[\u0000-\u007F]*$/.test(text)) return text;
  if (!isGerman(language)) return strip(text);
  return text
    .split(UMLAUTS)
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
