import { larger, smaller, toPercentText, ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark } from '../../marking/mark';
import { note, type TraceLine } from '../../marking/trace';
import { isSilent, SILENCE } from '../../quiz/silence';
import {
  asRead,
  keyed,
  unreadable,
  type Accepted,
  type Keyed,
  type Kind,
  type Problem,
  type ReadCell,
} from '../kind';
import { boundLines, markOf } from '../marks';
import { TrueFalseAnswer, TrueFalseFace, TrueFalseQuestion } from './schema';

const NAMES = { true: 'true', false: 'false' } as const;
const nameOf = (value: boolean): string => (value ? NAMES.true : NAMES.false);
const YES = new Set(['true', 't', 'yes', 'y', '1', '✓', 'right']);
const NO = new Set(['false', 'f', 'no', 'n', '0', '✗', 'wrong']);

const sideOf = (question: TrueFalseQuestion, value: boolean) =>
  value ? question.whenTrue : question.whenFalse;
const creditsOf = ({ whenTrue, whenFalse }: TrueFalseQuestion): Fraction[] => [
  whenTrue.credit,
  whenFalse.credit,
];
const hasKey = (question: TrueFalseQuestion): boolean => creditsOf(question).some((credit) => credit.n > 0);

function mark(question: TrueFalseQuestion, answer: TrueFalseAnswer | null): Mark {
  if (!answer) return BLANK;
  if (!hasKey(question)) return WAITS;
  const { credit, feedback } = sideOf(question, answer.value);
  return markOf(question, credit, { rule: nameOf(answer.value), own: feedback });
}

function explain(question: TrueFalseQuestion, answer: TrueFalseAnswer | null): TraceLine[] {
  if (!answer) return [note('answer', 'blank')];
  const text = nameOf(answer.value);
  const picked = note('answer', 'picked', { text });
  if (!hasKey(question)) return [picked, note('rule', 'noKey')];
  const { credit } = sideOf(question, answer.value);
  return [picked, note('rule', 'optionCredit', { text, credit }), ...boundLines(credit, question)];
}

function accept(
  question: TrueFalseQuestion,
  answer: TrueFalseAnswer,
  as: Accepted,
): Keyed<TrueFalseQuestion> {
  const side = sideOf(question, answer.value);
  const next = { credit: as.credit, feedback: isSilent(as.feedback) ? side.feedback : as.feedback };
  return keyed(answer.value ? { ...question, whenTrue: next } : { ...question, whenFalse: next });
}

function readAnswer(_: TrueFalseQuestion, text: string): ReadCell<TrueFalseAnswer> {
  const word = text.trim().toLowerCase();
  if (word === '') return asRead<TrueFalseAnswer>(null);
  if (YES.has(word)) return asRead<TrueFalseAnswer>({ kind: 'trueFalse', value: true });
  if (NO.has(word)) return asRead<TrueFalseAnswer>({ kind: 'trueFalse', value: false });
  return unreadable(`“${text.trim().slice(0, 40)}” is neither true nor false`);
}

const problems = (question: TrueFalseQuestion): Problem[] =>
  hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];

const NOTHING = { credit: ZERO, feedback: SILENCE };

export const trueFalse: Kind<TrueFalseQuestion, TrueFalseAnswer, TrueFalseFace> = {
  name: 'trueFalse',
  title: 'True or false',
  question: TrueFalseQuestion,
  answer: TrueFalseAnswer,
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
      (value) => `“${nameOf(value)}” earns ${toPercentText(sideOf(question, value).credit)} %.`,
    ),
  mark,
  explain,
  answerKey: ({ value }) => nameOf(value),
  answerText: (_, { value }) => nameOf(value),
  readAnswer,
  accept,
  rightAnswers: (question) =>
    [true, false]
      .filter((value) => sideOf(question, value).credit.n === sideOf(question, value).credit.d)
      .map(nameOf),
  makeUp: (question, random, wanted) => {
    const right = question.whenTrue.credit.n > 0;
    return random() < 0.04 ? null : { kind: 'trueFalse', value: wanted === 'right' ? right : !right };
  },
  faceOf: () => ({ kind: 'trueFalse' }),
};
