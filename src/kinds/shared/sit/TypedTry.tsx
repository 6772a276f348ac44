interface Props {
  readonly label?: string;
  readonly value: string;
  readonly most: number;
  readonly onChange: (text: string) => void;
  readonly onKeep: () => void;
}

/** Where a teacher types what a student might. */
export function TypedTry({ label = 'Try an answer', value, most, onChange, onKeep }: Props) {
  return (
    <input
      className="lined-field"
      aria-label={label}
      placeholder="Type what a student might write"
      autoComplete="off"
      spellCheck={false}
      maxLength={most}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      onKeyDown={(event) => event.key === 'Enter' && onKeep()}
    />
  );
}
