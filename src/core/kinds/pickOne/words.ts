import { toPercentText } from '../../figures/fraction';
import type { Problem } from '../kind';
import { optionName } from '../shared/pick/optionName';
import { hasKey } from './mark';
import type { PickOneQuestion } from './schema';
import type { LineWords } from '../../marks/lineWords';

export function problems(
  question: PickOneQuestion,
  _: unknown,
  { options }: PickOneQuestion = question,
): Problem[] {
  const found: Problem[] = [];
  const texts = options.filter((option) => !option.gone).map(optionName);
  if (texts.filter(Boolean).length < 2) found.push({ code: 'noOptions', text: 'fewer than two options' });
  else if (texts.some((text) => text === ''))
    found.push({ code: 'emptyOption', text: 'an empty option, which students will not see' });
  if (texts.some((text, index) => text !== '' && texts.indexOf(text) !== index)) {
    found.push({ code: 'twice', text: 'the same option twice' });
  }
  if (!hasKey(question)) found.push({ code: 'noKey', text: 'no key' });
  return found;
}

/** Which options earn what. */
export function describe(question: PickOneQuestion): string[] {
  const earning = question.options.filter((option) => !option.gone && option.credit.n !== 0);
  if (earning.length === 0) return ['No option is right yet: every answer is for you to mark.'];
  return earning.map((option) => `“${optionName(option)}” earns ${toPercentText(option.credit)}%.`);
}

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  noSuchOption: () => 'The option that was picked is no longer there',
};
