import { useState, type ReactNode } from 'react';
import { hasHandedIn, wholeSpan } from '@/core/quiz/times/window';
import { copyText } from '@/ui/widgets/copyText';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { NewStudent } from '@/ui/teacher/NewStudent';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { viewsDependOn } from '@/core/checking/dependsOn';
import { useCircles } from '@/ui/teacher/circles';
import { useClasses } from '@/ui/teacher/useClasses';
import { useOpening } from '@/ui/teacher/opening';
import { useQuiz } from '@/ui/teacher/quizContext';
import { SetToLine } from '@/ui/teacher/SetToLine';
import { useNow } from '@/ui/widgets/press/useNow';
import { useQuery, type Query } from '@/ui/widgets/press/useQuery';
import { classWorker } from '@/workers/clients';
import type { TrayRow } from '@/workers/classDesk';
import { AnswerFile } from './AnswerFile';
import { Door } from './door/Door';
import { StudentFiles } from './files/StudentFiles';
import { TrayRows } from './TrayRows';

/** Which students are listed. */
const SHOWN = {
  all: { words: 'Everyone', holds: () => true },
  missing: { words: 'Not handed in', holds: (row: TrayRow) => !hasHandedIn(row) },
  late: {
    words: 'Late',
    holds: (row: TrayRow) => row.state === 'late' || row.state === 'tooLate',
  },
} as const;
type Shown = keyof typeof SHOWN;

function useTray(listed: number): Query<TrayRow[]> {
  const { quiz, attemptsSeq } = useQuiz();
  const { id } = quiz;
  const state = viewsDependOn(quiz);
  // A page is locked by nothing but the time that passes.
  const at = useNow();
  const look = quiz.content.comingBack ? 0 : Math.floor(at / 15_000);
  return useQuery(() => classWorker().tray(id), [id, attemptsSeq, state, listed, look]);
}

interface WhoProps {
  readonly rows: readonly TrayRow[];
  readonly shown: Shown;
  readonly onShow: (shown: Shown) => void;
  /** Whose work is looked at. */
  readonly children: ReactNode;
}

/** Who is listed, and their names for a message. */
function Who({ rows, shown, onShow, children }: WhoProps) {
  const listed = rows.filter(SHOWN[shown].holds);
  const copy = async () => {
    await copyText(listed.map(({ name }) => name).join('\n'));
    notify(`${count(listed.length, 'name')} copied`);
  };
  return (
    <div className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1">
      {children}
      <div role="group" aria-label="Who is shown" className="flex flex-wrap gap-x-5">
        {Object.entries(SHOWN).map(([name, { words, holds }]) => (
          <button
            key={name}
            type="button"
            aria-pressed={name === shown}
            className="choice figures"
            onClick={() => onShow(name as Shown)}
          >
            {words} ({rows.filter(holds).length})
          </button>
        ))}
      </div>
      {shown !== 'all' && listed.length > 0 && (
        <button type="button" className="link-text min-h-8 cursor-pointer" onClick={() => run(copy)}>
          Copy the names
        </button>
      )}
    </div>
  );
}

function headline(rows: readonly TrayRow[]): string {
  const done = rows.filter(hasHandedIn).length;
  const again = rows.filter((row) => row.again).length;
  const late = rows.filter((row) => row.state === 'late' || row.state === 'tooLate').length;
  const working = rows.filter((row) => row.state === 'working' && !row.again).length;
  const locked = rows.filter((row) => row.lockedSince !== null).length;
  const voided = rows.filter((row) => row.voided).length;
  const notes = [
    late > 0 ? `${late} late` : '',
    again > 0 ? `${again} working again` : '',
    voided > 0 ? `${voided} not counted` : '',
  ].filter(Boolean);
  return `${done} of ${rows.length} handed in${notes.length > 0 ? ` (${notes.join(', ')})` : ''}, ${working} working${locked > 0 ? ` (${locked} locked)` : ''}, ${rows.length - done - working} not started`;
}

/** Work of students whom the quiz is not set to. */
function Outside() {
  const { quiz, attemptsSeq } = useQuiz();
  const state = viewsDependOn(quiz);
  const { value } = useQuery(() => classWorker().workOutside(quiz.id), [quiz.id, attemptsSeq, state]);
  if (!value) return null;
  return (
    <span className="text-saffron-text">
      {count(value, 'other student has', 'other students have')} work here, which is kept and not counted.
    </span>
  );
}

/** The next thing to do for a quiz that nobody can take yet. */
function NotOpen() {
  const { quiz } = useQuiz();
  const ask = useOpening();
  if (wholeSpan(quiz.standing) !== null || quiz.content.order.length === 0) return null;
  return (
    <p>
      Nobody can take it yet.{' '}
      <button type="button" className="link-text cursor-pointer" onClick={ask}>
        Open to students…
      </button>
    </p>
  );
}

/** Where handed-in work arrives: who stands where, and answers from a file. */
export default function Tray() {
  const [listed, setListed] = useState(0);
  const { value: all, failure, again } = useTray(listed);
  const [set] = useQuiz().quiz.standing.setTo;
  const [shown, setShown] = useState<Shown>('all');
  // What stands below each other comes together: nothing moves down once it can be pressed.
  const classes = useClasses();
  const whose = useCircles();
  const isThere = classes !== null && whose.isThere && (all !== null || failure !== null);
  const rows = all?.filter(({ studentId }) => whose.holds(studentId)) ?? null;
  const those = rows?.filter(SHOWN[shown].holds) ?? [];
  return (
    <main className="mx-auto grid w-full max-w-[1240px] flex-1 grid-cols-[minmax(0,1fr)_340px] items-start gap-x-8 px-6 py-6 max-lg:grid-cols-1 max-sm:px-0 max-sm:pt-0">
      <div className="bg-paper pt-7 pb-2 max-sm:pt-3">
        <div className="px-9 max-sm:px-4">
          <h1 className="station-title">Tray</h1>
          <p className="max-sm:hidden">Who has handed in</p>
          <p className="caption figures mt-1">
            {rows === null ? (failure ? '' : 'Loading the list…') : headline(rows)}{' '}
            <a className="link-text" href={set ? `/class/?id=${encodeURIComponent(set.classId)}` : '/class/'}>
              Class list
            </a>
          </p>
          <div className="mt-1">
            <SetToLine /> <Outside />
            {isThere && <NotOpen />}
          </div>
          {failure && <Failed className="mt-3" text={readingFailed(failure)} onAgain={again} />}
          {isThere && rows !== null && all !== null && all.length > 0 && (
            <Who rows={rows} shown={shown} onShow={setShown}>
              {whose.line}
            </Who>
          )}
        </div>
        {rows !== null && rows.length === 0 && (
          <p className="px-9 py-8 max-sm:px-4">
            {set
              ? 'Nobody is on the class list yet.'
              : 'Nobody can take this quiz before it is set for a class.'}
          </p>
        )}
        {isThere && those.length > 0 && <TrayRows rows={those} classOf={whose.classOf} />}
        {rows !== null && rows.length > 0 && those.length === 0 && (
          <p className="px-9 py-6 text-soft max-sm:px-4">Nobody.</p>
        )}
        {isThere && (
          <NewStudent
            to={set ? { classId: set.classId, groups: set.group === null ? [] : [set.group] } : null}
            label="Add to the class list"
            onAdded={() => setListed((n) => n + 1)}
          />
        )}
      </div>
      <aside
        aria-label="Answers from a file"
        className="border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:mt-6 max-lg:border-l-0 max-lg:pl-0 max-sm:px-4"
      >
        {!isThere ? null : set ? (
          <>
            <AnswerFile onImported={() => setListed((n) => n + 1)} />
            <Door rows={all ?? []} />
            <StudentFiles onTaken={() => setListed((n) => n + 1)} />
          </>
        ) : (
          <p className="text-soft">Set the quiz to a class before you bring in answers from a file.</p>
        )}
      </aside>
    </main>
  );
}
