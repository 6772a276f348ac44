import { NEEDS, type Aspect, type RevealPlan } from '@/core/quiz/plan/plan';
import type { Target } from '@/core/quiz/people/target';
import { aspectsByHand, shownSince, waitsBesides } from '@/core/reveal/byHand';
import { undoStep } from '@/store/undo/undo';
import { showAspects } from '@/store/quiz/standing';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { dayAndTime } from '@/ui/words/figures';
import { conditionWords } from './conditionWords';

interface Props {
  readonly aspect: Aspect;
  readonly plan: RevealPlan;
  /** To whom; null: to everyone. */
  readonly target: Target | null;
}

/** Shows an aspect that waits for the teacher, or takes it back: for everyone, or for some. */
export function ByHand({ aspect, plan, target }: Props) {
  const { quiz } = useQuiz();
  const to = target ?? ({ kind: 'all' } as const);
  const since = shownSince(quiz.standing.acts, aspect, to);
  const press = async (show: 'show' | 'takeBack') => {
    // What it needs comes with it, where that waits for the press as well.
    const needed = NEEDS[aspect];
    const withIt = needed && show === 'show' && aspectsByHand(plan).includes(needed);
    const step = await showAspects(quiz.id, withIt ? [aspect, needed] : [aspect], show, to);
    const everyone = target === null ? 'everyone who has' : 'those of them who have';
    const still = waitsBesides(plan, aspect).map((one) => conditionWords(one, quiz.content.zone));
    const shown =
      still.length > 0
        ? `Not shown yet: it appears ${still.join(' and ')}`
        : `Shown to ${everyone} finished, and to those who hand in later as soon as they do`;
    notify(show === 'show' ? shown : 'Hidden again', {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, step)),
    });
  };
  return (
    <span className="ml-2 inline-flex items-baseline gap-3">
      {since !== null && <span className="caption">shown since {dayAndTime(since)}</span>}
      <button
        type="button"
        className="btn btn-xs btn-outline"
        onClick={() => run(() => press(since === null ? 'show' : 'takeBack'))}
      >
        {since === null ? 'Show it now' : 'Hide it again'}
      </button>
    </span>
  );
}
