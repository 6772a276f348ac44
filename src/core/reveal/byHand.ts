import { same } from '../figures/deepEqual';
import type { TargetOrAll } from '../quiz/target';
import { ASPECTS, type Aspect, type RevealAct, type RevealPlan } from '../quiz/plan';

/** Aspects of a plan that wait for the teacher's press. */
export const aspectsByHand = ({ aspects }: RevealPlan): Aspect[] =>
  ASPECTS.filter((aspect) => {
    const { when } = aspects[aspect];
    return when !== 'never' && when.some((one) => one.when === 'byTeacher');
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
