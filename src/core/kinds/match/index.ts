import { ONE, toDecimalText } from '../../figures/fraction';
import { SILENCE } from '../../quiz/silence';
import type { MarkingContext } from '../../marking/mark';
import { joinPair, joinParts } from '../cells';
import { readPairs } from '../pairCells';
import { keyOfEntries } from '../keyed';
import { asRead, onlyByHand, type Kind, type Problem, type ReadCell } from '../kind';
import { optionName } from '../pickOne/name';
import { bestCredit, explain, hasKey, lowestCredit, mark } from './mark';
import { MatchAnswer, MatchFace, MatchQuestion } from './schema';
import { makeUp } from './makeUp';

const emptyItem = (id: string) => ({
  id,
  text: '',
  picture: null,
  partner: null,
  weight: ONE,
  feedback: SILENCE,
});
const emptyPartner = (id: string) => ({ id, text: '', picture: null });

const nameOf = (items: MatchQuestion['partners'], id: string | null): string => {
  const item = items.find((one) => one.id === id);
  return item ? optionName(item) : '';
};

function problems(question: MatchQuestion): Problem[] {
  return hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];
}

const MODELS: Readonly<Record<MatchQuestion['model'], string>> = {
  allOrNothing: 'All pairs right earn everything, anything else nothing.',
  shareRight: 'Each right pair earns its share.',
  rightMinusWrong: 'Each right pair earns its share, each wrong one costs',
  pairWeights: 'Each right pair earns its weight.',
};

function describe(question: MatchQuestion): string[] {
  const { model, lambda, items, partners } = question;
  const pairs = items.map((item) =>
    item.partner === null
      ? `“${optionName(item)}” belongs to none.`
      : `“${optionName(item)}” belongs to “${nameOf(partners, item.partner)}”.`,
  );
  return [
    ...pairs,
    model === 'rightMinusWrong' ? `${MODELS[model]} ${toDecimalText(lambda)} of one.` : MODELS[model],
  ];
}

function readAnswer(
  question: MatchQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<MatchAnswer> {
  const read = readPairs(text, question.items, question.partners, language);
  if (!read.ok) return read;
  return asRead(read.pairs.length === 0 ? null : { kind: 'match', pairs: Object.fromEntries(read.pairs) });
}

const entriesOf = (question: MatchQuestion, { pairs }: MatchAnswer) =>
  question.items.flatMap((item) =>
    Object.hasOwn(pairs, item.id) ? [{ item, to: pairs[item.id] as string }] : [],
  );

export const match: Kind<MatchQuestion, MatchAnswer, MatchFace> = {
  name: 'match',
  title: 'Match',
  question: MatchQuestion,
  answer: MatchAnswer,
  face: MatchFace,
  create: (newId) => ({
    kind: 'match',
    items: [emptyItem(newId()), emptyItem(newId())],
    partners: [emptyPartner(newId()), emptyPartner(newId())],
    model: 'shareRight',
    lambda: ONE,
  }),
  next: ({ model, lambda }, newId) => ({
    kind: 'match',
    items: [emptyItem(newId()), emptyItem(newId())],
    partners: [emptyPartner(newId()), emptyPartner(newId())],
    model,
    lambda,
  }),
  hasKey,
  problems,
  bestCredit,
  lowestCredit,
  choicesShown: () => null,
  describe,
  mark,
  explain,
  answerKey: ({ pairs }) => keyOfEntries(pairs),
  answerText: (question, answer) =>
    joinParts(
      entriesOf(question, answer).map(({ item, to }) =>
        joinPair(optionName(item), nameOf(question.partners, to)),
      ),
    ),
  readAnswer,
  accept: onlyByHand,
  rightAnswers: (question) => [
    joinParts(
      question.items
        .filter((item) => item.partner !== null)
        .map((item) => joinPair(optionName(item), nameOf(question.partners, item.partner))),
    ),
  ],
  makeUp,
  faceOf: (question) => ({
    kind: 'match',
    items: question.items.map(({ id, text, picture }) => ({ id, text, picture })),
    partners: question.partners.map(({ id, text, picture }) => ({ id, text, picture })),
  }),
};
