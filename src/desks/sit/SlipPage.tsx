import { useEffect, useRef } from 'react';
import type { Cover, Slip, SlipPart } from '@/core/reveal/packets';
import { isSilent } from '@/core/quiz/silence';
import { CreditPie } from '@/ui/CreditPie';
import { FeedbackView } from '@/ui/FeedbackView';
import { count, dayAndTime, points } from '@/ui/figures';
import { RichText } from '@/ui/RichText';
import { stillToCome } from './planWords';

const VERDICTS = {
  right: 'Right',
  partly: 'Partly right',
  wrong: 'Not right',
  waits: 'Waits to be marked',
  blank: 'No answer',
};

function Part({ part }: { readonly part: SlipPart }) {
  const { result, text, ownAnswer, feedback, right } = part;
  const hasFeedback = feedback !== null && !isSilent(feedback);
  return (
    <li className="border-b border-line py-4">
      <div className="flex items-baseline gap-2.5">
        <span className="figures font-title font-semibold">{part.number}</span>
        {result && (
          <>
            <CreditPie credit={result.credit} verdict={result.verdict} label="" />
            <span className="flex-1 font-semibold">
              {VERDICTS[result.verdict]}
              {result.errors > 0 && (
                <span className="font-normal">, less {count(result.errors, 'typing error')}</span>
              )}
            </span>
            <span className="figures">
              {result.verdict === 'waits'
                ? `${points(part.points)} to come`
                : `${points(result.earned)} of ${points(part.points)}`}
            </span>
          </>
        )}
      </div>
      {text && <RichText text={text} className="mt-1.5" />}
      {text && ownAnswer !== null && (
        <p className="mt-1.5">
          <span className="label-small">Your answer </span>
          <span className="font-semibold break-words">{ownAnswer}</span>
        </p>
      )}
      {hasFeedback && (
        <p className="mt-2 border-l-2 border-saffron pl-3">
          <FeedbackView feedback={feedback} />
        </p>
      )}
      {right && right.answers.length > 0 && (
        <p className="mt-2">
          <span className="label-small">Right </span>
          <span className="font-semibold">{right.answers.join(', or ')}</span>
        </p>
      )}
      {right && right.explanation !== '' && (
        <p className="mt-1 whitespace-pre-line text-soft">{right.explanation}</p>
      )}
    </li>
  );
}

function Score({ score }: { readonly score: NonNullable<Slip['score']> }) {
  const { earned, outOf, waiting } = score;
  return (
    <p className="figures mt-5 font-title text-[30px] leading-tight font-semibold">
      {points(earned)} of {points(outOf)}
      {waiting.n > 0 && (
        <span className="block font-sans text-[16px] text-saffron-text">
          so far, {points(waiting)} to come
        </span>
      )}
    </p>
  );
}

/** The receipt, and exactly what the plan shows now; then a sentence about when the rest comes. */
export function SlipPage({ cover, slip }: { readonly cover: Cover; readonly slip: Slip }) {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const rest = stillToCome(slip.toCome);
  const hasParts = slip.parts.some((part) => part.result || part.text);
  return (
    <main className="mx-auto min-h-dvh max-w-[640px] bg-paper px-[18px] py-8">
      <p className="caption">Slip of {cover.student}</p>
      <h1 ref={heading} tabIndex={-1} className="mt-1 text-[24px] outline-none">
        {cover.title}
      </h1>
      <p className="mt-2" role="status">
        {slip.byItself ? 'Taken as it stood when the quiz closed, ' : 'Handed in '}
        <span className="figures font-semibold">{dayAndTime(slip.finishedAt)}</span>. It has been received.
      </p>
      {slip.score && <Score score={slip.score} />}
      {rest.length > 0 && (
        <ul className="mt-4 border-l-2 border-petrol pl-3">
          {rest.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {hasParts && (
        <ol className="mt-5 border-t border-line">
          {slip.parts.map((part) => (
            <Part key={part.number} part={part} />
          ))}
        </ol>
      )}
    </main>
  );
}
