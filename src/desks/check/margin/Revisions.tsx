import { putBack } from '@/store/quiz/revisions';
import { undoStep } from '@/store/undo/undo';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { Failed } from '@/ui/widgets/press/Failed';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { dateAndTime, points } from '@/ui/words/figures';
import { classWorker } from '@/workers/clients';
import type { CheckRow, Revision } from '@/workers/classDesk';
import { AsideHead } from './AsideHead';

function useRevisions(row: CheckRow | null) {
  const { quiz, attemptsSeq } = useQuiz();
  const attemptId = row?.attemptId ?? null;
  const { value, failure, again } = useQuery(
    async () => ({ attemptId, found: await classWorker().revisions(quiz.id, attemptId) }),
    [quiz.id, quiz.changeSeq, quiz.standing.live, attemptsSeq, attemptId],
  );
  return { revisions: value?.attemptId === attemptId ? value.found : null, failure, again };
}

/** What a student had by a revision. */
function Score({ score }: { readonly score: NonNullable<Revision['score']> }) {
  if (score.none) return '–';
  return (
    <>
      <strong>
        {points(score.score)} of {points(score.outOf)}
      </strong>
      {score.waiting.n > 0 && (
        <span className="text-[12.5px] text-saffron-text"> +{points(score.waiting)} not marked yet</span>
      )}
    </>
  );
}

/** The press that puts what a revision changed back in the draft, beside all that came after it. */
function PutBack({ rev }: { readonly rev: number }) {
  const { quiz } = useQuiz();
  const back = async () => {
    const done = await putBack(quiz.id, rev);
    if (!done.ok) {
      notify(
        done.reason === 'changedSince'
          ? 'What it changed has been changed again since: change it in Write'
          : 'Nothing left to undo',
      );
      return;
    }
    notify('It is as it was before, in the draft: the bar below says whose score would change', {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, done.step)),
    });
  };
  return (
    <button
      type="button"
      className="link-text float-right min-h-[26px] cursor-pointer text-[14px]"
      onClick={() => run(back)}
    >
      Undo this change
    </button>
  );
}

interface Props {
  /** Whose score is told by each; null for nobody's. */
  readonly row: CheckRow | null;
  readonly onClose: () => void;
}

/** When the key was changed, and what one student had by each revision of it. */
export function Revisions({ row, onClose }: Props) {
  const { revisions, failure, again } = useRevisions(row);
  return (
    <>
      <AsideHead title="Changes to the key" onClose={onClose} />
      {row && (
        <p className="caption mt-1">
          The score of <StudentName name={row.name} apart={row.apart} /> by each version, with your own scores
          of then.
        </p>
      )}
      {failure && <Failed className="mt-2" text={readingFailed(failure)} onAgain={again} />}
      {revisions?.length === 0 && (
        <p className="mt-2 text-[14px]">Nobody has handed in yet: the key has no revisions.</p>
      )}
      <ol className="mt-2" reversed aria-label="Versions, the newest first">
        {revisions?.map(({ rev, at, why, counts, changes, score }) => (
          <li key={rev} className="border-b border-line py-2 text-[14px]">
            <p className="flex items-baseline gap-3">
              <span className="min-w-0 flex-1 font-semibold">
                {why === 'opened' ? 'As it was opened' : `Change ${rev - 1}`}
                {counts && <span className="font-normal text-petrol"> · counts now</span>}
              </span>
              {score && (
                <span className="figures whitespace-nowrap">
                  <Score score={score} />
                </span>
              )}
            </p>
            <p className="caption figures">{dateAndTime(at)}</p>
            {why === 'applied' && <PutBack rev={rev} />}
            {changes.length > 0 && (
              <ul className="mt-1 text-[13.5px]">
                {changes.map((line, index) => (
                  <li key={index} className="break-words">
                    {line}
                  </li>
                ))}
              </ul>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}
