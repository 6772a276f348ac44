import type { RowProblem } from './answerFile';
import { csvText } from './csv';
import type { Table } from './table';

/**
 * The rows that were left out as a file: as they stand, with their line and the reason in front, so that they
 * can be put right and taken in again.
 */
export function writeRefused(table: Table, problems: readonly RowProblem[]): string {
  const reasons = new Map<number, string>();
  for (const { line, row, text } of problems) if (row === 'refused') reasons.set(line, text);
  const rows = table.rows.filter((row) => reasons.has(row.line));
  const body = rows.map((row) => [row.line, reasons.get(row.line) ?? '', ...row.cells]);
  return csvText([['Line', 'Why it was skipped', ...table.header], ...body]);
}
