import type { PickSeveralQuestion } from '@/core/kinds/pickSeveral/schema';
import { withModel } from '@/core/kinds/pickSeveral/models';
import type { Faces } from '../faces';
import { ShufflePart } from '../shared/parts/ShufflePart';
import { PickModelPart } from '../shared/parts/PickModelPart';

/** How picks become part of the points. */
export const Rules: Faces<PickSeveralQuestion>['Rules'] = ({ question, onChange, optionOrder, marked }) => (
  <>
    {marked && (
      <>
        {'For part of the points, '}
        <PickModelPart
          model={question.model}
          lambda={question.lambda}
          onModel={(model) => onChange(withModel(question, model))}
          onLambda={(lambda) => onChange({ ...question, lambda })}
        />
        {'. '}
      </>
    )}
    <ShufflePart
      shuffled={question.shuffled}
      quiz={optionOrder}
      onChange={(shuffled) => onChange({ ...question, shuffled })}
    />
  </>
);
