import { plural } from '../../figures/plural';
import { toPercentText } from '../../figures/fraction';
import { errorsAllowed, letsPass, type TextSettings } from './settings';
import { listFor, NEWEST_EDITION } from './words/wordLists';

const IGNORED: readonly (readonly [keyof TextSettings, string])[] = [
  ['ignoreCapitals', 'capitals'],
  ['ignoreArticles', 'a leading article'],
  ['ignorePunctuation', 'punctuation'],
  ['ignoreAccents', 'accents'],
  ['ignoreWordOrder', 'the order of words'],
];

const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1) ?? ''}`;

function errorWords({ typingErrors, typingErrorPrice }: TextSettings): string {
  if (typingErrors === 0) return '';
  const price = typingErrorPrice.n > 0 ? `; each costs ${toPercentText(typingErrorPrice)}%` : '';
  if (typingErrors === 'byLength') {
    const [short, middle] = [4, 8].map((length) => errorsAllowed('byLength', length));
    return `Typing errors allowed by length: ${short || 'none'} up to 4 letters, ${middle ?? 0} up to 8, 2 beyond${price}.`;
  }
  return `${typingErrors} typing ${plural(typingErrors, 'error is', 'errors are')} allowed${price}.`;
}

/** Whether another word may pass for a misspelt one, where anything misspelt may. */
function otherWordsWords(settings: TextSettings, language: string): string {
  if (!letsPass(settings)) return '';
  const list = listFor(language, NEWEST_EDITION);
  if (settings.otherWords === 'pass') return 'Another word passes like a misspelt one.';
  if (!list)
    return settings.typingErrors === 0
      ? ''
      : 'Without a list of words for its language, small errors are for you to mark.';
  const finalS = settings.otherWords === 'refuseButS' ? ', but singular for plural does' : '';
  return `Another word of the ${list.title} list does not pass${finalS}.`;
}

/**
 * How answers are compared under these settings, in sentences: what is ignored, how many typing errors pass, and whether
 * other words of the language do.
 */
export function settingsWords(settings: TextSettings, language: string): string[] {
  const ignored = IGNORED.filter(([name]) => settings[name] === true).map(([, words]) => words);
  const compared = ignored.length > 0 ? `Ignored: ${listed(ignored)}.` : 'Nothing is ignored.';
  return [compared, errorWords(settings), otherWordsWords(settings, language)].filter(Boolean);
}
