import { useContext } from 'react';
import type { RecordedScore, Slip } from '@/core/reveal/packets';
import { ToldIn, useText } from '../../told/useTold';
import { SlipClass, SlipQuestions, SlipRecorded, SlipScore, SlipWords } from './SlipParts';

/** One student's results on a sheet. */
export interface SheetOf {
  readonly name: string;
  readonly number: string;
  readonly email: string;
  readonly groups: readonly string[];
  readonly attempt: { readonly number: number; readonly of: number };
  readonly recorded: RecordedScore | null;
  readonly slip: Slip;
}

/** A whole result, each sheet for itself: printed, or as a file. */
export function SlipSheet({
  title,
  of,
  className = '',
  heading: Heading = 'h2',
}: {
  readonly title: string;
  readonly of: SheetOf;
  readonly className?: string;
  /** Of the student's name: the page's own where the sheet is the page. */
  readonly heading?: 'h1' | 'h2';
}) {
  const { name, number, email, groups, attempt, recorded, slip } = of;
  const {
    language,
    told: { results },
  } = useContext(ToldIn);
  const text = useText();
  return (
    <section aria-label={`Results of ${name}`} className={className}>
      <div lang={language}>
        <p {...text} className="caption wrap-anywhere">
          {title}
        </p>
        <div className="flex flex-wrap items-baseline justify-between gap-x-6">
          <Heading className="mt-1 text-[22px] break-words">{name}</Heading>
          <p className="figures caption">{[number || email, ...groups].filter(Boolean).join(' · ')}</p>
        </div>
        <p className="caption figures">
          {[
            slip.timeKnown
              ? slip.byItself
                ? results.collectedAt(slip.finishedAt)
                : results.handedInAt(slip.finishedAt)
              : results.fromFile,
            ...(attempt.of > 1 ? [results.attemptOf(attempt.number, attempt.of)] : []),
          ].join(', ')}
        </p>
        {slip.score && <SlipScore score={slip.score} />}
        {recorded && <SlipRecorded recorded={recorded} />}
        {slip.classDid && <SlipClass did={slip.classDid} />}
        <SlipWords slip={slip} />
        <SlipQuestions slip={slip} className="mt-4" sections="open" />
      </div>
    </section>
  );
}
