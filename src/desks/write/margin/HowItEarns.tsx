import { useEffect, useState } from 'react';
import type { ComparedWay, Earned, Given } from '@/core/checking/ways';
import { same } from '@/core/figures/deepEqual';
import type { Fraction } from '@/core/figures/fraction';
import { kindOf, type Question } from '@/core/kinds';
import { carriesPoints, type Placed } from '@/core/quiz/placement';
import { pointsOfPlaced } from '@/core/quiz/points';
import { paperAround } from '@/core/scoring/context';
import { usePaper, useQuiz } from '@/ui/teacher/quizContext';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { useSettled } from '@/ui/widgets/press/useSettled';
import { count, points } from '@/ui/words/figures';
import { classWorker, quickWorker } from '@/workers/clients';

/** Answers that count to one question; null before anybody has answered, where a made-up class stands in. */
function useGiven(questionId: string): readonly Given[] | null {
  const { quiz, attemptsSeq } = useQuiz();
  const counting = quiz.firstHandInAt !== null;
  const { value } = useQuery(
    () => (counting ? classWorker().answersTo(quiz.id, questionId) : Promise.resolve(null)),
    [quiz.id, questionId, counting, counting ? attemptsSeq : 0],
  );
  return value && value.length > 0 ? value : null;
}

/** The result before the last change of one: null until there was one. */
function useBefore(now: Earned | undefined): Earned | null {
  const [seen, setSeen] = useState<{ now: Earned | undefined; before: Earned | null }>({ now, before: null });
  useEffect(() => {
    if (now) setSeen((known) => (same(known.now, now) ? known : { now, before: known.now ?? null }));
  }, [now]);
  return seen.before;
}

const MOST_BARS = 6;

interface Bar {
  readonly label: string;
  readonly now: number;
  readonly before: number;
  /** How full the question's points are there, 0 … 1. */
  readonly share: number;
}

const valueOf = (fraction: Fraction): number => fraction.n / fraction.d;

/** How many earn how many points, now and before: one bar for each number of points, or for each stretch of them. */
function barsOf(now: Earned, before: Earned | null, worth: number): Bar[] {
  const all = [...now.spread, ...(before?.spread ?? [])];
  const values = [...new Map(all.map((one) => [valueOf(one.points), one.points])).entries()].sort(
    ([a], [b]) => a - b,
  );
  const within = (earned: Earned | null, from: number, to: number): number =>
    (earned?.spread ?? []).reduce((sum, one) => {
      const value = valueOf(one.points);
      return sum + (value >= from && value < to ? one.times : 0);
    }, 0);
  const bar = (label: string, from: number, to: number): Bar => ({
    label,
    now: within(now, from, to),
    before: within(before, from, to),
    share: worth > 0 ? Math.max(0, Math.min(1, from / worth)) : 0,
  });
  if (values.length <= MOST_BARS)
    return values.map(([value, exact]) => bar(points(exact), value, value + 1e-9));
  const low = Math.min(0, values[0]?.[0] ?? 0);
  const high = Math.max(worth, values.at(-1)?.[0] ?? 0);
  const step = (high - low) / MOST_BARS;
  const written = (value: number): string => points({ n: Math.round(value * 100), d: 100 });
  return Array.from({ length: MOST_BARS }, (_, at) => {
    const from = low + at * step;
    const to = at === MOST_BARS - 1 ? Infinity : from + step;
    return bar(`${written(from)}–${written(from + step)}`, from, to);
  });
}

const HEIGHT = 56;

/** One small picture: how many earn how much under the rules as they are, with a line where it was before the last change. */
function Bars({ bars, changed }: { readonly bars: readonly Bar[]; readonly changed: boolean }) {
  const most = Math.max(1, ...bars.flatMap(({ now, before }) => [now, changed ? before : 0]));
  return (
    <ul className="mt-2 flex items-end gap-1.5" aria-label="Who earns how much">
      {bars.map(({ label, now, before, share }) => (
        <li key={label} className="max-w-14 min-w-8 flex-1 text-center">
          <span className="sr-only">
            {label} points: {now}
            {changed ? `, before ${before}` : ''}
          </span>
          <span aria-hidden className="relative flex items-end" style={{ height: HEIGHT }}>
            <span
              className={`w-full ${share >= 1 ? 'bg-petrol' : share > 0 ? 'bg-saffron' : 'bg-[var(--none)]'}`}
              style={{ height: Math.max(now > 0 ? 3 : 1, (now / most) * HEIGHT) }}
            />
            {changed && (
              <span
                className="absolute inset-x-0 border-t-2 border-dotted border-ink"
                style={{ bottom: (before / most) * HEIGHT - 1 }}
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
}

/** Whom a way of part credit would move. */
const movedWords = ({ higher, lower }: ComparedWay): string =>
  [lower > 0 && `${lower} lower`, higher > 0 && `${higher} higher`].filter(Boolean).join(', ') ||
  'nobody moves';

interface WaysProps {
  readonly ways: readonly ComparedWay[];
  readonly onChoose: (question: Question) => void;
}

/** What each way of part credit would give the same answers, before one is chosen. */
const Ways = ({ ways, onChoose }: WaysProps) => (
  <table className="mt-3 w-full text-[14px]">
    <caption className="label-small text-left">Other ways of part credit would give them</caption>
    <thead className="sr-only">
      <tr>
        <th scope="col">Way</th>
        <th scope="col">Mean points</th>
        <th scope="col">Who would move</th>
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
  const given = useGiven(question.id);
  const { value } = useQuery(
    () =>
      carriesPoints(settled.placement) && kindOf(question).hasKey(question)
        ? quickWorker().compareWays(settled, paperAround(paper, settled), given as Given[] | null)
        : Promise.resolve(null),
    [settled, paper.content, given],
  );
  const before = useBefore(value?.now);
  if (!value || value.now.mean === null) return null;
  const { now, ways } = value;
  const worth = pointsOfPlaced(settled, quiz.content);
  const marked = now.spread.reduce((sum, { times }) => sum + times, 0);
  return (
    <section aria-labelledby="how-it-earns" className="pt-4">
      <h2 id="how-it-earns" className="text-[15px]">
        {given
          ? `${count(marked, 'answer')} under these rules`
          : `${marked} made-up students under these rules`}
      </h2>
      <Bars bars={barsOf(now, before, valueOf(worth))} changed={before !== null} />
      <p className="caption figures mt-1">
        mean {points(now.mean ?? worth)} of {points(worth)}
        {before?.mean && `, before your last change ${points(before.mean)}`}
        {now.waiting > 0 && ` · ${now.waiting} not marked yet`}
      </p>
      {ways.length > 1 && <Ways ways={ways} onChoose={onChange} />}
    </section>
  );
}
