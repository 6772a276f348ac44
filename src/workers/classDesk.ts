import { readTable } from '@/core/formats/table';
import { checkTable, openAnswer, totalTrace } from './class/check';
import { decodeText } from './class/decode';
import { importFile, previewFile, previewRoster, scoresFile } from './class/files';
import { pending } from './class/pending';
import { tray } from './class/tray';

export type { CheckCell, CheckRow, CheckTable, OpenedAnswer } from './class/check';
export type { FilePreview, RosterPreview } from './class/files';
export type { NamedChange, Pending } from './class/pending';
export type { TrayRow } from './class/tray';

/** Everything in bulk: the whole class's marks, effects of a change, files. */
export const classDesk = {
  checkTable,
  pending,
  openAnswer,
  totalTrace,
  tray,
  scoresFile,
  readFile: (bytes: Uint8Array) => readTable(decodeText(bytes)),
  previewFile,
  importFile,
  previewRoster,
};
export type ClassDesk = typeof classDesk;
