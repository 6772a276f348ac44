import { Download } from 'lucide-react';
import { useCallback, useMemo, useRef, useState } from 'react';
import { FindAndSort, type FindAndSortProps } from '@/ui/widgets/Find';
import { Failed } from '@/ui/widgets/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { count, points } from '@/ui/words/figures';
import { MarginColumn } from '@/ui/widgets/MarginColumn';
import { useNarrow } from '@/ui/widgets/useNarrow';
import { useQuiz } from '@/ui/teacher/quizContext';
import { run } from '@/ui/widgets/press';
import { saveScores } from '@/ui/teacher/saveAnswers';
import type { CheckRow, CheckTable } from '@/workers/class/check';
import { CheckGrid } from './CheckGrid';
import { CheckList } from './CheckList';
import { CheckMargin } from './CheckMargin';
import { Overrides } from './Overrides';
import { useCheckTable } from './useCheckTable';
import { rowsShown, type Place, type SortBy } from './rows';
import { usePlace } from './usePlace';

const ORDERS: readonly (readonly [SortBy, string])[] = [
  ['name', 'name'],
  ['highest', 'highest total'],
  ['lowest', 'lowest total'],
  ['waiting', 'points waiting'],
  ['late', 'how late'],
];

interface HeadProps {
  readonly table: CheckTable;
  readonly tools: FindAndSortProps<SortBy>;
  readonly onGo: (place: Place) => void;
}

function Head({ table, tools, onGo }: HeadProps) {
  const { quiz } = useQuiz();
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-3 px-6 pb-4 max-sm:gap-y-2 max-sm:px-4 max-sm:pb-2">
      <div className="flex-1 max-sm:basis-full">
        <h1 className="station-title">Check</h1>
        <p className="caption figures mt-1 text-balance max-sm:mt-0">
          {count(table.counted, 'paper')} marked
          {table.counted < table.rows.length && `, ${table.rows.length - table.counted} not counted`}
          {table.waiting > 0 ? `, ${count(table.waiting, 'answer')} waiting for you` : ''}
        </p>
      </div>
      {table.rows.length > 0 && <FindAndSort {...tools} orders={ORDERS} />}
      <Overrides table={table} onGo={onGo} />
      <button
        type="button"
        className="btn btn-sm btn-outline h-9 max-sm:hidden"
        disabled={table.rows.length === 0}
        onClick={() => run(() => saveScores(quiz.id, quiz.content.title))}
      >
        <Download size={15} aria-hidden /> Scores as CSV
      </button>
    </div>
  );
}

/** What stands in place of the table: nothing has come in, or nobody is found. */
function NothingShown(props: {
  readonly table: CheckTable;
  readonly rows: readonly CheckRow[];
  readonly search: string;
}) {
  const { table, rows, search } = props;
  return (
    <>
      {table.rows.length === 0 && (
        <p className="px-6 py-12 text-center">
          No paper has come in yet. They arrive when students hand in, or from a file in the{' '}
          <a className="link-text" href="#tray">
            Tray
          </a>
          .
        </p>
      )}
      {table.rows.length > 0 && rows.length === 0 && (
        <p className="px-6 py-12 text-center text-soft">No student’s name contains “{search}”.</p>
      )}
    </>
  );
}

/** The answer at hand in a line, on the margin's handle while it is down. */
function AtHand({
  row,
  table,
  place,
}: {
  readonly row: CheckRow;
  readonly table: CheckTable;
  readonly place: Place;
}) {
  const cell = row.cells[place.column];
  const question = table.questions[place.column];
  return (
    <span className="flex items-baseline gap-2">
      <span className="min-w-0 flex-1 truncate font-semibold">{row.name}</span>
      <span className="caption figures whitespace-nowrap">
        {cell && question
          ? `question ${question.number}: ${cell.verdict === 'waits' ? 'not marked yet' : `${points(cell.earned)} of ${points(question.points)}`}`
          : `${points(row.total.score)} of ${points(row.total.outOf)}`}
      </span>
    </span>
  );
}

/** The papers and their margin; keys act on the answer at hand. */
function Papers({ table }: { readonly table: CheckTable }) {
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<SortBy>('name');
  const [up, setUp] = useState(false);
  const margin = useRef<HTMLElement>(null);
  const rows = useMemo(() => rowsShown(table, search, sort), [table, search, sort]);
  const { place, action, went, choose, go, act, look, lookOn, keys } = usePlace(rows, margin);
  const narrow = useNarrow('tablet');
  const row = rows.find((one) => one.attemptId === place?.attemptId);
  // A sheet rises with what was pressed, and what was pressed comes into view above it.
  const press = useCallback(
    (next: Place) => {
      setUp(true);
      if (narrow) go(next);
      else choose(next);
    },
    [narrow, go, choose],
  );
  // What a key opens is on the sheet, which rises with it.
  const onKey = (key: string): boolean => {
    const known = keys(key);
    if (known && key !== 'Escape') setUp(true);
    return known;
  };
  // Above a sheet a list scrolls with the page; a table that scrolls in itself would keep rows behind the sheet.
  const View = narrow ? CheckList : CheckGrid;
  return (
    <main
      // As wide as the table needs: on a wide screen it stays together with its margin in the middle.
      style={{ maxWidth: Math.max(1280, 840 + table.questions.length * 52) }}
      className={`mx-auto grid w-full flex-1 grid-cols-[minmax(0,1fr)_360px] items-start gap-x-6 px-5 py-5 max-lg:grid-cols-1 max-lg:pb-16 max-sm:px-0 max-sm:pt-0 ${up ? 'sheet-up' : ''}`}
    >
      <div className="min-w-0 bg-paper py-6 max-sm:py-3">
        <Head
          table={table}
          tools={{ search, onSearch: setSearch, sort, onSort: setSort }}
          onGo={(next) => {
            setUp(true);
            go(next);
          }}
        />
        <NothingShown table={table} rows={rows} search={search} />
        {place && rows.length > 0 && (
          <View table={table} rows={rows} place={place} went={went} onPlace={press} onKey={onKey} />
        )}
      </div>
      {row && place && (
        <MarginColumn
          ref={margin}
          peek={<AtHand row={row} table={table} place={place} />}
          open={up}
          onOpen={setUp}
        >
          <CheckMargin
            row={row}
            table={table}
            column={place.column}
            action={action}
            onAction={act}
            onNext={lookOn}
            onLook={narrow ? look : null}
          />
        </MarginColumn>
      )}
    </main>
  );
}

/** Computed scores: students × questions, each opened down to the rule that gave it, and put right from there. */
export default function Check() {
  const { value: table, failure, again } = useCheckTable();
  if (table) return <Papers table={table} />;
  return (
    <main>
      {failure ? (
        <Failed className="mx-6 my-8" text={readingFailed(failure)} onAgain={again} />
      ) : (
        <p className="px-6 py-16 text-center text-soft">Marking …</p>
      )}
    </main>
  );
}
