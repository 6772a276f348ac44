import { useVirtualizer, type Virtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useLayoutEffect, useMemo, useRef, type RefObject } from 'react';
import type { CellAfter } from '@/core/checking/effectCells';
import { equal, ZERO, type Fraction } from '@/core/figures/fraction';
import { notCountedWords } from '@/core/scoring/words';
import { count, percent, points, pointsWord, pointWord } from '@/ui/words/figures';
import type { CheckCell, CheckRow, CheckTable } from '@/workers/classDesk';
import { NOTHING_AFTER, rowsAfter, shareAfter, type After } from './after';
import { BeforeAfter } from './BeforeAfter';
import { CellPies } from './CellPies';
import { spokenCell } from './cellWords';
import type { Judged } from './judged';
import { SUMS, sumsOf, totalColumn, type Place, type SortBy, type Sums } from './rows';

/** What a view of all papers is given: the table and the list alike. */
export interface CheckTableProps {
  readonly table: CheckTable;
  readonly rows: readonly CheckRow[];
  /** The questions in the order shown. */
  readonly columns: readonly number[];
  readonly sort: SortBy;
  readonly onSort: (sort: SortBy) => void;
  /** What the draft would make of it all. */
  readonly after: After;
  readonly place: Place;
  /** Grows whenever a place was gone to by key: it is brought into view and gets the focus. */
  readonly went: number;
  readonly onPlace: (place: Place) => void;
  /** What a press on Accept, Part or Wrong is about. */
  readonly onJudged: (judged: Judged) => void;
  /** A key pressed in the table; true where it was one that is known. */
  readonly onKey: (key: string) => boolean;
}

const ROW_HEIGHT = 37;
/** Up to this many rows are drawn all at once: the browser's own search and a screen reader then find each. */
const DRAW_ALL = 60;
/** Up to this many questions the columns are drawn all at once, too. */
const DRAW_ALL_COLUMNS = 24;

const cellClass = (here: boolean): string =>
  `flex h-9 w-full cursor-pointer items-center justify-center ${here ? 'bg-wash outline-2 -outline-offset-2 outline-saffron' : 'hover:bg-base-200'}`;

interface CellProps {
  readonly cell: CheckCell;
  readonly after: CellAfter | null;
  readonly possible: Fraction;
  readonly attemptId: string;
  readonly column: number;
  readonly here: boolean;
  readonly onPlace: (place: Place) => void;
}

function Cell({ cell, after, possible, attemptId, column, here, onPlace }: CellProps) {
  return (
    <td className="p-0">
      <button
        type="button"
        data-cell={`${attemptId}:${column}`}
        tabIndex={here ? 0 : -1}
        className={`${cellClass(here)} ${after ? 'bg-wash' : ''}`}
        aria-label={spokenCell(cell, after)}
        aria-pressed={here}
        title={cell.answer}
        onClick={() => onPlace({ attemptId, column })}
      >
        <CellPies cell={cell} after={after} possible={possible} />
      </button>
    </td>
  );
}

/** In place of columns that are not in view. */
const Beside = ({ columns }: { readonly columns: number }) =>
  columns > 0 ? <td colSpan={columns} aria-hidden className="p-0" /> : null;

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

const Row = memo(function Row({
  row,
  index,
  columns,
  from,
  to,
  hand,
  several,
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
      <th scope="row" className="sticky left-0 z-[1] truncate bg-paper py-0 pr-3 pl-6 text-left font-medium">
        {row.name}
        {row.apart && <span className="caption figures ml-1.5">{row.apart}</span>}
        {row.of > 1 && <span className="caption"> · {row.number}</span>}
      </th>
      <Beside columns={from} />
      {columns.slice(from, to).map((at) => {
        const cell = row.cells[at];
        if (!cell) return null;
        return (
          <Cell
            key={at}
            after={after.cell(attemptId, at)}
            here={hand === at}
            column={at}
            possible={questions[at]?.points ?? ZERO}
            {...{ cell, attemptId, onPlace }}
          />
        );
      })}
      <Beside columns={columns.length - to} />
      <td className={`${several ? '' : 'sticky right-0'} z-[1] bg-paper p-0`}>
        <button
          type="button"
          data-cell={`${attemptId}:${column}`}
          tabIndex={hand === column ? 0 : -1}
          className={`${cellClass(hand === column)} figures !justify-end gap-2 pr-6 pl-3 ${notCounted ? 'text-soft line-through' : 'font-semibold'} ${next ? 'bg-wash' : ''}`}
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
          <BeforeAfter now={score} after={next?.score ?? null} />
          {next && !equal(next.outOf, outOf) && (
            <span className="text-[12.5px] font-medium whitespace-nowrap text-soft">
              of {points(next.outOf)}
            </span>
          )}
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

interface Drawn {
  /** The columns that are drawn: from one place until before another. */
  readonly from: number;
  readonly to: number;
}

type HeadProps = Pick<CheckTableProps, 'table' | 'columns' | 'sort' | 'onSort' | 'after'> & Drawn;

const inPercent = (share: number): string => percent({ n: Math.round(share * 100), d: 100 });

/** The mean share of a question, and what the draft would make of it; while there is none, why. */
function Share({
  share,
  next,
  waits,
}: {
  readonly share: number | null;
  readonly next: number | null;
  readonly waits: boolean;
}) {
  if (share === null && next === null) return waits ? 'not yet' : '–';
  const now = share === null ? '–' : inPercent(share);
  if (next === null || (share !== null && inPercent(next) === now)) return now;
  return (
    <span className="whitespace-nowrap">
      {now.replace('%', '')}{' '}
      <span aria-hidden className="text-saffron-text">
        →
      </span>
      <span className="sr-only">would be</span> {inPercent(next)}
    </span>
  );
}

/** The head of a question's column: a press sorts by what was earned in it, another one by name again. */
function QuestionHead({ table, column, sort, onSort, after }: HeadProps & { readonly column: number }) {
  const question = table.questions[column];
  if (!question) return null;
  const own: SortBy = `question ${column}`;
  const next = after.columns.has(column) ? shareAfter(table.rows, column, after) : null;
  const isOwn = sort === own;
  return (
    <th
      className="head-cell px-0 pb-2 font-normal"
      title={question.title}
      aria-sort={isOwn ? 'ascending' : undefined}
    >
      <button
        type="button"
        className="w-full cursor-pointer px-1 hover:bg-hair"
        onClick={() => onSort(isOwn ? 'name' : own)}
      >
        {question.name && (
          <span className="caption mx-auto block max-w-20 truncate leading-tight">{question.name}</span>
        )}
        <span
          className={`block font-title text-[15px] font-semibold ${isOwn ? 'underline decoration-2 underline-offset-4' : ''}`}
        >
          {question.number}
        </span>
        <span className="caption figures block leading-tight">
          {points(question.points)} {pointWord(question.points, 'pt')}
        </span>
        <span className="figures block text-[12px] text-soft">
          <Share share={question.share} next={next} waits={question.waiting > 0} />
        </span>
        <span className="sr-only">{isOwn ? ', sorted by it' : ', sort by it'}</span>
      </button>
    </th>
  );
}

function Head({ table, columns, sort, onSort, after, from, to }: HeadProps) {
  const { outOf, several } = table;
  return (
    <thead className="sticky top-0 z-[2] bg-paper">
      <tr className="align-bottom">
        <th className="head-cell sticky left-0 z-[1] bg-paper pb-2 pl-6 text-left">
          <span className="label-small">Student</span>
        </th>
        <Beside columns={from} />
        {columns.slice(from, to).map((column) => (
          <QuestionHead key={column} {...{ table, columns, sort, onSort, column, after, from, to }} />
        ))}
        <Beside columns={columns.length - to} />
        <th
          className={`head-cell ${several ? '' : 'sticky right-0'} z-[1] bg-paper pr-6 pb-2 pl-3 text-right`}
        >
          <span className="block font-title text-[15px] font-semibold">Total</span>
          <span className="caption figures block font-normal">
            of <BeforeAfter now={outOf} after={after.outOf} />
          </span>
        </th>
        {several && (
          <th className="head-cell sticky right-0 z-[1] bg-paper pr-6 pb-2 text-right">
            <span className="block font-title text-[15px] font-semibold">Recorded</span>
            <span className="caption figures block font-normal">of {points(outOf)}</span>
          </th>
        )}
      </tr>
    </thead>
  );
}

interface FootProps extends Pick<CheckTableProps, 'table' | 'columns' | 'place' | 'onPlace'>, Drawn {
  readonly sums: Sums;
  /** The same once the draft is applied. */
  readonly sumsAfter: Sums;
}

/** The sums of the papers shown that count: a press says how one came about. */
function Foot({ table, columns, place, onPlace, sums, sumsAfter, from, to }: FootProps) {
  const total = table.questions.length;
  const cell = (column: number, sum: Fraction, next: Fraction, name: string, className: string) => {
    const here = place.attemptId === SUMS && place.column === column;
    const isSame = equal(sum, next);
    return (
      <button
        type="button"
        data-cell={`${SUMS}:${column}`}
        tabIndex={-1}
        aria-pressed={here}
        aria-label={isSame ? `Sum of ${name}: ${pointsWord(sum)}` : undefined}
        className={`${cellClass(here)} figures ${className}`}
        onClick={() => onPlace({ attemptId: SUMS, column })}
      >
        {!isSame && <span className="sr-only">Sum of {name}: </span>}
        <BeforeAfter now={sum} after={next} />
      </button>
    );
  };
  return (
    <tfoot className="sticky bottom-0 z-[2] bg-paper">
      <tr>
        <th
          scope="row"
          className="foot-cell sticky left-0 z-[1] bg-paper py-0 pr-3 pl-6 text-left font-medium whitespace-nowrap"
        >
          Sum <span className="caption">of {count(sums.papers, 'paper')}</span>
        </th>
        <Beside columns={from} />
        {columns.slice(from, to).map((column) => (
          <td key={column} className="foot-cell p-0">
            {cell(
              column,
              sums.columns[column] ?? ZERO,
              sumsAfter.columns[column] ?? ZERO,
              `question ${table.questions[column]?.number ?? 0}`,
              'text-[13px]',
            )}
          </td>
        ))}
        <Beside columns={columns.length - to} />
        <td className={`foot-cell ${table.several ? '' : 'sticky right-0'} z-[1] bg-paper p-0`}>
          {cell(total, sums.totals, sumsAfter.totals, 'all totals', '!justify-end pr-6 pl-3 font-semibold')}
        </td>
        {table.several && <td className="foot-cell sticky right-0 z-[1] bg-paper" />}
      </tr>
    </tfoot>
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
  readonly columns: readonly number[];
  readonly virtual: Virtualizer<HTMLDivElement, Element>;
  readonly across: Virtualizer<HTMLDivElement, Element>;
  /** Grows with each move by key, which takes the focus along. */
  readonly went: number;
}

/** How wide the columns are, in pixels: the student, the questions, the total, what is recorded. */
function widthsOf(table: CheckTable, columns: readonly number[], after: After): number[] {
  const questions = columns.map((column) => {
    const least = table.questions[column]?.name ? 76 : 50;
    return after.columns.has(column) ? Math.max(96, least) : least;
  });
  return [190, ...questions, after.totals ? 196 : 150, ...(table.several ? [96] : [])];
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
    const { rows: all, columns: questions, place: to, virtual: list, across: side } = latest.current;
    const index = all.findIndex((row) => row.attemptId === to.attemptId);
    list.scrollToIndex(index, { align: 'auto' });
    const column = questions.indexOf(to.column);
    if (questions.length > DRAW_ALL_COLUMNS && column >= 0) side.scrollToIndex(column, { align: 'auto' });
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
export function CheckGrid(props: CheckTableProps) {
  const { table, rows, columns, place, went, sort, onSort, onPlace, onKey, after } = props;
  const sums = useMemo(() => sumsOf(rows, table.questions.length), [rows, table.questions.length]);
  const sumsAfter = useMemo(
    () => (after === NOTHING_AFTER ? sums : sumsOf(rowsAfter(rows, after), table.questions.length)),
    [rows, after, sums, table.questions.length],
  );
  const box = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: rows.length <= DRAW_ALL ? DRAW_ALL : 4,
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
    overscan: 3,
    scrollPaddingStart: 200,
    scrollPaddingEnd: 220,
    useFlushSync: false,
  });
  useEffect(() => across.measure(), [across, widths]);
  const shown = across.getVirtualItems();
  const [from, to] =
    columns.length > DRAW_ALL_COLUMNS
      ? [shown[0]?.index ?? 0, (shown.at(-1)?.index ?? 0) + 1]
      : [0, columns.length];
  const drawn = virtual.getVirtualItems();
  // A row that leaves the view hands its elements to one that enters: scrolling makes no garbage.
  const slots = useRef(1);
  slots.current = Math.max(slots.current, drawn.length);
  useFocusAt({ box, rows, columns, place, virtual, across, went });
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
        {/* Widths are told, not found: a browser that measures every cell cannot scroll a large class. */}
        <table
          className="w-full table-fixed border-collapse"
          style={{ minWidth: widths.reduce((sum, width) => sum + width, 0) }}
          aria-label="Scores"
          aria-rowcount={rows.length + 1}
        >
          <colgroup>
            {widths.map((width, at) => (
              <col key={at} style={{ width: `${width}px` }} />
            ))}
          </colgroup>
          <Head {...{ table, columns, sort, onSort, after, from, to }} />
          <tbody>
            <Gap height={drawn[0]?.start ?? 0} />
            {drawn.map(({ index }) => {
              const row = rows[index];
              return row ? (
                <Row
                  key={index % slots.current}
                  row={row}
                  index={index}
                  columns={columns}
                  from={from}
                  to={to}
                  hand={place.attemptId === row.attemptId ? place.column : null}
                  several={table.several}
                  questions={table.questions}
                  after={after}
                  onPlace={onPlace}
                />
              ) : null;
            })}
            <Gap height={virtual.getTotalSize() - (drawn.at(-1)?.end ?? 0)} />
          </tbody>
          <Foot {...{ table, columns, place, onPlace, sums, sumsAfter, from, to }} />
        </table>
      </div>
      <p className="caption px-6 pt-3">
        Under each number: its points, and the mean share of them that was earned; a press on it sorts by it.
        A dot marks a near miss, an answer that matches two different entries of the key, or a score of yours
        that automatic marking would now change; a small stem marks a score you set. Press <kbd>?</kbd> for
        the keys.
      </p>
    </>
  );
}
