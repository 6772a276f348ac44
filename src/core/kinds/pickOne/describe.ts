import type { Problem } from '../kind';
import { hasKey } from './mark';
import type { PickOneAnswer, PickOneQuestion } from './schema';

export function answerText(question: PickOneQuestion, answer: PickOneAnswer): string {
  if (answer.kind === 'pickOneOther') return answer.text;
  return (
    question.options.find((option) => option.id === answer.option)?.text ??
    'an option that is no longer there'
  );
}

export function problems(question: PickOneQuestion): Problem[] {
  const found: Problem[] = [];
  const texts = question.options.filter((option) => !option.gone).map((option) => option.text.trim());
  if (texts.filter(Boolean).length < 2) found.push({ code: 'noOptions', text: 'fewer than two options' });
  if (texts.some((text, index) => text !== '' && texts.indexOf(text) !== index)) {
    found.push({ code: 'twice', text: 'the same option twice' });
  }
  if (!hasKey(question)) found.push({ code: 'noKey', text: 'no key' });
  return found;
}

export const rightAnswers = (question: PickOneQuestion): string[] =>
  question.options
    .filter((option) => !option.gone && option.credit.n === option.credit.d)
    .map((option) => option.text);
