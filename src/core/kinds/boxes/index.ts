import {
  divide,
  fraction,
  multiply,
  smaller,
  subtract,
  ONE,
  toDecimalText,
  ZERO,
  type Fraction,
} from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type MarkingContext } from '../../marking/mark';
import { change, note, type TraceLine } from '../../marking/trace';
import { SILENCE } from '../../quiz/silence';
import { joinPair, joinParts } from '../cells';
import { readPairs } from '../pairCells';
import { keyOfEntries } from '../keyed';
import { asRead, onlyByHand, type Kind, type Problem, type ReadCell } from '../kind';
import { blankPart, boundLines, markOf, partOf } from '../marks';
import { pairLines } from '../pairLines';
import { optionName } from '../pickOne/name';
import { BoxesAnswer, BoxesFace, BoxesQuestion } from './schema';
import { makeUp } from './makeUp';

type Item = BoxesQuestion['items'][number];

const belonging = (question: BoxesQuestion): Item[] => question.items.filter(({ boxes }) => boxes.length > 0);
const hasKey = (question: BoxesQuestion): boolean => belonging(question).length > 0;

/** The box an item was put into, where it is one of the question's. */
function boxOf(question: BoxesQuestion, answer: BoxesAnswer | null, item: Item): string | null {
  const box = answer && Object.hasOwn(answer.placed, item.id) ? answer.placed[item.id] : undefined;
  return box !== undefined && question.boxes.some(({ id }) => id === box) ? box : null;
}

interface Sorted {
  readonly belong: number;
  readonly right: number;
  readonly wrong: number;
}

function sortedBy(question: BoxesQuestion, answer: BoxesAnswer | null): Sorted {
  const placed = question.items.map((item) => ({ item, box: boxOf(question, answer, item) }));
  const given = placed.filter(({ box }) => box !== null);
  const right = given.filter(({ item, box }) => item.boxes.includes(box as string)).length;
  return { belong: belonging(question).length, right, wrong: given.length - right };
}

function boxCredit({ belong: n, right: r, wrong: w }: Sorted, { model, lambda }: BoxesQuestion): Fraction {
  switch (model) {
    case 'allOrNothing':
      return fraction(r === n && w === 0 ? 1 : 0);
    case 'shareRight':
      return fraction(r, n);
    case 'rightMinusWrong':
      return divide(subtract(fraction(r), multiply(lambda, fraction(w))), fraction(n));
  }
}

function mark(question: BoxesQuestion, answer: BoxesAnswer | null): Mark {
  const sorted = sortedBy(question, answer);
  if (sorted.right + sorted.wrong === 0) return BLANK;
  if (!hasKey(question)) return WAITS;
  return markOf(question, boxCredit(sorted, question), {
    allWrong: sorted.right === 0,
    parts: question.items.map((item) => {
      const box = boxOf(question, answer, item);
      if (box === null) return blankPart(item.id);
      return partOf(item.id, item.boxes.includes(box) ? ONE : ZERO, { rule: box, feedback: item.feedback });
    }),
  });
}

const boxName = (question: BoxesQuestion, id: string | null): string =>
  question.boxes.find((box) => box.id === id)?.text ?? '';

function explain(question: BoxesQuestion, answer: BoxesAnswer | null): TraceLine[] {
  const sorted = sortedBy(question, answer);
  if (sorted.right + sorted.wrong === 0) return [note('answer', 'blank')];
  const lines = pairLines(
    question.items.map((item) => {
      const box = boxOf(question, answer, item);
      return {
        left: optionName(item),
        right: box === null ? null : boxName(question, box),
        partner: item.boxes.map((id) => boxName(question, id)).join(' or '),
        isRight: box !== null && item.boxes.includes(box),
      };
    }),
  );
  if (!hasKey(question)) return [...lines, note('rule', 'noKey')];
  const raw = boxCredit(sorted, question);
  return [
    ...lines,
    change('credit', `boxes.${question.model}`, null, raw, { ...sorted, lambda: question.lambda }),
    ...boundLines(raw, question),
  ];
}

function lowestCredit(question: BoxesQuestion): Fraction {
  if (!hasKey(question)) return ZERO;
  const all = { belong: belonging(question).length, right: 0, wrong: question.items.length };
  return smaller(ZERO, boxCredit(all, question));
}

const problems = (question: BoxesQuestion): Problem[] =>
  hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];

const MODELS: Readonly<Record<BoxesQuestion['model'], string>> = {
  allOrNothing: 'Everything in a right box earns everything, anything else nothing.',
  shareRight: 'Each item in a right box earns its share.',
  rightMinusWrong: 'Each item in a right box earns its share, each in a wrong one costs',
};

function describe(question: BoxesQuestion): string[] {
  const { model, lambda, items } = question;
  const lines = items.map((item) =>
    item.boxes.length === 0
      ? `“${optionName(item)}” belongs nowhere.`
      : `“${optionName(item)}” belongs into ${item.boxes.map((id) => `“${boxName(question, id)}”`).join(' or ')}.`,
  );
  return [
    ...lines,
    model === 'rightMinusWrong' ? `${MODELS[model]} ${toDecimalText(lambda)} of one.` : MODELS[model],
  ];
}

function readAnswer(
  question: BoxesQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<BoxesAnswer> {
  const boxes = question.boxes.map((box) => ({ ...box, picture: null }));
  const read = readPairs(text, question.items, boxes, language);
  if (!read.ok) return read;
  return asRead(read.pairs.length === 0 ? null : { kind: 'boxes', placed: Object.fromEntries(read.pairs) });
}

const emptyItem = (id: string): Item => ({ id, text: '', picture: null, boxes: [], feedback: SILENCE });

export const boxes: Kind<BoxesQuestion, BoxesAnswer, BoxesFace> = {
  name: 'boxes',
  title: 'Sort into boxes',
  question: BoxesQuestion,
  answer: BoxesAnswer,
  face: BoxesFace,
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
  bestCredit: (question) => (hasKey(question) ? ONE : null),
  lowestCredit,
  choicesShown: () => null,
  describe,
  mark,
  explain,
  answerKey: ({ placed }) => keyOfEntries(placed),
  answerText: (question, answer) =>
    joinParts(
      question.items.flatMap((item) => {
        const box = boxOf(question, answer, item);
        return box === null ? [] : [joinPair(optionName(item), boxName(question, box))];
      }),
    ),
  readAnswer,
  accept: onlyByHand,
  rightAnswers: (question) => [
    joinParts(
      belonging(question).map((item) => joinPair(optionName(item), boxName(question, item.boxes[0] ?? null))),
    ),
  ],
  makeUp,
  faceOf: (question) => ({
    kind: 'boxes',
    boxes: question.boxes.map(({ id, text }) => ({ id, text })),
    items: question.items.map(({ id, text, picture }) => ({ id, text, picture })),
  }),
};
