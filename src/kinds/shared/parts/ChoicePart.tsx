import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import type { Fraction } from '@/core/figures/fraction';

interface Props<Value extends string> {
  readonly label: string;
  readonly value: Value;
  /** What can be chosen, in words that go on the sentence. */
  readonly words: Readonly<Record<Value, string>>;
  readonly quiet?: boolean;
  readonly onChange: (value: Value) => void;
}

/** Part of a sentence that is one of a few. */
export function ChoicePart<Value extends string>({ label, value, words, quiet, onChange }: Props<Value>) {
  return (
    <select
      className={`sentence-part ${quiet ? '!font-normal !text-soft' : ''}`}
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as Value)}
    >
      {Object.entries<string>(words).map(([name, text]) => (
        <option key={name} value={name}>
          {text}
        </option>
      ))}
    </select>
  );
}

interface SwitchProps {
  readonly label: string;
  readonly value: boolean;
  readonly words: { readonly true: string; readonly false: string };
  readonly quiet?: boolean;
  readonly onChange: (value: boolean) => void;
}

/** Part of a sentence that says one thing or its contrary. */
export const SwitchPart = ({ value, onChange, ...props }: SwitchProps) => (
  <ChoicePart {...props} value={value ? 'true' : 'false'} onChange={(next) => onChange(next === 'true')} />
);

interface PriceProps {
  /** What is wrong, as in “a wrong pick”. */
  readonly wrong: string;
  /** What it is measured by, as in “a right pick”. */
  readonly right: string;
  readonly value: Fraction;
  readonly onChange: (value: Fraction) => void;
}

/** Part of a sentence: what something wrong costs, measured by what something right earns. */
export const PricePart = ({ wrong, right, value, onChange }: PriceProps) => (
  <>
    {`${wrong} costs `}
    <DecimalField
      value={value}
      label={`Price of ${wrong}`}
      most={5}
      className="sentence-part text-center"
      onChange={onChange}
    />
    {` times what ${right} earns`}
  </>
);
