interface Props {
  readonly name: string;
  readonly label: string;
  /** What it means, in smaller letters. */
  readonly hint?: string;
  readonly checked: boolean;
  readonly onChoose: () => void;
}

/** One of a few choices in a dialog, with what it means. */
export function Choice({ name, label, hint, checked, onChoose }: Props) {
  return (
    <label className="flex items-start gap-2">
      <input
        type="radio"
        name={name}
        className="mt-1.5 accent-[var(--petrol)]"
        checked={checked}
        onChange={onChoose}
      />
      <span>
        {label}
        {hint && <span className="block text-[13.5px] text-soft">{hint}</span>}
      </span>
    </label>
  );
}
