import { shown, shownRight } from './shown';
import { SILENCE } from '../../content/silence';
import { ONE } from '../../figures/fraction';
import { randomFrom, shuffled } from '../../figures/random';
import { defineKind } from '../kind';
import { joinPair, joinParts } from '../shared/answerCells';
import { keyOfEntries } from '../shared/entriesKey';
import { optionName } from '../shared/optionName';
import { entriesOf, readAnswer } from './cells';
import { makeUp } from './makeUp';
import { bestCredit, explain, hasKey, lowestCredit, mark } from './mark';
import { MatchAnswer, MatchFace, MatchQuestion } from './schema';
import { lines, describe, nameOf, problems } from './words';

const emptyItem = (id: string) => ({
  id,
  text: '',
  picture: null,
  partner: null,
  weight: ONE,
  feedback: SILENCE,
});
const emptyPartner = (id: string) => ({ id, text: '', picture: null });

export const match = defineKind<MatchQuestion, MatchAnswer, MatchFace>({
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
  shown,
  shownRight,
  makeUp,
  faceOf: (question, seed) => ({
    kind: 'match',
    items: question.items.map(({ id, text, picture }) => ({ id, text, picture })),
    partners: shuffled(randomFrom(seed), question.partners).map(({ id, text, picture }) => ({
      id,
      text,
      picture,
    })),
  }),
  lines,
  places: { items: 'item', partners: 'partner' },
});
