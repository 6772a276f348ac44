import type { FormRule, UnitRule } from '@/core/answers/number/schema';
import { ONE, ZERO } from '@/core/figures/fraction';
import type { NumberQuestion } from '@/core/kinds/number/schema';
import { PercentField } from '@/ui/widgets/PercentField';
import type { Faces } from '../faces';
import { UnmatchedPart } from '../shared/UnmatchedPart';
import { CountField } from './CountField';
import { Units } from './Units';

const FORMS: Readonly<Record<FormRule['kind'], string>> = {
  any: 'may be written in any form',
  lowestTerms: 'must be in lowest terms',
  decimals: 'must have a number of decimals',
  figures: 'must have a number of significant figures',
  scientific: 'must be in scientific form',
};

const UNITS: Readonly<Record<UnitRule['kind'], string>> = {
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
      <select
        className="sentence-part"
        aria-label="Form of the number"
        value={form.kind}
        onChange={(event) => onChange(formOf(event.target.value as FormRule['kind']))}
      >
        {Object.entries(FORMS).map(([kind, words]) => (
          <option key={kind} value={kind}>
            {words}
          </option>
        ))}
      </select>
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
          {' of the credit'}
        </>
      )}
    </>
  );
}

/** Form, unit and what happens to anything else, as parts of a sentence. */
export const Rules: Faces<NumberQuestion>['Rules'] = ({ question, onChange, context: { decimalSign } }) => {
  const { form, unit, key } = question;
  return (
    <>
      <FormPart form={form} onChange={(next) => onChange({ ...question, form: next })} />
      {'. A unit '}
      <select
        className="sentence-part"
        aria-label="Unit"
        value={unit.kind}
        onChange={(event) =>
          onChange({ ...question, unit: unitOf(event.target.value as UnitRule['kind'], unit) })
        }
      >
        {Object.entries(UNITS).map(([kind, words]) => (
          <option key={kind} value={kind}>
            {words}
          </option>
        ))}
      </select>
      {'. '}
      {/[%‰]/.test(key) && (
        <>
          {'The bare fraction '}
          <select
            className="sentence-part"
            aria-label="The bare fraction"
            value={String(question.bareFraction)}
            onChange={(event) => onChange({ ...question, bareFraction: event.target.value === 'true' })}
          >
            <option value="true">is right, too</option>
            <option value="false">is wrong</option>
          </select>
          {'. '}
        </>
      )}
      <UnmatchedPart
        value={question.unmatched}
        onChange={(unmatched) => onChange({ ...question, unmatched })}
      />
      {unit.kind !== 'none' && (
        <Units rule={unit} sign={decimalSign} onChange={(next) => onChange({ ...question, unit: next })} />
      )}
    </>
  );
};
