import { equal, ONE } from '../../figures/fraction';
import type { GivenPart } from '../givenPart';
import { keyed, notKeyed, type Accepted, type Keyed } from '../kind';
import { NONE } from '../shared/none';
import { readingOf } from '../shared/pairs/readsAlike';
import type { MatchQuestion } from './schema';

/** The partner becomes the right one of the item, in place of the one that was. */
export function acceptPart(
  question: MatchQuestion,
  { part, given }: GivenPart,
  { credit }: Accepted,
): Keyed<MatchQuestion> {
  const item = question.items.find(({ id }) => id === part);
  if (!item) return notKeyed('This is not in the draft any more');
  if (!equal(credit, ONE)) return notKeyed('Each thing has one right partner: accept another one instead');
  const partner = given === NONE ? null : question.partners.find((one) => readingOf(one) === given);
  if (partner === undefined) return notKeyed('This partner is not in the draft any more');
  const items = question.items.map((one) => (one === item ? { ...item, partner: partner?.id ?? null } : one));
  return keyed({ ...question, items });
}
