import { classFace } from './classFace';
import { NUMBER_PLACES } from '../../answers/number/schema';
import { isBlankText } from '../../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import { defineKind, asRead } from '../kind';
import { wholePart } from '../sideBySide';
import { acceptNumber } from '../shared/number/acceptNumber';
import { RULES } from './rules';
import { makeUp } from './makeUp';
import { bestCredit, explain, hasKey, lowestCredit, mark } from './mark';
import { NumberAnswer, NumberFace, NumberQuestion } from './schema';
import { lines, describe, problems, shownRight } from './words';

export const number = defineKind<NumberQuestion, NumberAnswer, NumberFace>({
  name: 'number',
  title: 'Number',
  about: {
    what: 'A number is typed, with a unit or without.',
    marks: 'itself',
    part: 'a near value, another form or unit can earn a part.',
  },
  question: NumberQuestion,
  answer: NumberAnswer,
  face: NumberFace,
  create: () => ({ kind: 'number', key: '', expected: [], ...RULES }),
  next: ({ bands, form, unit, bareFraction, unmatched }) => ({
    kind: 'number',
    key: '',
    expected: [],
    bands,
    form,
    unit,
    bareFraction,
    unmatched,
  }),
  hasKey,
  problems,
  bestCredit,
  lowestCredit,
  describe,
  reads: ['numbers'],
  mark,
  explain,
  answerKey: (answer) => answer.text,
  readAnswer: (_, text) =>
    asRead(isBlankText(text, DEFAULT_SETTINGS) ? null : { kind: 'number', text: text.slice(0, 1000) }),
  accept: (question, { text }, as, newId, context) => acceptNumber(question, text, as, newId, context),
  shownRight,
  classFace,
  sideBySide: (question) => [wholePart({ number: question })],
  makeUp,
  lines,
  places: NUMBER_PLACES,
});
