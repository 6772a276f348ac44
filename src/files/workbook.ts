import { unzipSync, zipSync } from 'fflate';
import type { Cell } from '@/core/formats/answersOut';
import { LARGEST_FILE } from '@/core/formats/table';
import { boundsTrouble } from './sheetBounds';

/** Most bytes that a spreadsheet may unpack to, most parts that it may have, and most characters of its text. */
const MOST_BYTES = 100_000_000;
const MOST_PARTS = 2000;

type Sheet =
  { readonly ok: true; readonly rows: string[][] } | { readonly ok: false; readonly error: string };

/** A spreadsheet file begins as every zip file does. */
export const isWorkbook = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

/** Dates of a spreadsheet have no zone: they are written as they stand on the wall. */
function cellText(cell: unknown): string {
  if (cell === null || cell === undefined) return '';
  if (cell instanceof Date) {
    // A spreadsheet counts in days, so that a second comes back as a hair more or less.
    const second = Math.round(cell.getTime() / 1000) * 1000;
    return Number.isNaN(second) ? '' : new Date(second).toISOString().slice(0, 19).replace('T', ' ');
  }
  return String(cell).slice(0, 20_000);
}

/** What the zip's directory says it holds, without unpacking anything. */
function trouble(bytes: Uint8Array): string | null {
  let size = 0;
  let parts = 0;
  try {
    unzipSync(bytes, {
      filter: (part) => {
        size += part.originalSize;
        parts++;
        return false;
      },
    });
  } catch {
    return 'The spreadsheet is damaged: it cannot be unpacked.';
  }
  if (parts > MOST_PARTS || size > MOST_BYTES) return 'The spreadsheet unpacks to more than 100 MB.';
  return null;
}

/**
 * The spreadsheet without the parts that are too much to be read, packed anew so that nothing else is read than what was
 * looked at; and why they are left out.
 */
function bounded(bytes: Uint8Array): { readonly parts: Uint8Array; readonly left: readonly string[] } {
  const left: string[] = [];
  const kept = Object.entries(unzipSync(bytes)).filter(([, part]) => {
    const wrong = boundsTrouble(part);
    if (wrong) left.push(wrong);
    return wrong === null;
  });
  return { parts: zipSync(Object.fromEntries(kept), { level: 0 }), left };
}

/** The text of all cells; null where it is more than a text file may have, shared texts counted each time. */
function textOf(rows: readonly (readonly unknown[])[]): string[][] | null {
  let size = 0;
  const all: string[][] = [];
  for (const row of rows) {
    const cells = row.map(cellText);
    for (const cell of cells) size += cell.length;
    if (size > LARGEST_FILE) return null;
    all.push(cells);
  }
  return all;
}

const UNREADABLE = 'This spreadsheet cannot be read. Save it as XLSX or CSV and try again.';

/** The first sheet of a spreadsheet (Office Open XML) as rows of text. Never throws for what is in the file. */
export async function readWorkbook(bytes: Uint8Array): Promise<Sheet> {
  const wrong = trouble(bytes);
  if (wrong) return { ok: false, error: wrong };
  let left: readonly string[] = [];
  try {
    const { readSheet } = await import('read-excel-file/universal');
    const read = bounded(bytes);
    left = read.left;
    const rows = textOf(await readSheet(new Uint8Array(read.parts).buffer, 1, { trim: false }));
    return rows
      ? { ok: true, rows }
      : { ok: false, error: 'The spreadsheet holds more than 20 million characters.' };
  } catch {
    return { ok: false, error: left[0] ?? UNREADABLE };
  }
}

const TIME_FORMAT = 'yyyy-mm-dd hh:mm:ss';

/** Rows as a spreadsheet (Office Open XML) of one sheet: text stays text, numbers are numbers, times are dates. */
export async function writeWorkbook(
  rows: readonly (readonly Cell[])[],
  sheet = 'Answers',
): Promise<Uint8Array> {
  const { default: writeSheet } = await import('write-excel-file/universal');
  const cells = rows.map((row, line) =>
    row.map((value) => {
      if (value === null || value === '') return null;
      const bold = line === 0 ? { fontWeight: 'bold' as const } : {};
      if (typeof value === 'object') return { value: new Date(value.wall), type: Date, format: TIME_FORMAT };
      return typeof value === 'number' ? { value, type: Number, ...bold } : { value, type: String, ...bold };
    }),
  );
  const blob = await writeSheet(cells, {
    sheet,
    stickyRowsCount: 1,
    stickyColumnsCount: 1,
  }).toBlob();
  return new Uint8Array(await blob.arrayBuffer());
}
