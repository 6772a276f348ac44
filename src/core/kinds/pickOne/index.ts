import { ZERO } from '../../figures/fraction';
import { SILENCE } from '../../quiz/silence';
import type { Kind } from '../kind';
import { accept } from './accept';
import { answerText, describe, problems, rightAnswers } from './describe';
import { bestCredit, explain, hasKey, lowestCredit, mark } from './mark';
import { readAnswer } from './read';
import { PickOneAnswer, PickOneFace, PickOneQuestion } from './schema';
import { makeUp } from './makeUp';
import { optionName } from './name';

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

export const pickOne: Kind<PickOneQuestion, PickOneAnswer, PickOneFace> = {
  name: 'pickOne',
  title: 'Pick one',
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
  answerKey: (answer) => (answer.kind === 'pickOne' ? `=${answer.option}` : `"${answer.text}`),
  answerText,
  readAnswer,
  accept,
  rightAnswers,
  makeUp,
  faceOf: (question) => ({
    kind: 'pickOne',
    options: question.options
      .filter((option) => !option.gone && optionName(option) !== '')
      .map(({ id, text, picture }) => ({ id, text, picture })),
  }),
};
