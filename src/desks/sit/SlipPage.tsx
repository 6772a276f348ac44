import { useEffect, useRef } from 'react';
import type { Attempts, Cover, Slip } from '@/core/reveal/packets';
import { dayAndTime } from '@/ui/words/figures';
import { countsWords } from '@/ui/words/attemptWords';
import { SlipClass, SlipQuestions, SlipRecorded, SlipScore, SlipWords } from '@/ui/widgets/paper/SlipParts';
import { oftenWords, stillToCome, timesWords } from '@/ui/words/resultWords';
import { useSitPress } from './useSitPress';

interface Props {
  readonly cover: Cover;
  readonly slip: Slip;
  readonly attempts: Attempts;
  readonly onAttempt: (number: number) => void;
  readonly onAgain: () => Promise<void>;
  /** Back to the attempt that is being worked at. */
  readonly onGoOn: () => void;
}

const NOT_COUNTED = {
  tooLate: 'It arrived after the quiz had closed, so it doesn’t count unless your teacher accepts it.',
  voided: 'Your teacher does not count this attempt.',
};

/** Which of several attempts the slip is of, and what they come to together. */
function AttemptLine({ attempts, onAttempt, onGoOn }: Pick<Props, 'attempts' | 'onAttempt' | 'onGoOn'>) {
  const { number, finished, recorded, running } = attempts;
  if (finished.length < 2 && running === null) return null;
  return (
    <div className="mt-4 border-y border-line py-2.5">
      <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Attempts">
        {finished.map((one) => (
          <button
            key={one}
            type="button"
            className={`btn h-10 px-4 ${one !== number ? 'btn-outline' : running === null ? 'btn-primary' : 'btn-outline border-2 font-bold'}`}
            aria-pressed={one === number}
            onClick={() => onAttempt(one)}
          >
            Attempt {one}
          </button>
        ))}
        {running !== null && (
          <button type="button" className="btn btn-primary ml-auto h-10 px-4" onClick={onGoOn}>
            Continue attempt {running}
          </button>
        )}
      </div>
      {recorded && <SlipRecorded recorded={recorded} />}
    </div>
  );
}

function Again({ cover, attempts, onAgain }: Pick<Props, 'cover' | 'attempts' | 'onAgain'>) {
  const again = useSitPress(onAgain);
  if (!attempts.mayBegin) return null;
  return (
    <div className="mt-5">
      <button
        type="button"
        className="btn btn-outline h-11 px-5 text-[15px]"
        disabled={again.busy}
        onClick={again.start}
      >
        Take the quiz again
      </button>
      {again.failed && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          The quiz could not be started: this device may have no room left. Nothing is lost. Try again.
        </p>
      )}
      <p className="caption mt-1">
        {oftenWords(cover.attempts)}
        {cover.attempts.most !== null && `, and have done so ${timesWords(attempts.finished.length)}`};{' '}
        {countsWords(cover.attempts)}.
      </p>
    </div>
  );
}

/** The receipt, and exactly what the plan shows now; then a sentence about when the rest comes. */
export function SlipPage({ cover, slip, attempts, onAttempt, onAgain, onGoOn }: Props) {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const rest = stillToCome(slip.toCome);
  const hasParts = slip.parts.some((part) => part.result || part.text || part.comment !== null);
  return (
    <main className="mx-auto min-h-dvh max-w-[640px] bg-paper px-[18px] py-8">
      <p className="caption">{cover.student}’s results</p>
      <h1 ref={heading} tabIndex={-1} className="mt-1 text-[24px] outline-none">
        {cover.title}
      </h1>
      <AttemptLine attempts={attempts} onAttempt={onAttempt} onGoOn={onGoOn} />
      <p className="mt-2" role="status">
        {slip.timeKnown ? (
          <>
            {slip.byItself
              ? `Collected automatically when ${cover.timeLimit === null ? 'the quiz closed' : 'your time was over'}, `
              : 'Handed in '}
            <span className="figures font-semibold">{dayAndTime(slip.finishedAt)}</span>. It has been
            received.
          </>
        ) : (
          'Your teacher has imported your paper. It has been received.'
        )}
      </p>
      {attempts.notCounted && <p className="mt-2 font-semibold">{NOT_COUNTED[attempts.notCounted]}</p>}
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
