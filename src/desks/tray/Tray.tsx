import { useEffect, useState } from 'react';
import { isFinished } from '@/core/quiz/window';
import { rule } from '@/store/rulings';
import { count, dayAndTime } from '@/ui/figures';
import { NewStudent } from '@/ui/NewStudent';
import { notify } from '@/ui/notices';
import { quizState } from '@/ui/quizState';
import { useQuiz } from '@/ui/quizContext';
import { classWorker } from '@/workers/clients';
import type { TrayRow } from '@/workers/classDesk';
import { AnswerFile } from './AnswerFile';

const STATES = {
  notOpened: 'not opened',
  working: 'working',
  handedIn: 'handed in',
  late: 'late',
  tooLate: 'after the last moment',
  ranOut: 'ran out',
} as const;

/** Which students are listed. */
const SHOWN = {
  all: { words: 'everyone', holds: () => true },
  missing: { words: 'who has not handed in', holds: (row: TrayRow) => !isFinished(row.state) },
  late: {
    words: 'who was late',
    holds: (row: TrayRow) => row.state === 'late' || row.state === 'tooLate',
  },
} as const;
type Shown = keyof typeof SHOWN;

function useTray(listed: number): TrayRow[] | null {
  const { quiz, attemptsSeq } = useQuiz();
  const [rows, setRows] = useState<TrayRow[] | null>(null);
  const { id } = quiz;
  const state = quizState(quiz);
  useEffect(() => {
    let current = true;
    void classWorker().tray(id).then((found) => current && setRows(found)); // prettier-ignore
    return () => {
      current = false;
    };
  }, [id, attemptsSeq, state, listed]);
  return rows;
}

function when(row: TrayRow): string {
  if (row.handedInAt !== null)
    return `${dayAndTime(row.handedInAt)}${row.source === 'file' ? ', from a file' : ''}`;
  return row.openedAt !== null ? `since ${dayAndTime(row.openedAt)}, ${row.answered} answered` : '';
}

function Row({ row, quizId }: { readonly row: TrayRow; readonly quizId: string }) {
  const address = `/sit/?quiz=${encodeURIComponent(quizId)}&student=${encodeURIComponent(row.studentId)}`;
  const done = isFinished(row.state);
  const takeIn = async () => {
    for (const attemptId of row.tooLate) await rule(quizId, attemptId, { standing: 'takenIn' });
    notify(`${row.name} is taken in`);
  };
  return (
    <tr className="border-b border-hair hover:bg-base-200">
      <td className="figures py-1.5 pr-4 pl-9 text-soft">{row.number}</td>
      <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
        {row.name}
      </th>
      <td
        className={`py-1.5 pr-4 ${row.state === 'working' || row.state === 'late' || row.state === 'tooLate' ? 'font-semibold text-saffron-text' : done ? '' : 'text-soft'}`}
      >
        {STATES[row.state]}
        {row.attempts > 1 && <span className="caption"> · {count(row.attempts, 'attempt')}</span>}
        {row.tooLate.length > 0 && (
          <button type="button" className="btn btn-xs btn-outline ml-2" onClick={() => void takeIn()}>
            Take in<span className="sr-only"> the work of {row.name}</span>
          </button>
        )}
      </td>
      <td className="figures caption py-1.5 pr-4">{when(row)}</td>
      <td className="py-1.5 pr-9 text-right">
        <a className="link-text" href={address} target="_blank" rel="noopener">
          {done ? 'Slip' : 'Page'}
          <span className="sr-only"> of {row.name}</span>
        </a>
      </td>
    </tr>
  );
}

/** Where handed-in work arrives: who stands where, and answers from a file. */
export default function Tray() {
  const { quiz } = useQuiz();
  const [listed, setListed] = useState(0);
  const rows = useTray(listed);
  const [shown, setShown] = useState<Shown>('all');
  const done = rows?.filter((row) => isFinished(row.state)).length ?? 0;
  const late = rows?.filter((row) => row.state === 'late' || row.state === 'tooLate').length ?? 0;
  const working = rows?.filter((row) => row.state === 'working').length ?? 0;
  return (
    <main className="mx-auto grid w-full max-w-[1240px] flex-1 grid-cols-[minmax(0,1fr)_340px] items-start gap-x-8 px-6 py-6 max-lg:grid-cols-1">
      <div className="bg-paper pt-7 pb-2">
        <div className="px-9">
          <h1 className="text-[24px]">Tray</h1>
          <p className="caption figures mt-1">
            {rows === null
              ? 'Looking who is there …'
              : `${done} of ${rows.length} handed in${late > 0 ? ` (${late} late)` : ''}, ${working} working, ${rows.length - done - working} not opened`}{' '}
            <a className="link-text" href="/class/">
              Class list
            </a>
          </p>
          {rows !== null && rows.length > 0 && (
            <p className="mt-2">
              Shown:{' '}
              <select
                className="sentence-part"
                aria-label="Who is shown"
                value={shown}
                onChange={(event) => setShown(event.target.value as Shown)}
              >
                {Object.entries(SHOWN).map(([name, { words, holds }]) => (
                  <option key={name} value={name}>
                    {words} ({rows.filter(holds).length})
                  </option>
                ))}
              </select>
            </p>
          )}
        </div>
        {rows !== null && rows.length === 0 && <p className="px-9 py-8">Nobody is on the class list yet.</p>}
        {rows !== null && rows.length > 0 && (
          <div className="overflow-x-auto">
            <table className="mt-4 w-full">
              <thead>
                <tr className="label-small border-b border-line text-left">
                  <th className="pb-1 pl-9 font-semibold">No.</th>
                  <th className="pb-1 font-semibold">Student</th>
                  <th className="pb-1 font-semibold">State</th>
                  <th className="pb-1 font-semibold">When</th>
                  <th className="pb-1">
                    <span className="sr-only">Page</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {rows.filter(SHOWN[shown].holds).map((row) => (
                  <Row key={row.studentId} row={row} quizId={quiz.id} />
                ))}
              </tbody>
            </table>
          </div>
        )}
        {rows !== null && rows.length > 0 && !rows.some(SHOWN[shown].holds) && (
          <p className="px-9 py-6 text-soft">Nobody.</p>
        )}
        <NewStudent label="Add to the class list" onAdded={() => setListed((n) => n + 1)} />
      </div>
      <aside
        aria-label="Answers from a file"
        className="border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:mt-6 max-lg:border-l-0 max-lg:pl-0"
      >
        <AnswerFile onImported={() => setListed((n) => n + 1)} />
      </aside>
    </main>
  );
}
