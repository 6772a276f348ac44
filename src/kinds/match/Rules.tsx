import type { MatchQuestion } from '@/core/kinds/match/schema';
import type { Faces } from '../faces';
import { ModelPart } from '../shared/ModelPart';

const MODELS: Readonly<Record<MatchQuestion['model'], string>> = {
  shareRight: 'each right pair earns its share',
  rightMinusWrong: 'right pairs earn, wrong ones cost',
  pairWeights: 'each pair has its own weight',
  allOrNothing: 'all or nothing',
};

/** How pairs become part of the points. */
export const Rules: Faces<MatchQuestion>['Rules'] = ({ question, onChange }) => (
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
