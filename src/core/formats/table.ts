import papa from 'papaparse';
import { lineText } from '../quiz/shownText';

/** A file of rows as read: a header and rows, each with the line it begins on. */
export interface Table {
  readonly header: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

/** Largest file that is read, in characters. */
export const LARGEST_FILE = 20_000_000;
const MOST_ROWS = 100_000;
const MOST_COLUMNS = 1000;

export type ReadResult =
  { readonly ok: true; readonly table: Table } | { readonly ok: false; readonly error: string };

type Rows = Table['rows'];

const isEmptyRow = (cells: readonly string[]): boolean => cells.every((cell) => cell.trim() === '');
const lineBreaks = (cells: readonly string[]): number =>
  cells.reduce((sum, cell) => sum + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);

/** The sign that separates the columns: the one that stands most often in the heading, outside quotes. */
function separatorOf(text: string): string {
  const heading = /[^\r\n]+/.exec(text)?.[0].replace(/"[^"]*"/g, '') ?? '';
  const often = [',', ';', '\t'].map((sign) => ({ sign, times: heading.split(sign).length }));
  return often.reduce((best, next) => (next.times > best.times ? next : best)).sign;
}

/** Rows as a table: the first that is not empty is the heading; empty rows and repeated headings are passed over. */
export function tableOf(rows: Rows): ReadResult {
  const filled = rows.filter((row) => !isEmptyRow(row.cells));
  const [head, ...rest] = filled;
  if (!head) return { ok: false, error: 'The file is empty.' };
  if (head.cells.length > MOST_COLUMNS)
    return { ok: false, error: `The file has more than ${MOST_COLUMNS} columns.` };
  const isHeading = (cells: readonly string[]) =>
    cells.length === head.cells.length &&
    cells.every((cell, at) => lineText(cell) === lineText(head.cells[at] ?? ''));
  const body = rest.filter((row) => !isHeading(row.cells));
  if (body.length === 0) return { ok: false, error: 'The file has a header row and no rows below it.' };
  if (rest.length > MOST_ROWS) return { ok: false, error: `The file has more than ${MOST_ROWS} rows.` };
  return { ok: true, table: { header: head.cells.map(lineText), rows: body } };
}

/** Reads comma-, semicolon- or tab-separated text with a header row. */
export function readTable(text: string): ReadResult {
  if (text.length > LARGEST_FILE)
    return { ok: false, error: 'The file is larger than 20 million characters.' };
  const content = text.replace(/^\uFEFF/, '');
  const parsed = papa.parse(content, { delimiter: separatorOf(content) });
  let line = 1;
  const rows = parsed.data.map((cells) => {
    const row = { line, cells };
    line += 1 + lineBreaks(cells);
    return row;
  });
  const broken = parsed.errors.find((error) => error.type === 'Quotes');
  if (broken) {
    const at = rows[broken.row ?? 0]?.line ?? 1;
    return { ok: false, error: `Line ${at}: a quotation mark is opened and not closed as it should be.` };
  }
  return tableOf(rows);
}
