import type { GapsQuestion } from '@/core/kinds/gaps/schema';
import type { Faces } from '../faces';
import { ModelPart } from '../shared/ModelPart';

const MODELS: Readonly<Record<GapsQuestion['model'], string>> = {
  weightedSum: 'each gap earns its share',
  allOrNothing: 'all or nothing',
};

/** How gaps become part of the points. */
export const Rules: Faces<GapsQuestion>['Rules'] = ({ question, onChange }) => (
  <ModelPart model={question.model} words={MODELS} onModel={(model) => onChange({ ...question, model })} />
);
