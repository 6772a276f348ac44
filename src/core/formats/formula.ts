/** Signs with which a spreadsheet would take a text cell for a formula: such text gets an apostrophe in front. */
export const FORMULA = /^[\t\r\n]|^[\p{White_Space}\p{Cc}\p{Cf}]*[=+\-@＝＋－＠]/u;
