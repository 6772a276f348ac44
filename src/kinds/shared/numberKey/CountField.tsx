import { WholeField } from '@/ui/widgets/fields/WholeField';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly onChange: (value: number) => void;
}

const MOST = 20;

/** A whole number up to 20, as part of a sentence. */
export const CountField = ({ label, value, least, onChange }: Props) => (
  <WholeField
    className="sentence-part figures !w-14 text-center"
    label={label}
    value={value}
    fits={(typed) => typed >= least && typed <= MOST}
    hint={`A whole number from ${least} to ${MOST}`}
    onChange={onChange}
  />
);
