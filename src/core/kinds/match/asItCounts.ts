import { namedOnes } from '../shared/pick/optionName';
import type { MatchQuestion } from './schema';

/** Without items and partners that have no name; an item whose partner has none belongs to none. */
export function asItCounts(question: MatchQuestion): MatchQuestion {
  const named = namedOnes(question.items);
  const partners = namedOnes(question.partners);
  if (named === question.items && partners === question.partners) return question;
  const ids = new Set(partners.map(({ id }) => id));
  const items = named.map((item) =>
    item.partner === null || ids.has(item.partner) ? item : { ...item, partner: null },
  );
  return { ...question, items, partners };
}
