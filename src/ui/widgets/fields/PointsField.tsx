import { useId, useLayoutEffect, useRef, useState } from 'react';
import { readPoints, type Fraction } from '@/core/figures/fraction';
import { typedDecimal } from '../../words/figures';

interface Props {
  readonly value: Fraction | null;
  readonly label: string;
  readonly most: number;
  /** What is typed, once it can be read; null while it cannot, or while nothing is typed. */
  readonly onChange: (value: Fraction | null) => void;
  readonly className?: string;
}

/** Points as a form takes them: what cannot be read is said and never taken for something else. All of it is selected at first. */
export function PointsField({ value, label, most, onChange, className = '' }: Props) {
  const [text, setText] = useState(value ? typedDecimal(value) : '');
  const field = useRef<HTMLInputElement>(null);
  const hint = useId();
  useLayoutEffect(() => field.current?.select(), []);
  const read = readPoints(text, most);
  const wrong = text.trim() !== '' && read === null;
  return (
    <>
      <input
        ref={field}
        className={`${className} ${wrong ? 'text-error' : ''}`}
        inputMode="decimal"
        aria-label={label}
        aria-invalid={wrong}
        aria-describedby={wrong ? hint : undefined}
        size={Math.max(3, text.length)}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          onChange(readPoints(event.target.value, most));
        }}
      />
      {wrong && (
        <span id={hint} role="alert" className="ml-2 text-[13.5px] text-saffron-text">
          not a number from 0 to {most}
        </span>
      )}
    </>
  );
}
