import { useEffect, useState } from 'react';
import type { ComparedWay, Earned, Given } from '@/core/checking/ways';
import { kindOf, type Question } from '@/core/kinds';
import { carriesPoints, type Placed } from '@/core/quiz/placement';
import { pointsOfPlaced } from '@/core/quiz/points';
import { paperAround } from '@/core/scoring/context';
import { usePaper, useQuiz } from '@/ui/teacher/quizContext';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { useSettled } from '@/ui/widgets/press/useSettled';
import { count, points } from '@/ui/words/figures';
import { barsOf, comparedWith, valueOf, type Bar, type Compared, type EarnedBy } from './bars';
import { classWorker, quickWorker } from '@/workers/clients';

/** Whose answers are looked at: the class's own once somebody's work counts, a made-up class's before that, never both. */
type Answerers = 'madeUp' | readonly Given[];

/** null until the answers are there, and where nobody has given one. */
function useAnswerers(questionId: string): Answerers | null {
  const { quiz, attemptsSeq } = useQuiz();
  const counting = quiz.firstHandInAt !== null;
  const { value } = useQuery(
    () => (counting ? classWorker().answersTo(quiz.id, questionId) : Promise.resolve(null)),
    [quiz.id, questionId, counting, counting ? attemptsSeq : 0],
  );
  if (!counting) return 'madeUp';
  return value && value.length > 0 ? value : null;
}

/** What the same answers earned before the last change of the rules; null until there was one. */
function useBefore(value: EarnedBy | undefined): Earned | null {
  const [compared, setCompared] = useState<Compared>({ latest: null, before: null });
  useEffect(() => {
    if (value) setCompared((known) => comparedWith(known, value));
  }, [value]);
  return compared.before;
}

const HEIGHT = 56;
/** How thick the line is where a bar ended before, in px: it lies within the picture. */
const LINE = 2;

/** One small picture: how many earn how much under the rules as they are, with a line where it was before the last change. */
const Bars = ({ bars }: { readonly bars: readonly Bar[] }) => (
  <ul className="mt-2 flex items-end gap-1.5" aria-label="Who earns how much">
    {bars.map(({ label, now, before, height, heightBefore, share }) => (
      <li key={label} className="max-w-14 min-w-8 flex-1 text-center">
        <span className="sr-only">
          {label} points: {now}
          {before !== null && `, before ${before}`}
        </span>
        <span aria-hidden className="relative flex items-end overflow-hidden" style={{ height: HEIGHT }}>
          <span
            className={`graphic w-full ${share >= 1 ? 'bg-petrol' : share > 0 ? 'bg-saffron' : 'bg-[var(--none)]'}`}
            style={{ height: Math.max(now > 0 ? 3 : 1, height * HEIGHT) }}
          />
          {before !== null && (
            <span
              className="absolute inset-x-0 border-t-2 border-dotted border-ink"
              style={{ bottom: heightBefore * (HEIGHT - LINE) }}
            />
          )}
        </span>
        <span aria-hidden className="figures block text-[12px] whitespace-nowrap text-soft">
          {label}
        </span>
      </li>
    ))}
  </ul>
);

/** Whom a way of part credit would move. */
const movedWords = ({ higher, lower }: ComparedWay): string =>
  [lower > 0 && `${lower} lower`, higher > 0 && `${higher} higher`].filter(Boolean).join(', ') || 'no change';

interface WaysProps {
  readonly ways: readonly ComparedWay[];
  readonly onChoose: (question: Question) => void;
}

/** What each way of part credit would give the same answers, before one is chosen. */
const Ways = ({ ways, onChoose }: WaysProps) => (
  <table className="mt-3 w-full text-[14px]">
    <caption className="label-small text-left">Other methods would give</caption>
    <thead className="sr-only">
      <tr>
        <th scope="col">Way</th>
        <th scope="col">Mean points</th>
        <th scope="col">Whose score would change</th>
      </tr>
    </thead>
    <tbody>
      {ways.map((way) => (
        <tr key={way.words} className="border-b border-dotted border-line align-baseline">
          <th scope="row" className="py-1 pr-2 text-left font-normal">
            {way.isNow ? (
              <strong>{way.words} (now)</strong>
            ) : (
              <button
                type="button"
                className="cursor-pointer text-left text-petrol hover:underline"
                title="Use this way"
                onClick={() => onChoose(way.question)}
              >
                {way.words}
              </button>
            )}
          </th>
          <td className="figures py-1 pr-3 text-right">{way.mean ? points(way.mean) : '–'}</td>
          <td className="caption figures py-1">{way.isNow ? '' : movedWords(way)}</td>
        </tr>
      ))}
    </tbody>
  </table>
);

interface Props {
  /** The question as it is written now. */
  readonly placed: Placed;
  readonly onChange: (question: Question) => void;
}

/** What the class earns on the question in hand by its rules, before its last change, and by other ways of part credit. */
export function HowItEarns({ placed, onChange }: Props) {
  const { quiz } = useQuiz();
  const paper = usePaper();
  // When the hand rests: a trial answer comes first.
  const settled = useSettled(placed, 400);
  const { question } = settled;
  const answerers = useAnswerers(question.id);
  const { value } = useQuery(
    () =>
      answerers && carriesPoints(settled.placement) && kindOf(question).hasKey(question)
        ? quickWorker().compareWays(
            settled,
            paperAround(paper, settled),
            answerers === 'madeUp' ? null : answerers,
          )
        : Promise.resolve(null),
    [settled, paper.content, answerers],
  );
  const before = useBefore(value ?? undefined);
  if (!value || value.now.mean === null) return null;
  const { now, ways } = value;
  const worth = pointsOfPlaced(settled, quiz.content);
  const marked = now.spread.reduce((sum, { times }) => sum + times, 0);
  return (
    <section aria-labelledby="how-it-earns" className="pt-4">
      <h2 id="how-it-earns" className="text-[15px]">
        {answerers !== 'madeUp'
          ? `${count(marked, 'answer')} under these rules`
          : `${count(marked, 'made-up student')} under these rules`}
      </h2>
      <Bars bars={barsOf(now, before, valueOf(worth))} />
      <p className="caption figures mt-1">
        mean {points(now.mean ?? worth)} of {points(worth)}
        {before?.mean && `, before your last change ${points(before.mean)}`}
        {now.waiting > 0 && ` · ${now.waiting} not marked yet`}
      </p>
      {ways.length > 1 && <Ways ways={ways} onChoose={onChange} />}
    </section>
  );
}
