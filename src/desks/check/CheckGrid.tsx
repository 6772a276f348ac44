import { useVirtualizer, type Virtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useLayoutEffect, useRef, type RefObject } from 'react';
import { notCountedWords } from '@/core/scoring/words';
import { CreditPie } from '@/ui/widgets/CreditPie';
import { percent, points, pointWord } from '@/ui/words/figures';
import type { CheckCell, CheckRow, CheckTable } from '@/workers/classDesk';
import { isMarked, spokenCell } from './cellWords';
import { totalColumn, type Place } from './rows';

/** What a view of all papers is given: the table and the list alike. */
export interface CheckTableProps {
  readonly table: CheckTable;
  readonly rows: readonly CheckRow[];
  readonly place: Place;
  /** Grows whenever a place was gone to by key: it is brought into view and gets the focus. */
  readonly went: number;
  readonly onPlace: (place: Place) => void;
  /** A key pressed in the table; true where it was one that is known. */
  readonly onKey: (key: string) => boolean;
}

const ROW_HEIGHT = 37;
/** Up to this many rows are drawn all at once: the browser's own search and a screen reader then find each. */
const DRAW_ALL = 60;

const cellClass = (here: boolean): string =>
  `flex h-9 w-full cursor-pointer items-center justify-center ${here ? 'bg-wash outline-2 -outline-offset-2 outline-saffron' : 'hover:bg-base-200'}`;

interface CellProps {
  readonly cell: CheckCell;
  readonly attemptId: string;
  readonly column: number;
  readonly here: boolean;
  readonly onPlace: (place: Place) => void;
}

function Cell({ cell, attemptId, column, here, onPlace }: CellProps) {
  const marked = isMarked(cell);
  return (
    <td className="p-0">
      <button
        type="button"
        data-cell={`${attemptId}:${column}`}
        tabIndex={here ? 0 : -1}
        className={cellClass(here)}
        aria-label={spokenCell(cell)}
        aria-pressed={here}
        title={cell.answer}
        onClick={() => onPlace({ attemptId, column })}
      >
        <CreditPie credit={cell.credit} verdict={cell.verdict} overridden={cell.override !== null} label="" />
        {marked && <span className="near-mark" aria-hidden />}
      </button>
    </td>
  );
}

interface RowProps {
  readonly row: CheckRow;
  readonly index: number;
  /** The column at hand, where it is in this row. */
  readonly hand: number | null;
  readonly several: boolean;
  readonly onPlace: (place: Place) => void;
}

/** The recorded score, beside the attempt that stands for the student. */
function RecordedScore({ row }: { readonly row: CheckRow }) {
  const { recorded, stands, of } = row;
  if (!recorded) return <span className="text-soft">–</span>;
  const shown = stands || (recorded.counted === null && row.number === of);
  return shown ? <span className="font-semibold">{points(recorded.score)}</span> : null;
}

const Row = memo(function Row({ row, index, hand, several, onPlace }: RowProps) {
  const { attemptId, notCounted } = row;
  const column = totalColumn(row);
  const { score, waiting, late } = row.total;
  return (
    <tr className="border-b border-hair" aria-rowindex={index + 2}>
      <th
        scope="row"
        className="sticky left-0 z-[1] max-w-56 min-w-36 truncate bg-paper py-0 pr-3 pl-6 text-left font-medium"
      >
        {row.name}
        {row.apart && <span className="caption figures ml-1.5">{row.apart}</span>}
        {row.of > 1 && <span className="caption"> · {row.number}</span>}
      </th>
      {row.cells.map((cell, at) => (
        <Cell key={at} cell={cell} attemptId={attemptId} column={at} here={hand === at} onPlace={onPlace} />
      ))}
      <td className={`${several ? '' : 'sticky right-0'} z-[1] bg-paper p-0`}>
        <button
          type="button"
          data-cell={`${attemptId}:${column}`}
          tabIndex={hand === column ? 0 : -1}
          className={`${cellClass(hand === column)} figures !justify-end gap-2 pr-6 pl-3 ${notCounted ? 'text-soft line-through' : 'font-semibold'}`}
          aria-pressed={hand === column}
          title={notCounted ? `Does not count: ${notCountedWords(notCounted)}` : undefined}
          onClick={() => onPlace({ attemptId, column })}
        >
          {late && <span className="text-[12.5px] font-medium text-saffron-text">late</span>}
          {waiting.n > 0 && (
            <span className="text-[12.5px] font-medium whitespace-nowrap text-saffron-text">
              +{points(waiting)} to come
            </span>
          )}
          {points(score)}
        </button>
      </td>
      {several && (
        <td className="figures sticky right-0 z-[1] bg-paper pr-6 pl-2 text-right">
          <RecordedScore row={row} />
        </td>
      )}
    </tr>
  );
});

function Head({ table }: { readonly table: CheckTable }) {
  const { questions, outOf, several } = table;
  return (
    <thead className="sticky top-0 z-[2] bg-paper">
      <tr className="align-bottom">
        <th className="head-cell sticky left-0 z-[1] w-44 bg-paper pb-2 pl-6 text-left">
          <span className="label-small">Student</span>
        </th>
        {questions.map((question) => (
          <th key={question.id} className="head-cell px-1 pb-2 font-normal" title={question.title}>
            {question.name && (
              <span className="caption mx-auto block max-w-20 truncate leading-tight">{question.name}</span>
            )}
            <span className="block font-title text-[15px] font-semibold">{question.number}</span>
            <span className="caption figures block leading-tight">
              {points(question.points)} {pointWord(question.points, 'pt')}
            </span>
            <span className="figures block text-[12px] text-soft">
              {question.share === null
                ? question.waiting > 0
                  ? 'not yet'
                  : '–'
                : percent({ n: Math.round(question.share * 100), d: 100 })}
            </span>
          </th>
        ))}
        <th
          className={`head-cell ${several ? '' : 'sticky right-0'} z-[1] w-36 bg-paper pr-6 pb-2 pl-3 text-right`}
        >
          <span className="block font-title text-[15px] font-semibold">Total</span>
          <span className="caption figures block font-normal">of {points(outOf)}</span>
        </th>
        {several && (
          <th className="head-cell sticky right-0 z-[1] w-24 bg-paper pr-6 pb-2 text-right">
            <span className="block font-title text-[15px] font-semibold">Recorded</span>
            <span className="caption figures block font-normal">of {points(outOf)}</span>
          </th>
        )}
      </tr>
    </thead>
  );
}

const Gap = ({ height }: { readonly height: number }) =>
  height > 0 ? (
    <tr aria-hidden>
      <td style={{ height, padding: 0 }} />
    </tr>
  ) : null;

interface At {
  readonly box: RefObject<HTMLDivElement | null>;
  readonly rows: readonly CheckRow[];
  readonly place: Place;
  readonly virtual: Virtualizer<HTMLDivElement, Element>;
  /** Grows with each move by key, which takes the focus along. */
  readonly went: number;
}

/** The focus goes with the place, also to a row that is not drawn yet, and never to an element of another row. */
function useFocusAt(at: At): void {
  const { box, place, went } = at;
  const here = `${place.attemptId}:${place.column}`;
  useLayoutEffect(() => {
    const focused = document.activeElement;
    if (!(focused instanceof HTMLElement) || !box.current?.contains(focused)) return;
    if (focused.dataset['cell'] && focused.dataset['cell'] !== here)
      box.current.focus({ preventScroll: true });
    else if (focused === box.current)
      box.current.querySelector<HTMLElement>(`[data-cell="${here}"]`)?.focus({ preventScroll: true });
  });
  const latest = useRef(at);
  latest.current = at;
  useEffect(() => {
    if (went === 0) return;
    const { rows: all, place: to, virtual: list } = latest.current;
    const index = all.findIndex((row) => row.attemptId === to.attemptId);
    list.scrollToIndex(index, { align: 'auto' });
    // Once the row has been drawn; a dialog that is still there would keep the focus to itself.
    let tries = 0;
    const focus = () => {
      const cell = box.current?.querySelector<HTMLElement>(`[data-cell="${to.attemptId}:${to.column}"]`);
      if (cell) cell.focus({ preventScroll: false });
      else if (tries++ < 60) frame = requestAnimationFrame(focus);
    };
    let frame = requestAnimationFrame(focus);
    return () => cancelAnimationFrame(frame);
  }, [went, box]);
}

/** Students × questions as credit pies with totals; of a big class only the rows in view are drawn. Arrow keys go from cell to cell. */
export function CheckGrid({ table, rows, place, went, onPlace, onKey }: CheckTableProps) {
  const box = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: rows.length <= DRAW_ALL ? DRAW_ALL : 6,
    scrollPaddingStart: 64,
    useFlushSync: false,
  });
  const drawn = virtual.getVirtualItems();
  // A row that leaves the view hands its elements to one that enters: scrolling makes no garbage.
  const slots = useRef(1);
  slots.current = Math.max(slots.current, drawn.length);
  useFocusAt({ box, rows, place, virtual, went });
  return (
    <>
      <div
        ref={box}
        tabIndex={-1}
        className="max-h-[max(420px,calc(100dvh-250px))] overflow-auto overscroll-contain outline-none"
        onKeyDown={(event) => {
          if (event.ctrlKey || event.metaKey || event.altKey) return;
          if (onKey(event.key)) event.preventDefault();
        }}
      >
        <table className="w-full border-collapse" aria-label="Scores" aria-rowcount={rows.length + 1}>
          <Head table={table} />
          <tbody>
            <Gap height={drawn[0]?.start ?? 0} />
            {drawn.map(({ index }) => {
              const row = rows[index];
              return row ? (
                <Row
                  key={index % slots.current}
                  row={row}
                  index={index}
                  hand={place.attemptId === row.attemptId ? place.column : null}
                  several={table.several}
                  onPlace={onPlace}
                />
              ) : null;
            })}
            <Gap height={virtual.getTotalSize() - (drawn.at(-1)?.end ?? 0)} />
          </tbody>
        </table>
      </div>
      <p className="caption px-6 pt-3">
        Under each number: its points, and the mean share of them that was earned. A dot marks a near miss, an
        answer that matches two different entries of the key, or a score of yours that automatic marking would
        now change; a small stem marks a score you set. Press <kbd>?</kbd> for the keys.
      </p>
    </>
  );
}
