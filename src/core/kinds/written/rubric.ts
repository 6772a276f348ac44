import { valueAt } from '../../figures/valueAt';
import { add, divide, larger, ZERO, type Fraction } from '../../figures/fraction';
import type { Criterion } from './schema';

/** The level chosen for each criterion, by id. */
export type Levels = Readonly<Record<string, string>>;

/**
 * The credit of a rubric: the sum of the chosen levels over the sum of the best levels. Null while a criterion has no
 * level yet, or where no level is worth anything: a rubric half done waits whole.
 */
export function rubricCredit(rubric: readonly Criterion[], levels: Levels): Fraction | null {
  let earned = ZERO;
  let best = ZERO;
  for (const criterion of rubric) {
    const chosen = valueAt(levels, criterion.id);
    const level = criterion.levels.find(({ id }) => id === chosen);
    if (!level) return null;
    earned = add(earned, level.points);
    best = add(best, criterion.levels.map(({ points }) => points).reduce(larger, ZERO));
  }
  return best.n === 0 ? null : divide(earned, best);
}
