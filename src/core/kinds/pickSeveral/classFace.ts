import { worthOf, type ClassFace } from '../classFace';
import { thing } from '../shared/shownThings';
import type { PickSeveralAnswer, PickSeveralQuestion } from './schema';

/** The share of each option; where options have weights, by their weights. */
export const classFace = ({ options, model }: PickSeveralQuestion): ClassFace<PickSeveralAnswer> => ({
  form: 'shares',
  groups: [
    {
      title: '',
      choices: options.map((option) => ({
        id: option.id,
        thing: thing(option),
        part: { part: '', given: option.id },
        worth:
          model === 'ownWeights'
            ? worthOf({ n: Math.sign(option.weight.n), d: 1 })
            : option.right
              ? 'right'
              : 'wrong',
      })),
    },
  ],
  picked: (answer) => answer.options,
});
