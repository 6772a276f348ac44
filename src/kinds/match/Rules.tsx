import { MODELS } from '@/core/kinds/match/models';
import type { MatchQuestion } from '@/core/kinds/match/schema';
import type { Faces } from '../faces';
import { ModelPart } from '../shared/parts/ModelPart';
import { ruleOf } from '../shared/ruled';

/** How pairs become part of the points. */
export const Rules: Faces<MatchQuestion>['Rules'] = ({ question, onChange, marked }) =>
  marked && (
    <ModelPart
      model={question.model}
      words={MODELS}
      onModel={(model) => onChange({ ...question, model })}
      price={{
        wrong: 'a wrong pair',
        lambda: question.lambda,
        onChange: (lambda) => onChange({ ...question, lambda }),
      }}
    />
  );

export const ruled: Faces<MatchQuestion>['ruled'] = (question, { marked }) =>
  marked ? [ruleOf(question, 'model', MODELS[question.model])] : [];
