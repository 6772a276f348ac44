import { valueAt } from '../../figures/valueAt';
import { isBlankText } from '../../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import { ZERO } from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type MarkingContext } from '../../marks/mark';
import { note, type TraceLine } from '../../marks/trace';
import { markOf } from '../shared/makeMark';
import { rubricCredit } from './rubric';
import type { WrittenAnswer, WrittenQuestion } from './schema';

const isBlank = (answer: WrittenAnswer | null): boolean =>
  answer === null || isBlankText(answer.text, DEFAULT_SETTINGS);

/** Waits until the teacher has given every criterion of the rubric a level; what they come to is final. */
export function mark(question: WrittenQuestion, answer: WrittenAnswer | null, context: MarkingContext): Mark {
  if (isBlank(answer)) return BLANK;
  const credit = question.rubric && context.levels ? rubricCredit(question.rubric, context.levels) : null;
  return credit === null ? WAITS : markOf(question, credit, { rule: 'rubric', allWrong: false });
}

export function explain(
  question: WrittenQuestion,
  answer: WrittenAnswer | null,
  context: MarkingContext,
): TraceLine[] {
  if (isBlank(answer)) return [note('answer', 'blank')];
  const marked = mark(question, answer, context);
  if (marked.state === 'waits') return [note('rule', 'writtenWaits')];
  const lines = (question.rubric ?? []).map((criterion) => {
    const level = criterion.levels.find(({ id }) => id === valueAt(context.levels ?? {}, criterion.id));
    return note('rule', 'level', {
      criterion: criterion.text,
      level: level?.text ?? '',
      points: level?.points ?? ZERO,
    });
  });
  return [...lines, note('rule', 'rubric', { credit: marked.credit })];
}
