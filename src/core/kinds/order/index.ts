import { larger, ONE, ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type MarkingContext } from '../../marking/mark';
import { change, note, type TraceLine } from '../../marking/trace';
import { joinParts, splitParts } from '../cells';
import { asRead, onlyByHand, unreadable, type Kind, type Problem, type ReadCell } from '../kind';
import { blankPart, markOf, partOf } from '../marks';
import { namedSo, optionName } from '../pickOne/name';
import { orderCredit } from './model';
import { OrderAnswer, OrderFace, OrderQuestion } from './schema';
import { makeUp } from './makeUp';

const hasKey = (question: OrderQuestion): boolean => question.items.length >= 2;

/** The key's place of the item in each place, −1 for an empty one; an item counts where it stands first. */
function placesOf(question: OrderQuestion, answer: OrderAnswer | null): number[] {
  const seen = new Set<string>();
  return (answer?.places ?? []).slice(0, question.items.length).map((id) => {
    const at = id === null || seen.has(id) ? -1 : question.items.findIndex((item) => item.id === id);
    if (id !== null) seen.add(id);
    return at;
  });
}

const isBlank = (answer: OrderAnswer | null, places: readonly number[]): boolean =>
  !answer?.touched || places.every((at) => at < 0);

function mark(question: OrderQuestion, answer: OrderAnswer | null): Mark {
  const places = placesOf(question, answer);
  if (isBlank(answer, places)) return BLANK;
  if (!hasKey(question)) return WAITS;
  const credit = orderCredit(places, question.items.length, question.model);
  const inPlace = places.some((at, index) => at === index);
  return markOf(question, credit, {
    allWrong: credit.n === 0 && !inPlace,
    parts: question.items.map((item, index) => {
      const at = places[index] ?? -1;
      return at < 0
        ? blankPart(item.id)
        : partOf(item.id, at === index ? ONE : ZERO, { rule: question.items[at]?.id ?? null });
    }),
  });
}

const namesOf = (question: OrderQuestion, places: readonly number[]): string[] =>
  places.map((at) => (at < 0 ? '' : optionName(question.items[at] as OrderQuestion['items'][number])));

function explain(question: OrderQuestion, answer: OrderAnswer | null): TraceLine[] {
  const places = placesOf(question, answer);
  if (isBlank(answer, places)) return [note('answer', 'blank')];
  const given = note('answer', 'ordered', {
    text: namesOf(question, places)
      .map((name) => name || '–')
      .join(', '),
  });
  if (!hasKey(question)) return [given, note('rule', 'noKey')];
  const credit = orderCredit(places, question.items.length, question.model);
  return [
    given,
    change('credit', `order.${question.model.kind}`, null, credit, { items: question.items.length }),
    note('others', 'rightOption', { text: question.items.map(optionName).join(', ') }),
  ];
}

const problems = (question: OrderQuestion): Problem[] =>
  hasKey(question) ? [] : [{ code: 'noKey', text: 'fewer than two items' }];

const MODELS: Readonly<Record<OrderQuestion['model']['kind'], string>> = {
  allOrNothing: 'The whole order right earns everything, anything else nothing.',
  rightPlaces: 'Each item in its own place earns its share.',
  neighbours: 'Each pair of neighbours that stand together and in order earns its share.',
  longestRun: 'The longest stretch that stands together counts.',
  keptOrder: 'The most items that are in order with each other count.',
  pairsInOrder: 'Each pair of items in the right order earns its share.',
};

function readAnswer(
  question: OrderQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<OrderAnswer> {
  const places: (string | null)[] = [];
  for (const part of splitParts(text)) {
    const item = part === '' ? null : namedSo(question.items, part, language);
    if (item === undefined) return unreadable(`“${part}” is not one of the items`);
    places.push(item?.id ?? null);
  }
  if (places.every((id) => id === null)) return asRead<OrderAnswer>(null);
  return asRead<OrderAnswer>({ kind: 'order', places: places.slice(0, 60), touched: true });
}

/** The most that any order earns: all of it, or the best row of a table. */
function bestCredit(question: OrderQuestion): Fraction | null {
  if (!hasKey(question)) return null;
  const { model } = question;
  if (model.kind !== 'longestRun') return ONE;
  if (model.table === null) return model.least <= question.items.length ? ONE : ZERO;
  return model.table
    .filter(({ run }) => run <= question.items.length)
    .map(({ credit }) => credit)
    .reduce(larger, ZERO);
}

export const order: Kind<OrderQuestion, OrderAnswer, OrderFace> = {
  name: 'order',
  title: 'Put in order',
  question: OrderQuestion,
  answer: OrderAnswer,
  face: OrderFace,
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
  lowestCredit: () => ZERO,
  choicesShown: () => null,
  describe: (question) => [
    `In order: ${question.items.map((item) => `“${optionName(item)}”`).join(', ')}.`,
    MODELS[question.model.kind],
  ],
  mark,
  explain,
  answerKey: ({ places, touched }) => (touched ? places.map((id) => id ?? '').join(',') : ''),
  answerText: (question, answer) => joinParts(namesOf(question, placesOf(question, answer))),
  readAnswer,
  accept: onlyByHand,
  rightAnswers: (question) => [joinParts(question.items.map(optionName))],
  // As ordered by their ids, which say nothing of the right order.
  makeUp,
  faceOf: (question) => ({
    kind: 'order',
    items: [...question.items].sort((a, b) => (a.id < b.id ? -1 : 1)),
  }),
};
