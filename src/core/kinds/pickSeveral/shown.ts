import type { ShownAnswer } from '../../content/shownAnswer';
import { thing } from '../shared/shownThings';
import { isRight, openOptions } from './mark';
import type { PickSeveralAnswer, PickSeveralFace, PickSeveralQuestion } from './schema';

/** The options that were picked, in the question's order. */
export const shown = (question: PickSeveralQuestion, { options }: PickSeveralAnswer): ShownAnswer => ({
  form: 'things',
  things: question.options.filter(({ id }) => options.includes(id)).map(thing),
});

/** Every right option. */
export const shownRight = (question: PickSeveralQuestion): ShownAnswer[] => [
  {
    form: 'things',
    things: openOptions(question)
      .filter((option) => isRight(question, option))
      .map(thing),
  },
];

/** The options. */
export const given = ({ options }: PickSeveralFace): ShownAnswer[] => [
  { form: 'things', things: options.map(thing) },
];
