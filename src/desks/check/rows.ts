import { compare } from '@/core/figures/fraction';
import type { CheckCell, CheckRow, CheckTable } from '@/workers/classDesk';

/** The cell at hand; the column after the last question is the total. */
export interface Place {
  readonly attemptId: string;
  readonly column: number;
}

export const totalColumn = (row: CheckRow): number => row.cells.length;

export type SortBy = 'name' | 'highest' | 'lowest' | 'waiting' | 'late';

const lateOf = ({ total: { late } }: CheckRow): number =>
  late ? late.started * (late.unit === 'day' ? 24 : 1) : -1;

const SORTS: Readonly<Record<SortBy, (a: CheckRow, b: CheckRow) => number>> = {
  name: () => 0,
  highest: (a, b) => compare(b.total.score, a.total.score),
  lowest: (a, b) => compare(a.total.score, b.total.score),
  waiting: (a, b) => compare(b.total.waiting, a.total.waiting),
  late: (a, b) => lateOf(b) - lateOf(a),
};

/** The rows that a search leaves, in the order asked for; equal ones stay by name. */
export function rowsShown(table: CheckTable, search: string, sort: SortBy): CheckRow[] {
  const wanted = search.trim().toLocaleLowerCase();
  const found =
    wanted === ''
      ? [...table.rows]
      : table.rows.filter((row) => row.name.toLocaleLowerCase().includes(wanted));
  return sort === 'name' ? found : found.sort(SORTS[sort]);
}

/** Answers that a teacher goes through: marked wrong, or waiting, and not settled by an own score. */
export const wantsALook = (cell: CheckCell): boolean =>
  cell.override === null && (cell.verdict === 'wrong' || cell.verdict === 'waits');

/** The first answer that waits, so that it is at hand at once; else the first answer. */
export function firstPlace(rows: readonly CheckRow[]): Place | null {
  for (const row of rows) {
    const column = row.cells.findIndex((cell) => cell.verdict === 'waits');
    if (column >= 0) return { attemptId: row.attemptId, column };
  }
  return rows[0] ? { attemptId: rows[0].attemptId, column: 0 } : null;
}

/** The next or previous other answer that wants a look, question by question; null where there is none. */
export function nextToLookAt(
  rows: readonly CheckRow[],
  from: Place,
  by: 1 | -1,
  wanted: (cell: CheckCell) => boolean = wantsALook,
): Place | null {
  const columns = rows[0]?.cells.length ?? 0;
  const count = rows.length * columns;
  const start =
    Math.min(from.column, columns - 1) * rows.length + rows.findIndex((r) => r.attemptId === from.attemptId);
  for (let step = 1; step < count; step++) {
    const at = (start + by * step + count * 2) % count;
    const row = rows[at % rows.length];
    const column = Math.floor(at / rows.length);
    const cell = row?.cells[column];
    if (row && cell && cell.override === null && wanted(cell)) return { attemptId: row.attemptId, column };
  }
  return null;
}

/** The place one step away in the table, staying inside it. */
export function neighbour(rows: readonly CheckRow[], from: Place, down: number, right: number): Place {
  const at = rows.findIndex((row) => row.attemptId === from.attemptId);
  const row = rows[Math.min(rows.length - 1, Math.max(0, at + down))];
  const columns = rows[0]?.cells.length ?? 0;
  return {
    attemptId: row?.attemptId ?? from.attemptId,
    column: Math.min(columns, Math.max(0, from.column + right)),
  };
}
