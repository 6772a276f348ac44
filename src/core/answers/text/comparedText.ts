import { dropAccents } from './accents';
import { dropArticle } from './articles';
import { foldCapitals } from './capitals';
import { dropPunctuation } from './signs/punctuation';
import type { TextSettings } from './settings';
import { collapseSpaces, unify } from './unify';

/** The text as compared under these settings; word order and typing errors come with the comparison. */
export function comparedText(text: string, settings: TextSettings, language: string): string {
  let compared = unify(text);
  if (settings.ignoreCapitals) compared = foldCapitals(compared, language);
  // Who writes as the Swiss do has no ß, whether capitals count or not.
  else if (/^de\b/i.test(language)) compared = compared.replaceAll('ß', 'ss').replaceAll('ẞ', 'SS');
  if (settings.ignoreArticles) compared = dropArticle(compared, language);
  if (settings.ignorePunctuation) compared = dropPunctuation(compared);
  if (settings.ignoreAccents) compared = dropAccents(compared, language);
  return collapseSpaces(compared);
}
