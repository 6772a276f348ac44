import { NO_SPREAD, type Spread } from '@/core/checking/spread';
import { ONE, ZERO } from '@/core/figures/fraction';
import type { Verdict } from '@/core/marks/mark';
import { verdictWords } from '../../words/verdictWords';
import { CreditPie } from './CreditPie';

const HALF = { n: 1, d: 2 };
const ORDER: readonly Verdict[] = ['right', 'partly', 'wrong', 'waits', 'blank'];
const CREDITS: Readonly<Record<Verdict, typeof ONE>> = {
  right: ONE,
  partly: HALF,
  wrong: ZERO,
  waits: ZERO,
  blank: ZERO,
};

/** How many answers came out how: each verdict that occurs as its disc with the number beside it. */
export const SpreadRow = ({ spread = NO_SPREAD }: { readonly spread?: Spread }) => (
  <span className="figures inline-flex flex-wrap items-baseline gap-x-3.5">
    {ORDER.filter((verdict) => spread[verdict] > 0).map((verdict) => (
      <span key={verdict} className="inline-flex items-baseline gap-1.5" title={verdictWords(verdict)}>
        <CreditPie credit={CREDITS[verdict]} verdict={verdict} size={13} label="" />
        {spread[verdict]}
        <span className="sr-only"> {verdictWords(verdict)}</span>
      </span>
    ))}
  </span>
);
