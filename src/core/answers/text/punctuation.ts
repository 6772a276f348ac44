/** What goes, what becomes a space and what stays where punctuation is ignored. */

/** Brackets and quotes of any script, inverted marks, bullets and the signs treated like them. */
const WRAPPERS = /[\p{Ps}\p{Pe}\p{Pi}\p{Pf}'"¿¡•‣◦⁃∙⋅●○▪■·・*_~|]/gu;
/** Full stops and commas of other scripts. */
const FOREIGN_STOPS = /[。｡、۔।॥።։՝،߸፣᠂᠃꓾꓿⹁܀܂𑁇]/gu;
/** Semicolons, exclamation and question marks of other scripts. */
const FOREIGN_BREAKS = /[؛؟፤፧՞՜፥⁏‽⸮]/gu;
const DIGIT = /\p{Nd}/u;

const isDigit = (sign: string | undefined): boolean => sign !== undefined && DIGIT.test(sign);

const STAYS_BETWEEN_DIGITS = new Set(['.', ',', ':', '/']);
const BECOMES_SPACE = new Set([',', ';', ':', '!', '?', '/', '-']);
const HAS_MARKS = /[.,;:!?/\-+]/;

/** What one sign turns into, given its neighbours and what has been written so far. */
function replace(signs: readonly string[], at: number, written: string): string {
  const sign = signs[at] as string;
  const next = signs[at + 1];
  const wordStart = written === '' || written.endsWith(' ');
  if (STAYS_BETWEEN_DIGITS.has(sign) && isDigit(signs[at - 1]) && isDigit(next)) return sign;
  if (sign === '.') {
    const afterSign = /(^| )[+-]$/.test(written);
    return (wordStart || afterSign) && isDigit(next) ? sign : '';
  }
  if (sign === '-' && wordStart && (isDigit(next) || (next === '.' && isDigit(signs[at + 2])))) return sign;
  return BECOMES_SPACE.has(sign) ? ' ' : sign;
}

/**
 * The text without punctuation. Between two digits point, comma, colon and slash stay; a sign directly
 * before a number and a point before a digit at a word's start stay; `% & # @ ° § + = < > \ ^ $` stay.
 */
export function dropPunctuation(text: string): string {
  const bare = text.replace(WRAPPERS, '').replace(FOREIGN_STOPS, '').replace(FOREIGN_BREAKS, ' ');
  if (!HAS_MARKS.test(bare)) return bare;
  const signs = Array.from(bare);
  let written = '';
  for (let at = 0; at < signs.length; at++) written += replace(signs, at, written);
  return written;
}

/** True for a sign that ignoring punctuation would take away anywhere but inside a number. */
export function isMark(sign: string): boolean {
  return dropPunctuation(sign).trim() === '';
}
