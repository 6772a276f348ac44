import { classFace } from './classFace';
import { given, shown, shownRight } from './shown';
import { SILENCE } from '../../content/silence';
import { ONE, ZERO } from '../../figures/fraction';
import { defineKind } from '../kind';
import { optionsInOrder } from '../shared/pick/optionOrder';
import { accept } from './accept';
import { asShown } from '../shared/pick/option';
import { optionName } from '../shared/pick/optionName';
import { asItCounts } from './asItCounts';
import { answerText, readAnswer } from './cells';
import { makeUp } from './makeUp';
import { bestCredit, explain, hasKey, lowestCredit, mark, missed } from './mark';
import { PickOneAnswer, PickOneFace, PickOneQuestion } from './schema';
import { whatIfs } from './whatIfs';
import { lines, describe, problems } from './words';

const emptyOption = (id: string) => ({
  id,
  text: '',
  picture: null,
  credit: ZERO,
  feedback: SILENCE,
  missed: SILENCE,
  gone: false,
  keepsPlace: false,
});

const create = (newId: () => string) => ({
  kind: 'pickOne' as const,
  options: [emptyOption(newId()), emptyOption(newId()), emptyOption(newId())],
  shuffled: null,
});

export const pickOne = defineKind<PickOneQuestion, PickOneAnswer, PickOneFace>({
  name: 'pickOne',
  title: 'Pick one',
  about: {
    what: 'One of several options is picked.',
    marks: 'itself',
    part: 'each option can earn a part.',
  },
  question: PickOneQuestion,
  asItCounts,
  answer: PickOneAnswer,
  classFace,
  face: PickOneFace,
  create,
  next: (question, newId) => ({
    kind: 'pickOne',
    options: question.options.filter((option) => !option.gone).map(() => emptyOption(newId())),
    shuffled: question.shuffled,
  }),
  withOptions: (question, options, newId) =>
    question.options.some((option) => !option.gone && optionName(option) !== '')
      ? null
      : {
          ...question,
          options: options.map(({ text, right }) => ({
            ...emptyOption(newId()),
            text: text.slice(0, 2000),
            credit: right ? ONE : ZERO,
          })),
        },
  hasKey,
  problems,
  bestCredit,
  lowestCredit,
  choicesShown: (question) =>
    question.options.filter((option) => !option.gone && optionName(option) !== '').length,
  describe,
  mark,
  explain,
  answerKey: ({ option }) => option,
  answerText,
  readAnswer,
  shown,
  shownRight,
  given,
  accept,
  missed,
  whatIfs,
  makeUp,
  faceOf: ({ options, shuffled }, seed, order) => {
    const open = options.filter((option) => !option.gone);
    return {
      kind: 'pickOne',
      options: optionsInOrder({ options: open, shuffled }, seed, order).map(asShown),
    };
  },
  lines,
  places: { options: 'option' },
});
