import type { NumberReading } from '@/core/answers/number/meant';
import type { NumberKey } from '@/core/answers/number/schema';
import { comparedUnit, unitName } from '@/core/answers/number/unit';
import { ONE, ZERO } from '@/core/figures/fraction';
import { typedNumber } from '@/core/answers/number/kept';
import { HowCompared } from '../HowCompared';
import { Bands } from './Bands';
import { Expected } from './Expected';
import { TypedNumber } from './TypedNumber';

/** What changes with this number as the key; a unit that was typed with it becomes the key’s own where there is none. */
function withKey(before: NumberKey, key: string, unit: string): Partial<NumberKey> {
  if (unit === '' || before.unit.kind !== 'none') return { key };
  const units = [{ names: [unit.slice(0, 60)], factor: '1' }];
  return { key, unit: { kind: 'optional', units, missing: ONE, unknown: ZERO } };
}

interface Props {
  readonly numberKey: NumberKey;
  readonly reading: NumberReading;
  readonly onChange: (changed: Partial<NumberKey>) => void;
}

/** The right number, how near it an answer must be, and the wrong numbers that are expected. */
export function RightNumber({ numberKey, reading, onChange }: Props) {
  const unit = unitName(numberKey.unit);
  return (
    <div>
      <div className="mt-3 flex flex-wrap items-baseline gap-x-2">
        <span className="label-small">Right</span>
        <span className="chip !text-[16px] font-semibold">
          <TypedNumber
            label="The right number"
            placeholder="the right number"
            reading={reading}
            value={numberKey.key}
            className="bg-transparent"
            onChange={(kept) => {
              const other = kept.unit !== '' && unit !== '' && comparedUnit(kept.unit) !== comparedUnit(unit);
              if (other) return `The unit of this question is ${unit}`;
              onChange(withKey(numberKey, kept.text, kept.unit));
              return undefined;
            }}
          />
        </span>
        {unit && <span className="font-semibold">{unit}</span>}
      </div>
      <HowCompared
        tried={{
          reads: 'numbers',
          language: reading.language,
          decimalSign: reading.decimalSign,
          right: typedNumber(numberKey.key, reading.decimalSign),
          unit,
        }}
      />
      <p className="label-small mt-3">How near it must be</p>
      <Bands numberKey={numberKey} reading={reading} onChange={onChange} />
      <Expected numberKey={numberKey} reading={reading} onChange={onChange} />
    </div>
  );
}
