import type { MarkingContext } from '../../marks/mark';
import { asRead, type ReadCell } from '../kind';
import { readPairs } from '../shared/pairCells';
import type { MatchAnswer, MatchQuestion } from './schema';

export function readAnswer(
  question: MatchQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<MatchAnswer> {
  const read = readPairs(text, question.items, question.partners, language);
  if (!read.ok) return read;
  return asRead(read.pairs.length === 0 ? null : { kind: 'match', pairs: Object.fromEntries(read.pairs) });
}

export const entriesOf = (question: MatchQuestion, { pairs }: MatchAnswer) =>
  question.items.flatMap((item) =>
    Object.hasOwn(pairs, item.id) ? [{ item, to: pairs[item.id] as string }] : [],
  );
