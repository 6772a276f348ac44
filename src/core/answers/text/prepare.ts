import { dropAccents } from './accents';
import { dropArticle } from './articles';
import { foldCapitals } from './capitals';
import { graphemes } from './graphemes';
import { dropPunctuation } from './punctuation';
import type { TextSettings } from './settings';
import { collapseSpaces, unify } from './unify';

/** A text as it is compared: with everything taken away that the settings ignore. */
export interface Prepared {
  readonly text: string;
  readonly words: readonly string[];
  readonly letters: readonly string[];
}

/** The text as compared under these settings; word order and typing errors come with the comparison. */
export function comparedText(text: string, settings: TextSettings, language: string): string {
  let compared = unify(text);
  if (settings.ignoreCapitals) compared = foldCapitals(compared, language);
  if (settings.ignoreArticles) compared = dropArticle(compared, language);
  if (settings.ignorePunctuation) compared = dropPunctuation(compared);
  if (settings.ignoreAccents) compared = dropAccents(compared, language);
  return collapseSpaces(compared);
}

class LazyPrepared implements Prepared {
  #words: readonly string[] | undefined;
  #letters: readonly string[] | undefined;
  constructor(readonly text: string) {}
  get words(): readonly string[] {
    return (this.#words ??= this.text === '' ? [] : this.text.split(' '));
  }
  get letters(): readonly string[] {
    return (this.#letters ??= graphemes(this.text));
  }
}

/** A compared text with its words and letters, split when first asked for. */
export const prepared = (compared: string): Prepared => new LazyPrepared(compared);

/** Nothing is left that ignoring punctuation would leave; where punctuation counts, nothing at all. */
export function isBlankText(text: string, settings: TextSettings): boolean {
  const unified = unify(text);
  return settings.ignorePunctuation ? dropPunctuation(unified).trim() === '' : unified === '';
}
