import { typedNumber } from '@/core/answers/number/kept';
import { unitName } from '@/core/answers/number/unit';
import { ONE } from '@/core/figures/fraction';
import type { NumberQuestion } from '@/core/kinds/number/schema';
import type { Faces } from '../faces';
import { FoldedEntry, FoldedKey } from '../shared/FoldedKey';
import { RightNumber } from '../shared/numberKey/RightNumber';
import { TypedTry } from '../shared/sit/TypedTry';

export const Write: Faces<NumberQuestion>['Write'] = ({ question, onChange, context }) => (
  <RightNumber
    numberKey={question}
    reading={context}
    onChange={(changed) => onChange({ ...question, ...changed })}
  />
);

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
        <li className="text-soft">
          known wrong answers: {wrong.map(({ value }) => shown(value)).join(' · ')}
        </li>
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
