import { nonsense } from '../../madeUp/texts';
import { isBlankText } from '../../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import { ONE, toDecimalText, ZERO } from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type MarkingContext } from '../../marking/mark';
import { note, type TraceLine } from '../../marking/trace';
import { shownText } from '../../quiz/shownText';
import { asRead, notKeyed, type Kind, type Problem } from '../kind';
import { markOf } from '../marks';
import { rubricCredit } from './rubric';
import { WrittenAnswer, WrittenFace, WrittenQuestion } from './schema';

const isBlank = (answer: WrittenAnswer | null): boolean =>
  answer === null || isBlankText(answer.text, DEFAULT_SETTINGS);

/** Waits until the teacher has given every criterion of the rubric a level; what they come to is final. */
function mark(question: WrittenQuestion, answer: WrittenAnswer | null, context: MarkingContext): Mark {
  if (isBlank(answer)) return BLANK;
  const credit = question.rubric && context.levels ? rubricCredit(question.rubric, context.levels) : null;
  return credit === null ? WAITS : markOf(question, credit, { rule: 'rubric', allWrong: false });
}

function explain(
  question: WrittenQuestion,
  answer: WrittenAnswer | null,
  context: MarkingContext,
): TraceLine[] {
  if (isBlank(answer)) return [note('answer', 'blank')];
  const marked = mark(question, answer, context);
  if (marked.state === 'waits') return [note('rule', 'writtenWaits')];
  const lines = (question.rubric ?? []).map((criterion) => {
    const level = criterion.levels.find(({ id }) => id === context.levels?.[criterion.id]);
    return note('rule', 'level', {
      criterion: criterion.text,
      level: level?.text ?? '',
      points: level?.points ?? ZERO,
    });
  });
  return [...lines, note('rule', 'rubric', { credit: marked.credit })];
}

function describe({ rubric }: WrittenQuestion): string[] {
  if (!rubric) return ['You mark it by a number of points.'];
  return rubric.map(
    ({ text, levels }) =>
      `${text}: ${levels.map((level) => `${level.text} ${toDecimalText(level.points)}`).join(', ')}.`,
  );
}

const problems = ({ rubric }: WrittenQuestion): Problem[] =>
  rubric?.every(({ levels }) => levels.every(({ points }) => points.n === 0))
    ? [{ code: 'noKey', text: 'no level of the rubric is worth anything' }]
    : [];

export const written: Kind<WrittenQuestion, WrittenAnswer, WrittenFace> = {
  name: 'written',
  title: 'Written answer',
  question: WrittenQuestion,
  answer: WrittenAnswer,
  face: WrittenFace,
  create: () => ({ kind: 'written', rubric: null, ideas: [] }),
  next: ({ rubric }) => ({ kind: 'written', rubric, ideas: [] }),
  hasKey: () => true,
  problems,
  bestCredit: () => ONE,
  lowestCredit: () => ZERO,
  choicesShown: () => null,
  describe,
  mark,
  explain,
  answerKey: ({ text }) => text,
  answerText: (_, { text }) => shownText(text),
  readAnswer: (_, text) =>
    asRead(isBlankText(text, DEFAULT_SETTINGS) ? null : { kind: 'written', text: text.slice(0, 100_000) }),
  accept: () => notKeyed('A written answer is marked by hand'),
  rightAnswers: () => [],
  makeUp: (question, random, wanted) => {
    if (random() < 0.08) return null;
    const ideas = wanted === 'right' ? question.ideas.join(', ') : '';
    return { kind: 'written', text: `In my own words: ${ideas || nonsense(random)}.` };
  },
  faceOf: () => ({ kind: 'written' }),
};
