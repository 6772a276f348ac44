import type { NumberQuestion } from '@/core/kinds/number/schema';
import type { Faces } from '../faces';
import { NumberPart } from '../shared/numberKey/NumberPart';
import { UnmatchedPart } from '../shared/parts/UnmatchedPart';

/** Form, unit and what happens to anything else, as parts of a sentence. */
export const Rules: Faces<NumberQuestion>['Rules'] = ({
  question,
  onChange,
  marked,
  context: { decimalSign },
}) =>
  marked && (
    <>
      <UnmatchedPart
        value={question.unmatched}
        onChange={(unmatched) => onChange({ ...question, unmatched })}
      />
      <NumberPart
        numberKey={question}
        sign={decimalSign}
        onChange={(changed) => onChange({ ...question, ...changed })}
      />
    </>
  );
