import { readTable, tableOf, type ReadResult } from '@/core/formats/table';
import { decodeText } from './decode';
import { isWorkbook, readWorkbook } from './workbook';

/** A file's rows: a spreadsheet's first sheet, or text of any usual encoding, the older ones by the language. Never throws for what is in the file. */
export async function readFile(bytes: Uint8Array, language?: string): Promise<ReadResult> {
  if (!isWorkbook(bytes)) return readTable(decodeText(bytes, language));
  const sheet = await readWorkbook(bytes);
  return sheet.ok ? tableOf(sheet.rows.map((cells, index) => ({ line: index + 1, cells }))) : sheet;
}
