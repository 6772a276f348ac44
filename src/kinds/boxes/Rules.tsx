import { MODELS } from '@/core/kinds/boxes/models';
import type { BoxesQuestion } from '@/core/kinds/boxes/schema';
import type { Faces } from '../faces';
import { ModelPart } from '../shared/parts/ModelPart';
import { ruleOf } from '../shared/ruled';

/** How sorted items become part of the points. */
export const Rules: Faces<BoxesQuestion>['Rules'] = ({ question, onChange, marked }) =>
  marked && (
    <ModelPart
      model={question.model}
      words={MODELS}
      onModel={(model) => onChange({ ...question, model })}
      price={{
        wrong: 'one in a wrong box',
        lambda: question.lambda,
        onChange: (lambda) => onChange({ ...question, lambda }),
      }}
    />
  );

export const ruled: Faces<BoxesQuestion>['ruled'] = (question, { marked }) =>
  marked ? [ruleOf(question, 'model', MODELS[question.model])] : [];
