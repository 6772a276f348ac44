import type { MatchQuestion } from '@/core/kinds/match/schema';
import type { Faces } from '../faces';
import { ChoicePart, PricePart } from '../shared/ChoicePart';

const MODELS: Readonly<Record<MatchQuestion['model'], string>> = {
  shareRight: 'each right pair earns its share',
  rightMinusWrong: 'each right pair earns its share, and a wrong one takes some back',
  pairWeights: 'each right pair earns a weight of its own',
  allOrNothing: 'all pairs must be right, or none earns anything',
};

/** How pairs become part of the points. */
export const Rules: Faces<MatchQuestion>['Rules'] = ({ question, onChange }) => (
  <>
    {'For part of the points, '}
    <ChoicePart
      label="Part credit"
      value={question.model}
      words={MODELS}
      onChange={(model) => onChange({ ...question, model })}
    />
    {question.model === 'rightMinusWrong' && (
      <>
        {': '}
        <PricePart
          wrong="a wrong pair"
          right="a right one"
          value={question.lambda}
          onChange={(lambda) => onChange({ ...question, lambda })}
        />
      </>
    )}
    {'. '}
  </>
);
