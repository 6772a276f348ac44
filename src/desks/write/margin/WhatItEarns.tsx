import { Fragment } from 'react';
import type { Placed } from '@/core/quiz/placement';
import { pointsOfPlaced } from '@/core/quiz/points';
import { paperAround } from '@/core/scoring/context';
import { usePaper } from '@/ui/teacher/quizContext';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { useSettled } from '@/ui/widgets/press/useSettled';
import { points, pointsWord } from '@/ui/words/figures';
import { quickWorker } from '@/workers/clients';

/** What the rules above make of ways to answer where they can surprise, in points of this very question. */
export function WhatItEarns({ placed }: { readonly placed: Placed }) {
  const paper = usePaper();
  // When the hand rests: a trial answer comes first.
  const settled = useSettled(placed, 300);
  const { value } = useQuery(
    () => quickWorker().worthOf(settled.question, paperAround(paper, settled)),
    [settled, paper.content],
  );
  // Its line is kept, so that nothing below it moves when it comes.
  if (!value || value.length === 0)
    return <p className="mt-1 min-h-[19px] max-sm:min-h-[39px]" aria-hidden />;
  return (
    <p
      className="caption figures mt-1 min-h-[19px] leading-normal max-sm:min-h-[39px]"
      role="status"
      aria-label="What these rules earn"
    >
      Of {pointsWord(pointsOfPlaced(settled, paper.content))}, these earn:{' '}
      {value.map(({ words, points: earned }, at) => (
        // Lines break between them, never within one.
        <Fragment key={words}>
          {at > 0 && ' · '}
          <span className="whitespace-nowrap">
            {words} <span className="font-semibold text-ink">{points(earned)}</span>
          </span>
        </Fragment>
      ))}
    </p>
  );
}
