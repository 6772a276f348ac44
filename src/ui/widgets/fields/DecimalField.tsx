import { useEffect, useState } from 'react';
import { equal, readDecimal, type Fraction } from '@/core/figures/fraction';
import { typedDecimal } from '../../words/figures';

interface Props {
  readonly value: Fraction | null;
  readonly label: string;
  readonly onChange: (value: Fraction) => void;
  /** Least and largest value that are taken; 0 unless set. */
  readonly least?: number;
  readonly most: number;
  /** Shown where the value is null. */
  readonly fallback?: string;
  readonly className?: string;
  readonly onEmpty?: () => void;
}

const shown = (value: Fraction | null): string => (value ? typedDecimal(value) : '');

/** A field for a decimal of at most 3 places. What cannot be read stays in the field, marked, and is not taken. */
export function DecimalField({
  value,
  label,
  onChange,
  least = 0,
  most,
  fallback = '',
  className = '',
  onEmpty,
}: Props) {
  const [text, setText] = useState(shown(value));
  const read = readDecimal(text);
  const inside = (number: Fraction) => number.n >= least * number.d && number.n <= most * number.d;
  const valid = (text.trim() === '' && onEmpty) || (read && inside(read));
  // By what it is, not by which object holds it: a value that is drawn again as it was takes nothing typed away.
  const { n, d } = value ?? { n: null, d: 1 };
  useEffect(() => {
    const held = n === null ? null : { n, d };
    setText((current) => {
      const typed = readDecimal(current);
      return held && typed && equal(typed, held) ? current : shown(held);
    });
  }, [n, d]);
  return (
    <input
      className={`${className} ${valid ? '' : 'text-error'}`}
      inputMode="decimal"
      aria-label={label}
      aria-invalid={!valid}
      title={valid ? undefined : `A number from ${least} to ${most}, at most 3 decimals`}
      value={text}
      placeholder={fallback}
      size={Math.max(2, (text || fallback).length)}
      onChange={(event) => {
        const typed = event.target.value;
        setText(typed);
        const number = readDecimal(typed);
        if (typed.trim() === '' && onEmpty) onEmpty();
        else if (number && inside(number)) onChange(number);
      }}
      onBlur={() => !valid && setText(shown(value))}
    />
  );
}
