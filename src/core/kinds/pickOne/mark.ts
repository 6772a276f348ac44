import type { Feedback } from '../../content/feedback';
import { isSilent } from '../../content/silence';
import { smaller, ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark } from '../../marks/mark';
import { note, type TraceLine } from '../../marks/trace';
import { boundLines, markOf } from '../shared/makeMark';
import type { Option } from '../shared/pick/option';
import { optionName } from '../shared/pick/optionName';
import type { PickOneAnswer, PickOneQuestion } from './schema';

export const hasKey = (question: PickOneQuestion): boolean =>
  question.options.some((option) => option.credit.n > 0);

const chosen = (question: PickOneQuestion, answer: PickOneAnswer): Option | undefined =>
  question.options.find((option) => option.id === answer.option);

/** Credit of the chosen option. Without a key, or for an option that is not there, the teacher decides. */
export function mark(question: PickOneQuestion, answer: PickOneAnswer | null): Mark {
  if (!answer) return BLANK;
  const option = chosen(question, answer);
  if (!hasKey(question) || !option) return WAITS;
  return markOf(question, option.credit, { rule: option.id, own: option.feedback });
}

export function explain(question: PickOneQuestion, answer: PickOneAnswer | null): TraceLine[] {
  if (!answer) return [note('answer', 'blank')];
  const option = chosen(question, answer);
  if (!option) return [note('answer', 'noSuchOption'), note('rule', 'waits')];
  const picked = note('answer', 'picked', { text: optionName(option) });
  if (!hasKey(question)) return [picked, note('rule', 'noKey')];
  const right = question.options.filter(
    (other) => other.credit.n === other.credit.d && other.id !== option.id,
  );
  return [
    picked,
    note('rule', 'optionCredit', { text: optionName(option), credit: option.credit }),
    ...boundLines(option.credit, question),
    ...right.map((other) => note('others', 'rightOption', { text: optionName(other) })),
  ];
}

/** What the fully right options say that were not the one chosen; nothing where a right one was. */
export function missed(question: PickOneQuestion, answer: PickOneAnswer | null): Feedback[] {
  const right = question.options.filter(({ credit, gone }) => !gone && credit.n === credit.d);
  if (right.some(({ id }) => id === answer?.option)) return [];
  return right.map((option) => option.missed).filter((feedback) => !isSilent(feedback));
}

/** The lowest credit among the options. */
export const lowestCredit = (question: PickOneQuestion): Fraction =>
  question.options.reduce((low, { credit }) => smaller(low, credit), ZERO);

/** The largest credit among the options that can still be chosen. */
export function bestCredit(question: PickOneQuestion) {
  if (!hasKey(question)) return null;
  const open = question.options.filter((option) => !option.gone);
  return open.reduce((best, { credit }) => (credit.n * best.d > best.n * credit.d ? credit : best), ZERO);
}
