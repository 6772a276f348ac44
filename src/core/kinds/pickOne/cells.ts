import { shownText } from '../../content/shownText';
import { optionName } from '../shared/optionName';
import type { PickOneAnswer, PickOneQuestion } from './schema';

import type { MarkingContext } from '../../marks/mark';
import { asRead, type ReadCell } from '../kind';
import { optionNamed } from '../shared/optionName';

/**
 * The option that a file names: by its text, capitals and punctuation apart, else by its letter
 * (`B`, `b)`). Words that name none are kept, to be judged by the teacher. Empty text is no answer.
 */
export function readAnswer(
  question: PickOneQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<PickOneAnswer> {
  const trimmed = text.trim();
  if (trimmed === '') return asRead<PickOneAnswer>(null);
  const option = optionNamed(question.options, trimmed, language);
  return asRead<PickOneAnswer>(
    option
      ? { kind: 'pickOne', option: option.id }
      : { kind: 'pickOneOther', text: trimmed.slice(0, 10_000) },
  );
}

export function answerText(question: PickOneQuestion, answer: PickOneAnswer): string {
  if (answer.kind === 'pickOneOther') return shownText(answer.text);
  const option = question.options.find((one) => one.id === answer.option);
  return option ? optionName(option) : 'an option that is no longer there';
}
