/**
 * Text that a spreadsheet would take for a formula gets an apostrophe in front. So does what follows a separator inside a
 * cell: a spreadsheet that is set to another separator than the file's splits there.
 */
const SIGN = '[=+\\-@＝＋－＠]';
const SPACE = '\\p{White_Space}\\p{Cc}\\p{Cf}';

/** The beginning of a cell that would be run; apostrophes that stand there already change nothing. */
const BEGINNING = new RegExp(`^'*(?:[\\t\\r\\n]|[${SPACE}]*${SIGN})`, 'u');
const INSIDE = new RegExp(`([,;|\\t\\r\\n][${SPACE}"]*)('*)(?=${SIGN})`, 'gu');
const GUARDED_INSIDE = new RegExp(`([,;|\\t\\r\\n][${SPACE}"]*)'('*)(?=${SIGN})`, 'gu');

/** True for text that a spreadsheet would run where a cell begins with it. */
export const isFormula = (text: string): boolean => !text.startsWith("'") && BEGINNING.test(text);

/** Text that no spreadsheet runs, by whichever separator it splits the file. */
export const guarded = (text: string): string =>
  (BEGINNING.test(text) ? "'" : '') + text.replace(INSIDE, "$1'$2");

/** The text that {@link guarded} was given. */
export function unguarded(text: string): string {
  const inside = text.replace(GUARDED_INSIDE, '$1$2');
  return inside.startsWith("'") && BEGINNING.test(inside.slice(1)) ? inside.slice(1) : inside;
}
