import type { CellAfter } from '@/core/checking/effectCells';
import { CreditPie } from '@/ui/widgets/CreditPie';
import type { CheckCell } from '@/workers/classDesk';
import { isMarked } from './cellWords';

interface Props {
  readonly cell: CheckCell;
  /** What the draft would make of it; null where it stays. */
  readonly after: CellAfter | null;
}

/** The disc of an answer, with a dot where it may be worth a look; while a change waits, before and after it. */
export const CellPies = ({ cell, after }: Props) => (
  <>
    <span className={after ? 'opacity-45' : ''}>
      <CreditPie credit={cell.credit} verdict={cell.verdict} overridden={cell.override !== null} label="" />
    </span>
    {after ? (
      <>
        <span aria-hidden className="mx-[3px] text-[10px] text-saffron-text">
          ▸
        </span>
        <CreditPie
          credit={after.credit}
          verdict={after.verdict}
          overridden={cell.override !== null}
          label=""
        />
      </>
    ) : (
      isMarked(cell) && <span className="near-mark" aria-hidden />
    )}
  </>
);
