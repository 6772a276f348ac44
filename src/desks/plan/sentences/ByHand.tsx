import { NEEDS, type Aspect } from '@/core/quiz/plan';
import { aspectsByHand, shownToAllSince } from '@/core/reveal/byHand';
import { undoStep } from '@/store/records/history';
import { showAspects } from '@/store/quiz/standing';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/notices';
import { run } from '@/ui/widgets/press';
import { dayAndTime } from '@/ui/words/figures';

/** Shows an aspect that waits for the teacher, or takes it back. */
export function ByHand({ aspect }: { readonly aspect: Aspect }) {
  const { quiz } = useQuiz();
  const since = shownToAllSince(quiz.standing.acts, aspect);
  const press = async (show: 'show' | 'takeBack') => {
    // What it needs comes with it, where that waits for the press as well.
    const needed = NEEDS[aspect];
    const withIt = needed && show === 'show' && aspectsByHand(quiz.content.plan).includes(needed);
    const step = await showAspects(quiz.id, withIt ? [aspect, needed] : [aspect], show);
    notify(
      show === 'show'
        ? 'Shown to everyone who has finished, and to those who hand in later as soon as they do'
        : 'Hidden again',
      { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) },
    );
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
