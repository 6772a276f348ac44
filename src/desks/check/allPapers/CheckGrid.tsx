import { classesOf } from '@/ui/teacher/circles';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef } from 'react';
import { shareAfter, sumsAfter } from '../effect/after';
import { sumsOf } from '../rows';
import type { ViewProps } from '../viewProps';
import { usePrinting } from '@/ui/widgets/layout/usePrinting';
import { DRAW_ALL_COLUMNS, widthsOf } from './columns';
import { GridFoot } from './GridFoot';
import { GridHead } from './GridHead';
import { GridRow } from './GridRow';
import { useFocusAt } from './useFocusAt';

const ROW_HEIGHT = 37;
/** Up to this many rows are drawn all at once: the browser's own search and a screen reader then find each. */
const DRAW_ALL = 60;

const Gap = ({ height }: { readonly height: number }) =>
  height > 0 ? (
    <tr aria-hidden>
      <td style={{ height, padding: 0 }} />
    </tr>
  ) : null;

/** Students × questions as credit pies with totals; of a big class only the rows in view are drawn. Arrow keys go from cell to cell. */
export function CheckGrid(props: ViewProps) {
  const { table, rows, columns, place, went, sort, onSort, onPlace, onKey, after } = props;
  const classOf = useMemo(() => classesOf(table.circles), [table.circles]);
  const sums = useMemo(() => sumsOf(rows, table.questions.length), [rows, table.questions.length]);
  const next = useMemo(() => sumsAfter(rows, sums, after), [rows, sums, after]);
  const shares = useMemo(
    () => new Map([...after.columns].map((column) => [column, shareAfter(rows, column, after)])),
    [rows, after],
  );
  const box = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: rows.length <= DRAW_ALL ? DRAW_ALL : 3,
    scrollPaddingStart: 64,
    useFlushSync: false,
  });
  const widths = useMemo(() => widthsOf(table, columns, after), [table, columns, after]);
  const across = useVirtualizer({
    horizontal: true,
    count: columns.length,
    enabled: columns.length > DRAW_ALL_COLUMNS,
    getScrollElement: () => box.current,
    estimateSize: (at) => widths[at + 1] ?? 50,
    overscan: 1,
    scrollPaddingStart: 200,
    scrollPaddingEnd: 220,
    useFlushSync: false,
  });
  useEffect(() => across.measure(), [across, widths]);
  const shown = across.getVirtualItems();
  const printing = usePrinting();
  const [from, to] =
    columns.length > DRAW_ALL_COLUMNS && !printing
      ? [shown[0]?.index ?? 0, (shown.at(-1)?.index ?? 0) + 1]
      : [0, columns.length];
  const inView = virtual.getVirtualItems();
  const drawn = printing ? rows.map((_, index) => ({ index })) : inView;
  // A row that leaves the view hands its elements to one that enters: scrolling makes no garbage.
  const slots = useRef(1);
  slots.current = Math.max(slots.current, drawn.length);
  useFocusAt({ box, rows, columns, place, virtual, across, went });
  return (
    <>
      <div
        ref={box}
        tabIndex={-1}
        className="max-h-[max(420px,calc(100dvh-250px))] overflow-auto overscroll-contain outline-none print:max-h-none print:overflow-visible"
        onKeyDown={(event) => {
          if (event.ctrlKey || event.metaKey || event.altKey) return;
          if (onKey(event.key)) event.preventDefault();
        }}
      >
        {/* Widths are told, not found: a browser that measures every cell cannot scroll a large class. */}
        <table
          className="w-full table-fixed border-collapse"
          style={{ minWidth: widths.reduce((sum, width) => sum + width, 0) }}
          role="grid"
          aria-label="Scores"
          aria-rowcount={rows.length + 2}
          aria-colcount={columns.length + 2 + (table.several ? 1 : 0)}
        >
          <colgroup>
            {widths.map((width, at) => (
              <col key={at} style={{ width: `${width}px` }} />
            ))}
          </colgroup>
          <GridHead {...{ table, columns, sort, onSort, after, shares, from, to }} />
          <tbody>
            <Gap height={printing ? 0 : (inView[0]?.start ?? 0)} />
            {drawn.map(({ index }) => {
              const row = rows[index];
              return row ? (
                <GridRow
                  key={index % slots.current}
                  row={row}
                  index={index}
                  columns={columns}
                  from={from}
                  to={to}
                  hand={place.attemptId === row.attemptId ? place.column : null}
                  several={table.several}
                  ofClass={classOf?.get(row.studentId) ?? ''}
                  questions={table.questions}
                  after={after}
                  onPlace={onPlace}
                />
              ) : null;
            })}
            <Gap height={printing ? 0 : virtual.getTotalSize() - (inView.at(-1)?.end ?? 0)} />
          </tbody>
          <GridFoot {...{ table, columns, place, onPlace, sums, sumsAfter: next, from, to }} />
        </table>
      </div>
      <p className="caption px-6 pt-3 print:hidden">
        Below each number: its points and the class mean
        {rows.length < table.rows.length && ' of the papers shown'}; click to sort. Dot: worth a look.
        Triangle: your own score. Press <kbd>?</kbd> for the keys.
      </p>
    </>
  );
}
