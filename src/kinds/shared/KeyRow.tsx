import type { ReactNode } from 'react';
import type { Feedback } from '@/core/content/feedback';
import type { Fraction } from '@/core/figures/fraction';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { percent } from '@/ui/words/figures';
import { useLeastCredit } from './parts/leastCredit';
import { Disc, KeyLine } from './KeyLine';

/** One entry of a key that earns something and says something. */
interface Entry {
  readonly credit: Fraction;
  readonly feedback: Feedback;
}

interface Props<One extends Entry> {
  readonly entry: One;
  /** What the entry is called, as in “Credit for delta”. */
  readonly name: string;
  readonly onChange: (entry: One) => void;
  /** Absent where it cannot be deleted. */
  readonly onRemove?: () => void;
  /** Where the disc is pressed to make the entry right or wrong. */
  readonly onToggle?: () => void;
  /** What is read by who did not choose it; absent where that cannot be. */
  readonly missed?: Feedback | undefined;
  readonly onMissed?: (feedback: Feedback) => void;
  readonly placeholder?: string;
  /** What is compared with an answer. */
  readonly children: ReactNode;
  /** What else can be done with it. */
  readonly tools?: ReactNode;
}

/** True for what is neither wholly right nor worth nothing: its disc does not say how much it is. */
export const isPart = ({ n, d }: Fraction): boolean => n !== 0 && n !== d;

interface WorthProps {
  readonly words?: string;
  readonly label: string;
  readonly value: Fraction;
  readonly least: number;
  readonly onChange: (value: Fraction) => void;
}

/** What a line is worth, as it is changed. */
export const Worth = ({ words = 'worth', label, value, least, onChange }: WorthProps) => (
  <span className="whitespace-nowrap">
    {words}{' '}
    <PercentField
      value={value}
      label={label}
      className="sentence-part font-semibold"
      least={least}
      onChange={onChange}
    />
  </span>
);

/** A line of a key whose entry has a credit of its own. */
export function KeyRow<One extends Entry>(props: Props<One>) {
  const { entry, name, onChange, onToggle, children, ...more } = props;
  const least = useLeastCredit();
  const disc = onToggle ? (
    <Disc credit={entry.credit} name={name} onToggle={onToggle} />
  ) : (
    <span className="pt-1 pl-1.5">
      <CreditPie credit={entry.credit} label="" />
    </span>
  );
  return (
    <KeyLine
      {...more}
      name={name}
      mark={disc}
      figure={isPart(entry.credit) && percent(entry.credit)}
      worth={
        <Worth
          label={`Points for ${name}`}
          value={entry.credit}
          least={least}
          onChange={(credit) => onChange({ ...entry, credit })}
        />
      }
      feedback={entry.feedback}
      onFeedback={(feedback) => onChange({ ...entry, feedback })}
    >
      {children}
    </KeyLine>
  );
}
