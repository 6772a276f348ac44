import papa from 'papaparse';
import { guarded } from './formula';

/** What would end a cell, for a spreadsheet of whatever setting; and cells that are guarded. */
const IS_QUOTED = /[,;|\t\r\n"]|^'/;

/**
 * Rows as comma-separated text with a byte order mark and CRLF. Text that a spreadsheet would run is guarded, and every cell
 * that holds a separator of any kind is quoted.
 */
export function csvText(rows: readonly (readonly (string | number | null)[])[]): string {
  const safe = rows.map((row) => row.map((cell) => (typeof cell === 'string' ? guarded(cell) : cell)));
  const text = papa.unparse(safe, {
    newline: '\r\n',
    quotes: (cell) => typeof cell === 'string' && IS_QUOTED.test(cell),
  });
  return `\uFEFF${text}\r\n`;
}
