import { csvText } from '@/core/formats/csv';
import { guarded } from '@/core/formats/formula';
import { ticketShown } from '@/core/quiz/people/ticket';
import type { Student } from '@/core/quiz/people/school';

export interface Holder {
  readonly student: Student;
  readonly code: string;
}

const HEADING = ['Number', 'Name', 'Ticket'];
const cells = ({ student, code }: Holder): string[] => [student.number, student.name, ticketShown(code)];

/** The tickets of a class as a file of comma-separated text. */
export const ticketFile = (holders: readonly Holder[]): string => csvText([HEADING, ...holders.map(cells)]);

/** The same to be pasted into a spreadsheet: a cell after a tab, without anything that would be run. */
export const ticketCells = (holders: readonly Holder[]): string =>
  [HEADING, ...holders.map(cells)]
    .map((row) => row.map((cell) => guarded(cell.replace(/\s+/g, ' '))).join('\t'))
    .join('\n');
