import { worthOf, type ClassFace } from '../classFace';
import { thing } from '../shared/shownThings';
import type { PickOneAnswer, PickOneQuestion } from './schema';

/** The share of each option; one that was taken off the question stands for those who had picked it. */
export const classFace = ({ options }: PickOneQuestion): ClassFace<PickOneAnswer> => ({
  form: 'shares',
  groups: [
    {
      title: '',
      choices: options.map((option) => ({
        id: option.id,
        thing: thing(option),
        worth: worthOf(option.credit),
      })),
    },
  ],
  picked: ({ option }) => [option],
});
