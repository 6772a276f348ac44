import type { ShownAnswer } from '../../content/shownAnswer';
import { thing } from '../shared/shownThings';
import { placesOf } from './mark';
import type { OrderAnswer, OrderFace, OrderQuestion } from './schema';

/** The items in the order they were put into. */
export const shown = (question: OrderQuestion, answer: OrderAnswer): ShownAnswer => ({
  form: 'sequence',
  things: placesOf(question, answer).map((at) => {
    const item = question.items[at];
    return item ? thing(item) : null;
  }),
});

/** The items in their right order. */
export const shownRight = (question: OrderQuestion): ShownAnswer[] => [
  { form: 'sequence', things: question.items.map(thing) },
];

/** The items, as they were met. */
export const given = ({ items }: OrderFace): ShownAnswer[] => [{ form: 'things', things: items.map(thing) }];
