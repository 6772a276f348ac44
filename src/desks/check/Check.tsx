import { Download } from 'lucide-react';
import { useEffect, useState } from 'react';
import { download, fileName } from '@/ui/download';
import { count } from '@/ui/figures';
import { useQuiz } from '@/ui/quizContext';
import { classWorker } from '@/workers/clients';
import type { CheckTable } from '@/workers/classDesk';
import { CheckGrid, type Place } from './CheckGrid';
import { CheckMargin } from './CheckMargin';

function useCheckTable(): CheckTable | null {
  const { quiz, attemptsSeq } = useQuiz();
  const [table, setTable] = useState<CheckTable | null>(null);
  const { id, standing, firstHandInAt } = quiz;
  const draft = firstHandInAt === null ? quiz.changeSeq : 0;
  useEffect(() => {
    let current = true;
    void classWorker().checkTable(id).then((next) => current && setTable(next)); // prettier-ignore
    return () => {
      current = false;
    };
  }, [id, standing.live, standing.opening, attemptsSeq, draft]);
  return table;
}

/** The first answer that waits, so that it is at hand at once; else the first answer. */
function firstWaiting({ rows }: CheckTable): Place {
  const row = rows.findIndex(({ cells }) => cells.some((cell) => cell.verdict === 'waits'));
  const column = rows[row]?.cells.findIndex((cell) => cell.verdict === 'waits') ?? 0;
  return { row: Math.max(0, row), column };
}

/** Computed scores: students × questions, each opened down to the rule that gave it. */
export default function Check() {
  const { quiz } = useQuiz();
  const table = useCheckTable();
  const [chosen, setPlace] = useState<Place | null>(null);
  const save = async () => {
    const text = await classWorker().scoresFile(quiz.id);
    download(`${fileName(quiz.content.title)}-scores.csv`, text, 'text/csv;charset=utf-8');
  };
  if (table === null) return <p className="px-6 py-16 text-center text-soft">Marking …</p>;
  const place = chosen ?? firstWaiting(table);
  const row = table.rows[place.row] ?? table.rows[0];
  return (
    <main className="grid w-full flex-1 grid-cols-[minmax(0,1fr)_360px] items-start gap-x-6 px-5 py-5 max-lg:grid-cols-1">
      <div className="min-w-0 bg-paper py-6">
        <div className="flex flex-wrap items-end gap-4 px-6 pb-4">
          <div className="flex-1">
            <h1 className="text-[24px]">Check</h1>
            <p className="caption figures mt-1">
              {count(table.rows.length, 'paper')} marked
              {table.waiting > 0 ? `, ${count(table.waiting, 'answer')} waiting for you` : ''}
            </p>
          </div>
          <button
            type="button"
            className="btn btn-sm btn-outline h-9"
            disabled={table.rows.length === 0}
            onClick={() => void save()}
          >
            <Download size={15} aria-hidden /> Scores as CSV
          </button>
        </div>
        {table.rows.length === 0 ? (
          <p className="px-6 py-12 text-center">
            No paper has come in yet. They arrive when students hand in, or from a file in the{' '}
            <a className="link-text" href="#tray">
              Tray
            </a>
            .
          </p>
        ) : (
          <CheckGrid table={table} place={place} onPlace={setPlace} />
        )}
      </div>
      <aside
        aria-label="Margin"
        className="sticky top-[70px] max-h-[calc(100dvh-140px)] overflow-y-auto border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:static max-lg:mt-6 max-lg:max-h-none max-lg:border-l-0 max-lg:pl-1"
      >
        {row && <CheckMargin row={row} table={table} column={place.column} />}
      </aside>
    </main>
  );
}
