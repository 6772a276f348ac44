import { carriesPoints } from '@/core/quiz/placement';
import { useMemo } from 'react';
import { add, compare, multiply, subtract, ZERO, type Fraction } from '@/core/figures/fraction';
import { count, points, pointsWord } from '@/ui/words/figures';
import type { CheckRow, CheckTable } from '@/workers/classDesk';
import { ForAll } from './ForAll';
import { sumsOf } from '../rows';

interface Props {
  readonly table: CheckTable;
  readonly rows: readonly CheckRow[];
  /** The question's column; behind the last one, the totals. */
  readonly column: number;
}

/** How often each amount was earned, the highest first. */
function amounts(earned: readonly Fraction[]): [amount: Fraction, times: number][] {
  const byAmount = new Map<string, [Fraction, number]>();
  for (const one of earned) {
    const known = byAmount.get(`${one.n}/${one.d}`);
    if (known) known[1]++;
    else byAmount.set(`${one.n}/${one.d}`, [one, 1]);
  }
  return [...byAmount.values()].sort((a, b) => compare(b[0], a[0]));
}

/** What the sum of a question is made of. */
function OfQuestion({ table, rows, column }: Props) {
  const question = table.questions[column];
  const counted = useMemo(() => rows.filter(({ figures }) => figures), [rows]);
  const cells = counted.flatMap(({ cells: all }) => all[column] ?? []);
  const sum = cells.reduce<Fraction>((all, { earned }) => add(all, earned), ZERO);
  const possible = multiply(question?.points ?? ZERO, { n: counted.length, d: 1 });
  const waiting = cells.filter(({ verdict }) => verdict === 'waits').length;
  return (
    <>
      <p className="label-small">Question {question?.number}, all papers shown</p>
      <h2 className="mt-0.5 text-[16px] leading-snug">{question?.title}</h2>
      <p className="figures mt-2 font-title text-[22px] font-semibold">
        {question && !carriesPoints(question) ? 'carries no points' : `${points(sum)} of ${points(possible)}`}
      </p>
      <ol className="figures mt-3 space-y-1 text-[14px]" aria-label="How the sum came about">
        {amounts(cells.map(({ earned }) => earned)).map(([amount, times]) => (
          <li key={`${amount.n}/${amount.d}`}>
            {count(times, 'paper')} × {points(amount)} = {points(multiply(amount, { n: times, d: 1 }))}
          </li>
        ))}
      </ol>
      {waiting > 0 && (
        <p className="mt-2 border-l-2 border-saffron pl-3 text-[14px]">
          {count(waiting, 'answer')} of these waiting for you: 0 so far.
        </p>
      )}
      {question && <ForAll question={question} rows={counted} column={column} />}
    </>
  );
}

/** What the sum of all totals is made of, and why it may be another one than that of the questions. */
function OfTotals({ table, rows }: Props) {
  const { columns, totals, papers, waiting } = sumsOf(rows, table.questions.length);
  const questions = columns.reduce<Fraction>(add, ZERO);
  const more = subtract(totals, questions);
  return (
    <>
      <p className="label-small">All papers shown</p>
      <p className="figures mt-2 font-title text-[22px] font-semibold">
        {points(totals)} of {points(multiply(table.outOf, { n: papers, d: 1 }))}
      </p>
      <ol className="figures mt-3 space-y-1 text-[14px]" aria-label="How the sum came about">
        <li>The sums of the questions add up to {points(questions)}</li>
        {more.n !== 0 && (
          <li>
            Late penalties, repeats, limits and rounding {more.n > 0 ? 'add' : 'take off'}{' '}
            {pointsWord(more.n > 0 ? more : subtract(ZERO, more))}: open a total to see which
          </li>
        )}
        <li className="font-semibold">The totals add up to {points(totals)}</li>
        {waiting.n > 0 && <li>Answers not marked yet can still bring {pointsWord(waiting)}</li>}
      </ol>
    </>
  );
}

/** How a sum over the papers came about. */
export const SumMargin = (props: Props) =>
  props.column < props.table.questions.length ? <OfQuestion {...props} /> : <OfTotals {...props} />;
