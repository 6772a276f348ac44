import { emptyContent } from '@/core/quiz/newQuiz';
import { at, NEVER, planOf, waitsFor, type Aspect, type RevealPlan } from '@/core/quiz/plan/plan';
import type { Opening } from '@/core/quiz/quiz';
import { windowOfQuiz } from '@/core/quiz/times/window';
import { sameForAll, type StudentWindow, type WindowFields } from '@/core/quiz/times/windows';

/** A window that is everyone's. */
export const windowOf = (opening: Opening | null, more: Partial<WindowFields> = {}): StudentWindow =>
  sameForAll({ ...windowOfQuiz(opening, emptyContent('')), ...more });

type Simple = 'handedIn' | 'closed' | 'byTeacher' | 'never';
const simple = (when: Simple) => (when === 'never' ? NEVER : waitsFor(at(when)));

/** A plan of one condition for each aspect: for all but those that are named, the first. */
export const planFrom = (rest: Simple, more: Partial<Record<Aspect, Simple>> = {}): RevealPlan =>
  planOf(
    simple(rest),
    Object.fromEntries(Object.entries(more).map(([aspect, when]) => [aspect, simple(when)])),
  );

/** A plan with other conditions for some of its aspects. */
export const planWith = (plan: RevealPlan, more: Partial<Record<Aspect, Simple>>): RevealPlan => ({
  ...plan,
  aspects: {
    ...plan.aspects,
    ...Object.fromEntries(Object.entries(more).map(([aspect, when]) => [aspect, simple(when)])),
  },
});
