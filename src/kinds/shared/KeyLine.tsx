import { useState, type ReactNode } from 'react';
import type { Feedback } from '@/core/content/feedback';
import { isSilent } from '@/core/content/silence';
import { ONE, ZERO, type Fraction } from '@/core/figures/fraction';
import { FeedbackField } from '@/ui/editing/FeedbackField';
import { FormulaButton } from '@/ui/editing/formula/FormulaInFields';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { useHandRow, type HandRow } from './handRow';
import { RowTools, Tool } from './RowTools';

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

interface SaidProps {
  readonly feedback: Feedback | undefined;
  readonly onFeedback: ((feedback: Feedback) => void) | undefined;
  /** Whether a press that asks for the field can be seen, so that it may be empty. */
  readonly near: boolean;
}

/** Whether something that may be said has its field: once it is asked for, and as long as it says anything. */
function useSaid({ feedback, onFeedback, near }: SaidProps) {
  const [asked, setAsked] = useState(false);
  // Left empty, it is folded with its row, and does not take the focus when the row is taken again.
  if (asked && !near) setAsked(false);
  const silent = !feedback || isSilent(feedback);
  const can = feedback !== undefined && onFeedback !== undefined;
  return {
    open: can && (!silent || (asked && near)),
    offered: can && silent && !asked,
    asked,
    ask: () => setAsked(true),
  };
}

interface SaysProps {
  /** What the line is called, as in “Credit for delta”. */
  readonly name: string;
  /** Where its worth is changed, first of what it can do. */
  readonly worth?: ReactNode;
  readonly feedback?: Feedback | undefined;
  readonly onFeedback?: (feedback: Feedback) => void;
  /** What is read by who did not choose it; absent where that cannot be. */
  readonly missed?: Feedback | undefined;
  readonly onMissed?: (feedback: Feedback) => void;
  readonly placeholder?: string | undefined;
  /** What else can be done with it. */
  readonly tools?: ReactNode;
  /** From where it is taken out, where it may stand elsewhere as well: “from lakes”. */
  readonly removeTo?: string;
  /** Absent where the line cannot be deleted. */
  readonly onRemove?: (() => void) | undefined;
}

/** What a line says to students, and below it what can be done with the line while it is in hand. */
export function Said({ row, ...props }: SaysProps & { readonly row: HandRow }) {
  const { name, worth, feedback, onFeedback, missed, onMissed, placeholder, tools } = props;
  const { removeTo, onRemove } = props;
  const near = row.inHand || row.keepsRoom;
  const said = useSaid({ feedback, onFeedback, near });
  const saidMissed = useSaid({ feedback: missed, onFeedback: onMissed, near });
  const can = [worth, feedback, tools, onRemove].some((one) => one !== undefined);
  return (
    <>
      {feedback && onFeedback && said.open && (
        <FeedbackField
          value={feedback}
          about={name}
          placeholder={placeholder}
          autoFocus={said.asked}
          onChange={onFeedback}
        />
      )}
      {missed && onMissed && saidMissed.open && (
        <FeedbackField
          value={missed}
          about={`${name} if it is missed`}
          placeholder="Feedback if it is missed"
          autoFocus={saidMissed.asked}
          onChange={onMissed}
        />
      )}
      {can && (
        <RowTools row={row} name={name}>
          {worth}
          {said.offered && <Tool words="Feedback" to={`for ${name}`} onPress={said.ask} />}
          {saidMissed.offered && (
            <Tool words="Feedback if missed" to={`for ${name}`} onPress={saidMissed.ask} />
          )}
          {tools}
          <FormulaButton />
          {onRemove && (
            <Tool
              words={removeTo === undefined ? 'Delete' : 'Take out'}
              to={removeTo === undefined ? name : `${name} ${removeTo}`}
              onPress={onRemove}
            />
          )}
        </RowTools>
      )}
    </>
  );
}

interface Props extends SaysProps {
  /** What stands before it: a disc, or its number in a sequence; null for nothing. */
  readonly mark: ReactNode;
  /** What is compared with an answer. */
  readonly children: ReactNode;
  /** What it is worth where that is not seen from its disc: stays at its end. */
  readonly figure?: ReactNode;
}

/**
 * A line of a key: at rest its words, its disc and what it holds; in hand, what it is worth, what is said to a student, and
 * what can be done with it.
 */
export function KeyLine({ mark, children, figure, ...says }: Props) {
  const row = useHandRow();
  return (
    <li className={`key-row ${row.inHand ? 'key-row-in-hand' : ''}`} {...row.taking}>
      {mark ?? <span />}
      <div className="key-words">{children}</div>
      <div className="key-figure">{figure}</div>
      <div className="key-said">
        <Said row={row} {...says} />
      </div>
    </li>
  );
}
