import { inWords } from '../../content/shownLine';
import { worthOf, type ClassFace } from '../classFace';
import type { TrueFalseAnswer, TrueFalseQuestion } from './schema';

/** The share of each of the two. */
export const classFace = ({ whenTrue, whenFalse }: TrueFalseQuestion): ClassFace<TrueFalseAnswer> => ({
  form: 'shares',
  groups: [
    {
      title: '',
      choices: [
        { id: 'true', thing: inWords('True'), worth: worthOf(whenTrue.credit) },
        { id: 'false', thing: inWords('False'), worth: worthOf(whenFalse.credit) },
      ],
    },
  ],
  picked: ({ value }) => [String(value)],
});
