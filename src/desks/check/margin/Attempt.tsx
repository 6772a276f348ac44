import { carriesPoints } from '@/core/quiz/placement';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type { Ruling } from '@/core/quiz/work/attempt';
import { notCountedWords } from '@/core/scoring/words';
import { rule, rulingOf } from '@/store/work/rulings';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { points } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { run } from '@/ui/widgets/press/press';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useTextDraft } from '@/ui/editing/useDraft';
import { classWorker } from '@/workers/clients';
import type { CheckRow, OpenedAttempt } from '@/workers/classDesk';
import { CommentField } from '@/ui/teacher/CommentField';
import { OwnForMany } from './OwnForMany';

function useOpened(row: CheckRow) {
  const { quiz } = useQuiz();
  const { value, failure, again } = useQuery(
    async () => ({ id: row.attemptId, found: await classWorker().openAttempt(quiz.id, row.attemptId) }),
    [quiz.id, row],
  );
  return { opened: value?.id === row.attemptId ? value.found : null, failure, again };
}

function Note({ ruling }: { readonly ruling: Ruling }) {
  const { quizId, attemptId } = ruling;
  const [text, edit] = useTextDraft({
    name: `note:${attemptId}`,
    stored: ruling.note,
    save: (note) => rule(quizId, attemptId, { note }),
  });
  return (
    <textarea
      className="lined-field resize-none field-sizing-content"
      rows={1}
      maxLength={5000}
      aria-label="Private note, only for you"
      placeholder="Private note, only for you"
      value={text}
      onChange={(event) => edit(event.target.value)}
    />
  );
}

interface RulingProps {
  readonly row: CheckRow;
  readonly opened: OpenedAttempt;
}

/** What the teacher can decide about the attempt: whether it counts, and whether being late costs. */
function Rulings({ row, opened }: RulingProps) {
  const { quiz } = useQuiz();
  const { attemptId, notCounted } = row;
  const ruling = useLiveQuery(() => rulingOf(quiz.id, attemptId), [quiz.id, attemptId]);
  if (!ruling) return null;
  const decide = (patch: Parameters<typeof rule>[2]) => run(() => rule(quiz.id, attemptId, patch));
  const button = 'btn btn-xs btn-outline';
  const { standing, lateness } = ruling;
  return (
    <>
      <div className="mt-3 flex flex-wrap gap-2">
        {notCounted === 'tooLate' && (
          <button type="button" className={button} onClick={() => decide({ standing: 'takenIn' })}>
            Accept it
          </button>
        )}
        {standing === 'takenIn' && (
          <button type="button" className={button} onClick={() => decide({ standing: 'asRules' })}>
            Do not accept it
          </button>
        )}
        {notCounted === null && (
          <button type="button" className={button} onClick={() => decide({ standing: 'voided' })}>
            Do not count it
          </button>
        )}
        {standing === 'voided' && (
          <button type="button" className={button} onClick={() => decide({ standing: 'asRules' })}>
            Count it again
          </button>
        )}
        {opened.late && (
          <button
            type="button"
            className={button}
            onClick={() => decide({ lateness: lateness === 'excused' ? 'counts' : 'excused' })}
          >
            {lateness === 'excused' ? 'Apply the late penalty' : 'Waive the late penalty'}
          </button>
        )}
      </div>
      <h3 className="mt-4 text-[14px]">To the student</h3>
      <div data-comment>
        <CommentField attemptId={attemptId} questionId="" label="Comment on the whole attempt" />
      </div>
      <h3 className="mt-3 text-[14px]">Private</h3>
      <Note key={attemptId} ruling={ruling} />
    </>
  );
}

/** One attempt: how its total and the recorded score came about, and what can be decided about it. */
export function Attempt({ row }: { readonly row: CheckRow }) {
  const { quiz } = useQuiz();
  const { opened, failure, again } = useOpened(row);
  const { score, outOf, waiting } = row.total;
  const one = useMemo(() => [row.attemptId], [row.attemptId]);
  return (
    <>
      <h2 className="text-[17px] max-lg:sr-only">
        <StudentName name={row.name} apart={row.apart} />
        {row.of > 1 && <span className="font-normal text-soft">, attempt {row.number}</span>}
      </h2>
      <p className="figures mt-1 font-title text-[22px] font-semibold">
        {points(score)} of {points(outOf)}
        {waiting.n > 0 && (
          <span className="text-[15px] text-saffron-text"> so far, {points(waiting)} not marked yet</span>
        )}
      </p>
      {row.notCounted && (
        <p className="mt-1 border-l-2 border-saffron pl-3">
          It does not count: {notCountedWords(row.notCounted)}.
        </p>
      )}
      {failure && <Failed className="mt-2" text={readingFailed(failure)} onAgain={again} />}
      {opened && (
        <>
          <p className="caption figures mt-1">
            {row.source === 'typed'
              ? 'On paper, typed in by you, so it is never late'
              : opened.timeKnown
                ? `${row.source === 'brought' ? 'Saved by the student’s device' : 'Handed in'} ${dayAndTimeIn(opened.finishedAt, quiz.content.zone)}`
                : 'From a file without times, so it is never late'}
          </p>
          <ol className="mt-3 space-y-1 text-[13.5px]" aria-label="How the total came about">
            {opened.trace.map((line, index) => (
              <li key={index}>{line}</li>
            ))}
          </ol>
          <Rulings row={row} opened={opened} />
          <OwnForMany
            label="Your own score for every answer of this paper…"
            attemptIds={one}
            question={null}
          />
        </>
      )}
      <ol className="mt-4" aria-label="Answers">
        {row.cells.map((cell, index) => (
          <li key={index} className="flex items-baseline gap-2.5 border-b border-line py-1.5 text-[14px]">
            <span className="figures w-5 text-right font-semibold">{cell.number}</span>
            <CreditPie credit={cell.credit} verdict={cell.verdict} overridden={cell.override !== null} />
            <span className="min-w-0 flex-1 truncate">
              {cell.answer || <span className="text-soft">no answer</span>}
            </span>
            <span className="figures font-semibold">
              {cell.verdict === 'waits'
                ? 'not marked yet'
                : carriesPoints(cell)
                  ? points(cell.earned)
                  : 'no points'}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
