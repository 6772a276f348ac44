import { useState } from 'react';
import { compare, type Fraction } from '@/core/figures/fraction';
import { now } from '@/device/clock';
import { undoStep } from '@/store/undo/undo';
import { removeOverride, setOverride } from '@/store/work/overrides';
import { points, pointsWord } from '@/ui/words/figures';
import { notify } from '@/ui/widgets/press/notices';
import { PointsField } from '@/ui/widgets/fields/PointsField';
import { run, usePress } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useThere } from '@/ui/widgets/press/useThere';
import type { OpenedAnswer } from '@/workers/classDesk';
import { markedBefore } from './markedBefore';

interface Props {
  readonly opened: OpenedAnswer;
  readonly attemptId: string;
  readonly questionId: string;
  readonly possible: Fraction;
  /** Once it is saved: goes on to the next answer. */
  readonly onSaved: () => void;
  readonly onRemoved: () => void;
}

/** The teacher's own points for one answer: typed, Enter, and the next one is at hand. */
export function HandForm({ opened, attemptId, questionId, possible, onSaved, onRemoved }: Props) {
  const { quiz } = useQuiz();
  const { override, marked } = opened;
  const [own, setOwn] = useState<Fraction | null>(override?.points ?? marked);
  const [reason, setReason] = useState(override?.reason ?? '');
  const place = { quizId: quiz.id, attemptId, questionId };
  const there = useThere();
  const above = own !== null && compare(own, possible) > 0;
  const tell = (text: string, step: number) =>
    notify(text, { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) });
  const save = usePress(async () => {
    if (own === null) return;
    const step = await setOverride(
      { ...place, points: own, reason: reason.trim(), at: now(), gave: marked },
      await markedBefore(quiz, attemptId),
    );
    tell(`${points(own)} of ${points(possible)} saved for this answer`, step);
    // Who has gone elsewhere meanwhile stays there.
    if (there.current) onSaved();
  });
  const remove = usePress(async () => {
    tell('Your score is removed', await removeOverride(place, await markedBefore(quiz, attemptId)));
    if (there.current) onRemoved();
  });
  const error = save.error ?? remove.error;
  return (
    <form
      data-own-undo
      className="border-b border-line py-2.5"
      onSubmit={(event) => {
        event.preventDefault();
        if (own !== null) save.start();
      }}
    >
      <p className="leading-loose">
        <PointsField
          className="sentence-part text-center"
          label="Your own points"
          value={own}
          most={1000}
          onChange={setOwn}
        />{' '}
        of {pointsWord(possible)}
      </p>
      {above && <p className="text-[13.5px] text-saffron-text">That is more than the question is worth.</p>}
      <input
        className="lined-field mt-1"
        aria-label="Reason"
        placeholder="Reason, for you alone"
        maxLength={1000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      {error && (
        <p role="alert" className="mt-2 border-l-2 border-saffron bg-wash px-3 py-2">
          {error}
        </p>
      )}
      <div className="mt-2 flex gap-3">
        <button type="submit" className="btn btn-sm btn-primary" disabled={own === null || save.busy}>
          Save this score
        </button>
        {override && (
          <button
            type="button"
            className="btn btn-sm btn-outline"
            disabled={remove.busy}
            onClick={remove.start}
          >
            Remove my score
          </button>
        )}
      </div>
    </form>
  );
}
