import { dictionaryWords } from '../../../answers/text/words/speltWords';
import { letsPass } from '../../../answers/text/settings';
import type { TextKey } from './schema';

/** True where a key lets a text pass that is not written as it is, unless it is another word. */
export const refusesOthers = ({ settings, variants }: TextKey): boolean =>
  variants.some(({ match, settings: own }) => {
    const joined = { ...settings, ...own };
    return match !== 'pattern' && joined.otherWords !== 'pass' && letsPass(joined);
  });

/** The words of a key's forms, right ones and expected wrong ones; a pattern has none. */
export const wordsOfKey = ({ variants }: TextKey, language: string): string[] =>
  variants
    .filter(({ match }) => match !== 'pattern')
    .flatMap(({ forms }) => forms.flatMap((form) => dictionaryWords(form, language)));
