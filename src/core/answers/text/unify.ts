/** What happens to every text before it is compared, whatever the settings say. */

/** Control, zero-width, direction and variation characters and the soft hyphen. */
const INVISIBLE =
  /[\p{Cc}\u00AD\u034F\u061C\u115F\u1160\u17B4\u17B5\u180B-\u180F\u200B-\u200F\u202A-\u202E\u2060-\u206F\uFE00-\uFE0F\uFEFF\u{E0100}-\u{E01EF}]/gu;
const WHITE_SPACE = /[\p{White_Space}]/gu;
const SINGLE_QUOTES =
  /[\u2018-\u201B\u2039\u203A`\u00B4\u02B9\u02BB-\u02BD\u02BC\u02CA\u02CB\u2032\u2035\uFF07]/g;
const DOUBLE_QUOTES = /[\u201C-\u201F\u00AB\u00BB\u02BA\u2033\u2036\u301D-\u301F\uFF02]/g;
const DASHES = /[\p{Pd}\u2212]/gu;
const SLASHES = /[\u2044\u2215]/g;

function unifySigns(text: string): string {
  return text
    .replace(WHITE_SPACE, ' ')
    .replace(INVISIBLE, '')
    .replace(SINGLE_QUOTES, "'")
    .replace(DOUBLE_QUOTES, '"')
    .replace(DASHES, '-')
    .replace(SLASHES, '/');
}

/** Raised figures behind a digit, a lowered one or a closing bracket, and with a raised minus behind a letter, that no raised sign makes a charge. */
const RAISED = /(?:(?<=[\p{Nd}₀-₉)\]}])[⁻⁺]?|(?<=\p{L})⁻)[⁰¹²³⁴-⁹]+(?![⁻⁺⁰¹²³⁴-⁹])/gu;

/** Powers as they are typed: 10³ is 10^3, not 103. */
const raisedAsPowers = (text: string): string =>
  text.replace(RAISED, (figures) => `^${figures.normalize('NFKC')}`);

export const collapseSpaces = (text: string): string => text.replace(/ {2,}/g, ' ').trim();

const PLAIN = /^[!-_a-~]*(?: [!-_a-~]+)*$/;

/**
 * White space to single spaces, invisible characters away, quotes, dashes and slashes to one form each, raised figures to
 * powers, compatibility forms composed (Unicode NFKC), then the same unifications once more.
 */
export function unify(text: string): string {
  if (PLAIN.test(text)) return text;
  return collapseSpaces(unifySigns(raisedAsPowers(unifySigns(text)).normalize('NFKC')));
}
