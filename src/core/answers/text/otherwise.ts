import { unitInSigns } from '../number/unitNames';
import { comparedText } from './comparedText';
import type { TextSettings } from './settings';
import { unify } from './unify';

/** One form for what is usually written in several ways, for near misses alone: nothing is marked by it. */

const GREEK: Readonly<Record<string, string>> = {
  alpha: 'α', beta: 'β', gamma: 'γ', delta: 'δ', epsilon: 'ε', zeta: 'ζ', eta: 'η', theta: 'θ', kappa: 'κ', lambda: 'λ', mu: 'μ', nu: 'ν', xi: 'ξ',
  pi: 'π', rho: 'ρ', sigma: 'σ', tau: 'τ', phi: 'φ', chi: 'χ', psi: 'ψ', omega: 'ω',
}; // prettier-ignore
const GREEK_NAME = new RegExp(`(?<!\\p{L})(?:${Object.keys(GREEK).join('|')})(?!\\p{L})`, 'gu');

/** Number words from nothing on, those of one number parted by a bar; in English the tens as well. */
const NUMBERS: Readonly<Record<string, string>> = {
  en: 'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty',
  de: 'null eins|ein|eine zwei drei vier fünf sechs sieben acht neun zehn elf zwölf dreizehn vierzehn fünfzehn sechzehn siebzehn achtzehn neunzehn zwanzig',
  fr: 'zéro un|une deux trois quatre cinq six sept huit neuf dix onze douze treize quatorze quinze seize dix-sept dix-huit dix-neuf vingt',
  es: 'cero uno|un|una dos tres cuatro cinco seis siete ocho nueve diez once doce trece catorce quince dieciséis diecisiete dieciocho diecinueve veinte',
  it: 'zero uno|un|una due tre quattro cinque sei sette otto nove dieci undici dodici tredici quattordici quindici sedici diciassette diciotto diciannove venti',
  pt: 'zero um|uma dois|duas três quatro cinco seis sete oito nove dez onze doze treze catorze|quatorze quinze dezesseis|dezasseis dezessete|dezassete dezoito dezenove|dezanove vinte',
  nl: 'nul één twee drie vier vijf zes zeven acht negen tien elf twaalf dertien veertien vijftien zestien zeventien achttien negentien twintig',
};
const TENS: Readonly<Record<string, string>> = {
  en: 'twenty thirty forty fifty sixty seventy eighty ninety',
};

const baseOf = (language: string): string => language.toLowerCase().split('-')[0] ?? '';
const numberWords = new Map<string, ReadonlyMap<string, number>>();

/** The number words of a language; without one, none. */
function numbersOf(language: string): ReadonlyMap<string, number> {
  const base = baseOf(language);
  const known = numberWords.get(base);
  if (known) return known;
  const listed = (words: string | undefined, valueAt: (at: number) => number) =>
    (words?.split(' ') ?? []).flatMap((word, at) =>
      word.split('|').map((one) => [one, valueAt(at)] as const),
    );
  const made = new Map([...listed(NUMBERS[base], (at) => at), ...listed(TENS[base], (at) => 20 + 10 * at)]);
  numberWords.set(base, made);
  return made;
}

const ROMAN_VALUES: Readonly<Record<string, number>> = { i: 1, v: 5, x: 10, l: 50, c: 100, d: 500, m: 1000 };
const ROMAN = /^(?=.)m{0,3}(?:cm|cd|d?c{0,3})(?:xc|xl|l?x{0,3})(?:ix|iv|v?i{0,3})$/;

/** A Roman number in figures; null for what is none, and for single letters that mostly mean something else. */
function fromRoman(word: string): string | null {
  if (!ROMAN.test(word) || (word.length === 1 && !/[ivx]/.test(word))) return null;
  const values = [...word].map((letter) => ROMAN_VALUES[letter] as number);
  return String(values.reduce((sum, value, at) => sum + (value < (values[at + 1] ?? 0) ? -value : value), 0));
}

/** Number words and Roman numbers in figures: `twenty one`, `dix sept`, `xiv`. */
function inFigures(text: string, language: string): string {
  const numbers = numbersOf(language);
  const made: string[] = [];
  /** A ten that a word for less than ten behind it adds to. */
  let ten: number | null = null;
  for (const word of text.split(' ')) {
    const number = numbers.get(word);
    if (number !== undefined && ten !== null && number > 0 && number < 10) {
      made[made.length - 1] = String(ten + number);
      ten = null;
      continue;
    }
    made.push(number === undefined ? (fromRoman(word) ?? word) : String(number));
    ten =
      number !== undefined && number % 10 === 0 && number >= (baseOf(language) === 'fr' ? 10 : 20)
        ? number
        : null;
  }
  return made.join(' ');
}

/** Names and signs that stand for one another, before punctuation goes. */
const inSigns = (text: string): string =>
  text
    .toLowerCase()
    .replace(/(?:sqrt|(?:the )?square root (?:of )?|(?<!\p{L})root (?:of )?) ?/gu, '√')
    .replace(GREEK_NAME, (name) => GREEK[name] as string)
    .replace(/(?<=√)\((\p{Nd}+|\p{L})\)/gu, '$1')
    .replace(/(?<=\d) ?(?:degrees?|deg|grad|degrés?|grados?|gradi|graus?|graden)(?!\p{L})/gu, '°')
    .replace(/\.(?=\p{Nd}*h2o)/gu, '·');

/** Whether such a form holds what any other usual writing comes to: figures, letters or signs of formulas. Without, there is no other writing. */
export const isWrittenInSigns = (written: string): boolean => /[\p{Nd}√°·\p{sc=Greek}]/u.test(written);

/** The text in the one form in which it can be compared with other usual writings of the same. */
export function writtenOtherwise(source: string, settings: TextSettings, language: string): string {
  const text = comparedText(inSigns(unify(source)), { ...settings, ignoreCapitals: true }, language);
  return inFigures(text, language)
    .replace(/(?<=\d)(?:st|nd|rd|th|er|ère|re|ème|e|º|ª)(?!\p{L})/gu, '')
    .replace(/(?<![\p{Nd}.,:])0+(?=\p{Nd})/gu, '')
    .replace(/(?<!\p{Nd})(\p{Nd}{1,2})[.:h](\p{Nd}\p{Nd})(?!\p{Nd})/gu, '$1:$2')
    .replace(/(?<=\p{Nd}) ?(\p{L}{3,})(?!\p{L})/gu, (_, name: string) => unitInSigns(name).toLowerCase())
    .replaceAll(' ', '');
}
