import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Feedback } from '@/core/content/feedback';
import type { Fraction } from '@/core/figures/fraction';
import { CreditPie } from '@/ui/widgets/CreditPie';
import { FeedbackField } from '@/ui/editing/FeedbackField';
import { PercentField } from '@/ui/widgets/PercentField';

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
  readonly onRemove: () => void;
  /** Where the disc is pressed to make the entry right or wrong. */
  readonly onToggle?: () => void;
  readonly placeholder?: string;
  /** What is compared with an answer. */
  readonly children: ReactNode;
  /** Further buttons, before the one that deletes. */
  readonly buttons?: ReactNode;
}

/** A row of a key: what it holds, what it earns, what the student then reads. */
export function KeyRow<One extends Entry>(props: Props<One>) {
  const { entry, name, onChange, onRemove, onToggle, placeholder, children, buttons } = props;
  const right = entry.credit.n > 0;
  return (
    <li className="key-row border-b border-dotted border-line py-1.5">
      {onToggle ? (
        <button
          type="button"
          className="icon-button"
          aria-pressed={right}
          aria-label={`${name} is right`}
          title={right ? 'Mark as wrong' : 'Mark as right'}
          onClick={onToggle}
        >
          <CreditPie credit={entry.credit} label="" />
        </button>
      ) : (
        <span className="pt-1 pl-1.5">
          <CreditPie credit={entry.credit} label="" />
        </span>
      )}
      {children}
      <PercentField
        value={entry.credit}
        label={`Credit for ${name}`}
        className="plain-field !w-10 font-semibold"
        onChange={(credit) => onChange({ ...entry, credit })}
      />
      <div className="key-feedback">
        <FeedbackField
          value={entry.feedback}
          about={name}
          placeholder={placeholder}
          onChange={(feedback) => onChange({ ...entry, feedback })}
        />
      </div>
      <div className="flex justify-end">
        {buttons}
        <button type="button" className="icon-button" aria-label={`Delete ${name}`} onClick={onRemove}>
          <X size={15} aria-hidden />
        </button>
      </div>
    </li>
  );
}
