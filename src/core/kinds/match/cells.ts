import { valueAt } from '../../figures/valueAt';
import type { MarkingContext } from '../../marks/mark';
import { asRead, type ReadCell } from '../kind';
import { NONE } from '../shared/none';
import { readPairs } from '../shared/pairs/pairCells';
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

/** The pairs that were made, in the question's order: with one of its partners, or said to have none. */
export const entriesOf = ({ items, partners }: MatchQuestion, { pairs }: MatchAnswer) =>
  items.flatMap((item) => {
    const to = valueAt(pairs, item.id) ?? null;
    return to !== null && (to === NONE || partners.some(({ id }) => id === to)) ? [{ item, to }] : [];
  });
