import { useState } from 'react';
import { divide, type Fraction } from '@/core/figures/fraction';
import { undoStep } from '@/store/undo/undo';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/press/notices';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { PointsField } from '@/ui/widgets/fields/PointsField';
import { run, usePress } from '@/ui/widgets/press/press';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { effectWords } from '@/ui/words/effectWords';
import { count, pointsWord } from '@/ui/words/figures';
import { classWorker } from '@/workers/clients';
import type { OwnScores } from '@/workers/classDesk';

interface Props {
  /** What the press that opens it says. */
  readonly label: string;
  readonly attemptIds: readonly string[];
  /** One question with its points; null for every question of the papers. */
  readonly question: { readonly id: string; readonly points: Fraction } | null;
}

const FULL: Fraction = { n: 1, d: 1 };

/** The own score as it is typed: in points of the one question, or as a share of each. */
function ShareField({
  question,
  share,
  onShare,
}: Pick<Props, 'question'> & {
  readonly share: Fraction;
  readonly onShare: (share: Fraction | null) => void;
}) {
  if (!question || question.points.n === 0)
    return (
      <>
        <PercentField className="sentence-part" label="Your own score" value={share} onChange={onShare} /> of
        the points of each question
      </>
    );
  return (
    <>
      <PointsField
        className="sentence-part text-center"
        label="Your own points"
        value={question.points}
        most={1000}
        onChange={(own) => onShare(own && divide(own, question.points))}
      />{' '}
      of {pointsWord(question.points)}
    </>
  );
}

function Form({ attemptIds, question, onDone }: Omit<Props, 'label'> & { readonly onDone: () => void }) {
  const { quiz, attemptsSeq } = useQuiz();
  const [share, setShare] = useState<Fraction | null>(FULL);
  const [reason, setReason] = useState('');
  const wanted: OwnScores | null = share && {
    attemptIds,
    questionId: question?.id ?? null,
    share,
    reason: reason.trim(),
  };
  const { value: effect } = useQuery(
    async () => (wanted ? classWorker().ownScoresEffect(quiz.id, wanted) : null),
    [quiz.id, attemptsSeq, share?.n, share?.d, attemptIds, question?.id],
  );
  const give = usePress(async () => {
    if (!wanted) return;
    const step = await classWorker().giveOwnScores(quiz.id, wanted);
    if (step !== null)
      notify('Your own scores are set', { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) });
    onDone();
  });
  return (
    <form
      data-own-undo
      className="border-b border-line py-2.5"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onDone();
      }}
      onSubmit={(event) => {
        event.preventDefault();
        give.start();
      }}
    >
      <p className="leading-loose">
        <ShareField question={question} share={share ?? FULL} onShare={setShare} />
      </p>
      <input
        className="lined-field mt-1"
        aria-label="Reason"
        placeholder="Reason, for you alone"
        maxLength={1000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <p className="mt-2 text-[14px]" role="status">
        {effect && share ? effectWords(effect) : '…'}
      </p>
      {give.error && (
        <p role="alert" className="mt-2 border-l-2 border-saffron bg-wash px-3 py-2">
          {give.error}
        </p>
      )}
      <button type="submit" className="btn btn-sm btn-primary mt-2" disabled={!effect || !share || give.busy}>
        Set it for {count(effect?.answers ?? 0, 'answer')}
      </button>
    </form>
  );
}

/** The teacher's own score for many answers at once, with its effect before it is set; one step takes it back. */
export function OwnForMany({ label, ...more }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <div className="mt-3">
      <button
        type="button"
        className="link-text min-h-[26px] cursor-pointer text-[14px]"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {label}
      </button>
      {open && <Form {...more} onDone={() => setOpen(false)} />}
    </div>
  );
}
