import { Suspense, useState } from 'react';
import { kindOf } from '@/core/kinds';
import { bestPossible } from '@/core/scoring/possible';
import { Failed } from '@/ui/widgets/press/Failed';
import { MarginColumn } from '@/ui/widgets/layout/MarginColumn';
import { readingFailed } from '@/ui/words/failureWords';
import { points } from '@/ui/words/figures';
import { usePaper } from '@/ui/teacher/quizContext';
import { HowItWent, Problems } from './Notes';
import { HowItEarns } from './HowItEarns';
import { TryAnswer } from './TryAnswer';
import type { MarginState } from './useMarginState';
import type { Placed } from '@/core/quiz/placement';
import { WholePaper } from './WholePaper';

interface Props {
  /** The question as it is written now, which may not be stored yet. */
  readonly record: Placed;
  /** *question 3*. */
  readonly called: string;
  readonly margin: MarginState;
}

/** What is computed for the question in hand. */
export function InHand({ record, called, margin }: Props) {
  const { id } = record.question;
  if (!kindOf(record.question).asks) return <p className="caption">A note: it asks for nothing.</p>;
  const failed = margin.spreadsFailed;
  return (
    <>
      <HowItWent id={id} spreads={margin.spreads} />
      {failed && <Failed text={readingFailed(failed.failure)} onAgain={failed.again} />}
      <Problems lines={margin.ready.get(id)} />
      <Suspense>
        <TryAnswer key={id} placed={record} called={called} onKept={margin.keep} />
        <HowItEarns key={`earns-${id}`} placed={record} onChange={margin.change} />
      </Suspense>
    </>
  );
}

/** The best possible paper in a line, on the margin's handle while it is down. */
function Peek() {
  const { best, outOf } = bestPossible(usePaper());
  return (
    <span className="flex items-baseline gap-3">
      <span className="flex-1 font-semibold">Try an answer</span>
      <span className="caption figures">
        best possible {points(best)} of {points(outOf)}
      </span>
    </span>
  );
}

/** The margin as a sheet, where there is no room for it beside the paper. */
export function MarginSheet({
  record,
  called,
  margin,
}: { readonly record: Placed | null } & Omit<Props, 'record'>) {
  const [up, setUp] = useState(false);
  return (
    <MarginColumn peek={<Peek />} open={up} onOpen={setUp}>
      <WholePaper />
      {record && (
        <div className="pt-3">
          <InHand record={record} called={called} margin={margin} />
        </div>
      )}
    </MarginColumn>
  );
}
