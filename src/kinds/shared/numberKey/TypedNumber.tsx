import { useEffect, useState } from 'react';
import { keptNumber, typedNumber, type KeptNumber } from '@/core/answers/number/kept';
import type { NumberReading } from '@/core/answers/number/meant';

interface Props {
  /** As it is kept, with a decimal point; may be empty. */
  readonly value: string;
  readonly label: string;
  readonly reading: NumberReading;
  /** Takes a number that can be read; gives why it cannot be used, where it cannot. */
  readonly onChange: (kept: KeptNumber) => string | void;
  readonly placeholder?: string;
  readonly className?: string;
}

/** A field for a number as one writes it: `5.3`, `3/4`, `25%`. What is not one stays in the field, marked. */
export function TypedNumber({ value, label, reading, onChange, placeholder, className = '' }: Props) {
  const [text, setText] = useState(typedNumber(value, reading.decimalSign));
  const [refused, setRefused] = useState<string | null>(null);
  const kept = keptNumber(text, reading);
  const trouble = refused ?? ((text.trim() === '' ? value === '' : kept) ? null : 'This is not a number');
  useEffect(() => {
    setText((current) =>
      keptNumber(current, reading)?.text === value ? current : typedNumber(value, reading.decimalSign),
    );
  }, [value, reading]);
  return (
    <input
      className={`figures ${className || 'sentence-part text-center'} ${trouble ? 'text-error' : ''}`}
      aria-label={label}
      aria-invalid={trouble !== null}
      title={trouble ?? undefined}
      inputMode="text"
      autoComplete="off"
      spellCheck={false}
      maxLength={200}
      placeholder={placeholder}
      size={Math.max(3, (text || placeholder || '').length)}
      value={text}
      onChange={(event) => {
        const typed = event.target.value;
        setText(typed);
        const read = keptNumber(typed, reading);
        const empty = typed.trim() === '' ? { text: '', unit: '' } : null;
        const taken = read ?? empty;
        setRefused((taken && onChange(taken)) || null);
      }}
      onBlur={() => {
        setText(typedNumber(value, reading.decimalSign));
        setRefused(null);
      }}
    />
  );
}
