import type { PickSeveralQuestion } from '@/core/kinds/pickSeveral/schema';
import { withModel } from '@/core/kinds/pickSeveral/models';
import type { Faces } from '../faces';
import { ShufflePart } from '../shared/parts/ShufflePart';
import { PickModelPart } from '../shared/parts/PickModelPart';
import { PICK_MODELS } from '@/core/kinds/shared/pick/pickModel';
import { orderRule, ruleOf } from '../shared/ruled';

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

export const ruled: Faces<PickSeveralQuestion>['ruled'] = (question, { optionOrder, marked }) => [
  ...(marked ? [ruleOf(question, 'model', PICK_MODELS[question.model])] : []),
  orderRule(question.shuffled, optionOrder),
];
