import type { WhatIf } from '../kind';
import { guessing } from '../shared/pick/guesses';
import { optionName } from '../shared/pick/optionName';
import type { PickOneAnswer, PickOneQuestion } from './schema';

/** A wrong option, and any of those that are shown. */
export function whatIfs({ options }: PickOneQuestion): WhatIf<PickOneAnswer>[] {
  const shown = options.filter((option) => !option.gone && optionName(option) !== '');
  const answers = shown.map(({ id }): PickOneAnswer => ({ kind: 'pickOne', option: id }));
  const wrong = answers.filter((_, at) => (shown[at]?.credit.n ?? 0) <= 0);
  return [...(wrong.length > 0 ? [{ words: 'a wrong option', answers: wrong }] : []), guessing(answers)];
}
