import type { GapsQuestion } from '@/core/kinds/gaps/schema';
import type { Faces } from '../faces';
import { ChoicePart } from '../shared/ChoicePart';

const MODELS: Readonly<Record<GapsQuestion['model'], string>> = {
  weightedSum: 'each gap earns its share',
  allOrNothing: 'all or nothing',
};

/** How gaps become part of the points. */
export const Rules: Faces<GapsQuestion>['Rules'] = ({ question, onChange }) => (
  <>
    {'For part of the points, '}
    <ChoicePart
      label="Part credit"
      value={question.model}
      words={MODELS}
      onChange={(model) => onChange({ ...question, model })}
    />
    {'. '}
  </>
);
