import { valueAt } from '../../figures/valueAt';
import { progressOf, type Progress } from '../shared/progress';
import type { RowsAnswer, RowsFace } from './schema';

/** Every row in which something is picked. */
export const progress = ({ rows }: RowsFace, answer: RowsAnswer | null): Progress =>
  progressOf(
    rows.filter(({ id }) => answer !== null && (valueAt(answer.picked, id) ?? []).length > 0).length,
    rows.length,
  );
