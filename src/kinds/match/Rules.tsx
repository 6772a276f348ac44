import { MODELS } from '@/core/kinds/match/models';
import type { MatchQuestion } from '@/core/kinds/match/schema';
import type { Faces } from '../faces';
import { ModelPart } from '../shared/parts/ModelPart';

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
