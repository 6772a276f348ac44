import type { NumberQuestion } from '@/core/kinds/number/schema';
import type { Faces } from '../faces';
import { NumberPart } from '../shared/numberKey/NumberPart';
import { UnmatchedPart } from '../shared/parts/UnmatchedPart';
import { FORMS, UNITS } from '../shared/numberKey/NumberPart';
import { UNMATCHED_WORDS } from '../shared/parts/UnmatchedPart';
import { ruleOf, whereOwn } from '../shared/ruled';

/** Form, unit and what happens to anything else, as parts of a sentence. */
export const Rules: Faces<NumberQuestion>['Rules'] = ({ question, onChange, marked, context }) =>
  marked && (
    <>
      <UnmatchedPart
        value={question.unmatched}
        onChange={(unmatched) => onChange({ ...question, unmatched })}
      />
      <NumberPart
        numberKey={question}
        reading={context}
        onChange={(changed) => onChange({ ...question, ...changed })}
      />
    </>
  );

export const ruled: Faces<NumberQuestion>['ruled'] = (question, { marked }) =>
  marked
    ? [
        ruleOf(question, 'form', FORMS[question.form.kind]),
        ruleOf(question, 'unit', `a unit ${UNITS[question.unit.kind]}`),
        ...whereOwn([ruleOf(question, 'unmatched', `anything else ${UNMATCHED_WORDS[question.unmatched]}`)]),
      ]
    : [];
