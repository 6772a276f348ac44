import type { CellAfter } from '@/core/checking/effectCells';
import { equal, type Fraction } from '@/core/figures/fraction';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import type { CheckCell } from '@/workers/classDesk';
import { isMarked } from './cellWords';

interface Props {
  readonly cell: CheckCell;
  /** What the draft would make of it; null where it stays. */
  readonly after: CellAfter | null;
  /** The points of the question. */
  readonly possible: Fraction;
}

type Score = Pick<CheckCell, 'credit' | 'verdict' | 'earned' | 'standing'>;

const FULL = { n: 1, d: 1 };
const isOut = ({ standing }: Score): boolean => standing === 'leftOut' || standing === 'notMarked';
/** Full points that were given whatever was answered. */
const isGiven = (score: Score, possible: Fraction): boolean =>
  (score.standing === 'given' || score.standing === 'givenToAnswered') && equal(score.earned, possible);

/** One disc: what the answer earned as the question stands. */
function Pie({
  score,
  possible,
  own,
}: {
  readonly score: Score;
  readonly possible: Fraction;
  readonly own: boolean;
}) {
  const given = isGiven(score, possible);
  return (
    <CreditPie
      credit={given ? FULL : score.credit}
      verdict={given ? 'right' : score.verdict}
      out={isOut(score)}
      overridden={own}
      label=""
    />
  );
}

/** The disc of an answer, with a dot where it may be worth a look; while a change waits, before and after it. */
export const CellPies = ({ cell, after, possible }: Props) => {
  const own = cell.override !== null;
  const now = <Pie score={cell} possible={possible} own={own} />;
  if (!after)
    return (
      <>
        {now}
        {isMarked(cell) && <span className="near-mark" aria-hidden />}
      </>
    );
  return (
    <>
      <span className="opacity-45">{now}</span>
      <span aria-hidden className="mx-[3px] text-[10px] text-saffron-text">
        ▸
      </span>
      <Pie score={after} possible={possible} own={own} />
    </>
  );
};
