import { MODELS } from '@/core/kinds/rows/models';
import { withSeveral } from '@/core/kinds/rows/edit';
import type { RowsQuestion } from '@/core/kinds/rows/schema';
import type { Faces } from '../faces';
import { ChoicePart } from '../shared/parts/ChoicePart';
import { PickModelPart } from '../shared/parts/PickModelPart';
import { ruleOf } from '../shared/ruled';

const PICKS = { one: 'one is picked', several: 'several can be picked' };

/** How many are picked in each row. */
function picksIn({ rows }: RowsQuestion): 'one' | 'several' | 'mixed' {
  const several = rows.filter((row) => row.several).length;
  if (several === 0) return 'one';
  return several === rows.length ? 'several' : 'mixed';
}

/** How many are picked in a row, and how rows become part of the points. */
export const Rules: Faces<RowsQuestion>['Rules'] = ({ question, onChange, marked }) => {
  const how = picksIn(question);
  return (
    <>
      {'In each row '}
      <ChoicePart<string>
        label="Picks in a row"
        value={how}
        words={how === 'mixed' ? { ...PICKS, mixed: 'one or several, as it stands' } : PICKS}
        onChange={(next) => next !== 'mixed' && onChange(withSeveral(question, next === 'several'))}
      />
      {marked && (
        <>
          {'; '}
          <ChoicePart
            label="Partial credit"
            value={question.joined}
            words={MODELS}
            onChange={(joined) => onChange({ ...question, joined })}
          />
        </>
      )}
      {marked && how !== 'one' && (
        <>
          {'. Within a row, '}
          <PickModelPart
            label="Partial credit within a row"
            model={question.model}
            lambda={question.lambda}
            onModel={(model) => onChange({ ...question, model })}
            onLambda={(lambda) => onChange({ ...question, lambda })}
          />
        </>
      )}
      {'. '}
    </>
  );
};

export const ruled: Faces<RowsQuestion>['ruled'] = (question, { marked }) => {
  const how = picksIn(question);
  return [
    { words: how === 'mixed' ? 'one or several are picked' : PICKS[how], own: how !== 'one' },
    ...(marked ? [ruleOf(question, 'joined', MODELS[question.joined])] : []),
  ];
};
