import { acceptPart } from './acceptPart';
import { classFace } from './classFace';
import { given, shown, shownRight } from './shown';
import { SILENCE } from '../../content/silence';
import { ONE } from '../../figures/fraction';
import { randomFrom, shuffled } from '../../figures/random';
import { asItCounts } from './asItCounts';
import { defineKind } from '../kind';
import { joinPair, joinParts } from '../shared/answerCells';
import { keyOfEntries } from '../shared/entriesKey';
import { NONE_IN_CELL } from '../shared/none';
import { optionName } from '../shared/pick/optionName';
import { readAnswer } from './cells';
import { makeUp } from './makeUp';
import { boxName, boxOf, isSaidNowhere, explain, hasKey, lowestCredit, mark, type Item } from './mark';
import { BoxesAnswer, BoxesFace, BoxesQuestion } from './schema';
import { ways } from './models';
import { whatIfs } from './whatIfs';
import { lines, describe, problems } from './words';

const emptyItem = (id: string): Item => ({ id, text: '', picture: null, boxes: [], feedback: SILENCE });

export const boxes = defineKind<BoxesQuestion, BoxesAnswer, BoxesFace>({
  name: 'boxes',
  title: 'Sort into boxes',
  about: {
    what: 'Things are sorted into boxes.',
    marks: 'itself',
    part: 'each thing in its box earns its share.',
  },
  question: BoxesQuestion,
  answer: BoxesAnswer,
  face: BoxesFace,
  asItCounts,
  create: (newId) => ({
    kind: 'boxes',
    boxes: [0, 1].map(() => ({ id: newId(), text: '' })),
    items: [0, 1, 2].map(() => emptyItem(newId())),
    model: 'shareRight',
    lambda: ONE,
  }),
  next: ({ model, lambda }, newId) => ({
    kind: 'boxes',
    boxes: [0, 1].map(() => ({ id: newId(), text: '' })),
    items: [0, 1, 2].map(() => emptyItem(newId())),
    model,
    lambda,
  }),
  hasKey,
  problems,
  lowestCredit,
  describe,
  partsOf: ({ items }) => items.filter((item) => item.boxes.length > 0).length,
  partName: 'item',
  mark,
  explain,
  answerKey: ({ placed }) => keyOfEntries(placed),
  answerText: (question, answer) =>
    joinParts(
      question.items.flatMap((item) => {
        const box = boxOf(question, answer, item);
        if (box !== null) return [joinPair(optionName(item), boxName(question, box))];
        return isSaidNowhere(answer, item) ? [joinPair(optionName(item), NONE_IN_CELL)] : [];
      }),
    ),
  readAnswer,
  shown,
  givenAs: 'boxes',
  shownRight,
  given,
  acceptPart,
  classFace,
  whatIfs,
  ways,
  makeUp,
  faceOf: (question, seed) => ({
    kind: 'boxes',
    boxes: question.boxes.map(({ id, text }) => ({ id, text })),
    items: shuffled(randomFrom(seed), question.items).map(({ id, text, picture }) => ({ id, text, picture })),
    withNone: question.items.some(({ boxes: own }) => own.length === 0),
  }),
  lines,
  places: { boxes: 'box', items: 'item' },
});
