import { memo, useEffect, useMemo, useRef } from 'react';
import { notCountedWords } from '@/core/scoring/words';
import { LongRows, type GoTo } from '@/ui/widgets/layout/LongRows';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { points } from '@/ui/words/figures';
import type { CheckRow, CheckTable } from '@/workers/classDesk';
import type { ViewProps } from '../viewProps';
import type { After } from '../effect/after';
import { BeforeAfter } from '../effect/BeforeAfter';
import { CellPies } from '../CellPies';
import { spokenCell } from '../cellWords';
import { totalColumn, type Place } from '../rows';

interface RowProps {
  readonly row: CheckRow;
  readonly index: number;
  readonly measure: (element: Element | null) => void;
  /** The column at hand, where it is in this row. */
  readonly hand: number | null;
  readonly questions: CheckTable['questions'];
  readonly after: After;
  readonly onPlace: (place: Place) => void;
}

const Row = memo(function Row({ row, index, measure, hand, questions, after, onPlace }: RowProps) {
  const { attemptId, notCounted } = row;
  const column = totalColumn(row);
  const { score, outOf, waiting, late } = row.total;
  const next = after.total(attemptId);
  const press = (at: number) => () => onPlace({ attemptId, column: at });
  return (
    <li
      ref={measure}
      data-index={index}
      className={`beneath-head border-b border-hair px-3 pt-2 pb-1 ${hand === null ? '' : 'bg-wash'}`}
    >
      <button
        type="button"
        data-cell={`${attemptId}:${column}`}
        tabIndex={hand === column ? 0 : -1}
        aria-pressed={hand === column}
        className="flex min-h-8 w-full items-baseline gap-3 px-1 text-left"
        onClick={press(column)}
      >
        <span className="min-w-0 flex-1 font-semibold">
          <StudentName name={row.name} apart={row.apart} />
          {row.of > 1 && <span className="caption"> · attempt {row.number}</span>}
        </span>
        <span
          className={`figures whitespace-nowrap ${notCounted ? 'text-soft line-through' : ''}`}
          title={notCounted ? `Does not count: ${notCountedWords(notCounted)}` : undefined}
        >
          {late && <span className="text-[13px] text-saffron-text">late · </span>}
          <strong className={hand === column ? 'underline' : ''}>
            <BeforeAfter now={score} after={next?.score ?? null} />
          </strong>{' '}
          <span className="text-soft">
            of <BeforeAfter now={outOf} after={next?.outOf ?? null} />
          </span>
          {waiting.n > 0 && (
            <span className="block text-right text-[12.5px] font-medium text-saffron-text">
              +{points(waiting)} not marked yet
            </span>
          )}
        </span>
      </button>
      <div className="flex flex-wrap">
        {row.cells.map((cell, at) => {
          const changed = after.cell(attemptId, at);
          return (
            <button
              key={at}
              type="button"
              data-cell={`${attemptId}:${at}`}
              tabIndex={hand === at ? 0 : -1}
              aria-label={spokenCell(cell, changed)}
              aria-pressed={hand === at}
              className={`flex h-9 ${changed ? 'min-w-[52px] bg-wash' : 'w-[30px]'} items-center justify-center rounded ${
                hand === at ? 'bg-paper outline-2 -outline-offset-2 outline-saffron' : ''
              }`}
              onClick={press(at)}
            >
              <CellPies cell={cell} after={changed} possible={questions[at]?.points ?? cell.earned} />
            </button>
          );
        })}
      </div>
    </li>
  );
});

/** The same as the table where there is no room for one: each student with the discs of all answers below the name. */
export function CheckList({ table, rows, place, went, after, onPlace, onKey }: ViewProps) {
  const box = useRef<HTMLDivElement>(null);
  const index = rows.findIndex(({ attemptId }) => attemptId === place.attemptId);
  const goTo = useMemo((): GoTo | null => (went === 0 ? null : { index, times: went }), [index, went]);
  const cell = `${place.attemptId}:${place.column}`;
  useEffect(() => {
    if (went > 0)
      box.current?.querySelector<HTMLElement>(`[data-cell="${cell}"]`)?.focus({ preventScroll: true });
    // The focus goes with moves only, not whenever something else is redrawn.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [went]);
  return (
    <div
      ref={box}
      role="group"
      aria-label="Scores"
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey) return;
        if (onKey(event.key)) event.preventDefault();
      }}
    >
      <LongRows
        rows={rows}
        as="list"
        height={82}
        keyOf={({ attemptId }) => attemptId}
        goTo={goTo}
        draw={(row, at) => (
          <Row
            key={row.attemptId}
            row={row}
            hand={place.attemptId === row.attemptId ? place.column : null}
            questions={table.questions}
            after={after}
            onPlace={onPlace}
            {...at}
          />
        )}
      />
    </div>
  );
}
