import { ASPECTS, type Aspect } from '../quiz/plan/plan';
import { same } from '../figures/deepEqual';
import type { Reveal } from './whatIsShown';

/** An aspect, and how many students it concerns. */
export interface Concerned {
  readonly aspect: Aspect;
  readonly students: number;
}

/** What another plan would do for the students of now. */
export interface PlanEffect {
  /** What would appear at once to some. */
  readonly shows: readonly Concerned[];
  /** What would be hidden from some to whom it is shown now. */
  readonly hides: readonly Concerned[];
  /** Students for whom something else would come at another time, or not at all any more. */
  readonly moves: number;
}

/** What changes for each student between two plans of a quiz at one instant: of the latest attempt, or the one that comes. */
export function planEffect(before: Reveal, after: Reveal): PlanEffect {
  const [shows, hides] = [new Map<Aspect, number>(), new Map<Aspect, number>()];
  const more = (counts: Map<Aspect, number>, aspect: Aspect) =>
    counts.set(aspect, (counts.get(aspect) ?? 0) + 1);
  let moves = 0;
  for (const { studentId } of before.scene.seats) {
    const [was, will] = [before.shown(studentId), after.shown(studentId)];
    let moved = false;
    for (const aspect of ASPECTS) {
      const [a, b] = [was[aspect], will[aspect]];
      if (a.state === 'shown' && b.state !== 'shown') more(hides, aspect);
      else if (a.state !== 'shown' && b.state === 'shown') more(shows, aspect);
      else if (a.state !== 'shown' && !same(a, b)) moved = true;
    }
    if (moved) moves++;
  }
  const listed = (counts: ReadonlyMap<Aspect, number>) =>
    ASPECTS.flatMap((aspect) => {
      const students = counts.get(aspect);
      return students === undefined ? [] : [{ aspect, students }];
    });
  return { shows: listed(shows), hides: listed(hides), moves };
}

/** True where a plan changes nothing for anybody. */
export const concernsNobody = ({ shows, hides, moves }: PlanEffect): boolean =>
  shows.length === 0 && hides.length === 0 && moves === 0;
