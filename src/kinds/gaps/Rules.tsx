import type { GapsQuestion } from '@/core/kinds/gaps/schema';
import type { Faces } from '../faces';
import { ChoicePart } from '../shared/ChoicePart';

const MODELS: Readonly<Record<GapsQuestion['model'], string>> = {
  weightedSum: 'each right one earns its share',
  allOrNothing: 'all must be right, or none earns anything',
};

/** How gaps become part of the points. */
export const Rules: Faces<GapsQuestion>['Rules'] = ({ question, onChange }) => (
  <>
    {'Of the gaps, '}
    <ChoicePart
      label="Part credit"
      value={question.model}
      words={MODELS}
      onChange={(model) => onChange({ ...question, model })}
    />
    {'. '}
  </>
);
