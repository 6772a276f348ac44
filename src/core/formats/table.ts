import papa from 'papaparse';
import { lineText } from '../content/shownText';

/** One row of a file, with the line it begins on. */
interface Row {
  readonly line: number;
  readonly cells: readonly string[];
}

/** A file of rows as read: a header, and the rows below it. */
export interface Table {
  readonly header: readonly string[];
  readonly rows: readonly Row[];
  /** The line that holds the headings; null where the file has none, so that its columns are numbered. */
  readonly headingLine: number | null;
  /** The first rows of the file, among which the headings can be chosen. */
  readonly top: readonly Row[];
}

/** Largest file that is read, in characters. */
export const LARGEST_FILE = 20_000_000;
const MOST_ROWS = 100_000;
const MOST_COLUMNS = 1000;
/** Rows of a text that are looked at, empty ones too. */
const MOST_LINES = 3 * MOST_ROWS;

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

/** How many of the first rows may hold the headings. */
const TOP = 6;

const filledCells = ({ cells }: Row): number => cells.filter((cell) => cell.trim() !== '').length;

/** The first of the top rows that is about as full as the fullest: lines of a title above the headings are not. */
function headingAmong(top: readonly Row[]): Row | undefined {
  const most = Math.max(0, ...top.map(filledCells));
  return top.find((row) => filledCells(row) * 2 > most);
}

/** A cell that is data rather than a heading: an email address, a date or a number of several digits. */
const isData = (cell: string): boolean =>
  /@.+\.|^\s*\d{2,}\s*$|^\s*\d{1,4}[-./]\d{1,2}[-./]\d{1,4}/.test(cell);

const numbered = (count: number): string[] => Array.from({ length: count }, (_, at) => `Column ${at + 1}`);

/** The table with its headings on another line, or without any. Rows that repeat the headings are passed over. */
export function withHeading(rows: readonly Row[], headingLine: number | null): ReadResult {
  const top = rows.slice(0, TOP);
  const head = headingLine === null ? undefined : top.find(({ line }) => line === headingLine);
  if (!head) {
    const columns = Math.max(0, ...top.map(({ cells }) => cells.length));
    return { ok: true, table: { header: numbered(columns), rows, headingLine: null, top } };
  }
  const isHeading = ({ cells }: Row) =>
    cells.length === head.cells.length &&
    cells.every((cell, at) => lineText(cell) === lineText(head.cells[at] ?? ''));
  const body = rows.slice(rows.indexOf(head) + 1).filter((row) => !isHeading(row));
  if (body.length === 0) return { ok: false, error: 'The file has a header row and no rows below it.' };
  return { ok: true, table: { header: head.cells.map(lineText), rows: body, headingLine, top } };
}

/** All rows of a table, the headings and what is above them too: for choosing other headings. */
export function everyRow({ top, rows }: Table): Row[] {
  const seen = new Set(rows.map(({ line }) => line));
  return [...top.filter(({ line }) => !seen.has(line)), ...rows].sort((a, b) => a.line - b.line);
}

/**
 * Rows as a table. Headings are the first row that is not a title above the others; where even that row holds data, the
 * file has none. Empty rows are passed over.
 */
export function tableOf(rows: Rows): ReadResult {
  const filled = rows.filter((row) => !isEmptyRow(row.cells));
  const head = headingAmong(filled.slice(0, TOP));
  if (!head) return { ok: false, error: 'The file is empty.' };
  if (filled.some(({ cells }) => cells.length > MOST_COLUMNS))
    return { ok: false, error: `The file has more than ${MOST_COLUMNS} columns.` };
  if (filled.length > MOST_ROWS + 1) return { ok: false, error: `The file has more than ${MOST_ROWS} rows.` };
  const bare = filled.length > 1 && head.cells.some(isData);
  return withHeading(filled, bare ? null : head.line);
}

/** Reads comma-, semicolon- or tab-separated text with a header row. */
export function readTable(text: string): ReadResult {
  if (text.length > LARGEST_FILE)
    return { ok: false, error: 'The file is larger than 20 million characters.' };
  const content = text.replace(/^\uFEFF/, '');
  const parsed = papa.parse(content, { delimiter: separatorOf(content), preview: MOST_LINES });
  if (parsed.data.length >= MOST_LINES)
    return { ok: false, error: `The file has more than ${MOST_ROWS} rows.` };
  let line = 1;
  const rows = parsed.data.map((cells) => {
    const row = { line, cells };
    line += 1 + lineBreaks(cells);
    return row;
  });
  const broken = parsed.errors.find((error) => error.type === 'Quotes');
  if (broken) {
    const at = rows[broken.row ?? 0]?.line ?? 1;
    return { ok: false, error: `Line ${at}: a quotation mark is never closed.` };
  }
  return tableOf(rows);
}
