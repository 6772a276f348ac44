import type { MarkingContext } from '../../marks/mark';
import { asRead, unreadable, type ReadCell } from '../kind';
import { splitParts } from '../shared/answerCells';
import { optionNamed } from '../shared/pick/optionName';
import type { PickSeveralAnswer, PickSeveralQuestion } from './schema';

/** The options that a cell names: each by its text, capitals and punctuation apart, else by its letter. */
export function readAnswer(
  question: PickSeveralQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<PickSeveralAnswer> {
  const options: string[] = [];
  for (const part of splitParts(text).filter(Boolean)) {
    const option = optionNamed(question.options, part, language);
    if (!option) return unreadable(`“${part}” is not one of the options`);
    options.push(option.id);
  }
  return asRead(options.length === 0 ? null : { kind: 'pickSeveral', options: [...new Set(options)] });
}
