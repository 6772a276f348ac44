/** The interface is in English, whatever the language of its figures. */
const RULES = new Intl.PluralRules('en');

/** The word that goes with a number: *point* with 1, *points* with all others; the plural with an s where none is given. */
export const plural = (n: number, one: string, many = `${one}s`): string =>
  RULES.select(n) === 'one' ? one : many;
