import { useState } from 'react';
import { isFinished } from '@/core/quiz/window';
import { undoStep } from '@/store/records/history';
import { ruleAll } from '@/store/work/rulings';
import { copyText } from '@/ui/widgets/copyText';
import { Failed } from '@/ui/widgets/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { LongRows } from '@/ui/widgets/LongRows';
import { NewStudent } from '@/ui/teacher/NewStudent';
import { notify } from '@/ui/widgets/notices';
import { run } from '@/ui/widgets/press';
import { quizState } from '@/ui/words/quizState';
import { useQuiz } from '@/ui/teacher/quizContext';
import { SetToLine } from '@/ui/teacher/SetToLine';
import { StudentName } from '@/ui/widgets/StudentName';
import { useQuery, type Query } from '@/ui/widgets/useQuery';
import { classWorker } from '@/workers/clients';
import type { TrayRow } from '@/workers/classDesk';
import { AnswerFile } from './AnswerFile';

const STATES = {
  notOpened: 'not opened',
  working: 'working',
  handedIn: 'handed in',
  late: 'late',
  tooLate: 'after closing',
  ranOut: 'not handed in when it closed',
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

function useTray(listed: number): Query<TrayRow[]> {
  const { quiz, attemptsSeq } = useQuiz();
  const { id } = quiz;
  const state = quizState(quiz);
  return useQuery(() => classWorker().tray(id), [id, attemptsSeq, state, listed]);
}

function when(row: TrayRow, zone: string): string {
  if (row.timeUnknown) return 'from a file, without a time';
  if (row.handedInAt !== null)
    return `${dayAndTimeIn(row.handedInAt, zone)}${row.source === 'file' ? ', from a file' : ''}`;
  return row.openedAt !== null ? `since ${dayAndTimeIn(row.openedAt, zone)}, ${row.answered} answered` : '';
}

const wantsAttention = ({ state, voided }: TrayRow): boolean =>
  voided || state === 'working' || state === 'late' || state === 'tooLate';

interface RowProps {
  readonly row: TrayRow;
  readonly index: number;
  readonly measure: (element: Element | null) => void;
}

function Row({ row, index, measure }: RowProps) {
  const { quiz } = useQuiz();
  const { id } = quiz;
  const address = `/sit/?quiz=${encodeURIComponent(id)}&ticket=${encodeURIComponent(row.ticket)}`;
  const done = isFinished(row.state);
  const accept = async () => {
    const step = await ruleAll(id, row.tooLate, { standing: 'takenIn' });
    notify(`${row.name}’s late work now counts`, {
      label: 'Undo',
      run: () => run(() => undoStep(id, step)),
    });
  };
  return (
    <tr ref={measure} data-index={index} className="border-b border-hair hover:bg-base-200">
      <td className="figures py-1.5 pr-4 pl-9 text-soft">{row.number}</td>
      <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
        <StudentName name={row.name} apart={row.number === row.apart ? '' : row.apart} />
      </th>
      <td
        className={`py-1.5 pr-4 ${wantsAttention(row) ? 'font-semibold text-saffron-text' : done ? '' : 'text-soft'}`}
      >
        {STATES[row.state]}
        {row.voided && ', not counted'}
        {row.attempts > 1 && <span className="caption"> · {count(row.attempts, 'attempt')}</span>}
        {row.tooLate.length > 0 && (
          <button type="button" className="btn btn-xs btn-outline ml-2" onClick={() => run(accept)}>
            Accept<span className="sr-only"> the work of {row.name}</span>
          </button>
        )}
      </td>
      <td className="figures caption py-1.5 pr-4">{when(row, quiz.content.zone)}</td>
      <td className="py-1.5 pr-9 text-right">
        <a className="link-text" href={address} target="_blank" rel="noopener">
          {done ? 'Slip' : 'Page'}
          <span className="sr-only"> of {row.name}</span>
        </a>
      </td>
    </tr>
  );
}

interface WhoProps {
  readonly rows: readonly TrayRow[];
  readonly shown: Shown;
  readonly onShow: (shown: Shown) => void;
}

/** Who is listed, and their names for a message. */
function Who({ rows, shown, onShow }: WhoProps) {
  const listed = rows.filter(SHOWN[shown].holds);
  const copy = async () => {
    await copyText(listed.map(({ name }) => name).join('\n'));
    notify(`${count(listed.length, 'name')} copied`);
  };
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-x-4">
      <label>
        Shown:{' '}
        <select
          className="sentence-part"
          aria-label="Who is shown"
          value={shown}
          onChange={(event) => onShow(event.target.value as Shown)}
        >
          {Object.entries(SHOWN).map(([name, { words, holds }]) => (
            <option key={name} value={name}>
              {words} ({rows.filter(holds).length})
            </option>
          ))}
        </select>
      </label>
      {shown !== 'all' && listed.length > 0 && (
        <button type="button" className="link-text cursor-pointer" onClick={() => run(copy)}>
          Copy the names
        </button>
      )}
    </p>
  );
}

function headline(rows: readonly TrayRow[]): string {
  const done = rows.filter((row) => isFinished(row.state)).length;
  const late = rows.filter((row) => row.state === 'late' || row.state === 'tooLate').length;
  const working = rows.filter((row) => row.state === 'working').length;
  const voided = rows.filter((row) => row.voided).length;
  const notes = [late > 0 ? `${late} late` : '', voided > 0 ? `${voided} not counted` : ''].filter(Boolean);
  return `${done} of ${rows.length} handed in${notes.length > 0 ? ` (${notes.join(', ')})` : ''}, ${working} working, ${rows.length - done - working} not opened`;
}

/** Work of students whom the quiz is not set to. */
function Outside() {
  const { quiz, attemptsSeq } = useQuiz();
  const state = quizState(quiz);
  const { value } = useQuery(() => classWorker().workOutside(quiz.id), [quiz.id, attemptsSeq, state]);
  if (!value) return null;
  return (
    <span className="text-saffron-text">
      {count(value, 'other student has', 'other students have')} work here, which is kept and not counted.
    </span>
  );
}

const Rows = ({ rows }: { readonly rows: readonly TrayRow[] }) => (
  <div className="overflow-x-auto">
    <table className="mt-4 w-full" aria-rowcount={rows.length + 1}>
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
      <LongRows
        rows={rows}
        height={34}
        keyOf={({ studentId }) => studentId}
        draw={(row, at) => <Row key={row.studentId} row={row} {...at} />}
      />
    </table>
  </div>
);

/** Where handed-in work arrives: who stands where, and answers from a file. */
export default function Tray() {
  const [listed, setListed] = useState(0);
  const { value: rows, failure, again } = useTray(listed);
  const [set] = useQuiz().quiz.standing.setTo;
  const [shown, setShown] = useState<Shown>('all');
  const those = rows?.filter(SHOWN[shown].holds) ?? [];
  return (
    <main className="mx-auto grid w-full max-w-[1240px] flex-1 grid-cols-[minmax(0,1fr)_340px] items-start gap-x-8 px-6 py-6 max-lg:grid-cols-1">
      <div className="bg-paper pt-7 pb-2">
        <div className="px-9">
          <h1 className="text-[24px]">Tray</h1>
          <p className="caption figures mt-1">
            {rows === null ? (failure ? '' : 'Loading the list …') : headline(rows)}{' '}
            <a className="link-text" href={set ? `/class/?id=${encodeURIComponent(set.classId)}` : '/class/'}>
              Class list
            </a>
          </p>
          <div className="mt-1">
            <SetToLine /> <Outside />
          </div>
          {failure && <Failed className="mt-3" text={readingFailed(failure)} onAgain={again} />}
          {rows !== null && rows.length > 0 && <Who rows={rows} shown={shown} onShow={setShown} />}
        </div>
        {rows !== null && rows.length === 0 && (
          <p className="px-9 py-8">
            {set
              ? 'Nobody is on the class list yet.'
              : 'Nobody can take this quiz before it is set to a class.'}
          </p>
        )}
        {rows !== null && rows.length > 0 && <Rows rows={those} />}
        {rows !== null && rows.length > 0 && those.length === 0 && (
          <p className="px-9 py-6 text-soft">Nobody.</p>
        )}
        <NewStudent
          to={set ? { classId: set.classId, groups: set.group === null ? [] : [set.group] } : null}
          label="Add to the class list"
          onAdded={() => setListed((n) => n + 1)}
        />
      </div>
      <aside
        aria-label="Answers from a file"
        className="border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:mt-6 max-lg:border-l-0 max-lg:pl-0"
      >
        {set ? (
          <AnswerFile onImported={() => setListed((n) => n + 1)} />
        ) : (
          <p className="text-soft">Set the quiz to a class before you bring in answers from a file.</p>
        )}
      </aside>
    </main>
  );
}
