import type { SittingAct } from '@/core/sitting/acts';
import { undoStep } from '@/store/undo/undo';
import { actOnSitting } from '@/store/work/sittingActs';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { Failed } from '@/ui/widgets/press/Failed';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { LateAnswer, TrayRow } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';
import { doneWords, effectWords, PROBLEMS } from './actWords';

const ADD: SittingAct = { act: 'addLate' };
const DROP: SittingAct = { act: 'dropLate' };

function OneAnswer({ late }: { readonly late: LateAnswer }) {
  const { zone } = useQuiz().quiz.content;
  const none = <span className="text-soft">no answer</span>;
  return (
    <li className="border-t border-hair py-2">
      <p>
        <span className="label-small mr-2">{late.number === null ? 'Note' : `Question ${late.number}`}</span>
        <strong className="break-words">{late.after || none}</strong>
        <span className="caption"> instead of </span>
        <span className="break-words">{late.before || none}</span>
      </p>
      <p className="caption figures">
        Made {dayAndTimeIn(late.madeAt, zone)} by the device’s clock, received{' '}
        {dayAndTimeIn(late.cameAt, zone)}.
      </p>
    </li>
  );
}

interface Props {
  readonly row: TrayRow;
  readonly attemptId: string;
  readonly onClose: () => void;
}

/** Answers that a device without a connection could not send before the end: the teacher decides whether they count. */
export function CameAfter({ row, attemptId, onClose }: Props) {
  const { quiz, attemptsSeq } = useQuiz();
  const { zone } = quiz.content;
  const { value, failure, again } = useQuery(
    async () => ({
      answers: await classWorker().lateAnswers(quiz.id, attemptId),
      effect: (await classWorker().actEffects(quiz.id, row.studentId, [ADD], ADD)).effects[0],
    }),
    [quiz.id, attemptId, attemptsSeq],
  );
  const decide = async (act: SittingAct) => {
    const done = await actOnSitting(quiz.id, row.studentId, act);
    notify(
      done.ok ? doneWords(act, row.name, zone) : PROBLEMS[done.problem],
      done.ok ? { label: 'Undo', run: () => run(() => undoStep(quiz.id, done.step)) } : undefined,
    );
    onClose();
  };
  const add = usePress(() => decide(ADD));
  const drop = usePress(() => decide(DROP));
  return (
    <Dialog title={`${row.name}: answers that came after the end`} onClose={onClose} first="heading">
      <p>
        They were sent after the work had been collected. The device had no connection before; by its clock
        they were made in time.
      </p>
      {failure && <Failed className="mt-3" text={readingFailed(failure)} onAgain={again} />}
      <ul className="mt-3 border-b border-hair">
        {value?.answers.map((late) => (
          <OneAnswer key={late.questionId} late={late} />
        ))}
      </ul>
      {value?.effect && <p className="mt-3">{effectWords(ADD, value.effect, zone)}</p>}
      <p className="mt-3">
        <button type="button" className="link-text min-h-9" disabled={drop.busy} onClick={drop.start}>
          Leave them out
        </button>
      </p>
      <DialogFoot
        label="Count them"
        onGo={add.start}
        onLeave={onClose}
        disabled={add.busy || drop.busy || !value}
        error={add.error ?? drop.error}
      />
    </Dialog>
  );
}
