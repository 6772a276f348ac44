import { fraction } from '../../figures/fraction';
import type { Criterion } from './schema';

/** What a teacher does to a rubric. */

export type Level = Criterion['levels'][number];

export const newLevel = (id: string, text: string, points: number): Level => ({
  id,
  text,
  points: fraction(points),
});

/** A criterion with as many levels, of the same points, as the one before it; at first of 0, 1 and 2 points. */
export function newCriterion(newId: () => string, text: string, before: Criterion | undefined): Criterion {
  const levels = before
    ? before.levels.map((level) => ({ ...level, id: newId(), text: '' }))
    : [0, 1, 2].map((points) => newLevel(newId(), '', points));
  return { id: newId(), text, levels };
}
