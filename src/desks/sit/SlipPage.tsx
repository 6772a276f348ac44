import { useEffect, useRef } from 'react';
import { ticketShown } from '@/core/quiz/people/ticket';
import type { Attempts, Cover, Slip } from '@/core/reveal/packets';
import { SlipClass, SlipQuestions, SlipRecorded, SlipScore, SlipWords } from '@/ui/widgets/paper/SlipParts';
import { stillToCome } from '@/ui/told/resultTimes';
import { useText, useTold } from '@/ui/told/useTold';
import { useSitPress } from './useSitPress';

interface Props {
  readonly cover: Cover;
  readonly slip: Slip;
  readonly attempts: Attempts;
  /** A code by which whoever served the paper knows it again. */
  readonly receipt: string | undefined;
  readonly onAttempt: (number: number) => void;
  readonly onAgain: () => Promise<void>;
  /** Back to the attempt that is being worked at. */
  readonly onGoOn: () => void;
}

/** Which of several attempts the slip is of, and what they come to together. */
function AttemptLine({ attempts, onAttempt, onGoOn }: Pick<Props, 'attempts' | 'onAttempt' | 'onGoOn'>) {
  const { results } = useTold();
  const { number, finished, recorded, running } = attempts;
  if (finished.length < 2 && running === null) return null;
  return (
    <div className="mt-4 border-y border-line py-2.5">
      <div className="flex flex-wrap items-center gap-2" role="group" aria-label={results.attempts}>
        {finished.map((one) => (
          <button
            key={one}
            type="button"
            className={`btn h-10 px-4 ${one !== number ? 'btn-outline' : running === null ? 'btn-primary' : 'btn-outline border-2 font-bold'}`}
            aria-pressed={one === number}
            onClick={() => onAttempt(one)}
          >
            {results.attempt(one)}
          </button>
        ))}
        {running !== null && (
          <button type="button" className="btn btn-primary ml-auto h-10 px-4" onClick={onGoOn}>
            {results.goOn(running)}
          </button>
        )}
      </div>
      {recorded && <SlipRecorded recorded={recorded} />}
    </div>
  );
}

function Again({ cover, attempts, onAgain }: Pick<Props, 'cover' | 'attempts' | 'onAgain'>) {
  const again = useSitPress(onAgain);
  const { results } = useTold();
  if (!attempts.mayBegin) return null;
  return (
    <div className="mt-5">
      <button
        type="button"
        className="btn btn-outline h-11 px-5 text-[15px]"
        aria-disabled={again.busy}
        onClick={again.start}
      >
        {results.again}
      </button>
      {again.failed && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          {results.againFailed}
        </p>
      )}
      <p className="caption mt-1">
        {results.soOften(cover.attempts.most, attempts.finished.length, cover.attempts.counts)}
      </p>
    </div>
  );
}

/** The receipt, and exactly what the plan shows now; then a sentence about when the rest comes. */
export function SlipPage({ cover, slip, attempts, receipt, onAttempt, onAgain, onGoOn }: Props) {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const told = useTold();
  const text = useText();
  const { results, own } = told;
  const rest = stillToCome(told, slip.toCome);
  const hasParts = slip.parts.some((part) => part.result || part.text || part.comment !== null);
  return (
    <main className="mx-auto min-h-dvh max-w-[640px] bg-paper px-[18px] py-8">
      <p className="caption">{results.of(cover.student)}</p>
      <h1 {...text} ref={heading} tabIndex={-1} className="mt-1 text-[24px] wrap-anywhere outline-none">
        {cover.title}
      </h1>
      <AttemptLine attempts={attempts} onAttempt={onAttempt} onGoOn={onGoOn} />
      <p className="mt-2" role="status">
        {!slip.timeKnown
          ? results.imported
          : slip.byItself
            ? results.collected(slip.finishedAt, cover.timeLimit === null ? 'closed' : 'timeOver')
            : results.handedIn(slip.finishedAt)}
      </p>
      {slip.cameAfter > 0 && <p className="mt-1">{results.cameAfter(slip.cameAfter)}</p>}
      {receipt && <p className="caption figures mt-1">{own.receipt(ticketShown(receipt))}</p>}
      {attempts.notCounted && <p className="mt-2 font-semibold">{results[attempts.notCounted]}</p>}
      {slip.score && <SlipScore score={slip.score} />}
      {slip.classDid && <SlipClass did={slip.classDid} />}
      <SlipWords slip={slip} />
      {rest.length > 0 && (
        <ul className="mt-4 border-l-2 border-petrol pl-3">
          {rest.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      <Again cover={cover} attempts={attempts} onAgain={onAgain} />
      {hasParts && <SlipQuestions slip={slip} className="mt-5" />}
    </main>
  );
}
