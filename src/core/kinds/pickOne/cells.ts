import { optionName } from '../shared/pick/optionName';
import type { PickOneAnswer, PickOneQuestion } from './schema';

import type { MarkingContext } from '../../marks/mark';
import { asRead, unreadable, type ReadCell } from '../kind';
import { optionNamed } from '../shared/pick/optionName';

/**
 * The option that a file names: by its text, capitals and punctuation apart, else by its letter
 * (`B`, `b)`). Empty text is not an answer.
 */
export function readAnswer(
  question: PickOneQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<PickOneAnswer> {
  const trimmed = text.trim();
  if (trimmed === '') return asRead<PickOneAnswer>(null);
  const option = optionNamed(question.options, trimmed, language);
  return option
    ? asRead<PickOneAnswer>({ kind: 'pickOne', option: option.id })
    : unreadable(`“${trimmed.slice(0, 40)}” is not one of the options`);
}

export function answerText(question: PickOneQuestion, answer: PickOneAnswer): string {
  const option = question.options.find((one) => one.id === answer.option);
  return option ? optionName(option) : 'an option that is no longer there';
}
