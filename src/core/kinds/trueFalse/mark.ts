import type { ShownAnswer } from '../../content/shownAnswer';
import { type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark } from '../../marks/mark';
import { note, type TraceLine } from '../../marks/trace';
import { boundLines, markOf } from '../shared/makeMark';
import type { TrueFalseAnswer, TrueFalseQuestion } from './schema';

const NAMES = { true: 'true', false: 'false' } as const;

/** A side as people are shown it. */
export const asShown = (value: boolean): ShownAnswer => ({
  form: 'text',
  text: nameOf(value),
  said: value ? 'true' : 'false',
});

export const nameOf = (value: boolean): string => (value ? NAMES.true : NAMES.false);

export const sideOf = (question: TrueFalseQuestion, value: boolean) =>
  value ? question.whenTrue : question.whenFalse;

export const creditsOf = ({ whenTrue, whenFalse }: TrueFalseQuestion): Fraction[] => [
  whenTrue.credit,
  whenFalse.credit,
];

export const hasKey = (question: TrueFalseQuestion): boolean =>
  creditsOf(question).some((credit) => credit.n > 0);

export function mark(question: TrueFalseQuestion, answer: TrueFalseAnswer | null): Mark {
  if (!answer) return BLANK;
  if (!hasKey(question)) return WAITS;
  const { credit, feedback } = sideOf(question, answer.value);
  return markOf(question, credit, { rule: nameOf(answer.value), own: feedback });
}

export function explain(question: TrueFalseQuestion, answer: TrueFalseAnswer | null): TraceLine[] {
  if (!answer) return [note('answer', 'blank')];
  const text = nameOf(answer.value);
  const picked = note('answer', 'picked', { text });
  if (!hasKey(question)) return [picked, note('rule', 'noKey')];
  const { credit } = sideOf(question, answer.value);
  return [picked, note('rule', 'optionCredit', { text, credit }), ...boundLines(credit, question)];
}
