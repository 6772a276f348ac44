import type { CellAfter, CellsAfter, Spread, TotalAfter } from '@/core/checking/effectCells';
import { meanShare } from '@/core/checking/meanShare';
import { ZERO, type Fraction } from '@/core/figures/fraction';
import type { CheckRow, CheckTable, Pending } from '@/workers/classDesk';
import { sumOf, type Sums } from '../rows';

/** What the table would hold once the draft is applied; nothing where it holds that already. */
export interface After {
  /** By attempt and column; null where nothing changes. */
  readonly cell: (attemptId: string, column: number) => CellAfter | null;
  readonly total: (attemptId: string) => TotalAfter | null;
  /** The columns in which something changes. */
  readonly columns: ReadonlySet<number>;
  /** Whether any total changes. */
  readonly totals: boolean;
  /** What a full score would be out of; null where it stays. */
  readonly outOf: Fraction | null;
}

export const NOTHING_AFTER: After = {
  cell: () => null,
  total: () => null,
  columns: new Set(),
  totals: false,
  outOf: null,
};

const valueAt = <Value>({ values, at }: Spread<Value>, row: number | undefined): Value | null =>
  row === undefined ? null : (values[(at[row] ?? 0) - 1] ?? null);

const sameOutOf = (a: Fraction, b: Fraction): boolean => a.n === b.n && a.d === b.d;

/** The effect of the draft, found by the table's own rows and columns. */
export function afterOf(
  table: Pick<CheckTable, 'questions' | 'outOf'>,
  pending: Pick<Pending, 'outOf'> & { readonly cells: CellsAfter | null },
): After {
  const { cells, outOf } = pending;
  if (!cells) return NOTHING_AFTER;
  const rows = new Map(cells.attempts.map((attemptId, row) => [attemptId, row]));
  const columns = new Map(
    cells.columns.flatMap((one) => {
      const column = table.questions.findIndex(({ id }) => id === one.questionId);
      return column < 0 ? [] : [[column, one] as const];
    }),
  );
  return {
    cell: (attemptId, column) => {
      const spread = columns.get(column);
      return spread ? valueAt(spread, rows.get(attemptId)) : null;
    },
    total: (attemptId) => valueAt(cells.totals, rows.get(attemptId)),
    columns: new Set(columns.keys()),
    totals: cells.totals.values.length > 0,
    outOf: outOf && !sameOutOf(outOf, table.outOf) ? outOf : null,
  };
}

/** The sums as they would be: of the columns in which something changes, and of the totals. */
export function sumsAfter(rows: readonly CheckRow[], sums: Sums, after: After): Sums {
  const counted = rows.filter(({ figures }) => figures);
  return {
    ...sums,
    columns: sums.columns.map((sum, column) =>
      after.columns.has(column)
        ? sumOf(counted, (row) => (after.cell(row.attemptId, column) ?? row.cells[column])?.earned ?? ZERO)
        : sum,
    ),
    totals: after.totals
      ? sumOf(counted, (row) => (after.total(row.attemptId) ?? row.total).score)
      : sums.totals,
  };
}

/** The mean share of a column as it would be, of all papers that are in figures. */
export const shareAfter = (rows: readonly CheckRow[], column: number, after: After): number | null =>
  meanShare(
    rows.flatMap((row) => {
      const cell = row.cells[column];
      return row.figures && cell ? [after.cell(row.attemptId, column) ?? cell] : [];
    }),
  );
