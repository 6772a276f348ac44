import { lazy, Suspense, type ReactNode } from 'react';
import { minutesFigure, NONE, pointsFigure, type Defined } from '@/ui/words/statistics';
import { points } from '@/ui/words/figures';
import type { FiguresOf } from '@/workers/classDesk';
import { Definition, Term } from './Defined';
import { Change } from './Change';

// A library of charts is not fetched before there is one to draw.
const ScoreBars = lazy(() => import('./ScoreBars').then((file) => ({ default: file.ScoreBars })));

type Scores = FiguresOf['now']['scores'];

interface OneProps {
  readonly what: Defined;
  readonly name: string;
  readonly children: ReactNode;
}

const One = ({ what, name, children }: OneProps) => (
  <div className="flex flex-col-reverse justify-end">
    <dt className="caption">
      <Term what={what} place="scores">
        {name}
      </Term>
    </dt>
    <dd className="figures text-[22px] font-semibold">{children}</dd>
  </div>
);

const between = ({ quartiles }: Scores): string =>
  quartiles ? `${pointsFigure(quartiles[0])}–${pointsFigure(quartiles[1])}` : NONE;
const most = ({ modes }: Scores): string =>
  modes.length === 0 ? NONE : modes.slice(0, 3).map(pointsFigure).join(', ') + (modes.length > 3 ? ' …' : '');

interface Props {
  readonly figures: FiguresOf;
  /** The tenth of the maximum in which the student at hand is; null where none has a score. */
  readonly atHand: { readonly name: string; readonly band: number } | null;
}

/** How the scores lie: the usual figures, and how many are in each tenth of the maximum. */
export function Scores({ figures: { now, after }, atHand }: Props) {
  const { scores, worked } = now;
  const next = after?.scores ?? null;
  return (
    <section aria-label="Scores" className="px-6 max-sm:px-4">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-4">
        <dl className="flex flex-wrap items-end gap-x-9 gap-y-3">
          <One what="mean" name={scores.outOf ? `mean of ${points(scores.outOf)}` : 'mean'}>
            <Change now={pointsFigure(scores.mean)} after={next && pointsFigure(next.mean)} />
          </One>
          <One what="median" name="median">
            <Change now={pointsFigure(scores.median)} after={next && pointsFigure(next.median)} />
          </One>
          <One what="mode" name={scores.modes.length > 1 ? 'modes' : 'mode'}>
            <Change now={most(scores)} after={next && most(next)} />
          </One>
          <One what="deviation" name="standard deviation">
            <Change now={pointsFigure(scores.deviation)} after={next && pointsFigure(next.deviation)} />
          </One>
          <One what="quartiles" name="quartiles">
            <Change now={between(scores)} after={next && between(next)} />
          </One>
          {worked && (
            <One what="worked" name={`median time worked, of ${worked.papers}`}>
              {minutesFigure(worked.median)}
            </One>
          )}
        </dl>
        <Suspense fallback={<div className="h-20 w-64" aria-hidden />}>
          <ScoreBars now={scores.bands} after={next?.bands ?? null} atHand={atHand} />
        </Suspense>
      </div>
      <Definition
        place="scores"
        more={{
          deviation:
            scores.sampleDeviation === null ? '.' : `: here ${pointsFigure(scores.sampleDeviation)}.`,
        }}
      />
    </section>
  );
}
