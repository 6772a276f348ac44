import { shown, shownRight } from './shown';
import { SILENCE } from '../../content/silence';
import { ZERO } from '../../figures/fraction';
import { defineKind } from '../kind';
import { optionName } from '../shared/optionName';
import { accept } from './accept';
import { answerText, readAnswer } from './cells';
import { makeUp } from './makeUp';
import { bestCredit, explain, hasKey, lowestCredit, mark } from './mark';
import { PickOneAnswer, PickOneFace, PickOneQuestion } from './schema';
import { lines, describe, problems } from './words';

const emptyOption = (id: string) => ({
  id,
  text: '',
  picture: null,
  credit: ZERO,
  feedback: SILENCE,
  gone: false,
});

const create = (newId: () => string) => ({
  kind: 'pickOne' as const,
  options: [emptyOption(newId()), emptyOption(newId()), emptyOption(newId())],
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
  answer: PickOneAnswer,
  face: PickOneFace,
  create,
  next: (question, newId) => ({
    kind: 'pickOne',
    options: question.options.filter((option) => !option.gone).map(() => emptyOption(newId())),
  }),
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
  accept,
  makeUp,
  faceOf: (question) => ({
    kind: 'pickOne',
    options: question.options
      .filter((option) => !option.gone && optionName(option) !== '')
      .map(({ id, text, picture }) => ({ id, text, picture })),
  }),
  lines,
  places: { options: 'option' },
});
