import { useEffect, useMemo, useState } from 'react';
import { ASPECTS } from '@/core/reveal/plan';
import { showAspects, showStudent } from '@/store/standing';
import { undo } from '@/store/history';
import { ASPECT_NAMES } from '@/ui/aspectNames';
import { CommentField } from '@/ui/CommentField';
import { points } from '@/ui/figures';
import { notify } from '@/ui/notices';
import { quizState } from '@/ui/quizState';
import { useQuiz } from '@/ui/quizContext';
import { classWorker } from '@/workers/clients';
import type { HandBackRow } from '@/workers/classDesk';
import { AnswersFile } from './AnswersFile';
import { ScoresFile } from './ScoresFile';

function useRows(): HandBackRow[] | null {
  const { quiz, attemptsSeq } = useQuiz();
  const [rows, setRows] = useState<HandBackRow[] | null>(null);
  const { id } = quiz;
  const state = quizState(quiz);
  useEffect(() => {
    let current = true;
    void classWorker().handBack(id).then((found) => current && setRows(found)); // prettier-ignore
    return () => {
      current = false;
    };
  }, [id, state, attemptsSeq]);
  return rows;
}

const printAddress = (quizId: string, right: 'with' | 'without', student?: string): string => {
  const query = new URLSearchParams({ quiz: quizId, right, ...(student ? { student } : {}) });
  return `/print/?${query.toString()}`;
};

function seenWords({ shown, waitsForTeacher }: HandBackRow): string {
  if (shown.length === ASPECTS.length) return 'everything';
  const missing = ASPECTS.filter((aspect) => !shown.includes(aspect));
  if (missing.length <= 2)
    return `everything but ${missing.map((aspect) => ASPECT_NAMES[aspect]).join(' and ')}`;
  if (shown.length > 0) return shown.map((aspect) => ASPECT_NAMES[aspect]).join(', ');
  return waitsForTeacher.length > 0 ? 'nothing, it waits for you' : 'nothing yet';
}

interface RowProps {
  readonly row: HandBackRow;
  /** True where the plan has something that waits for the teacher's press. */
  readonly byHand: boolean;
}

function Row({ row, byHand }: RowProps) {
  const { quiz } = useQuiz();
  const alone = quiz.standing.shownTo[row.studentId] !== undefined;
  const press = async () => {
    await showStudent(quiz.id, row.studentId, alone ? 'takeBack' : 'show');
    notify(alone ? `Taken back from ${row.name}` : `Shown to ${row.name}`, {
      label: 'Undo',
      run: () => void undo(quiz.id),
    });
  };
  const slip = `/sit/?quiz=${encodeURIComponent(quiz.id)}&student=${encodeURIComponent(row.studentId)}`;
  return (
    <tr className="border-b border-hair align-middle hover:bg-base-200">
      <th scope="row" className="py-2 pr-4 pl-9 text-left font-semibold">
        {row.name}
      </th>
      <td className="figures py-2 pr-5 text-right whitespace-nowrap">
        {row.recorded ? (
          <>
            <span className="font-semibold">{points(row.recorded.score)}</span>
            {row.recorded.waiting.n > 0 && (
              <span className="block text-[12.5px] text-saffron-text">
                +{points(row.recorded.waiting)} to come
              </span>
            )}
          </>
        ) : (
          '–'
        )}
      </td>
      <td className="caption py-2 pr-4">{seenWords(row)}</td>
      <td className="w-64 py-1 pr-4">
        <CommentField
          attemptId={row.attemptId}
          questionId=""
          label={`Comment to ${row.name}`}
          placeholder="Comment"
          quiet
        />
      </td>
      <td className="py-2 pr-9 text-right whitespace-nowrap">
        {byHand && (alone || row.waitsForTeacher.length > 0) && (
          <button type="button" className="btn btn-xs btn-outline mr-3" onClick={() => void press()}>
            {alone ? 'Take back' : 'Show'}
            <span className="sr-only">{alone ? ` from ${row.name}` : ` to ${row.name}`}</span>
          </button>
        )}
        <a className="link-text" href={slip} target="_blank" rel="noopener">
          Slip<span className="sr-only"> of {row.name}</span>
        </a>{' '}
        <a
          className="link-text ml-2"
          href={printAddress(quiz.id, 'with', row.studentId)}
          target="_blank"
          rel="noopener"
        >
          Print<span className="sr-only"> the slip of {row.name}</span>
        </a>
      </td>
    </tr>
  );
}

/** What the plan holds for the teacher's press, and the press that shows it to all or takes it back. */
function ShowAll({ rows }: { readonly rows: readonly HandBackRow[] }) {
  const { quiz } = useQuiz();
  const { plan } = quiz.content;
  const byHand = ASPECTS.filter((aspect) => plan[aspect] === 'byTeacher');
  const open = byHand.filter((aspect) => quiz.standing.shown[aspect] === undefined);
  const anyone = open.length < byHand.length || Object.keys(quiz.standing.shownTo).length > 0;
  const press = async (show: 'show' | 'takeBack') => {
    await showAspects(quiz.id, byHand, show);
    notify(show === 'show' ? 'Shown to everyone who has finished' : 'Taken back from everyone', {
      label: 'Undo',
      run: () => void undo(quiz.id),
    });
  };
  if (byHand.length === 0) {
    return (
      <p className="mt-3">
        By your plan everything appears by itself.{' '}
        <a className="link-text" href="#plan">
          Change the plan
        </a>{' '}
        to show results by hand.
      </p>
    );
  }
  const names = byHand.map((aspect) => ASPECT_NAMES[aspect]).join(', ');
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <p>
        Waiting for you by the plan: <strong>{names}</strong>.
      </p>
      {open.length > 0 && (
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={rows.length === 0}
          onClick={() => void press('show')}
        >
          Show to all
        </button>
      )}
      {anyone && (
        <button type="button" className="btn btn-sm btn-outline" onClick={() => void press('takeBack')}>
          Take back from all
        </button>
      )}
    </div>
  );
}

/** Results go back: shown on screen, printed, or as a file for the gradebook. */
export default function HandBack() {
  const { quiz } = useQuiz();
  const rows = useRows();
  const byHand = useMemo(() => Object.values(quiz.content.plan).includes('byTeacher'), [quiz.content.plan]);
  const seeing = rows?.filter((row) => row.shown.some((aspect) => aspect !== 'comments')).length ?? 0;
  const provisional = rows?.filter((row) => row.recorded?.provisional).length ?? 0;
  return (
    <main className="mx-auto grid w-full max-w-[1280px] flex-1 grid-cols-[minmax(0,1fr)_320px] items-start gap-x-8 px-6 py-6 max-lg:grid-cols-1">
      <div className="min-w-0 bg-paper pt-7 pb-4">
        <div className="px-9">
          <h1 className="text-[24px]">Hand back</h1>
          <p className="caption figures mt-1">
            {rows === null
              ? 'Marking …'
              : `${seeing} of ${rows.length} students see something of their result${provisional > 0 ? `; ${provisional} scores can still change, because answers wait` : ''}`}
          </p>
          {rows !== null && <ShowAll rows={rows} />}
        </div>
        {rows !== null && rows.length === 0 && <p className="px-9 py-8">Nothing has been handed in yet.</p>}
        {rows !== null && rows.length > 0 && (
          <div className="overflow-x-auto">
            <table className="mt-4 w-full">
              <thead>
                <tr className="label-small border-b border-line text-left">
                  <th className="pb-1 pl-9 font-semibold">Student</th>
                  <th className="pr-5 pb-1 text-right font-semibold">Score</th>
                  <th className="pb-1 font-semibold">Sees now</th>
                  <th className="pb-1 font-semibold">Comment</th>
                  <th className="pb-1">
                    <span className="sr-only">What can be done</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {rows.map((row) => (
                  <Row key={row.studentId} row={row} byHand={byHand} />
                ))}
              </tbody>
            </table>
          </div>
        )}
      </div>
      <aside
        aria-label="On paper and as a file"
        className="border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:mt-6 max-lg:border-l-0 max-lg:pl-0"
      >
        <h2 className="text-[15px]">Printed slips</h2>
        <p className="mt-1 text-[14px] text-soft">
          One student a page, with score, answers, feedback and comments, whatever the plan shows on screen.
        </p>
        <p className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
          <a className="link-text" href={printAddress(quiz.id, 'with')} target="_blank" rel="noopener">
            With right answers
          </a>
          <a className="link-text" href={printAddress(quiz.id, 'without')} target="_blank" rel="noopener">
            Without them
          </a>
        </p>
        <ScoresFile disabled={rows === null || rows.length === 0} />
        <AnswersFile disabled={rows === null || rows.length === 0} />
      </aside>
    </main>
  );
}
