import { count, pointsWord } from '@/ui/words/figures';
import { verdictWords } from '@/ui/words/verdictWords';
import type { CheckCell } from '@/workers/classDesk';

/** Whether a dot stands beside the disc: something about the answer may be worth a look. */
export const isMarked = (cell: CheckCell): boolean =>
  cell.override ? cell.override.differs : cell.nearMiss !== null || cell.contradiction;

/** What a cell says to a screen reader: all that its disc and its dot show. */
export function spokenCell(cell: CheckCell): string {
  const parts = [
    verdictWords(cell.verdict, cell.credit),
    cell.verdict === 'waits' ? '' : pointsWord(cell.earned),
    cell.override ? (cell.override.byHand ? 'marked by hand' : 'your own score') : '',
    cell.override?.differs ? 'marking differs now' : '',
    cell.nearMiss && !cell.override ? 'near miss' : '',
    cell.hints > 0 ? `after ${count(cell.hints, 'hint')}` : '',
    cell.contradiction && !cell.override ? 'matches two entries of the key' : '',
    cell.answer ? `“${cell.answer}”` : '',
  ];
  return `Question ${cell.number}: ${parts.filter(Boolean).join(', ')}`;
}
