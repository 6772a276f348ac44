import type { PickSeveralQuestion } from '@/core/kinds/pickSeveral/schema';
import { creditOf } from '../shared/KeyLine';
import type { Faces } from '../faces';
import { ShufflePart } from '../shared/ShufflePart';
import { PickModelPart } from '../shared/PickModelPart';

/** Weights that say what the discs said, taken over when options first get weights of their own. */
function withModel(question: PickSeveralQuestion, model: PickSeveralQuestion['model']): PickSeveralQuestion {
  if (model !== 'ownWeights') return { ...question, model };
  const right = question.options.filter((option) => option.right && !option.gone).length;
  const unset = question.options.every(({ weight }) => weight.n === 0);
  if (!unset || right === 0) return { ...question, model };
  const options = question.options.map((option) => ({
    ...option,
    weight: option.right ? { n: 1, d: right } : creditOf(false),
  }));
  return { ...question, model, options };
}

/** How picks become part of the points. */
export const Rules: Faces<PickSeveralQuestion>['Rules'] = ({ question, onChange, optionOrder }) => (
  <>
    {'For part of the points, '}
    <PickModelPart
      model={question.model}
      lambda={question.lambda}
      onModel={(model) => onChange(withModel(question, model))}
      onLambda={(lambda) => onChange({ ...question, lambda })}
    />
    {'. '}
    <ShufflePart
      shuffled={question.shuffled}
      quiz={optionOrder}
      onChange={(shuffled) => onChange({ ...question, shuffled })}
    />
  </>
);
