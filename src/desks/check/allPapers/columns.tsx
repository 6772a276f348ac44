import type { CheckTable } from '@/workers/classDesk';
import type { After } from '../effect/after';

/** Up to this many questions the columns are drawn all at once. */
export const DRAW_ALL_COLUMNS = 24;

/** Of many columns those in view. */
export interface Drawn {
  /** The columns that are drawn: from one place until before another. */
  readonly from: number;
  readonly to: number;
}

/** How wide the columns are, in pixels: the student, the questions, the total, what is recorded. */
export function widthsOf(table: CheckTable, columns: readonly number[], after: After): number[] {
  const questions = columns.map((column) => {
    const least = table.questions[column]?.name ? 76 : 50;
    return after.columns.has(column) ? Math.max(96, least) : least;
  });
  return [190, ...questions, after.totals ? 196 : 150, ...(table.several ? [96] : [])];
}

/** In place of columns that are not in view. */
export const Beside = ({ columns }: { readonly columns: number }) =>
  columns > 0 ? <td colSpan={columns} aria-hidden className="p-0" /> : null;

/** The element that says how many points a question of a column carries, for cells that are described by it. */
export const questionId = (column: number): string => `points-of-${column}`;

/** The element that says out of how many points totals are. */
export const TOTAL_ID = 'points-of-total';
