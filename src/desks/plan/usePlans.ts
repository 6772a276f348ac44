import { useState } from 'react';
import { same } from '@/core/figures/deepEqual';
import { wholeSpan } from '@/core/quiz/times/window';
import { now } from '@/device/clock';
import { undoStep } from '@/store/undo/undo';
import { setPlans, type Plans } from '@/store/quiz/standing';
import type { Draft } from '@/ui/editing/useDraft';
import type { RevealPlan } from '@/core/quiz/plan/plan';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useContentField } from '@/ui/teacher/useContentField';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';

/** Plans that were changed and are not in effect yet. */
interface Waiting {
  readonly plans: Plans;
  /** What was in effect when it was changed; null after another tab was faster: what is in effect once it is put there. */
  readonly seen: Plans | null;
}

/** What waits, by quiz: also while another station is at hand. */
const waiting = new Map<string, Waiting>();

interface PlansHere {
  /** The quiz's plan as it is written, for where another tab has changed it. */
  readonly draft: Draft<RevealPlan>;
  /** What stands in the sentences: what waits, else what is in effect. */
  readonly shown: Plans;
  /** What waits to be put into effect; null: nothing. */
  readonly pending: Plans | null;
  readonly change: (plans: Plans) => void;
  readonly putIntoEffect: () => Promise<void>;
  readonly leave: () => void;
}

/**
 * The plans of a quiz. Before anybody can sit, a change holds at once. After that it waits, with whom it concerns, until it
 * is put into effect.
 */
export function usePlans(): PlansHere {
  const { quiz } = useQuiz();
  const draft = useContentField('plan', 'Change the plan');
  const stored: Plans = { plan: draft.value, ownPlans: quiz.standing.plans };
  const [pending, setPending] = useState(() => waiting.get(quiz.id) ?? null);
  const wait = (next: Waiting | null) => {
    if (next) waiting.set(quiz.id, next);
    else waiting.delete(quiz.id);
    setPending(next);
  };
  /** Puts plans into effect, and gives the step that was made; where another tab was faster they wait, which is said. */
  const hold = async (plans: Plans, seen: Plans): Promise<number | null> => {
    const step = await setPlans(quiz.id, plans, seen);
    wait(step === null ? { plans, seen: null } : null);
    if (step === null)
      notify('Another tab changed the plan meanwhile. Yours still waits: look at both, then decide.');
    return step;
  };
  const change = (plans: Plans) => {
    const span = wholeSpan(quiz.standing);
    const isOpened = quiz.firstHandInAt !== null || (span !== null && span.from <= now());
    const seen = pending?.seen ?? stored;
    if (isOpened) {
      wait(same(plans, seen) ? null : { plans, seen });
      return;
    }
    if (same(plans.ownPlans, stored.ownPlans)) draft.edit(plans.plan);
    else run(() => hold(plans, stored));
  };
  const putIntoEffect = async () => {
    if (!pending) return;
    const step = await hold(pending.plans, pending.seen ?? stored);
    if (step !== null)
      notify('The changed plan is applied', {
        label: 'Undo',
        run: () => run(() => undoStep(quiz.id, step)),
      });
  };
  return {
    draft,
    shown: pending?.plans ?? stored,
    pending: pending?.plans ?? null,
    change,
    putIntoEffect,
    leave: () => wait(null),
  };
}
