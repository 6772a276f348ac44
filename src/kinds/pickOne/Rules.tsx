import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import type { Faces } from '../faces';
import { ShufflePart } from '../shared/parts/ShufflePart';

/** The order in which options are shown. */
export const Rules: Faces<PickOneQuestion>['Rules'] = ({ question, onChange, optionOrder }) => (
  <ShufflePart
    shuffled={question.shuffled}
    quiz={optionOrder}
    onChange={(shuffled) => onChange({ ...question, shuffled })}
  />
);
