import { CreditPie } from '@/ui/CreditPie';
import { points } from '@/ui/figures';
import type { CheckCell, CheckRow, CheckTable } from '@/workers/classDesk';
import type { Place } from './rows';

interface Props {
  readonly table: CheckTable;
  readonly rows: readonly CheckRow[];
  readonly place: Place;
  readonly onPlace: (place: Place) => void;
  /** A key pressed in the table; true where it was one that is known. */
  readonly onKey: (key: string) => boolean;
}

const STATES = {
  right: 'right',
  partly: 'partly right',
  wrong: 'wrong',
  waits: 'waits for you',
  blank: 'nothing given',
};

const spoken = (cell: CheckCell, number: number): string =>
  `Question ${number}: ${STATES[cell.verdict]}, ${points(cell.earned)} points${cell.override ? ', your own score' : ''}${cell.answer ? `, “${cell.answer}”` : ''}`;

const cellClass = (here: boolean): string =>
  `flex h-9 w-full cursor-pointer items-center justify-center ${here ? 'bg-wash outline-2 -outline-offset-2 outline-saffron' : 'hover:bg-base-200'}`;

interface RowProps {
  readonly row: CheckRow;
  readonly place: Place;
  readonly onPlace: (place: Place) => void;
}

function Row({ row, place, onPlace }: RowProps) {
  const { attemptId } = row;
  const here = (column: number) => place.attemptId === attemptId && place.column === column;
  const totalColumn = row.cells.length;
  const { score, waiting } = row.total;
  return (
    <tr className="border-b border-hair">
      <th
        scope="row"
        className="sticky left-0 z-[1] max-w-48 min-w-36 truncate bg-paper py-0 pr-3 pl-6 text-left font-medium"
      >
        {row.name}
      </th>
      {row.cells.map((cell, column) => (
        <td key={column} className="p-0">
          <button
            type="button"
            data-cell={`${attemptId}:${column}`}
            tabIndex={here(column) ? 0 : -1}
            className={cellClass(here(column))}
            aria-label={spoken(cell, column + 1)}
            aria-pressed={here(column)}
            title={cell.answer}
            onClick={() => onPlace({ attemptId, column })}
          >
            <CreditPie
              credit={cell.credit}
              verdict={cell.verdict}
              overridden={cell.override !== null}
              label=""
            />
            {(cell.override ? cell.override.differs : cell.nearMiss !== null || cell.contradiction) && (
              <span className="near-mark" aria-hidden />
            )}
          </button>
        </td>
      ))}
      <td className="sticky right-0 z-[1] bg-paper p-0">
        <button
          type="button"
          data-cell={`${attemptId}:${totalColumn}`}
          tabIndex={here(totalColumn) ? 0 : -1}
          className={`${cellClass(here(totalColumn))} figures !justify-end gap-2 pr-6 pl-3 font-semibold`}
          aria-pressed={here(totalColumn)}
          onClick={() => onPlace({ attemptId, column: totalColumn })}
        >
          {waiting.n > 0 && (
            <span className="text-[12.5px] font-medium whitespace-nowrap text-saffron-text">
              +{points(waiting)} to come
            </span>
          )}
          {points(score)}
        </button>
      </td>
    </tr>
  );
}

/** Students × questions as credit pies with totals. Arrow keys go from cell to cell. */
export function CheckGrid({ table, rows, place, onPlace, onKey }: Props) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse" aria-label="Scores">
        <thead>
          <tr className="border-b border-line align-bottom">
            <th className="sticky left-0 z-[1] w-44 bg-paper pb-2 pl-6 text-left">
              <span className="label-small">Student</span>
            </th>
            {table.questions.map((question, index) => (
              <th key={question.id} className="px-1 pb-2 font-normal" title={question.title}>
                <span className="block font-title text-[15px] font-semibold">{index + 1}</span>
                <span className="caption figures block leading-tight">
                  {points(question.points)}{' '}
                  {question.points.n === 1 && question.points.d === 1 ? 'pt' : 'pts'}
                </span>
                <span className="figures block text-[12px] text-soft">
                  {question.share === null ? '–' : `${Math.round(question.share * 100)} %`}
                </span>
              </th>
            ))}
            <th className="sticky right-0 z-[1] w-36 bg-paper pr-6 pb-2 pl-3 text-right">
              <span className="block font-title text-[15px] font-semibold">Total</span>
              <span className="caption figures block font-normal">of {points(table.outOf)}</span>
            </th>
          </tr>
        </thead>
        <tbody
          onKeyDown={(event) => {
            if (event.ctrlKey || event.metaKey || event.altKey) return;
            if (onKey(event.key)) event.preventDefault();
          }}
        >
          {rows.map((row) => (
            <Row key={row.attemptId} row={row} place={place} onPlace={onPlace} />
          ))}
        </tbody>
      </table>
      <p className="caption px-6 pt-3">
        Under each number: its points, and the mean share of them that was earned. A dot marks a near miss, an
        answer that holds two variants, or an own score that marking would now give differently; a foot marks
        your own score. Arrow keys go from cell to cell; N and B to the next and previous one that is wrong or
        waits; A, P, W and H put it right.
      </p>
    </div>
  );
}
