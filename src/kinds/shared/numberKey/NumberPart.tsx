import type { NumberReading } from '@/core/answers/number/meant';
import { bareWords } from '@/core/answers/number/words';
import type { FormRule, NumberKey, UnitRule } from '@/core/answers/number/schema';
import { ONE, ZERO } from '@/core/figures/fraction';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { ChoicePart, SwitchPart } from '../parts/ChoicePart';
import { CountField } from './CountField';
import { Units } from './Units';

/** In which form a number is asked for, as it goes on in a sentence. */
export const FORMS: Readonly<Record<FormRule['kind'], string>> = {
  any: 'may be written in any form',
  lowestTerms: 'must be in lowest terms',
  decimals: 'must have a number of decimals',
  figures: 'must have a number of significant figures',
  scientific: 'must be in scientific form',
};

/** What becomes of a unit, as it goes on in a sentence. */
export const UNITS: Readonly<Record<UnitRule['kind'], string>> = {
  none: 'is ignored',
  optional: 'may be given',
  required: 'must be given',
};

function formOf(kind: FormRule['kind']): FormRule {
  if (kind === 'any') return { kind };
  return kind === 'decimals' || kind === 'figures'
    ? { kind, count: 2, otherwise: ZERO }
    : { kind, otherwise: ZERO };
}

function unitOf(kind: UnitRule['kind'], before: UnitRule): UnitRule {
  if (kind === 'none') return { kind };
  const units = before.kind === 'none' ? [] : before.units;
  const unknown = before.kind === 'none' ? ZERO : before.unknown;
  return { kind, units, missing: kind === 'optional' ? ONE : ZERO, unknown };
}

interface FormProps {
  readonly form: FormRule;
  readonly onChange: (form: FormRule) => void;
}

/** Part of a sentence: in which form the number is asked for, and what another form leaves. */
function FormPart({ form, onChange }: FormProps) {
  return (
    <>
      {'The number '}
      <ChoicePart
        label="Form of the number"
        value={form.kind}
        words={FORMS}
        onChange={(kind) => onChange(formOf(kind))}
      />
      {(form.kind === 'decimals' || form.kind === 'figures') && (
        <>
          {': '}
          <CountField
            label={form.kind === 'decimals' ? 'Decimals' : 'Significant figures'}
            value={form.count}
            least={form.kind === 'decimals' ? 0 : 1}
            onChange={(count) => onChange({ ...form, count })}
          />
        </>
      )}
      {form.kind !== 'any' && (
        <>
          {'; any other form leaves '}
          <PercentField
            value={form.otherwise}
            label="Share in another form"
            className="sentence-part"
            onChange={(otherwise) => onChange({ ...form, otherwise })}
          />
          {' of the points'}
        </>
      )}
    </>
  );
}

interface Props {
  readonly numberKey: NumberKey;
  readonly reading: NumberReading;
  readonly onChange: (changed: Partial<NumberKey>) => void;
}

/** Form and unit of a number, as parts of a sentence. */
export function NumberPart({ numberKey: { form, unit, key, bareFraction }, reading, onChange }: Props) {
  return (
    <>
      <FormPart form={form} onChange={(next) => onChange({ form: next })} />
      {'. A unit '}
      <ChoicePart
        label="Unit"
        value={unit.kind}
        words={UNITS}
        onChange={(kind) => onChange({ unit: unitOf(kind, unit) })}
      />
      {'. '}
      {/[%‰]/.test(key) && (
        <>
          {`${bareWords(key, reading.decimalSign)} `}
          <SwitchPart
            label="The bare fraction"
            value={bareFraction}
            words={{ true: 'is right too', false: 'is wrong' }}
            onChange={(bare) => onChange({ bareFraction: bare })}
          />
          {'. '}
        </>
      )}
      {unit.kind !== 'none' && (
        <Units rule={unit} reading={reading} onChange={(next) => onChange({ unit: next })} />
      )}
    </>
  );
}
