import { looksAs } from '../shared/looksAs';
import { classFace } from './classFace';
import { given, shown, shownRight } from './shown';
import { shuffledNever } from '../../figures/random';
import { asItCounts } from './asItCounts';
import { defineKind } from '../kind';
import { joinParts } from '../shared/answerCells';
import { optionName } from '../shared/pick/optionName';
import { readAnswer } from './cells';
import { makeUp } from './makeUp';
import { bestCredit, explain, hasKey, mark, namesOf, placesOf } from './mark';
import { OrderAnswer, OrderFace, OrderQuestion } from './schema';
import { ways } from './models';
import { whatIfs } from './whatIfs';
import { lines, MODELS, problems } from './words';

export const order = defineKind<OrderQuestion, OrderAnswer, OrderFace>({
  name: 'order',
  title: 'Put in order',
  about: {
    what: 'Things are put in their right order.',
    marks: 'itself',
    part: 'neighbours, places or stretches in order earn a part.',
  },
  question: OrderQuestion,
  answer: OrderAnswer,
  face: OrderFace,
  asItCounts,
  create: (newId) => ({
    kind: 'order',
    items: [0, 1, 2].map(() => ({ id: newId(), text: '', picture: null })),
    model: { kind: 'neighbours' },
  }),
  next: ({ model }, newId) => ({
    kind: 'order',
    items: [0, 1, 2].map(() => ({ id: newId(), text: '', picture: null })),
    model,
  }),
  hasKey,
  problems,
  bestCredit,
  describe: (question) => [
    `In order: ${question.items.map((item) => `“${optionName(item)}”`).join(', ')}.`,
    MODELS[question.model.kind],
  ],
  partsOf: ({ items }) => items.length,
  partName: 'item',
  mark,
  explain,
  answerKey: ({ places, touched }) => (touched ? places.map((id) => id ?? '').join(',') : ''),
  answerText: (question, answer) => joinParts(namesOf(question, placesOf(question, answer))),
  readAnswer,
  shown,
  givenAs: 'order',
  // Only where each place counts by itself: by other models an item out of its place may have earned.
  entries: ({ model }, { parts }) =>
    model.kind === 'rightPlaces' || model.kind === 'allOrNothing' ? parts : [],
  shownRight,
  given,
  classFace,
  whatIfs,
  ways,
  makeUp,
  faceOf: ({ items }, seed) => ({
    kind: 'order',
    // Never shown solved.
    items: shuffledNever(seed, items, (order) => order.every((one, at) => looksAs(one, items[at]))),
  }),
  lines,
  places: { items: 'item' },
});
