import { nearMissWords } from '@/core/marks/nearMissWords';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { count } from '@/ui/words/figures';
import { verdictWords } from '@/ui/words/verdictWords';
import type { Outcome as Data } from '@/views/compared';

/** What became of an answer, with the near miss that it is. */
export function Outcome({ outcome }: { readonly outcome: Data }) {
  const { verdict, credit, errors, nearMiss } = outcome;
  return (
    <span className="flex min-w-0 items-baseline gap-2">
      <span className="relative top-0.5 shrink-0">
        <CreditPie credit={credit} verdict={verdict} label="" />
      </span>
      <span className="min-w-0 wrap-anywhere">
        <strong>{verdictWords(verdict, credit)}</strong>
        {errors > 0 && verdict === 'right' && `, with ${count(errors, 'typing error')}`}
        {nearMiss && <span className="caption block">Near miss: {nearMissWords(nearMiss)}</span>}
      </span>
    </span>
  );
}
