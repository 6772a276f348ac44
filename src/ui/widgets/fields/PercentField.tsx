import { multiply, type Fraction } from '@/core/figures/fraction';
import { DecimalField } from './DecimalField';

const HUNDRED: Fraction = { n: 100, d: 1 };
const HUNDREDTH: Fraction = { n: 1, d: 100 };

interface Props {
  readonly value: Fraction;
  readonly label: string;
  readonly onChange: (value: Fraction) => void;
  readonly className?: string;
  /** Least that is taken, in per cent. */
  readonly least?: number;
}

/** A share typed as per cent, 0 to 100 unless less is allowed. */
export function PercentField({ value, label, onChange, className = '', least = 0 }: Props) {
  return (
    <span className="whitespace-nowrap">
      <DecimalField
        value={multiply(value, HUNDRED)}
        label={`${label}, %`}
        least={least}
        most={100}
        className={`figures text-right !pr-0 ${className}`}
        onChange={(percent) => onChange(multiply(percent, HUNDREDTH))}
      />
      <span aria-hidden>%</span>
    </span>
  );
}
