import { typedNumber } from '@/core/answers/number/kept';
import { comparedUnit, unitName } from '@/core/answers/number/unit';
import { ONE, ZERO } from '@/core/figures/fraction';
import type { NumberQuestion } from '@/core/kinds/number/schema';
import type { Faces } from '../faces';
import { FoldedEntry, FoldedKey } from '../shared/FoldedKey';
import { TypedTry } from '../shared/TypedTry';
import { Bands } from './Bands';
import { Expected } from './Expected';
import { TypedNumber } from './TypedNumber';

/** The question with this number as its key; a unit that was typed with it becomes the key’s own where there is none. */
function withKey(question: NumberQuestion, key: string, unit: string): NumberQuestion {
  if (unit === '' || question.unit.kind !== 'none') return { ...question, key };
  const units = [{ names: [unit.slice(0, 60)], factor: '1' }];
  return { ...question, key, unit: { kind: 'optional', units, missing: ONE, unknown: ZERO } };
}

export const Write: Faces<NumberQuestion>['Write'] = ({ question, onChange, context: { decimalSign } }) => {
  const unit = unitName(question.unit);
  return (
    <div>
      <div className="mt-3 flex flex-wrap items-baseline gap-x-2">
        <span className="label-small">Right</span>
        <span className="chip !text-[16px] font-semibold">
          <TypedNumber
            label="The right number"
            placeholder="the right number"
            sign={decimalSign}
            value={question.key}
            className="bg-transparent"
            onChange={(kept) => {
              const other = kept.unit !== '' && unit !== '' && comparedUnit(kept.unit) !== comparedUnit(unit);
              if (other) return `The unit of this question is ${unit}`;
              onChange(withKey(question, kept.text, kept.unit));
              return undefined;
            }}
          />
        </span>
        {unit && <span className="font-semibold">{unit}</span>}
      </div>
      <p className="label-small mt-3">How near it must be</p>
      <Bands question={question} sign={decimalSign} onChange={onChange} />
      <Expected question={question} sign={decimalSign} onChange={onChange} />
    </div>
  );
};

export const Folded: Faces<NumberQuestion>['Folded'] = ({ question, context: { decimalSign } }) => {
  const { key, expected, unit } = question;
  const shown = (value: string) => typedNumber(value, decimalSign);
  const wrong = expected.filter(({ credit }) => credit.n === 0);
  return (
    <FoldedKey>
      {key !== '' && (
        <FoldedEntry credit={ONE}>
          {shown(key)} {unitName(unit)}
        </FoldedEntry>
      )}
      {expected
        .filter(({ credit }) => credit.n > 0)
        .map(({ id, value, credit }) => (
          <FoldedEntry key={id} credit={credit}>
            {shown(value)}
          </FoldedEntry>
        ))}
      {wrong.length > 0 && (
        <li className="text-soft">expected, wrong: {wrong.map(({ value }) => shown(value)).join(' · ')}</li>
      )}
    </FoldedKey>
  );
};

export const Try: Faces<NumberQuestion>['Try'] = ({ value, onChange, onKeep }) => (
  <TypedTry
    most={1000}
    value={value?.kind === 'number' ? value.text : ''}
    onChange={(text) => onChange(text === '' ? null : { kind: 'number', text })}
    onKeep={onKeep}
  />
);
