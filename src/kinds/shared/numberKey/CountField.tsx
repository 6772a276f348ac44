interface Props {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly onChange: (value: number) => void;
}

/** A whole number up to 20, as part of a sentence. */
export const CountField = ({ label, value, least, onChange }: Props) => (
  <input
    type="number"
    className="sentence-part figures !w-14 text-center"
    aria-label={label}
    min={least}
    max={20}
    step={1}
    value={value}
    onChange={(event) => {
      const typed = event.target.valueAsNumber;
      if (Number.isInteger(typed) && typed >= least && typed <= 20) onChange(typed);
    }}
  />
);
