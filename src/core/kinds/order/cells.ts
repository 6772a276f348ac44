import { type MarkingContext } from '../../marks/mark';
import { asRead, unreadable, type ReadCell } from '../kind';
import { splitParts } from '../shared/answerCells';
import { namedSo } from '../shared/pick/optionName';
import type { OrderAnswer, OrderQuestion } from './schema';

export function readAnswer(
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
