import { comparedText } from '../../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import { optionName } from './name';
import type { PickOneAnswer, PickOneQuestion } from './schema';

const compared = (text: string): string => comparedText(text, DEFAULT_SETTINGS, 'en');

/**
 * The option that a file names: by its text, capitals and punctuation apart, else by its letter
 * (`B`, `b)`). Words that name none are kept, to be judged by the teacher. Empty text is no answer.
 */
export function readAnswer(question: PickOneQuestion, text: string): PickOneAnswer | null {
  const trimmed = text.trim();
  if (trimmed === '') return null;
  const byText =
    question.options.find((option) => optionName(option) === trimmed) ??
    question.options.find((option) => compared(optionName(option)) === compared(trimmed));
  if (byText) return { kind: 'pickOne', option: byText.id };
  const letter = /^\(?([a-z])[).:]?$/i.exec(trimmed)?.[1];
  const byLetter =
    letter && question.options.filter((option) => !option.gone)[letter.toLowerCase().charCodeAt(0) - 97];
  if (byLetter) return { kind: 'pickOne', option: byLetter.id };
  return { kind: 'pickOneOther', text: trimmed.slice(0, 10_000) };
}
