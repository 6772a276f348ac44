import { X } from '@/ui/widgets/icons';
import { useState } from 'react';
import type { NumberReading } from '@/core/answers/number/meant';
import { equal, type Fraction } from '@/core/figures/fraction';
import type { UnitRule } from '@/core/answers/number/schema';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { NewEntry } from '../NewEntry';
import { TypedNumber } from './TypedNumber';
import { unitName } from '@/core/answers/number/unit';

type UnitList = Exclude<UnitRule, { kind: 'none' }>;
type Unit = UnitList['units'][number];

/** The names of a unit, parted by commas; at least one. */
function Names({ unit, onChange }: { readonly unit: Unit; readonly onChange: (names: string[]) => void }) {
  const [text, setText] = useState(unit.names.join(', '));
  const names = text
    .split(',')
    .map((name) => name.trim().slice(0, 60))
    .filter(Boolean)
    .slice(0, 20);
  return (
    <input
      className="sentence-part"
      aria-label={`Names of the unit ${unit.names[0] ?? ''}`}
      title="Several names are parted by commas"
      size={Math.max(4, text.length)}
      maxLength={400}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => {
        setText((names.length > 0 ? names : unit.names).join(', '));
        if (names.length > 0 && names.join() !== unit.names.join()) onChange(names);
      }}
    />
  );
}

/** A unit that is not listed keeps what a missing one keeps, until the teacher says otherwise. */
const withMissing = (rule: UnitList, missing: Fraction): UnitList => ({
  ...rule,
  missing,
  unknown: equal(rule.unknown, rule.missing) ? missing : rule.unknown,
});

/** What an answer without a unit, or with another one, keeps of its credit. */
const Shares = ({
  rule,
  onChange,
}: {
  readonly rule: UnitList;
  readonly onChange: (rule: UnitList) => void;
}) => (
  <p>
    {rule.kind === 'required' && (
      <>
        {'Without a unit '}
        <PercentField
          value={rule.missing}
          label="Share without a unit"
          className="sentence-part"
          onChange={(missing) => onChange(withMissing(rule, missing))}
        />
        {' of the points are left, with '}
      </>
    )}
    {rule.kind === 'optional' && 'With '}
    {'a unit that is not listed '}
    <PercentField
      value={rule.unknown}
      label="Share with a unit that is not listed"
      className="sentence-part"
      onChange={(unknown) => onChange({ ...rule, unknown })}
    />
    {rule.kind === 'optional' ? ' of the points are left.' : '.'}
  </p>
);

interface Props {
  readonly rule: UnitList;
  readonly reading: NumberReading;
  readonly onChange: (rule: UnitList) => void;
}

/** The units that are accepted, and what a missing or another one leaves of the credit. */
export function Units({ rule, reading, onChange }: Props) {
  const { units } = rule;
  const first = unitName(rule);
  const put = (next: readonly Unit[]) => onChange({ ...rule, units: [...next] });
  const set = (at: number, unit: Unit) => put(units.map((old, index) => (index === at ? unit : old)));
  return (
    <div className="mt-2 border-l-2 border-line pl-4 leading-loose" role="group" aria-label="Units">
      <ul>
        {units.map((unit, at) => (
          <li key={`${at}:${unit.names.join()}`} className="flex flex-wrap items-baseline gap-x-1.5">
            <Names unit={unit} onChange={(names) => set(at, { ...unit, names })} />
            {at === 0 ? (
              <span className="text-soft">the unit of the right number</span>
            ) : (
              <span>
                is{' '}
                <TypedNumber
                  label={`Size of the unit ${unit.names[0] ?? ''}`}
                  reading={reading}
                  value={unit.factor}
                  onChange={({ text }) => {
                    if (text !== '') set(at, { ...unit, factor: text });
                  }}
                />{' '}
                {first}
              </span>
            )}
            <button
              type="button"
              className="icon-button"
              aria-label={`Delete the unit ${unit.names[0] ?? ''}`}
              onClick={() => put(units.filter((_, index) => index !== at))}
            >
              <X size={15} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <NewEntry
        most={60}
        label="Another unit"
        placeholder={units.length === 0 ? 'the unit, such as km' : 'another unit, such as m'}
        onAdd={(name) => put([...units, { names: [name], factor: '1' }])}
      />
      <Shares rule={rule} onChange={onChange} />
    </div>
  );
}
