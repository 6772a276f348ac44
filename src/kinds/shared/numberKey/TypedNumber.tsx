import { useEffect, useState } from 'react';
import { keptNumber, typedNumber, type KeptNumber } from '@/core/answers/number/kept';
import type { DecimalSign } from '@/core/answers/number/read';

interface Props {
  /** As it is kept, with a decimal point; may be empty. */
  readonly value: string;
  readonly label: string;
  readonly sign: DecimalSign;
  /** Takes a number that can be read; gives why it cannot be used, where it cannot. */
  readonly onChange: (kept: KeptNumber) => string | void;
  readonly placeholder?: string;
  readonly className?: string;
}

/** A field for a number as one writes it: `5.3`, `3/4`, `25%`. What is not one stays in the field, marked. */
export function TypedNumber({ value, label, sign, onChange, placeholder, className = '' }: Props) {
  const [text, setText] = useState(typedNumber(value, sign));
  const [refused, setRefused] = useState<string | null>(null);
  const kept = keptNumber(text, sign);
  const trouble = refused ?? ((text.trim() === '' ? value === '' : kept) ? null : 'This is not a number');
  useEffect(() => {
    setText((current) => (keptNumber(current, sign)?.text === value ? current : typedNumber(value, sign)));
  }, [value, sign]);
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
        const read = keptNumber(typed, sign);
        const empty = typed.trim() === '' ? { text: '', unit: '' } : null;
        const taken = read ?? empty;
        setRefused((taken && onChange(taken)) || null);
      }}
      onBlur={() => {
        setText(typedNumber(value, sign));
        setRefused(null);
      }}
    />
  );
}
