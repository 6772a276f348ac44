/** Leading articles: definite and indefinite, nominative, without contractions. */
export const ARTICLES: Readonly<Record<string, { words: readonly string[]; elided: readonly string[] }>> = {
  en: { words: ['a', 'an', 'the'], elided: [] },
  de: { words: ['der', 'die', 'das', 'ein', 'eine'], elided: [] },
  fr: { words: ['le', 'la', 'les', 'un', 'une', 'des'], elided: ['l', 'd'] },
  es: { words: ['el', 'la', 'los', 'las', 'un', 'una', 'unos', 'unas'], elided: [] },
  it: { words: ['il', 'lo', 'la', 'i', 'gli', 'le', 'un', 'uno', 'una'], elided: ['l', 'un'] },
  pt: { words: ['o', 'a', 'os', 'as', 'um', 'uma', 'uns', 'umas'], elided: [] },
  nl: { words: ['de', 'het', 'een'], elided: [] },
};

const OPENERS = `[\\p{Ps}\\p{Pi}"'¿¡ ]*`;
const patterns = new Map<string, RegExp>();

const baseLanguage = (language: string): string => language.toLowerCase().split('-')[0] ?? '';

/** True where leading articles can be ignored in this language. */
export const hasArticles = (language: string): boolean => baseLanguage(language) in ARTICLES;

function patternFor(language: string): RegExp | null {
  const base = baseLanguage(language);
  const articles = ARTICLES[base];
  if (!articles) return null;
  let pattern = patterns.get(base);
  if (!pattern) {
    const elided = articles.elided.map((word) => `${word}'`);
    const whole = `(?:${articles.words.join('|')})[\\p{Pe}\\p{Pf}"']* `;
    pattern = new RegExp(`^(${OPENERS})(?:${[whole, ...elided].join('|')})(?=.*[\\p{L}\\p{N}])`, 'iu');
    patterns.set(base, pattern);
  }
  return pattern;
}

/** The text without one leading article of the language, in any capitals, where a word remains. */
export function dropArticle(text: string, language: string): string {
  const pattern = patternFor(language);
  return pattern ? text.replace(pattern, '$1') : text;
}
