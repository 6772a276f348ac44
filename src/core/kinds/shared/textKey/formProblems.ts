import { comparedText } from '../../../answers/text/comparedText';
import { readPattern, type PatternTrouble } from '../../../answers/text/pattern';
import type { TextSettings } from '../../../answers/text/settings';
import type { Problem } from '../../kind';
import type { TextKey } from './schema';

const PATTERN: Readonly<Record<PatternTrouble, (form: string) => string>> = {
  unreadable: (form) => `“${form}” is not a valid pattern, so it matches nothing`,
  tooLarge: (form) =>
    `“${form}” repeats too much to be tried, so that all answers are for you to mark: make its repetitions smaller`,
};

/** What is wrong with one form: a pattern that cannot be tried, or one of which nothing is left once compared; null: nothing. */
export function formProblem(
  form: string,
  match: TextKey['variants'][number]['match'],
  settings: TextSettings,
  language: string,
): Problem | null {
  if (match === 'pattern') {
    const pattern = readPattern(form, settings, language);
    return typeof pattern === 'string' ? { code: 'badPattern', text: PATTERN[pattern](form) } : null;
  }
  return comparedText(form, settings, language) === ''
    ? { code: 'emptyForm', text: `“${form}” is only what is ignored here, so it can never match` }
    : null;
}

/** What is wrong with the forms of a key. */
export const formProblems = (key: TextKey, language: string): Problem[] =>
  key.variants.flatMap((variant) =>
    variant.forms.flatMap(
      (form) => formProblem(form, variant.match, { ...key.settings, ...variant.settings }, language) ?? [],
    ),
  );
