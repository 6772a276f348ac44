import type { ShownAnswer } from '../../content/shownAnswer';
import { thing } from '../shared/shownThings';
import type { PickOneAnswer, PickOneFace, PickOneQuestion } from './schema';

/** The option that was picked. */
export function shown(question: PickOneQuestion, answer: PickOneAnswer): ShownAnswer {
  const option = question.options.find(({ id }) => id === answer.option);
  return option
    ? { form: 'things', things: [thing(option)] }
    : { form: 'text', text: 'an option that is no longer there', said: 'gone' };
}

/** Each option that earns everything. */
export const shownRight = (question: PickOneQuestion): ShownAnswer[] =>
  question.options
    .filter(({ gone, credit }) => !gone && credit.n === credit.d)
    .map((option) => ({ form: 'things', things: [thing(option)] }));

/** The options. */
export const given = ({ options }: PickOneFace): ShownAnswer[] => [
  { form: 'things', things: options.map(thing) },
];
