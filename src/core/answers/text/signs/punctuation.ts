import { countingSigns, type CountingSigns } from './countingSigns';
import { spaced } from './oneForm';

/** What goes, what becomes a space and what stays where punctuation is ignored. */

/** Brackets and quotes of any script, inverted marks, bullets and the signs treated like them. */
const WRAPPER = /[\p{Ps}\p{Pe}\p{Pi}\p{Pf}'"¿¡•‣◦⁃●○▪■・*_~|]/u;
/** Full stops and commas of other scripts. */
const FOREIGN_STOP = /[。｡、۔।॥።։՝،߸፣᠂᠃꓾꓿⹁܀܂𑁇]/u;
/** Semicolons, exclamation and question marks of other scripts. */
const FOREIGN_BREAK = /[؛؟፤፧՞՜፥⁏‽⸮]/u;
const DIGIT = /\p{Nd}/u;
const HAS_SIGNS = /[^\p{L}\p{M}\p{Nd} ]/u;

const isDigit = (sign: string | undefined): boolean => sign !== undefined && DIGIT.test(sign);

const STAYS_BETWEEN_DIGITS = new Set(['.', ',', ':', '/']);
const BECOMES_SPACE = new Set([',', ';', ':', '!', '?', '/', '-']);

/** What one sign turns into, given its neighbours and what has been written so far. */
function replace({ signs, counting, inside }: CountingSigns, at: number, written: string): string {
  const sign = signs[at] as string;
  const as = counting.get(at);
  if (as === 'minus') return inside(at) ? '-' : ' - ';
  if (as !== undefined) return sign;
  if (sign === ' ') return inside(at) ? '' : sign;
  const next = signs[at + 1];
  const wordStart = written === '' || written.endsWith(' ');
  if (STAYS_BETWEEN_DIGITS.has(sign) && isDigit(signs[at - 1]) && isDigit(next)) return sign;
  if (sign === '.') {
    const afterSign = /(^| )[+-]$/.test(written);
    return (wordStart || afterSign) && isDigit(next) ? sign : '';
  }
  if (sign === '-' && wordStart && (isDigit(next) || (next === '.' && isDigit(signs[at + 2])))) return sign;
  if (BECOMES_SPACE.has(sign) || FOREIGN_BREAK.test(sign)) return ' ';
  return WRAPPER.test(sign) || FOREIGN_STOP.test(sign) ? '' : sign;
}

/**
 * The text without punctuation. Between two digits point, comma, colon and slash stay; a sign directly before a number and a
 * point before a digit at a word's start stay; `% & # @ ° § + = < > \ ^ $` stay, and so does every sign that counts as a
 * symbol: see {@link countingSigns}.
 */
export function dropPunctuation(text: string): string {
  if (!HAS_SIGNS.test(text)) return text;
  const symbols = countingSigns(text);
  let written = '';
  for (let at = 0; at < symbols.signs.length; at++) written += replace(symbols, at, written);
  return spaced(written);
}

/** True for a sign that ignoring punctuation would take away anywhere but inside a number. */
export function isMark(sign: string): boolean {
  return dropPunctuation(sign).trim() === '';
}
