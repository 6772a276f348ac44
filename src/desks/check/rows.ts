import { meanShare } from '@/core/checking/meanShare';
import { add, compare, ZERO, type Fraction } from '@/core/figures/fraction';
import type { CheckCell, CheckRow, CheckTable } from '@/workers/classDesk';
import { isMarked } from './cellWords';

/** The cell at hand; the column after the last question is the total. */
export interface Place {
  readonly attemptId: string;
  readonly column: number;
}

/** Stands for the papers together where a paper's id would. */
export const SUMS = 'sums';

export const totalColumn = (row: CheckRow): number => row.cells.length;

/** By what rows are sorted: something of the whole paper, or what one question earned, by its column. */
export type SortBy = 'name' | 'highest' | 'lowest' | 'waiting' | 'late' | `question ${number}`;

const lateOf = ({ total: { late } }: CheckRow): number =>
  late ? late.started * (late.unit === 'day' ? 24 : 1) : -1;

type Order = (a: CheckRow, b: CheckRow) => number;

const SORTS: Readonly<Record<string, Order>> = {
  name: () => 0,
  highest: (a, b) => compare(b.total.score, a.total.score),
  lowest: (a, b) => compare(a.total.score, b.total.score),
  waiting: (a, b) => compare(b.total.waiting, a.total.waiting),
  late: (a, b) => lateOf(b) - lateOf(a),
};

const byColumn =
  (column: number): Order =>
  (a, b) =>
    compare(a.cells[column]?.earned ?? ZERO, b.cells[column]?.earned ?? ZERO);

const orderOf = (sort: SortBy): Order => SORTS[sort] ?? byColumn(Number(sort.replace('question ', '')));

/** Which papers are shown: those in which something is so. */
export type Show = 'all' | 'waiting' | 'near' | 'changed' | 'own';

const SHOWN: Readonly<Record<Exclude<Show, 'changed'>, (row: CheckRow) => boolean>> = {
  all: () => true,
  waiting: ({ cells }) => cells.some(({ verdict, override }) => verdict === 'waits' && override === null),
  near: ({ cells }) => cells.some((cell) => cell.override === null && isMarked(cell)),
  own: ({ cells }) => cells.some(({ override }) => override !== null && !override.byHand),
};

/** What is asked of the table: by these its rows are found and sorted. */
export interface Asked {
  readonly search: string;
  readonly sort: SortBy;
  readonly show: Show;
  /** The name of a class or group; empty for everybody. */
  readonly circle: string;
  /** Students whose score the draft would change. */
  readonly changed: ReadonlySet<string>;
}

export const NOTHING_ASKED: Asked = { search: '', sort: 'name', show: 'all', circle: '', changed: new Set() };

/** The rows that are asked for, in the order asked for; equal ones stay by name. */
export function rowsShown(table: CheckTable, { search, sort, show, circle, changed }: Asked): CheckRow[] {
  const wanted = search.trim().toLocaleLowerCase();
  const members = table.circles.find(({ name }) => name === circle);
  const within = members && new Set(members.studentIds);
  const found = table.rows.filter(
    (row) =>
      (wanted === '' || row.name.toLocaleLowerCase().includes(wanted)) &&
      (!within || within.has(row.studentId)) &&
      (show === 'changed' ? changed.has(row.studentId) : SHOWN[show](row)),
  );
  return sort === 'name' ? found : found.sort(orderOf(sort));
}

/** The table with the figures of its questions as they are of the papers shown alone. */
export function figuresOf(table: CheckTable, rows: readonly CheckRow[]): CheckTable {
  if (rows.length === table.rows.length) return table;
  const counted = rows.filter(({ figures }) => figures);
  return {
    ...table,
    questions: table.questions.map((question, column) => ({
      ...question,
      share: meanShare(counted.flatMap(({ cells }) => cells[column] ?? [])),
      waiting: rows.filter(
        ({ notCounted, cells }) => notCounted === null && cells[column]?.verdict === 'waits',
      ).length,
    })),
  };
}

/** The table without names: students are numbered, in an order that tells nothing. */
export function nameless(table: CheckTable): CheckTable {
  const inOrder = [...table.rows].sort((a, b) => (a.studentId < b.studentId ? -1 : 1));
  const numbers = new Map<string, number>();
  for (const { studentId } of inOrder) if (!numbers.has(studentId)) numbers.set(studentId, numbers.size + 1);
  const rows = inOrder.map((row) => ({
    ...row,
    name: `Student ${numbers.get(row.studentId) ?? 0}`,
    apart: '',
  }));
  return {
    ...table,
    rows: rows.sort((a, b) => (numbers.get(a.studentId) ?? 0) - (numbers.get(b.studentId) ?? 0)),
  };
}

/** The columns as they stand on the paper, or the hardest question first; those that nobody is marked in come last. */
export function columnsInOrder({ questions }: CheckTable, hardestFirst: boolean): number[] {
  const columns = questions.map((_, column) => column);
  if (!hardestFirst) return columns;
  const share = (column: number): number => questions[column]?.share ?? 2;
  return columns.sort((a, b) => share(a) - share(b) || a - b);
}

/** What the papers shown earned together. */
export interface Sums {
  readonly papers: number;
  /** By column: the sum of what was earned, without what waits. */
  readonly columns: readonly Fraction[];
  /** The sum of the papers' totals. */
  readonly totals: Fraction;
  /** The points that waiting answers can still bring. */
  readonly waiting: Fraction;
}

/** An exact sum: first those over the same denominator, of which there are few, so that a large class costs little. */
export function sumOf(rows: readonly CheckRow[], amount: (row: CheckRow) => Fraction): Fraction {
  const over = new Map<number, number>();
  for (const row of rows) {
    const { n, d } = amount(row);
    over.set(d, (over.get(d) ?? 0) + n);
  }
  return [...over].reduce<Fraction>((sum, [d, n]) => add(sum, { n, d }), ZERO);
}

/** The sums over the papers shown that are in figures. */
export function sumsOf(rows: readonly CheckRow[], columns: number): Sums {
  const counted = rows.filter(({ figures }) => figures);
  const column = (at: number): Fraction => sumOf(counted, ({ cells }) => cells[at]?.earned ?? ZERO);
  return {
    papers: counted.length,
    columns: Array.from({ length: columns }, (_, at) => column(at)),
    totals: sumOf(counted, ({ total }) => total.score),
    waiting: sumOf(counted, ({ total }) => total.waiting),
  };
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
  wanted: (cell: CheckCell, place: Place) => boolean = wantsALook,
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
    if (!row || !cell || cell.override !== null) continue;
    const place = { attemptId: row.attemptId, column };
    if (wanted(cell, place)) return place;
  }
  return null;
}

/** The place one step away in the table, staying inside it; `columns` are the questions in the order shown. */
export function neighbour(
  rows: readonly CheckRow[],
  columns: readonly number[],
  from: Place,
  down: number,
  right: number,
): Place {
  const at = rows.findIndex((row) => row.attemptId === from.attemptId);
  const row = rows[Math.min(rows.length - 1, Math.max(0, at + down))];
  // The total stands behind the last question.
  const all = [...columns, columns.length];
  const to = Math.min(all.length - 1, Math.max(0, all.indexOf(from.column) + right));
  return { attemptId: row?.attemptId ?? from.attemptId, column: all[to] ?? from.column };
}
