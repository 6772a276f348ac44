import type { ReactNode } from 'react';
import type { HandRow } from './handRow';

interface Props {
  readonly row: HandRow;
  /** What the row is called, as in “delta”. */
  readonly name: string;
  readonly children: ReactNode;
}

/** What the row in hand can do, as words below it: out of reach while another one is in hand. */
export const RowTools = ({ row, name, children }: Props) =>
  (row.inHand || row.keepsRoom) && (
    <div role="group" aria-label={`For ${name}`} className={`row-tools ${row.inHand ? '' : 'invisible'}`}>
      {children}
    </div>
  );

interface ToolProps {
  readonly words: string;
  /** What it is done to, for whoever cannot see where it stands: “ for delta”. */
  readonly to: string;
  /** For what is on or off. */
  readonly pressed?: boolean;
  readonly onPress: () => void;
}

/** One thing that a row can do. */
export const Tool = ({ words, to, pressed, onPress }: ToolProps) => (
  <button type="button" className="row-tool" aria-pressed={pressed} onClick={onPress}>
    {words}
    <span className="sr-only"> {to}</span>
  </button>
);

interface MoveProps {
  readonly name: string;
  readonly onMove: (by: -1 | 1) => void;
}

/** One place towards the beginning or the end of a list. */
export const MoveTools = ({ name, onMove }: MoveProps) => (
  <>
    <Tool words="Move up" to={name} onPress={() => onMove(-1)} />
    <Tool words="Move down" to={name} onPress={() => onMove(1)} />
  </>
);
