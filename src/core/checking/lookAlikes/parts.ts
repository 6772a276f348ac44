import { comparedText } from '../../answers/text/comparedText';
import { dropAccents } from '../../answers/text/accents';
import { DEFAULT_SETTINGS } from '../../answers/text/settings';

/** The word that joins the last part of a list to the others, by language. */
const AND: Readonly<Record<string, string>> = {
  en: 'and', de: 'und', fr: 'et', es: 'y|e', it: 'e|ed', pt: 'e', nl: 'en',
}; // prettier-ignore

const SEPARATORS = /[,;/\n\r+&]/;

const joiners = new Map<string, RegExp>();

function joiner(and: string): RegExp {
  const known = joiners.get(and) ?? new RegExp(`(?<=\\s|,)(?:${and})(?=\\s)`, 'giu');
  joiners.set(and, known);
  return known;
}

/** The parts of a text that is a list: by comma, semicolon, slash, line end, plus, ampersand or the word for *and*; one where it is none. */
export function partsOfList(text: string, language: string): string[] {
  const and = AND[language.toLowerCase().split('-')[0] ?? ''];
  const joined = and ? text.replace(joiner(and), ',') : text;
  // Most answers are no lists: what is compared is of no interest then.
  if (!SEPARATORS.test(joined)) return [text];
  return joined
    .split(SEPARATORS)
    .map((part) =>
      dropAccents(comparedText(part, { ...DEFAULT_SETTINGS, ignoreArticles: true }, language), language),
    )
    .filter((part) => part !== '');
}
