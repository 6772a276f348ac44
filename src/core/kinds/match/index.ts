import { looksAs } from '../shared/looksAs';
import { acceptPart } from './acceptPart';
import { classFace } from './classFace';
import { given, shown, shownRight } from './shown';
import { SILENCE } from '../../content/silence';
import { ONE } from '../../figures/fraction';
import { shuffledNever } from '../../figures/random';
import { asItCounts } from './asItCounts';
import { defineKind } from '../kind';
import { joinPair, joinParts } from '../shared/answerCells';
import { keyOfEntries } from '../shared/entriesKey';
import { NONE_IN_CELL } from '../shared/none';
import { optionName } from '../shared/pick/optionName';
import { entriesOf, readAnswer } from './cells';
import { makeUp } from './makeUp';
import { bestCredit, explain, hasKey, lowestCredit, mark } from './mark';
import { MatchAnswer, MatchFace, MatchQuestion } from './schema';
import { ways } from './models';
import { whatIfs } from './whatIfs';
import { lines, describe, nameOf, problems } from './words';

const emptyItem = (id: string, partner: string) => ({
  id,
  text: '',
  picture: null,
  partner,
  weight: ONE,
  feedback: SILENCE,
});
const emptyPartner = (id: string) => ({ id, text: '', picture: null });

/** Two pairs of which nothing is written yet. */
function emptyPairs(newId: () => string): Pick<MatchQuestion, 'items' | 'partners'> {
  const partners = [emptyPartner(newId()), emptyPartner(newId())];
  return { items: partners.map(({ id }) => emptyItem(newId(), id)), partners };
}

/** Whether every item that has a partner stands beside it. */
const isSolved = (
  { items, partners }: MatchQuestion,
  order: readonly MatchQuestion['partners'][number][],
): boolean =>
  items.every(({ partner }, at) => {
    const own = partners.find(({ id }) => id === partner);
    const beside = order[at];
    return own === undefined || (beside !== undefined && looksAs(own, beside));
  });

export const match = defineKind<MatchQuestion, MatchAnswer, MatchFace>({
  name: 'match',
  title: 'Match',
  about: {
    what: 'Each thing on the left gets its partner on the right.',
    marks: 'itself',
    part: 'each pair earns its share.',
  },
  question: MatchQuestion,
  answer: MatchAnswer,
  face: MatchFace,
  asItCounts,
  create: (newId) => ({
    kind: 'match',
    ...emptyPairs(newId),
    model: 'shareRight',
    lambda: ONE,
  }),
  next: ({ model, lambda }, newId) => ({
    kind: 'match',
    ...emptyPairs(newId),
    model,
    lambda,
  }),
  hasKey,
  problems,
  bestCredit,
  lowestCredit,
  describe,
  partsOf: ({ items }) => items.filter(({ partner }) => partner !== null).length,
  partName: 'pair',
  mark,
  explain,
  answerKey: ({ pairs }) => keyOfEntries(pairs),
  answerText: (question, answer) =>
    joinParts(
      entriesOf(question, answer).map(({ item, to }) =>
        joinPair(optionName(item), nameOf(question.partners, to) || NONE_IN_CELL),
      ),
    ),
  readAnswer,
  shown,
  givenAs: 'pairs',
  shownRight,
  given,
  acceptPart,
  classFace,
  whatIfs,
  ways,
  makeUp,
  faceOf: (question, seed) => ({
    kind: 'match',
    items: question.items.map(({ id, text, picture }) => ({ id, text, picture })),
    partners: shuffledNever(seed, question.partners, (order) => isSolved(question, order)).map(
      ({ id, text, picture }) => ({
        id,
        text,
        picture,
      }),
    ),
    withNone: question.items.some(({ partner }) => partner === null),
  }),
  lines,
  places: { items: 'item', partners: 'partner' },
});
