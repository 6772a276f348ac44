/** Signs with which a spreadsheet would take a text cell for a formula: such text gets an apostrophe in front. */
export const FORMULA = /^[\t\r\n]|^[\p{White_Space}\p{Cc}\p{Cf}]*[=+\-@＝＋－＠]/u;

const GUARD = "'";
/** Text that no spreadsheet runs. */
export const guarded = (text: string): string => (FORMULA.test(text) ? `${GUARD}${text}` : text);
/** The text that {@link guarded} was given. */
export const unguarded = (text: string): string =>
  text.startsWith(GUARD) && FORMULA.test(text.slice(GUARD.length)) ? text.slice(GUARD.length) : text;
