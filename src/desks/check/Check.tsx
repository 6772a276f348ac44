import { Download } from 'lucide-react';
import { useCallback, useMemo, useRef, useState } from 'react';
import { FindAndSort, type FindAndSortProps } from '@/ui/widgets/Find';
import { Failed } from '@/ui/widgets/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { notify } from '@/ui/widgets/notices';
import { useQuiz } from '@/ui/teacher/quizContext';
import { run } from '@/ui/widgets/press';
import { saveScores } from '@/ui/teacher/saveAnswers';
import type { CheckRow, CheckTable } from '@/workers/class/check';
import type { Action } from './Actions';
import { CheckGrid } from './CheckGrid';
import { CheckMargin } from './CheckMargin';
import { Overrides } from './Overrides';
import { useCheckTable } from './useCheckTable';
import { firstPlace, neighbour, nextToLookAt, rowsShown, type Place, type SortBy } from './rows';

const ACTION_KEYS: Readonly<Record<string, Action>> = { a: 'accept', p: 'part', w: 'wrong', h: 'hand' };
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

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
    <div className="flex flex-wrap items-end gap-x-5 gap-y-3 px-6 pb-4">
      <div className="flex-1">
        <h1 className="text-[24px]">Check</h1>
        <p className="caption figures mt-1 text-balance">
          {count(table.counted, 'paper')} marked
          {table.counted < table.rows.length && `, ${table.rows.length - table.counted} not counted`}
          {table.waiting > 0 ? `, ${count(table.waiting, 'answer')} waiting for you` : ''}
        </p>
      </div>
      {table.rows.length > 0 && <FindAndSort {...tools} orders={ORDERS} />}
      <Overrides table={table} onGo={onGo} />
      <button
        type="button"
        className="btn btn-sm btn-outline h-9"
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

/** The table and its margin; keys act on the answer at hand. */
function Papers({ table }: { readonly table: CheckTable }) {
  const [chosen, setPlace] = useState<Place | null>(null);
  const [action, setAction] = useState<Action | null>(null);
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<SortBy>('name');
  const [went, setWent] = useState(0);
  const margin = useRef<HTMLElement>(null);
  const choose = useCallback((next: Place) => {
    setAction(null);
    setPlace(next);
  }, []);
  const rows = useMemo(() => rowsShown(table, search, sort), [table, search, sort]);
  const known = chosen && rows.some((row) => row.attemptId === chosen.attemptId) ? chosen : null;
  const place = known ?? firstPlace(rows);
  const row = rows.find((one) => one.attemptId === place?.attemptId);
  const go = (next: Place) => {
    choose(next);
    setWent((times) => times + 1);
  };
  const look = (by: 1 | -1) => {
    const next = place && nextToLookAt(rows, place, by);
    if (next) go(next);
    else notify('Nothing else is marked wrong or waiting');
  };
  // An answer that was just marked by hand still waits in this table: the next one after it is meant.
  const lookOn = () => {
    const next = place && nextToLookAt(rows, place, 1, ({ verdict }) => verdict === 'waits');
    if (next) go(next);
    else act(null);
  };
  // The keys go back to the table: what was open has closed, and the answer at hand has the focus.
  const act = (next: Action | null) => {
    setAction(next);
    if (next === null) setWent((times) => times + 1);
  };
  const keys = (key: string): boolean => {
    if (!place) return false;
    const step = STEPS[key];
    if (step) go(neighbour(rows, place, step[0], step[1]));
    else if (key === 'n' || key === 'b') look(key === 'n' ? 1 : -1);
    else if (key === 'c') margin.current?.querySelector<HTMLElement>('[data-comment] textarea')?.focus();
    else if (key === 'Escape' && action) setAction(null);
    else if (ACTION_KEYS[key] && place.column < table.questions.length) setAction(ACTION_KEYS[key]);
    else return false;
    return true;
  };

  return (
    <main className="grid w-full flex-1 grid-cols-[minmax(0,1fr)_360px] items-start gap-x-6 px-5 py-5 max-lg:grid-cols-1">
      <div className="min-w-0 bg-paper py-6">
        <Head table={table} tools={{ search, onSearch: setSearch, sort, onSort: setSort }} onGo={go} />
        <NothingShown table={table} rows={rows} search={search} />
        {place && rows.length > 0 && (
          <CheckGrid table={table} rows={rows} place={place} went={went} onPlace={choose} onKey={keys} />
        )}
      </div>
      <aside
        ref={margin}
        aria-label="Margin"
        className="sticky top-[70px] max-h-[calc(100dvh-140px)] overflow-y-auto border-l border-dotted border-[var(--field)] py-2 pr-1 pl-6 max-lg:static max-lg:mt-6 max-lg:max-h-none max-lg:border-l-0 max-lg:pl-1"
      >
        {row && place && (
          <CheckMargin
            row={row}
            table={table}
            column={place.column}
            action={action}
            onAction={act}
            onNext={() => {
              setAction(null);
              lookOn();
            }}
          />
        )}
      </aside>
    </main>
  );
}

/** Computed scores: students × questions, each opened down to the rule that gave it, and put right from there. */
export default function Check() {
  const { value: table, failure, again } = useCheckTable();
  if (table) return <Papers table={table} />;
  return failure ? (
    <Failed className="mx-6 my-8" text={readingFailed(failure)} onAgain={again} />
  ) : (
    <p className="px-6 py-16 text-center text-soft">Marking …</p>
  );
}
