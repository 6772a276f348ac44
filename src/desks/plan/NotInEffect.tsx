import type { Concerned, PlanEffect } from '@/core/reveal/planEffect';
import { concernsNobody } from '@/core/reveal/planEffect';
import type { Plans } from '@/store/quiz/standing';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Failed } from '@/ui/widgets/press/Failed';
import { usePress } from '@/ui/widgets/press/press';
import { useFreshQuery } from '@/ui/widgets/press/useQuery';
import { ASPECT_NAMES } from '@/ui/words/aspectNames';
import { readingFailed } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { classWorker } from '@/workers/clients';

/** Aspects that concern as many students, told together: *score and feedback to 3 students*. */
function listed(those: readonly Concerned[], to: string): string {
  const byCount = new Map<number, string[]>();
  for (const { aspect, students } of those)
    byCount.set(students, [...(byCount.get(students) ?? []), ASPECT_NAMES[aspect]]);
  return [...byCount]
    .map(
      ([students, names]) =>
        `${names.join(', ').replace(/, ([^,]*)$/, ' and $1')} ${to} ${count(students, 'student')}`,
    )
    .join('; ');
}

/** What a changed plan would do, in sentences. */
export function planEffectWords(effect: PlanEffect | null): string {
  if (!effect) return 'Working out whom it concerns…';
  if (concernsNobody(effect)) return 'Nobody is affected.';
  const { shows, hides, moves } = effect;
  const all = [
    shows.length > 0 ? `It shows ${listed(shows, 'to')} at once.` : '',
    hides.length > 0 ? `It hides ${listed(hides, 'from')}.` : '',
    moves > 0 ? `For ${count(moves, 'student')} something comes at another time.` : '',
  ];
  return all.filter(Boolean).join(' ');
}

interface Props {
  readonly plans: Plans;
  readonly onHold: () => Promise<void>;
  readonly onLeave: () => void;
}

/** A plan that was changed after students could sit: whom it concerns, and the press that puts it into effect. */
export function NotInEffect({ plans, onHold, onLeave }: Props) {
  const { quiz, attemptsSeq } = useQuiz();
  const {
    value: effect,
    failure,
    again,
  } = useFreshQuery(() => classWorker().plansEffect(quiz.id, plans), [quiz.id, plans, attemptsSeq]);
  const hold = usePress(onHold);
  return (
    <section
      aria-label="Changes to the plan"
      className="sticky bottom-0 z-10 -mx-9 mt-4 border-t border-petrol bg-wash px-9 py-3 max-sm:-mx-4 max-sm:px-4"
    >
      <p role="status">
        <strong>Not applied yet.</strong> {!failure && planEffectWords(effect)}
      </p>
      {failure && <Failed className="mt-1" text={readingFailed(failure)} onAgain={again} />}
      {hold.error && <Failed className="mt-1" text={hold.error} onAgain={hold.start} />}
      <div className="mt-2 flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={hold.busy || effect === null}
          onClick={hold.start}
        >
          Apply
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={onLeave}>
          Discard changes
        </button>
      </div>
    </section>
  );
}
