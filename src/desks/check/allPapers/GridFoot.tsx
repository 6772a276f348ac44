import { memo } from 'react';
import { equal, ZERO, type Fraction } from '@/core/figures/fraction';
import { count, pointsWord } from '@/ui/words/figures';
import { BeforeAfter } from '../effect/BeforeAfter';
import { SUMS, type Sums } from '../rows';
import type { ViewProps } from '../viewProps';
import { cellClass } from './cellClass';
import { Beside, type Drawn } from './columns';

interface FootProps extends Pick<ViewProps, 'table' | 'columns' | 'place' | 'onPlace'>, Drawn {
  readonly sums: Sums;
  /** The same once the draft is applied. */
  readonly sumsAfter: Sums;
}

/** The sums of the papers shown that count: a press says how one came about. */
export const GridFoot = memo(function GridFoot(props: FootProps) {
  const { table, columns, place, onPlace, sums, sumsAfter, from, to } = props;
  const total = table.questions.length;
  const cell = (column: number, sum: Fraction, next: Fraction, name: string, className: string) => {
    const here = place.attemptId === SUMS && place.column === column;
    const isSame = equal(sum, next);
    return (
      <button
        type="button"
        data-cell={`${SUMS}:${column}`}
        tabIndex={-1}
        aria-pressed={here}
        aria-label={isSame ? `Sum of ${name}: ${pointsWord(sum)}` : undefined}
        className={`${cellClass(here)} figures ${className}`}
        onClick={() => onPlace({ attemptId: SUMS, column })}
      >
        {!isSame && <span className="sr-only">Sum of {name}: </span>}
        <BeforeAfter now={sum} after={next} />
      </button>
    );
  };
  return (
    <tfoot className="sticky bottom-0 z-[2] bg-paper">
      <tr>
        <th
          scope="row"
          className="foot-cell sticky left-0 z-[1] bg-paper py-0 pr-3 pl-6 text-left font-medium whitespace-nowrap"
        >
          Sum <span className="caption">of {count(sums.papers, 'paper')}</span>
        </th>
        <Beside columns={from} />
        {columns.slice(from, to).map((column) => (
          <td key={column} role="gridcell" className="foot-cell p-0">
            {cell(
              column,
              sums.columns[column] ?? ZERO,
              sumsAfter.columns[column] ?? ZERO,
              `question ${table.questions[column]?.number ?? 0}`,
              'text-[13px]',
            )}
          </td>
        ))}
        <Beside columns={columns.length - to} />
        <td
          role="gridcell"
          className={`foot-cell ${table.several ? '' : 'sticky right-0'} z-[1] bg-paper p-0`}
        >
          {cell(total, sums.totals, sumsAfter.totals, 'all totals', '!justify-end pr-6 pl-3 font-semibold')}
        </td>
        {table.several && <td className="foot-cell sticky right-0 z-[1] bg-paper" />}
      </tr>
    </tfoot>
  );
});
