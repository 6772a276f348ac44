import type { ShownAnswer } from '../../content/shownAnswer';
import { inOurWords, inWords } from '../../content/shownLine';
import { thing, words } from '../shared/shownThings';
import { belonging, boxName, boxOf, isSaidNowhere } from './mark';
import type { BoxesAnswer, BoxesFace, BoxesQuestion } from './schema';

/** Each item with the box it was put into. */
export const shown = (question: BoxesQuestion, answer: BoxesAnswer): ShownAnswer => ({
  form: 'pairs',
  pairs: question.items.map((item) => ({
    left: thing(item),
    right: isSaidNowhere(answer, item)
      ? [inOurWords('fits no box', 'noBox')]
      : words(boxName(question, boxOf(question, answer, item))),
  })),
});

/** Each item that belongs somewhere, with every box that is right for it. */
export const shownRight = (question: BoxesQuestion): ShownAnswer[] => [
  {
    form: 'pairs',
    pairs: belonging(question).map((item) => ({
      left: thing(item),
      right: item.boxes.flatMap((box) => words(boxName(question, box))),
    })),
  },
];

/** The boxes, and the items to be put into them. */
export const given = ({ boxes, items }: BoxesFace): ShownAnswer[] => [
  { form: 'things', things: boxes.map(({ text }) => inWords(text)) },
  { form: 'things', things: items.map(thing) },
];
