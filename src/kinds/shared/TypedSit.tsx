interface Props {
  readonly labelledBy: string;
  readonly value: string;
  readonly most: number;
  readonly inputMode?: 'text' | 'decimal';
  readonly onChange: (text: string) => void;
}

/** A short answer typed by the student, without the browser’s help. */
export function TypedSit({ labelledBy, value, most, inputMode = 'text', onChange }: Props) {
  return (
    <input
      className="w-full rounded border border-ink bg-paper px-3 py-3 text-[17px]"
      aria-labelledby={labelledBy}
      autoComplete="off"
      autoCorrect="off"
      autoCapitalize="off"
      spellCheck={false}
      enterKeyHint="next"
      inputMode={inputMode}
      maxLength={most}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
