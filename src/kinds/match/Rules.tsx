import type { MatchQuestion } from '@/core/kinds/match/schema';
import type { Faces } from '../faces';
import { ChoicePart, PricePart } from '../shared/ChoicePart';

const MODELS: Readonly<Record<MatchQuestion['model'], string>> = {
  shareRight: 'each right pair earns its share',
  rightMinusWrong: 'right pairs earn, wrong ones cost',
  pairWeights: 'each pair has its own weight',
  allOrNothing: 'all or nothing',
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
