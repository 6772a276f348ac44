import type { CheckCell, CheckRow, CheckTable } from '@/workers/classDesk';
import type { Place } from '../rows';

/** Whether an answer is one that the teacher marks: it waits, or has been marked by hand. */
export const isByHand = ({ verdict, override }: CheckCell): boolean =>
  override ? override.byHand : verdict === 'waits';

const isWaiting = ({ verdict, override }: CheckCell): boolean => verdict === 'waits' && override === null;

/** How far the marking of a question by hand has come. */
export interface Progress {
  readonly column: number;
  readonly all: number;
  readonly left: number;
}

/** The questions with answers that are marked by hand, in the order of the paper. */
export const progressOf = (
  { questions }: Pick<CheckTable, 'questions'>,
  rows: readonly CheckRow[],
): Progress[] =>
  questions
    .map((_, column) => {
      const cells = rows.flatMap((row) => (row.notCounted === null ? (row.cells[column] ?? []) : []));
      const own = cells.filter(isByHand);
      return { column, all: own.length, left: own.filter(isWaiting).length };
    })
    .filter(({ all }) => all > 0);

/** The papers whose answer to a question is marked by hand. */
export const queueOf = (rows: readonly CheckRow[], column: number): CheckRow[] =>
  rows.filter((row) => {
    const cell = row.cells[column];
    return row.notCounted === null && cell !== undefined && isByHand(cell);
  });

/**
 * Where marking by hand goes on: at the place itself where it is marked by hand, else at the first waiting answer of its question,
 * of a question that was begun, of any; at the first one that was marked where none waits. null where nothing is marked by hand.
 */
export function handPlace(
  table: Pick<CheckTable, 'questions'>,
  rows: readonly CheckRow[],
  from: Place | null,
): Place | null {
  const progress = progressOf(table, rows);
  const here = rows.find(({ attemptId }) => attemptId === from?.attemptId)?.cells[from?.column ?? -1];
  if (from && here && isWaiting(here)) return from;
  const rank = ({ column, all, left }: Progress): number =>
    left === 0 ? 3 : column === from?.column ? 0 : left < all ? 1 : 2;
  const [first] = [...progress].sort((a, b) => rank(a) - rank(b) || a.column - b.column);
  if (!first) return null;
  const queue = queueOf(rows, first.column);
  const next =
    queue.find((row) => {
      const cell = row.cells[first.column];
      return cell !== undefined && isWaiting(cell);
    }) ?? queue[0];
  return next ? { attemptId: next.attemptId, column: first.column } : null;
}
