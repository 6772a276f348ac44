import { MODELS } from '@/core/kinds/rows/models';
import { withSeveral } from '@/core/kinds/rows/edit';
import type { RowsQuestion } from '@/core/kinds/rows/schema';
import type { Faces } from '../faces';
import { ChoicePart } from '../shared/parts/ChoicePart';
import { PickModelPart } from '../shared/parts/PickModelPart';

const PICKS = { one: 'one is picked', several: 'several can be picked' };

/** How many are picked in a row, and how rows become part of the points. */
export const Rules: Faces<RowsQuestion>['Rules'] = ({ question, onChange, marked }) => {
  const several = question.rows.filter((row) => row.several).length;
  const how = several === 0 ? 'one' : several === question.rows.length ? 'several' : 'mixed';
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
            label="Part credit"
            value={question.joined}
            words={MODELS}
            onChange={(joined) => onChange({ ...question, joined })}
          />
        </>
      )}
      {marked && several > 0 && (
        <>
          {'. Within a row, '}
          <PickModelPart
            label="Part credit within a row"
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
