import { classFace } from './classFace';
import { SILENCE } from '../../content/silence';
import { larger, smaller, toPercentText, ZERO } from '../../figures/fraction';
import { defineKind } from '../kind';
import { guessing } from '../shared/pick/guesses';
import { accept } from './accept';
import { readAnswer } from './cells';
import { asShown, creditsOf, explain, hasKey, mark, nameOf, sideOf } from './mark';
import { TrueFalseAnswer, TrueFalseFace, TrueFalseQuestion } from './schema';
import { problems } from './words';

const NOTHING = { credit: ZERO, feedback: SILENCE };

export const trueFalse = defineKind<TrueFalseQuestion, TrueFalseAnswer, TrueFalseFace>({
  name: 'trueFalse',
  title: 'True or false',
  about: {
    what: 'A statement is true or false.',
    marks: 'itself',
    part: 'a side can earn a part.',
  },
  question: TrueFalseQuestion,
  answer: TrueFalseAnswer,
  classFace,
  face: TrueFalseFace,
  create: () => ({ kind: 'trueFalse', whenTrue: NOTHING, whenFalse: NOTHING }),
  next: () => ({ kind: 'trueFalse', whenTrue: NOTHING, whenFalse: NOTHING }),
  hasKey,
  problems,
  bestCredit: (question) => (hasKey(question) ? creditsOf(question).reduce(larger) : null),
  lowestCredit: (question) => creditsOf(question).reduce(smaller, ZERO),
  choicesShown: () => 2,
  describe: (question) =>
    [true, false].map(
      (value) => `“${nameOf(value)}” earns ${toPercentText(sideOf(question, value).credit)}%.`,
    ),
  mark,
  explain,
  answerKey: ({ value }) => nameOf(value),
  answerText: (_, { value }) => nameOf(value),
  readAnswer,
  accept,
  shownRight: (question) =>
    [true, false]
      .filter((value) => sideOf(question, value).credit.n === sideOf(question, value).credit.d)
      .map(asShown),
  shown: (_, { value }) => asShown(value),
  whatIfs: () => [guessing([true, false].map((value) => ({ kind: 'trueFalse' as const, value })))],
  makeUp: (question, random, wanted) => {
    const right = question.whenTrue.credit.n > 0;
    return random() < 0.04 ? null : { kind: 'trueFalse', value: wanted === 'right' ? right : !right };
  },
});
