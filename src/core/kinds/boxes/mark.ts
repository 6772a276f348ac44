import { valueAt } from '../../figures/valueAt';
import { SILENCE } from '../../content/silence';
import {
  divide,
  fraction,
  multiply,
  ONE,
  smaller,
  subtract,
  ZERO,
  type Fraction,
} from '../../figures/fraction';
import { BLANK, WAITS, type Mark } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { blankPart, boundLines, markOf, partOf } from '../shared/makeMark';
import { NONE } from '../shared/none';
import { bestReading } from '../shared/pairs/readsAlike';
import { optionName } from '../shared/pick/optionName';
import { pairLines } from '../shared/pairs/pairLines';
import type { BoxesAnswer, BoxesQuestion } from './schema';

export type Item = BoxesQuestion['items'][number];

export const belonging = (question: BoxesQuestion): Item[] =>
  question.items.filter(({ boxes }) => boxes.length > 0);

export const hasKey = (question: BoxesQuestion): boolean => belonging(question).length > 0;

/** The box an item was put into, where it is one of the question's. */
export function boxOf(question: BoxesQuestion, answer: BoxesAnswer | null, item: Item): string | null {
  const box = answer ? valueAt(answer.placed, item.id) : undefined;
  return box !== undefined && question.boxes.some(({ id }) => id === box) ? box : null;
}

/** True where the student says that the item belongs in no box. */
export const isSaidNowhere = (answer: BoxesAnswer, item: Item): boolean =>
  valueAt(answer.placed, item.id) === NONE;

interface SortCounts {
  readonly belong: number;
  readonly right: number;
  readonly wrong: number;
}

function sortedBy(question: BoxesQuestion, answer: BoxesAnswer | null): SortCounts {
  const placed = question.items.map((item) => ({ item, box: boxOf(question, answer, item) }));
  const given = placed.filter(({ box }) => box !== null);
  const right = given.filter(({ item, box }) => item.boxes.includes(box as string)).length;
  return { belong: belonging(question).length, right, wrong: given.length - right };
}

function boxCredit(
  { belong: n, right: r, wrong: w }: SortCounts,
  { model, lambda }: BoxesQuestion,
): Fraction {
  switch (model) {
    case 'allOrNothing':
      return fraction(r === n && w === 0 ? 1 : 0);
    case 'shareRight':
      return fraction(r, n);
    case 'rightMinusWrong':
      return divide(subtract(fraction(r), multiply(lambda, fraction(w))), fraction(n));
  }
}

/** The answer with items that read the same exchanged, where that earns more. */
const asRead = (question: BoxesQuestion, answer: BoxesAnswer | null): BoxesAnswer | null =>
  answer &&
  bestReading(
    question.items,
    answer,
    ({ placed, ...rest }, to) => ({
      ...rest,
      placed: Object.fromEntries(Object.entries(placed).map(([item, box]) => [to(item), box])),
    }),
    (one) => (hasKey(question) ? boxCredit(sortedBy(question, one), question) : ZERO),
  );

export function mark(question: BoxesQuestion, given: BoxesAnswer | null): Mark {
  const answer = asRead(question, given);
  const sorted = sortedBy(question, answer);
  if (sorted.right + sorted.wrong === 0) return BLANK;
  if (!hasKey(question)) return WAITS;
  return markOf(question, boxCredit(sorted, question), {
    allWrong: sorted.right === 0,
    parts: question.items.map((item) => {
      const box = boxOf(question, answer, item);
      if (box === null) return blankPart(item.id);
      const right = item.boxes.includes(box);
      // What would help is said to those who sorted it wrongly.
      return partOf(item.id, right ? ONE : ZERO, {
        rule: box,
        feedback: right ? SILENCE : item.feedback,
      });
    }),
  });
}

export const boxName = (question: BoxesQuestion, id: string | null): string =>
  question.boxes.find((box) => box.id === id)?.text ?? '';

export function explain(question: BoxesQuestion, given: BoxesAnswer | null): TraceLine[] {
  const answer = asRead(question, given);
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

export function lowestCredit(question: BoxesQuestion): Fraction {
  if (!hasKey(question)) return ZERO;
  const all = { belong: belonging(question).length, right: 0, wrong: question.items.length };
  return smaller(ZERO, boxCredit(all, question));
}
