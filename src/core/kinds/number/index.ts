import { keyNumber } from '../../answers/number/compare';
import { numberKeyWords } from '../../answers/number/words';
import { isBlankText } from '../../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import { ONE } from '../../figures/fraction';
import { shownText } from '../../quiz/shownText';
import type { Accepted, Kind, Problem } from '../kind';
import { bestCredit, explain, hasKey, lowestCredit, mark } from './mark';
import { NumberAnswer, NumberFace, NumberQuestion } from './schema';
import { makeUp } from './makeUp';

const RULES = {
  bands: [{ kind: 'exact' as const, credit: ONE }],
  form: { kind: 'any' as const },
  unit: { kind: 'none' as const },
  bareFraction: true,
  unmatched: 'wrong' as const,
};

function problems(question: NumberQuestion): Problem[] {
  return hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];
}

/** The number becomes an expected value of its own; only one that can be read. */
function accept(question: NumberQuestion, answer: NumberAnswer, as: Accepted, newId: () => string) {
  const value = shownText(answer.text).trim();
  const read = keyNumber(value);
  if (!read) return null;
  const others = question.expected.filter((one) => one.value !== value);
  const added = {
    id: newId(),
    value,
    credit: as.credit,
    feedback: as.feedback,
    bands: [RULES.bands[0] as (typeof RULES.bands)[number]],
  };
  return { ...question, expected: [...others, added] };
}

const describe = (question: NumberQuestion): string[] =>
  hasKey(question) ? numberKeyWords(question) : ['No number is right yet: every answer waits.'];

export const number: Kind<NumberQuestion, NumberAnswer, NumberFace> = {
  name: 'number',
  title: 'Number',
  question: NumberQuestion,
  answer: NumberAnswer,
  face: NumberFace,
  create: () => ({ kind: 'number', key: '', expected: [], ...RULES }),
  next: ({ bands, form, unit, bareFraction, unmatched }) => ({
    kind: 'number', key: '', expected: [], bands, form, unit, bareFraction, unmatched,
  }), // prettier-ignore
  hasKey,
  problems,
  bestCredit,
  lowestCredit,
  choicesShown: () => null,
  describe,
  mark,
  explain,
  answerKey: (answer) => answer.text,
  answerText: (_, answer) => shownText(answer.text),
  readAnswer: (_, text) =>
    isBlankText(text, DEFAULT_SETTINGS) ? null : { kind: 'number', text: text.slice(0, 1000) },
  accept,
  rightAnswers: (question) => (question.key === '' ? [] : [question.key]),
  makeUp,
  faceOf: () => ({ kind: 'number' }),
};
