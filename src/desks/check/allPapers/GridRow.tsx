import { memo } from 'react';
import type { CellAfter } from '@/core/checking/effectCells';
import { equal, ZERO, type Fraction } from '@/core/figures/fraction';
import { notCountedWords } from '@/core/scoring/words';
import { points } from '@/ui/words/figures';
import type { CheckCell, CheckRow, CheckTable } from '@/workers/classDesk';
import type { After } from '../effect/after';
import { BeforeAfter } from '../effect/BeforeAfter';
import { CellPies } from '../CellPies';
import { spokenCell } from '../cellWords';
import { totalColumn, type Place } from '../rows';
import { cellClass } from './cellClass';
import { Beside, questionId, TOTAL_ID } from './columns';

interface CellProps {
  readonly cell: CheckCell;
  readonly after: CellAfter | null;
  readonly possible: Fraction;
  readonly attemptId: string;
  readonly column: number;
  /** The place of its column among those that are shown, the first being 0. */
  readonly place: number;
  readonly here: boolean;
  readonly onPlace: (place: Place) => void;
}

function Cell({ cell, after, possible, attemptId, column, place, here, onPlace }: CellProps) {
  return (
    <td role="gridcell" className="p-0" aria-colindex={place + 2}>
      <button
        type="button"
        data-cell={`${attemptId}:${column}`}
        tabIndex={here ? 0 : -1}
        className={`${cellClass(here)} ${after ? 'bg-wash' : ''}`}
        aria-label={spokenCell(cell, after)}
        aria-describedby={`of-${attemptId} ${questionId(column)}`}
        aria-pressed={here}
        title={cell.answer}
        onClick={() => onPlace({ attemptId, column })}
      >
        <CellPies cell={cell} after={after} possible={possible} />
      </button>
    </td>
  );
}

interface RowProps {
  readonly row: CheckRow;
  readonly index: number;
  readonly columns: readonly number[];
  /** Those that are drawn: from one place in the columns until before another. */
  readonly from: number;
  readonly to: number;
  /** The column at hand, where it is in this row. */
  readonly hand: number | null;
  readonly several: boolean;
  /** The class, where there are several; empty where there is one alone. */
  readonly ofClass: string;
  readonly questions: CheckTable['questions'];
  readonly after: After;
  readonly onPlace: (place: Place) => void;
}

/** The recorded score, beside the attempt that stands for the student. */
function RecordedScore({ row }: { readonly row: CheckRow }) {
  const { recorded, stands, of } = row;
  if (!recorded) return <span className="text-soft">–</span>;
  const shown = stands || (recorded.counted === null && row.number === of);
  return shown ? <span className="font-semibold">{points(recorded.score)}</span> : null;
}

/** One paper: its answers and its total. */
export const GridRow = memo(function GridRow({
  row,
  index,
  columns,
  from,
  to,
  hand,
  several,
  ofClass,
  questions,
  after,
  onPlace,
}: RowProps) {
  const { attemptId, notCounted } = row;
  const column = totalColumn(row);
  const { score, outOf, waiting, late } = row.total;
  const next = after.total(attemptId);
  return (
    <tr className="border-b border-hair" aria-rowindex={index + 2}>
      <th
        scope="row"
        id={`of-${attemptId}`}
        aria-colindex={1}
        className="sticky left-0 z-[1] truncate bg-paper py-0 pr-3 pl-6 text-left font-medium"
      >
        {row.name}
        {row.apart && <span className="caption figures ml-1.5">{row.apart}</span>}
        {ofClass && <span className="caption ml-1.5">{ofClass}</span>}
        {row.of > 1 && <span className="caption"> · {row.number}</span>}
      </th>
      <Beside columns={from} />
      {columns.slice(from, to).map((at, drawn) => {
        const cell = row.cells[at];
        if (!cell) return null;
        return (
          <Cell
            key={at}
            after={after.cell(attemptId, at)}
            here={hand === at}
            column={at}
            place={from + drawn}
            possible={questions[at]?.points ?? ZERO}
            {...{ cell, attemptId, onPlace }}
          />
        );
      })}
      <Beside columns={columns.length - to} />
      <td
        role="gridcell"
        aria-colindex={columns.length + 2}
        className={`${several ? '' : 'sticky right-0'} z-[1] bg-paper p-0`}
      >
        <button
          type="button"
          data-cell={`${attemptId}:${column}`}
          tabIndex={hand === column ? 0 : -1}
          className={`${cellClass(hand === column)} figures !justify-end gap-2 pr-6 pl-3 ${notCounted ? 'text-soft line-through' : 'font-semibold'} ${next ? 'bg-wash' : ''}`}
          aria-pressed={hand === column}
          aria-describedby={`of-${attemptId} ${TOTAL_ID}`}
          title={notCounted ? `Does not count: ${notCountedWords(notCounted)}` : undefined}
          onClick={() => onPlace({ attemptId, column })}
        >
          {late && <span className="text-[12.5px] font-medium text-saffron-text">late</span>}
          {waiting.n > 0 && (
            <span className="text-[12.5px] font-medium whitespace-nowrap text-saffron-text">
              +{points(waiting)} not marked yet
            </span>
          )}
          <BeforeAfter now={score} after={next?.score ?? null} />
          {next && !equal(next.outOf, outOf) && (
            <span className="text-[12.5px] font-medium whitespace-nowrap text-soft">
              of {points(next.outOf)}
            </span>
          )}
        </button>
      </td>
      {several && (
        <td
          role="gridcell"
          aria-colindex={columns.length + 3}
          className="figures sticky right-0 z-[1] bg-paper pr-6 pl-2 text-right"
        >
          <RecordedScore row={row} />
        </td>
      )}
    </tr>
  );
});
