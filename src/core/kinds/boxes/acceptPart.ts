import { equal, ONE } from '../../figures/fraction';
import type { GivenPart } from '../givenPart';
import { keyed, notKeyed, type Accepted, type Keyed } from '../kind';
import { NONE } from '../shared/none';
import type { BoxesQuestion } from './schema';

/** The box becomes one in which the item is right, beside those that are; or one in which it is wrong. */
export function acceptPart(
  question: BoxesQuestion,
  { part, given }: GivenPart,
  { credit }: Accepted,
): Keyed<BoxesQuestion> {
  const item = question.items.find(({ id }) => id === part);
  if (!item) return notKeyed('This is not in the draft any more');
  if (credit.n !== 0 && !equal(credit, ONE)) return notKeyed('A thing is right in a box or it is not');
  if (given === NONE) return notKeyed('What belongs in no box is said in Write');
  const others = item.boxes.filter((box) => box !== given);
  const boxes = credit.n > 0 ? [...others, given] : others;
  return keyed({
    ...question,
    items: question.items.map((one) => (one === item ? { ...item, boxes } : one)),
  });
}
