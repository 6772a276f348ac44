import { larger, ONE, ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { blankPart, markOf, partOf } from '../shared/makeMark';
import { bestReading } from '../shared/pairs/readsAlike';
import { optionName } from '../shared/pick/optionName';
import { orderCredit } from './model';
import type { OrderAnswer, OrderQuestion } from './schema';

export const hasKey = (question: OrderQuestion): boolean => question.items.length >= 2;

/**
 * The key's place of the item in each place, −1 for an empty one; an item counts where it stands first, and items that read the same
 * are exchanged where that earns more. */
export function placesOf(question: OrderQuestion, given: OrderAnswer | null): number[] {
  if (!given) return [];
  const { items, model } = question;
  const { places } = bestReading(
    items,
    given,
    (answer, to) => ({ ...answer, places: answer.places.map((id) => id && to(id)) }),
    (answer) => (hasKey(question) ? orderCredit(placesAsGiven(question, answer), items.length, model) : ZERO),
  );
  return placesAsGiven(question, { ...given, places });
}

function placesAsGiven(question: OrderQuestion, answer: OrderAnswer): number[] {
  const seen = new Set<string>();
  return answer.places.slice(0, question.items.length).map((id) => {
    const at = id === null || seen.has(id) ? -1 : question.items.findIndex((item) => item.id === id);
    if (id !== null) seen.add(id);
    return at;
  });
}

const isBlank = (answer: OrderAnswer | null, places: readonly number[]): boolean =>
  !answer?.touched || places.every((at) => at < 0);

export function mark(question: OrderQuestion, answer: OrderAnswer | null): Mark {
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

export const namesOf = (question: OrderQuestion, places: readonly number[]): string[] =>
  places.map((at) => (at < 0 ? '' : optionName(question.items[at] as OrderQuestion['items'][number])));

export function explain(question: OrderQuestion, answer: OrderAnswer | null): TraceLine[] {
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

/** The most that any order earns: all of it, or the best row of a table. */
export function bestCredit(question: OrderQuestion): Fraction | null {
  if (!hasKey(question)) return null;
  const { model } = question;
  if (model.kind !== 'longestRun') return ONE;
  if (model.table === null) return ONE;
  return model.table
    .filter(({ run }) => run <= question.items.length)
    .map(({ credit }) => credit)
    .reduce(larger, ZERO);
}
