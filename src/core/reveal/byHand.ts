import { same } from '../figures/deepEqual';
import type { TargetOrAll } from '../quiz/people/target';
import {
  ASPECTS,
  NEEDS,
  type Aspect,
  type Condition,
  type OwnPlan,
  type RevealAct,
  type RevealPlan,
} from '../quiz/plan/plan';

/** Aspects that wait for the teacher's press: by a plan, or by what is set apart from it for somebody. */
export const aspectsByHand = (plan: RevealPlan, ownPlans: readonly OwnPlan[] = []): Aspect[] =>
  ASPECTS.filter((aspect) =>
    [plan, ...ownPlans].some(({ aspects }) => {
      const when = aspects[aspect]?.when ?? 'never';
      return when !== 'never' && when.some((one) => one.when === 'byTeacher');
    }),
  );

/** What else an aspect waits for than the teacher's press and the hand-in, with all that the one it needs waits for. */
export const waitsBesides = ({ aspects }: RevealPlan, aspect: Aspect): Condition[] =>
  [aspect, ...(NEEDS[aspect] ? [NEEDS[aspect]] : [])].flatMap((one) => {
    const { when } = aspects[one];
    if (when === 'never') return [];
    return when.filter(
      (condition) =>
        condition.when !== 'byTeacher' && !(condition.when === 'handedIn' && condition.delay === null),
    );
  });

/** Aspects of a plan that wait for an end of a window. */
export const aspectsAtClosing = ({ aspects }: RevealPlan): Aspect[] =>
  ASPECTS.filter((aspect) => {
    const { when } = aspects[aspect];
    return when !== 'never' && when.some((one) => one.when === 'closed' || one.when === 'allClosed');
  });

/**
 * Since when the teacher has shown an aspect to everyone, or to all of some: by the last press that was to just them or to
 * everyone; null where not, or where it was taken back.
 */
export function shownSince(
  acts: readonly RevealAct[],
  aspect: Aspect,
  whom: TargetOrAll = { kind: 'all' },
): number | null {
  const last = acts.findLast(
    ({ to, aspects }) => (to.kind === 'all' || same(to, whom)) && aspects.includes(aspect),
  );
  return last?.act === 'show' ? last.at : null;
}

/** True where the teacher has shown a student something that was not shown to everyone at the time. */
export function isShownAlone(acts: readonly RevealAct[], studentId: string): boolean {
  const last = acts.findLast(
    ({ to }) => to.kind === 'all' || (to.kind === 'student' && to.studentId === studentId),
  );
  return last?.to.kind === 'student' && last.act === 'show';
}
