/** Full case folding, the same in every language and on every machine. */

/**
 * Where folding is not what lower-casing a single letter gives (Unicode CaseFolding, status C and F,
 * as far as NFKC leaves the letters in place).
 */
const FOLDS: Readonly<Record<string, string>> = {
  ß: 'ss',
  ẞ: 'ss',
  ς: 'σ',
  ſ: 's',
  İ: 'i\u0307',
  ŉ: '\u02BCn',
  ǰ: 'j\u030C',
  ΐ: 'ι\u0308\u0301',
  ΰ: 'υ\u0308\u0301',
  և: 'եւ',
  ẖ: 'h\u0331',
  ẗ: 't\u0308',
  ẘ: 'w\u030A',
  ẙ: 'y\u030A',
  ẚ: 'a\u02BE',
  ẛ: '\u1E61',
  '\u0345': 'ι',
  µ: 'μ',
  ϐ: 'β',
  ϑ: 'θ',
  ϕ: 'φ',
  ϖ: 'π',
  ϰ: 'κ',
  ϱ: 'ρ',
  ϵ: 'ε',
};

const hasDottedI = (language: string): boolean => /^(tr|az)\b/i.test(language);

/** The letters I of Turkish and Azeri as they are small: I is ı, İ is i. */
const smallTurkishI = (text: string): string => text.replace(/[iI]\u0307|İ/g, 'i').replace(/I/g, 'ı');

/**
 * The text with capitals folded away. `language` is a tag such as `en`; only Turkish and Azeri differ: there I is the
 * capital of ı, İ that of i, and the two letters are not the same.
 */
export function foldCapitals(text: string, language: string): string {
  const source = hasDottedI(language) ? smallTurkishI(text) : text;

  if (/^[\u0000-\u007F]*$/.test(source)) return source.toLowerCase();
  let folded = '';
  for (const letter of source) folded += FOLDS[letter] ?? letter.toLowerCase();
  return folded.normalize('NFC');
}
