import { same } from '@/core/figures/deepEqual';
import type { Opening } from '@/core/quiz/quiz';
import type { OwnWindow } from '@/core/quiz/times/windows';
import { openQuiz, setOwnWindow } from '@/store/quiz/standing';
import { undoStep } from '@/store/undo/undo';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Failed } from '@/ui/widgets/press/Failed';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { useFreshQuery } from '@/ui/widgets/press/useQuery';
import { workEffectWords } from '@/ui/words/workEffectWords';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { PlanLane } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';

/** A lane whose times were moved on the line and are not set yet. */
export interface MovedLane {
  readonly lane: PlanLane;
  readonly from: number;
  readonly until: number | null;
}

interface Props {
  readonly moved: MovedLane;
  readonly onDone: () => void;
}

/** The times that were moved on the line: what they would change, and the press that sets them. */
export function MovedTimes({ moved, onDone }: Props) {
  const { quiz } = useQuiz();
  const { zone } = quiz.content;
  const { opening, windows } = quiz.standing;
  const { lane, from, until } = moved;
  const { target } = lane;
  // Only what was moved is set apart: the rest stays as it was.
  const set = {
    ...(from === lane.from ? {} : { from }),
    ...(until === lane.until ? {} : { until }),
  } satisfies OwnWindow['set'];
  const known = windows.find((one) => same(one.for, target));
  const next: Opening = { ...(opening ?? { from, due: null, grace: 0, until }), ...set };
  const effect = useFreshQuery(() => {
    if (quiz.firstHandInAt === null) return Promise.resolve(null);
    if (target.kind === 'all') return classWorker().timesEffect(quiz.id, next);
    const own = { id: known?.id ?? 'new', for: target, set: { ...known?.set, ...set } };
    return classWorker().windowsEffect(quiz.id, [...windows.filter((one) => one !== known), own]);
  }, [quiz.id, target, set]);
  const hold = usePress(async () => {
    const step =
      target.kind === 'all'
        ? await openQuiz(quiz.id, next)
        : await setOwnWindow(quiz.id, target, { ...known?.set, ...set });
    notify(`Times set for ${lane.name}`, { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) });
    onDone();
  });
  const end = until === null ? 'no end' : dayAndTimeIn(until, zone);
  return (
    <section
      aria-label="Times that were moved"
      className="mt-2 flex flex-wrap items-baseline gap-x-4 gap-y-2 border-l-2 border-petrol bg-wash px-4 py-2.5"
    >
      <p role="status" className="min-w-60 flex-1">
        <strong>{lane.name}</strong>: {dayAndTimeIn(from, zone)} – {end}.{' '}
        {quiz.firstHandInAt !== null && workEffectWords(effect.value)}
      </p>
      <span className="flex gap-3">
        <button type="button" className="btn btn-sm btn-primary" disabled={hold.busy} onClick={hold.start}>
          Set these times
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={onDone}>
          Leave them
        </button>
      </span>
      {hold.error && <Failed className="basis-full" text={hold.error} onAgain={hold.start} />}
    </section>
  );
}
