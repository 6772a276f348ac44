import { NO_SPREAD, type Spread } from '@/core/checking/spread';
import { ONE, ZERO } from '@/core/figures/fraction';
import type { ScoreVerdict } from '@/core/scoring/scoreQuestion';
import { verdictWords } from '../../words/verdictWords';
import { CreditPie } from './CreditPie';

const HALF = { n: 1, d: 2 };
const ORDER: readonly ScoreVerdict[] = ['right', 'partly', 'wrong', 'waits', 'blank', 'unmarked'];
const CREDITS: Readonly<Record<ScoreVerdict, typeof ONE>> = {
  right: ONE,
  partly: HALF,
  wrong: ZERO,
  waits: ZERO,
  blank: ZERO,
  unmarked: ZERO,
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
