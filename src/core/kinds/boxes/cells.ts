import { type MarkingContext } from '../../marks/mark';
import { asRead, type ReadCell } from '../kind';
import { readPairs } from '../shared/pairs/pairCells';
import type { BoxesAnswer, BoxesQuestion } from './schema';

export function readAnswer(
  question: BoxesQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<BoxesAnswer> {
  const boxes = question.boxes.map((box) => ({ ...box, picture: null }));
  const read = readPairs(text, question.items, boxes, language);
  if (!read.ok) return read;
  return asRead(read.pairs.length === 0 ? null : { kind: 'boxes', placed: Object.fromEntries(read.pairs) });
}
