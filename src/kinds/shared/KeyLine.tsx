import { X } from '@/ui/widgets/icons';
import type { ReactNode } from 'react';
import type { Feedback } from '@/core/content/feedback';
import { ONE, ZERO, type Fraction } from '@/core/figures/fraction';
import { FeedbackField } from '@/ui/editing/FeedbackField';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';

interface DiscProps {
  readonly credit: Fraction;
  readonly name: string;
  readonly onToggle: () => void;
}

/** The disc before something that can be right, pressed to make it right or wrong. */
export const Disc = ({ credit, name, onToggle }: DiscProps) => (
  <button
    type="button"
    className="icon-button"
    aria-pressed={credit.n > 0}
    aria-label={`${name} is right`}
    title={credit.n > 0 ? 'Mark as wrong' : 'Mark as right'}
    onClick={onToggle}
  >
    <CreditPie credit={credit} label="" />
  </button>
);

/** The disc of something that is right or not, without a credit of its own. */
export const creditOf = (right: boolean): Fraction => (right ? ONE : ZERO);

interface Props {
  /** What the line is called, as in “Credit for delta”. */
  readonly name: string;
  /** What stands before it: a disc, or its number in a sequence. */
  readonly mark: ReactNode;
  /** What is compared with an answer. */
  readonly children: ReactNode;
  /** A figure that belongs to it. */
  readonly figure?: ReactNode;
  readonly feedback?: Feedback;
  readonly onFeedback?: (feedback: Feedback) => void;
  /** What is read by who did not choose it; absent where that cannot be. */
  readonly missed?: Feedback | undefined;
  readonly onMissed?: (feedback: Feedback) => void;
  readonly placeholder?: string | undefined;
  /** Further buttons, before the one that deletes. */
  readonly buttons?: ReactNode;
  /** Absent where the line cannot be deleted. */
  readonly onRemove?: () => void;
}

/** A line of a key: what it holds, what it earns, what the student then reads. */
export function KeyLine(props: Props) {
  const { name, mark, children, figure, feedback, onFeedback, placeholder, buttons, onRemove } = props;
  const { missed, onMissed } = props;
  return (
    <li className="key-row border-b border-dotted border-line py-1.5">
      {mark}
      {children}
      <div>{figure}</div>
      <div className="key-feedback">
        {feedback && onFeedback && (
          <FeedbackField value={feedback} about={name} placeholder={placeholder} onChange={onFeedback} />
        )}
        {missed && onMissed && (
          <FeedbackField
            value={missed}
            about={`${name} if it is missed`}
            placeholder="If it is missed"
            onChange={onMissed}
          />
        )}
      </div>
      <div className="flex justify-end">
        {buttons}
        {onRemove && (
          <button type="button" className="icon-button" aria-label={`Delete ${name}`} onClick={onRemove}>
            <X size={15} aria-hidden />
          </button>
        )}
      </div>
    </li>
  );
}
