import { valueAt } from '@/core/figures/valueAt';
import type { Placed } from '@/core/quiz/placement';
import { memo } from 'react';
import { spreadTotal } from '@/core/checking/spread';
import { equal } from '@/core/figures/fraction';
import { calledAnswer, kindOf } from '@/core/kinds';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { SpreadRow } from '@/ui/widgets/paper/SpreadRow';
import { count, points } from '@/ui/words/figures';
import { verdictWords } from '@/ui/words/verdictWords';
import type { Spreads } from './useSpreads';
import { useTrials } from './TryAnswer';

const NONE: readonly string[] = [];

/** What the ready list has against a question. */
export const Problems = ({ lines }: { readonly lines: readonly string[] | undefined }) => (
  <>
    {(lines ?? NONE).map((line) => (
      <p key={line} className="text-[13.5px] font-semibold text-saffron-text first-letter:uppercase">
        {line}
      </p>
    ))}
  </>
);

/** How answers to a question came out, and whose they are. */
export function HowItWent({ id, spreads }: { readonly id: string; readonly spreads: Spreads | null }) {
  const spread = spreads && valueAt(spreads.byQuestion, id);
  // Its line is kept, so that nothing below it moves when it comes.
  if (!spreads) return <p className="min-h-[21px]" />;
  const total = spread ? spreadTotal(spread) : 0;
  const marked = spread ? spread.right + spread.partly + spread.wrong : 0;
  // Without a key a made-up class says nothing.
  if (!spread || total === 0 || (spreads.of === 'madeUp' && marked === 0))
    return (
      <p className="caption min-h-[21px]">{spreads.of === 'students' && 'Nobody has answered it yet.'}</p>
    );
  return (
    <p className="flex min-h-[21px] flex-wrap items-baseline gap-x-3 text-[14px]">
      <SpreadRow spread={spread} />
      <span className="caption">
        {spreads.of === 'students' ? count(total, 'paper') : `${total} made-up students`}
      </span>
    </p>
  );
}

/** The first checks of a question, and whether each is met. */
function Kept({ placed }: { readonly placed: Placed }) {
  const checks = placed.placement.checks.slice(0, 3);
  const answers = checks.map(({ answer }) => answer);
  const { value } = useTrials(placed, answers);
  if (value?.length !== answers.length) return null;
  return (
    <ul className="mt-1">
      {value.map((trial, at) => (
        <li key={at} className="flex items-baseline gap-2 text-[14px]">
          <CreditPie
            credit={trial.credit}
            verdict={trial.verdict}
            size={13}
            label={verdictWords(trial.verdict, trial.credit)}
          />
          <span className="min-w-0 flex-1 truncate">
            {answers[at] ? calledAnswer(placed.question, answers[at]) : 'no answer'}
          </span>
          <span className="figures whitespace-nowrap">
            {checks[at] && !equal(checks[at].points, trial.earned)
              ? `${points(trial.earned)}, not ${points(checks[at].points)}`
              : trial.verdict === 'waits'
                ? 'not marked yet'
                : trial.verdict === 'unmarked'
                  ? 'carries no points'
                  : `${points(trial.earned)} of ${points(trial.possible)}`}
          </span>
        </li>
      ))}
    </ul>
  );
}

interface Props {
  readonly placed: Placed;
  readonly called: string;
  readonly spreads: Spreads | null;
  readonly problems: readonly string[] | undefined;
}

/** What is known of a question that is folded, beside it. */
export const Notes = memo(function Notes({ placed, called, spreads, problems }: Props) {
  return (
    <div role="group" aria-label={`About ${called}`} className="py-4">
      {kindOf(placed.question).asks && <HowItWent id={placed.question.id} spreads={spreads} />}
      <Problems lines={problems} />
      {placed.placement.checks.length > 0 && <Kept placed={placed} />}
    </div>
  );
});
