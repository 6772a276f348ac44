/** Signs that are typed in several ways, and the spaces around them, brought to one form. */

const withoutQuotesAround = (text: string): string =>
  /^(['"]).*\1$/su.test(text.trim()) ? text.trim().slice(1, -1) : text;

/** A number that begins a term, with the space behind it: in front, or behind a relation, an arrow, plus, minus or an opening bracket. */
const FIRST_OF_TERM = '(?<=(?:^|[=<>≤≥≈≠→⇌+(±-]) ?)(\\p{Nd}+(?:[.,]\\p{Nd}+)?) ';
/** Before any letter. */
const COEFFICIENT = new RegExp(`${FIRST_OF_TERM}(?=\\p{L})`, 'gu');
/** Before a letter that stands alone, and before a word with a figure in it. */
const CLEAR_COEFFICIENT = new RegExp(`${FIRST_OF_TERM}(?=\\p{L}(?!\\p{L})|\\p{L}+\\p{Nd})`, 'gu');

/**
 * The number that begins a term stands right before its letter: `2 H2 + O2 → 2 H2O`. Without an arrow only where that is clear, so
 * that `x = 2 or 3` stays.
 */
function withCoefficients(text: string): string {
  if (/[→⇌]/.test(text)) return text.replace(COEFFICIENT, '$1');
  return /[=<>≤≥≈≠]| \+ /.test(text) ? text.replace(CLEAR_COEFFICIENT, '$1') : text;
}

/** One form for signs that are typed in several: `× · ⋅` are `*`, `♯` is `#`, `->` is `→`, `!=` is `≠`, `+-` is `±`. */
const withOneSign = (text: string): string =>
  text
    .replace(/[×·⋅∙]/g, '*')
    .replace(/♯/g, '#')
    .replace(/<=>|<->/g, '⇌')
    .replace(/->/g, '→')
    .replace(/<=/g, '≤')
    .replace(/>=/g, '≥')
    .replace(/!=|=\/=/g, '≠')
    .replace(/(?<!\p{L})\+\/?-(?= ?(?:[\p{Nd}√(]|\.\p{Nd}|\p{L}(?!\p{L})))/gu, '±')
    // Around one number or letter the brackets of a power go; behind a letter a power is a figure: x² and x2 are one.
    .replace(/\^ ?\(([-+]?(?:\p{Nd}+|\p{L}))\)/gu, '^$1')
    .replace(/(?<=\p{L})\^(?=[\p{L}\p{Nd}])/gu, '')
    // One kind of quotes around what a word is given in brackets.
    .replace(/(?<=[\p{L}\p{Nd}])([([])'([^'"]*)'([)\]])/gu, '$1"$2"$3')
    .replaceAll('_', '');

/** The text with each of its signs in one form, and without quotes around the whole. */
export const inOneForm = (text: string): string => withoutQuotesAround(withCoefficients(withOneSign(text)));

/** Signs around which spaces are put or taken away. */
const NEEDS_SPACING = /[\^*/:([{±=<>≤≥≈≠÷→⇌+%°]/;

/** The same spaces around signs, however they were typed. */
export function spaced(text: string): string {
  if (!NEEDS_SPACING.test(text)) return text;
  return (
    text
      // Closed up: powers, and what stands between two. A power sign goes behind a letter and before a charge, not before a minus.
      .replace(/ *\^ */g, '^')
      .replace(/\^(?=\p{Nd}*[-+](?:[ )\]}]|$))/gu, '')
      .replace(/(?<=\p{L})\^(?!-)/gu, '')
      .replace(/(?<=[\p{Nd})\]}]|(?<!\p{L})\p{L}) *([*/:]) *(?=[\p{Nd}([{]|\p{L}(?!\p{L}))/gu, '$1')
      .replace(/(?<=[\p{Nd}]|(?<!\p{L})\p{L}['"]*) +(?=[([{])/gu, '')
      .replace(/(?<=[=<>≤≥≈≠] *)- +(?=[\p{L}\p{Nd}([{√.])/gu, '-')
      .replace(/± +(?=[\p{L}\p{Nd}([{√.])/gu, '±')
      // Set apart: relations, arrows, a plus between two, per cent and degrees behind a digit.
      .replace(/ *([=<>≤≥≈≠÷→⇌]) */g, ' $1 ')
      .replace(/(?<=[\p{L}\p{Nd})\]}]) *\+ *(?=[\p{L}\p{Nd}([{])/gu, ' + ')
      .replace(/(?<=\p{Nd}) *([%°])/gu, ' $1')
  );
}
