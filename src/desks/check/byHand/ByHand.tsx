import { useEffect, useMemo, useRef, useState } from 'react';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { Failed } from '@/ui/widgets/press/Failed';
import { PickLine } from '@/ui/widgets/fields/Find';
import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { RichText } from '@/ui/widgets/paper/RichText';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { readingFailed } from '@/ui/words/failureWords';
import { count, points, pointsWord } from '@/ui/words/figures';
import type { CheckRow, CheckTable, HandQuestion } from '@/workers/classDesk';
import { spokenCell } from '../cellWords';
import type { ViewProps } from '../viewProps';
import { Steps } from '../Steps';
import { GivenAnswer } from './GivenAnswer';
import { useHandQuestion } from './useHandQuestion';
import { handPlace, progressOf, queueOf, type Progress } from './waiting';

interface HeadProps extends Pick<ViewProps, 'table' | 'place' | 'onPlace'> {
  readonly rows: readonly CheckRow[];
  readonly progress: readonly Progress[];
  readonly queue: readonly CheckRow[];
}

const leftWords = ({ all, left }: Progress): string => (left === 0 ? 'done' : `${left} of ${all} left`);

/** Which question is marked, how far it has come, and the ways to the others. */
function Head({ table, rows, progress, queue, place, onPlace }: HeadProps) {
  const question = table.questions[place.column];
  const own = progress.find(({ column }) => column === place.column);
  const at = queue.findIndex(({ attemptId }) => attemptId === place.attemptId);
  const stepTo = (row: CheckRow | undefined) =>
    row && { name: row.name, go: () => onPlace({ attemptId: row.attemptId, column: place.column }) };
  const turnTo = (column: number) => {
    const [first] = queueOf(rows, column);
    if (first) onPlace(handPlace(table, rows, { attemptId: first.attemptId, column }) ?? place);
  };
  return (
    <div className="flex items-start gap-3 border-y border-line px-6 py-2.5 max-sm:px-3">
      <div className="min-w-0 flex-1">
        <h2 className="text-[17px] leading-snug">
          {question?.number} · {question?.title}
        </h2>
        {own && (
          <div className="mt-1.5 flex items-center gap-3">
            <span aria-hidden className="h-1.5 w-40 bg-hair max-sm:w-24">
              <span
                className="graphic block h-full bg-petrol"
                style={{ width: `${((own.all - own.left) / own.all) * 100}%` }}
              />
            </span>
            <span className="caption figures" role="status">
              {own.all - own.left} of {own.all} marked
            </span>
          </div>
        )}
        {progress.length > 1 && (
          <p className="mt-1 text-[14px]">
            <PickLine
              label="Question"
              value={`${place.column}`}
              options={progress.map((one) => [
                `${one.column}`,
                `${table.questions[one.column]?.number} · ${leftWords(one)}`,
              ])}
              onChange={(column) => turnTo(Number(column))}
            />
          </p>
        )}
      </div>
      <Steps what="answer" before={stepTo(queue[at - 1])} after={stepTo(queue[at + 1])} />
    </div>
  );
}

/** The answer at hand, large enough to be read, with the ideas underlined. */
function Answer({ question, row }: { readonly question: HandQuestion; readonly row: CheckRow }) {
  const answer = question.answers.find(({ attemptId }) => attemptId === row.attemptId);
  return (
    <article className="px-6 pt-4 pb-6 max-sm:px-3" aria-label={`The answer of ${row.name}`}>
      <details className="mb-3 text-soft">
        <summary className="label-small min-h-6 cursor-pointer">The question in full</summary>
        <RichText text={question.text} className="mt-1 max-w-[68ch] leading-snug" />
      </details>
      <p className="label-small mb-1">
        <StudentName name={row.name} apart={row.apart} />
      </p>
      {answer && <GivenAnswer question={question} answer={answer} />}
    </article>
  );
}

interface ListProps extends Pick<ViewProps, 'place' | 'onPlace'> {
  readonly table: CheckTable;
  readonly queue: readonly CheckRow[];
}

/** So many answers are listed; the others are reached by going on. */
const MOST_LISTED = 200;

/** All answers to the question that are marked by hand, and what each has so far. */
function List({ table, queue, place, onPlace }: ListProps) {
  const { column } = place;
  return (
    <section className="px-6 max-sm:px-3" aria-label="All answers to it">
      <h3 className="label-small pb-1">All answers to it</h3>
      <ul className="border-t border-line">
        {queue.slice(0, MOST_LISTED).map((row) => {
          const cell = row.cells[column];
          const here = row.attemptId === place.attemptId;
          return cell ? (
            <li key={row.attemptId}>
              <button
                type="button"
                data-cell={`${row.attemptId}:${column}`}
                aria-pressed={here}
                className={`flex min-h-9 w-full cursor-pointer items-baseline gap-3 border-b border-hair px-2 py-1 text-left text-[14px] ${here ? 'bg-wash' : 'hover:bg-hair'}`}
                onClick={() => onPlace({ attemptId: row.attemptId, column })}
              >
                <span className="sr-only">{spokenCell({ ...cell, answer: '' })}: </span>
                <CreditPie
                  credit={cell.credit}
                  verdict={cell.verdict}
                  overridden={cell.override !== null}
                  label=""
                />
                <span className="w-36 flex-none truncate font-semibold max-sm:w-24">
                  <StudentName name={row.name} apart={row.apart} />
                </span>
                <span className="min-w-0 flex-1 truncate text-soft">{cell.answer}</span>
                <span className="figures flex-none">
                  {cell.verdict === 'waits'
                    ? 'waits'
                    : `${points(cell.earned)} of ${pointsWord(table.questions[column]?.points ?? cell.earned)}`}
                </span>
              </button>
            </li>
          ) : null;
        })}
      </ul>
      {queue.length > MOST_LISTED && <p className="caption py-1">and {queue.length - MOST_LISTED} more</p>}
    </section>
  );
}

interface SaidProps {
  readonly rows: readonly CheckRow[];
  readonly row: CheckRow;
  readonly column: number;
}

/** Said aloud when the next answer comes: what the last one was given, whose the next is, and what it says. */
function NextSaid({ rows, row, column }: SaidProps) {
  const [steps, setSteps] = useState<{ from: string | null; to: string }>({ from: null, to: row.attemptId });
  if (steps.to !== row.attemptId) setSteps({ from: steps.to, to: row.attemptId });
  const before = rows.find(({ attemptId }) => attemptId === steps.from);
  const given = before?.cells[column];
  // What was given is there a moment after the next answer: then it is said with it.
  const saved = before && given?.override ? `${before.name}: ${pointsWord(given.earned)} saved. ` : '';
  return (
    <p role="status" className="sr-only">
      {steps.from !== null && `${saved}${row.name}: ${row.cells[column]?.answer || 'no answer'}`}
    </p>
  );
}

/** Answers that wait for the teacher, one after the other: read here, marked in the margin, on to the next by Enter. */
export function ByHand({ table, rows, place, onPlace, onKey }: ViewProps) {
  const box = useRef<HTMLDivElement>(null);
  const progress = useMemo(() => progressOf(table, rows), [table, rows]);
  const queue = useMemo(() => queueOf(rows, place.column), [rows, place.column]);
  const { question, failure, again } = useHandQuestion(table, place.column);
  const row = queue.find(({ attemptId }) => attemptId === place.attemptId);
  const target = row ? null : handPlace(table, rows, place);
  // What is shown now may leave out the answer that was at hand.
  useEffect(() => {
    if (target) onPlace(target);
  });
  if (progress.length === 0)
    return (
      <p className="border-t border-line px-6 py-12 text-center text-soft">
        Nothing to mark by hand now. Written answers, and those that are left to you, are marked here one
        after the other.
      </p>
    );
  return (
    <div
      ref={box}
      role="group"
      aria-label={`Marking question ${table.questions[place.column]?.number ?? ''} by hand`}
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey || event.target instanceof HTMLSelectElement)
          return;
        const by = { ArrowDown: 1, n: 1, ArrowUp: -1, b: -1 }[event.key];
        const next = by !== undefined && row ? queue[queue.indexOf(row) + by] : undefined;
        if (next) onPlace({ attemptId: next.attemptId, column: place.column });
        if (by !== undefined || (/^[1-9]$/.test(event.key) && onKey(event.key))) event.preventDefault();
      }}
    >
      <Head {...{ table, rows, progress, queue, place, onPlace }} />
      {row && <NextSaid rows={rows} row={row} column={place.column} />}
      {failure && <Failed className="mx-6 my-6" text={readingFailed(failure)} onAgain={again} />}
      {question && row ? (
        <WithFormulas formulas={question.formulas}>
          <Answer question={question} row={row} />
        </WithFormulas>
      ) : (
        !failure && <div className="h-48" aria-hidden />
      )}
      <List {...{ table, queue, place, onPlace }} />
      <p className="caption px-6 pt-3">
        {count(queue.length, 'answer')}. Give the points and press Enter to go on to the next one.
      </p>
    </div>
  );
}
