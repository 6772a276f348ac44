import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import type { Faces } from '../faces';
import { ShufflePart } from '../shared/parts/ShufflePart';
import { orderRule } from '../shared/ruled';

/** The order in which options are shown. */
export const Rules: Faces<PickOneQuestion>['Rules'] = ({ question, onChange, optionOrder }) => (
  <ShufflePart
    shuffled={question.shuffled}
    quiz={optionOrder}
    onChange={(shuffled) => onChange({ ...question, shuffled })}
  />
);

export const ruled: Faces<PickOneQuestion>['ruled'] = ({ shuffled }, { optionOrder }) => [
  orderRule(shuffled, optionOrder),
];
