import { plural } from '../../figures/plural';
import { toPercentText } from '../../figures/fraction';
import { errorsAllowed, type TextSettings } from './settings';

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

/** How answers are compared under these settings, in sentences: what is ignored, and how many typing errors pass. */
export function settingsWords(settings: TextSettings): string[] {
  const ignored = IGNORED.filter(([name]) => settings[name] === true).map(([, words]) => words);
  const compared = ignored.length > 0 ? `Ignored: ${listed(ignored)}.` : 'Nothing is ignored.';
  return [compared, errorWords(settings)].filter(Boolean);
}
