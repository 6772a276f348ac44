import { useEffect, useState } from 'react';

interface Props {
  readonly value: number;
  readonly label: string;
  /** What is taken besides being a whole number; what is not stays in the field, marked, until it is left. */
  readonly fits: (value: number) => boolean;
  /** What is asked for, where what was typed does not fit. */
  readonly hint: string;
  readonly onChange: (value: number) => void;
  readonly className?: string;
}

/** A field for a whole number. Digits on the way to one that fits (1 before 14) stay in the field and are not taken. */
export function WholeField({ value, label, fits, hint, onChange, className = '' }: Props) {
  const [text, setText] = useState(String(value));
  useEffect(() => setText(String(value)), [value]);
  const isTaken = (typed: string) => /^\d{1,6}$/.test(typed.trim()) && fits(Number(typed));
  const valid = isTaken(text);
  return (
    <input
      className={`${className} ${valid ? '' : 'text-error'}`}
      inputMode="numeric"
      aria-label={label}
      aria-invalid={!valid}
      title={valid ? undefined : hint}
      value={text}
      onChange={(event) => {
        const typed = event.target.value;
        setText(typed);
        if (isTaken(typed)) onChange(Number(typed));
      }}
      onBlur={() => setText(String(value))}
    />
  );
}
