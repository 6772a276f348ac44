import { Download } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { download, fileName } from '@/ui/download';
import { count } from '@/ui/figures';
import { notify } from '@/ui/notices';
import { useQuiz } from '@/ui/quizContext';
import { classWorker } from '@/workers/clients';
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

interface ToolsProps {
  readonly search: string;
  readonly onSearch: (search: string) => void;
  readonly sort: SortBy;
  readonly onSort: (sort: SortBy) => void;
}

function Tools({ search, onSearch, sort, onSort }: ToolsProps) {
  return (
    <>
      <input
        type="search"
        className="lined-field !w-44"
        aria-label="Find a student"
        placeholder="Find a student"
        value={search}
        onChange={(event) => onSearch(event.target.value)}
      />
      <label className="text-soft">
        Sorted by{' '}
        <select
          className="sentence-part"
          value={sort}
          onChange={(event) => onSort(event.target.value as SortBy)}
        >
          <option value="name">name</option>
          <option value="highest">highest total</option>
          <option value="lowest">lowest total</option>
          <option value="waiting">points waiting</option>
          <option value="late">how late</option>
        </select>
      </label>
    </>
  );
}

/** Computed scores: students × questions, each opened down to the rule that gave it, and put right from there. */
export default function Check() {
  const { quiz } = useQuiz();
  const table = useCheckTable();
  const [chosen, setPlace] = useState<Place | null>(null);
  const [action, setAction] = useState<Action | null>(null);
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<SortBy>('name');
  const [went, setWent] = useState(0);
  const choose = useCallback((next: Place) => {
    setAction(null);
    setPlace(next);
  }, []);
  const rows = useMemo(() => (table ? rowsShown(table, search, sort) : []), [table, search, sort]);
  if (table === null) return <p className="px-6 py-16 text-center text-soft">Marking …</p>;

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
    else notify('Nothing is marked wrong or waiting');
  };
  const keys = (key: string): boolean => {
    if (!place) return false;
    const step = STEPS[key];
    if (step) go(neighbour(rows, place, step[0], step[1]));
    else if (key === 'n' || key === 'b') look(key === 'n' ? 1 : -1);
    else if (key === 'c')
      document.querySelector<HTMLElement>('[aria-label="Margin"] textarea[aria-label^="Comment"]')?.focus();
    else if (ACTION_KEYS[key] && place.column < table.questions.length) setAction(ACTION_KEYS[key]);
    else return false;
    return true;
  };
  const save = async () => {
    const text = await classWorker().scoresFile(quiz.id);
    download(`${fileName(quiz.content.title)}-scores.csv`, text, 'text/csv;charset=utf-8');
  };
  return (
    <main className="grid w-full flex-1 grid-cols-[minmax(0,1fr)_360px] items-start gap-x-6 px-5 py-5 max-lg:grid-cols-1">
      <div className="min-w-0 bg-paper py-6">
        <div className="flex flex-wrap items-end gap-x-5 gap-y-3 px-6 pb-4">
          <div className="flex-1">
            <h1 className="text-[24px]">Check</h1>
            <p className="caption figures mt-1 text-balance">
              {count(table.rows.length, 'paper')} marked
              {table.waiting > 0 ? `, ${count(table.waiting, 'answer')} waiting for you` : ''}
            </p>
          </div>
          {table.rows.length > 0 && (
            <Tools search={search} onSearch={setSearch} sort={sort} onSort={setSort} />
          )}
          <Overrides table={table} onGo={go} />
          <button
            type="button"
            className="btn btn-sm btn-outline h-9"
            disabled={table.rows.length === 0}
            onClick={() => void save()}
          >
            <Download size={15} aria-hidden /> Scores as CSV
          </button>
        </div>
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
          <p className="px-6 py-12 text-center text-soft">No student’s name holds “{search}”.</p>
        )}
        {place && rows.length > 0 && (
          <CheckGrid table={table} rows={rows} place={place} went={went} onPlace={choose} onKey={keys} />
        )}
      </div>
      <aside
        aria-label="Margin"
        className="sticky top-[70px] max-h-[calc(100dvh-140px)] overflow-y-auto border-l border-dotted border-[var(--field)] py-2 pr-1 pl-6 max-lg:static max-lg:mt-6 max-lg:max-h-none max-lg:border-l-0 max-lg:pl-1"
      >
        {row && place && (
          <CheckMargin
            row={row}
            table={table}
            column={place.column}
            action={action}
            onAction={setAction}
            onNext={() => look(1)}
          />
        )}
      </aside>
    </main>
  );
}
