import type { Fraction } from '@/core/figures/fraction';
import { count, points, pointsWord } from '@/ui/words/figures';
import { verdictWords } from '@/ui/words/verdictWords';
import type { Standing } from '@/core/content/questionBase';
import { carriesPoints } from '@/core/quiz/placement';
import type { CellAfter } from '@/core/checking/effectCells';
import type { CheckCell } from '@/workers/classDesk';

/** Whether a dot stands beside the disc: something about the answer may be worth a look. */
export const isMarked = (cell: CheckCell): boolean =>
  cell.override ? cell.override.differs : cell.nearMiss !== null || cell.contradiction;

/** What applying the draft would make of a cell, as it goes on in its sentence. */
const wouldBe = (after: CellAfter): string =>
  carriesPoints(after)
    ? `would be ${standingWords(after) || verdictWords(after.verdict, after.credit)}, ${pointsWord(after.earned)}`
    : 'would carry no points';

/** How the question stands where that says more than the mark. */
const STANDING: Readonly<Partial<Record<Standing, string>>> = {
  leftOut: 'excluded',
  notMarked: 'carries no points',
  given: 'full points for everyone',
  givenToAnswered: 'full points for whoever answered',
};
const standingWords = ({ standing }: { readonly standing: Standing }): string => STANDING[standing] ?? '';

/** What an answer has earned of its question's points, or why that is not told. */
export const earnedWords = (
  cell: Pick<CheckCell, 'verdict' | 'standing' | 'earned'>,
  possible: Fraction,
): string =>
  cell.verdict === 'waits'
    ? 'not marked yet'
    : carriesPoints(cell)
      ? `${points(cell.earned)} of ${points(possible)}`
      : 'carries no points';

/** What a cell says to a screen reader: all that its disc and its dot show, and what the draft would make of it. */
export function spokenCell(cell: CheckCell, after: CellAfter | null = null): string {
  const parts = [
    cell.verdict === 'unmarked' ? '' : verdictWords(cell.verdict, cell.credit),
    standingWords(cell),
    cell.verdict === 'waits' || !carriesPoints(cell) ? '' : pointsWord(cell.earned),
    cell.override ? (cell.override.byHand ? 'marked by hand' : 'your own score') : '',
    cell.override?.differs ? 'marking differs now' : '',
    cell.nearMiss && !cell.override ? 'near miss' : '',
    cell.hints > 0 ? `after ${count(cell.hints, 'hint')}` : '',
    cell.contradiction && !cell.override ? 'matches two entries of the key' : '',
    cell.answer ? `“${cell.answer}”` : '',
    after ? wouldBe(after) : '',
  ];
  return `Question ${cell.number}: ${parts.filter(Boolean).join(', ')}`;
}
