import { acceptPart } from './acceptPart';
import { classFace } from './classFace';
import { given, shown, shownRight } from './shown';
import { SILENCE } from '../../content/silence';
import { ONE, ZERO } from '../../figures/fraction';
import { asItCounts } from './asItCounts';
import { defineKind } from '../kind';
import { joinParts } from '../shared/answerCells';
import { asShown } from '../shared/pick/option';
import { optionName } from '../shared/pick/optionName';
import { optionsInOrder } from '../shared/pick/optionOrder';
import { readAnswer } from './cells';
import { makeUp } from './makeUp';
import { bestCredit, explain, hasKey, isRight, lowestCredit, mark, missed, openOptions } from './mark';
import { PickSeveralAnswer, PickSeveralFace, PickSeveralQuestion, type SeveralOption } from './schema';
import { ways } from './models';
import { whatIfs } from './whatIfs';
import { lines, describe, problems } from './words';

const emptyOption = (id: string): SeveralOption => ({
  id,
  text: '',
  picture: null,
  right: false,
  weight: ZERO,
  feedback: SILENCE,
  missed: SILENCE,
  gone: false,
  keepsPlace: false,
});

export const pickSeveral = defineKind<PickSeveralQuestion, PickSeveralAnswer, PickSeveralFace>({
  name: 'pickSeveral',
  title: 'Pick several',
  about: {
    what: 'Every option that fits is ticked.',
    marks: 'itself',
    part: 'each right pick earns its share, and wrong ones can cost.',
  },
  question: PickSeveralQuestion,
  answer: PickSeveralAnswer,
  classFace,
  face: PickSeveralFace,
  asItCounts,
  create: (newId) => ({
    kind: 'pickSeveral',
    options: [emptyOption(newId()), emptyOption(newId()), emptyOption(newId())],
    shuffled: null,
    model: 'rightMinusWrong',
    lambda: ONE,
  }),
  next: (question, newId) => ({
    kind: 'pickSeveral',
    options: openOptions(question).map(() => emptyOption(newId())),
    shuffled: question.shuffled,
    model: question.model,
    lambda: question.lambda,
  }),
  withOptions: (question, options, newId) =>
    openOptions(question).some((option) => optionName(option) !== '')
      ? null
      : {
          ...question,
          options: options.map(({ text, right }) => ({
            ...emptyOption(newId()),
            text: text.slice(0, 2000),
            right,
          })),
        },
  hasKey,
  problems,
  bestCredit,
  lowestCredit,
  describe,
  partsOf: (question) => openOptions(question).filter((option) => isRight(question, option)).length,
  partName: 'right option',
  mark,
  explain,
  answerKey: ({ options }) => options.join(' '),
  answerText: (question, { options }) =>
    joinParts(question.options.filter(({ id }) => options.includes(id)).map(optionName)),
  readAnswer,
  shown,
  shownRight,
  given,
  acceptPart,
  missed,
  whatIfs,
  ways,
  makeUp,
  faceOf: (question, seed, order) => ({
    kind: 'pickSeveral',
    options: optionsInOrder({ options: openOptions(question), shuffled: question.shuffled }, seed, order).map(
      asShown,
    ),
  }),
  lines,
  places: { options: 'option' },
});
