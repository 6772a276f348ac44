import { MODELS } from '@/core/kinds/gaps/models';
import type { GapsQuestion } from '@/core/kinds/gaps/schema';
import type { Faces } from '../faces';
import { ModelPart } from '../shared/parts/ModelPart';

/** How gaps become part of the points. */
export const Rules: Faces<GapsQuestion>['Rules'] = ({ question, onChange }) => (
  <ModelPart model={question.model} words={MODELS} onModel={(model) => onChange({ ...question, model })} />
);
