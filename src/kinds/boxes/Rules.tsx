import type { BoxesQuestion } from '@/core/kinds/boxes/schema';
import type { Faces } from '../faces';
import { ChoicePart, PricePart } from '../shared/ChoicePart';

const MODELS: Readonly<Record<BoxesQuestion['model'], string>> = {
  shareRight: 'each item in its box earns its share',
  rightMinusWrong: 'right items earn, wrong ones cost',
  allOrNothing: 'all or nothing',
};

/** How sorted items become part of the points. */
export const Rules: Faces<BoxesQuestion>['Rules'] = ({ question, onChange }) => (
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
          wrong="one in a wrong box"
          right="a right one"
          value={question.lambda}
          onChange={(lambda) => onChange({ ...question, lambda })}
        />
      </>
    )}
    {'. '}
  </>
);
