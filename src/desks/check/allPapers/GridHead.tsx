import { carriesPoints } from '@/core/quiz/placement';
import { memo } from 'react';
import { percent, points, pointWord } from '@/ui/words/figures';
import { BeforeAfter } from '../effect/BeforeAfter';
import type { SortBy } from '../rows';
import type { ViewProps } from '../viewProps';
import { Beside, questionId, TOTAL_ID, type Drawn } from './columns';

interface HeadProps extends Pick<ViewProps, 'table' | 'columns' | 'sort' | 'onSort' | 'after'>, Drawn {
  /** What the draft would make of the mean shares, by column; of those that change alone. */
  readonly shares: ReadonlyMap<number, number | null>;
}

const inPercent = (share: number): string => percent({ n: Math.round(share * 100), d: 100 });

/** The mean share of a question, and what the draft would make of it; while there is none, why. */
function Share({
  share,
  next,
  waits,
}: {
  readonly share: number | null;
  readonly next: number | null;
  readonly waits: boolean;
}) {
  if (share === null && next === null) return waits ? 'not yet' : '–';
  const now = share === null ? '–' : inPercent(share);
  if (next === null || (share !== null && inPercent(next) === now)) return now;
  return (
    <span className="whitespace-nowrap">
      {now.replace('%', '')}{' '}
      <span aria-hidden className="text-saffron-text">
        →
      </span>
      <span className="sr-only">would be</span> {inPercent(next)}
    </span>
  );
}

/** The head of a question's column: a press sorts by what was earned in it, another one by name again. */
interface QuestionProps extends Pick<HeadProps, 'table' | 'sort' | 'onSort' | 'shares'> {
  readonly column: number;
  /** Its place among the columns that are shown, the first being 0. */
  readonly place: number;
}

function QuestionHead({ table, column, place, sort, onSort, shares }: QuestionProps) {
  const question = table.questions[column];
  if (!question) return null;
  const own: SortBy = `question ${column}`;
  const next = shares.get(column) ?? null;
  const isOwn = sort === own;
  return (
    <th
      className="head-cell px-0 pb-2 font-normal"
      title={question.title}
      scope="col"
      aria-colindex={place + 2}
      aria-sort={isOwn ? 'ascending' : undefined}
    >
      <button
        type="button"
        className="w-full cursor-pointer px-1 hover:bg-hair"
        onClick={() => onSort(isOwn ? 'name' : own)}
      >
        {question.name && (
          <span className="caption mx-auto block max-w-20 truncate leading-tight">{question.name}</span>
        )}
        <span
          className={`block font-title text-[15px] font-semibold ${isOwn ? 'underline decoration-2 underline-offset-4' : ''}`}
        >
          {question.number}
        </span>
        <span id={questionId(column)} className="caption figures block leading-tight">
          <span className="sr-only">of </span>
          {carriesPoints(question)
            ? `${points(question.points)} ${pointWord(question.points, 'pt')}`
            : 'no pts'}
        </span>
        <span className="figures block text-[12px] text-soft">
          <Share share={question.share} next={next} waits={question.waiting > 0} />
        </span>
        <span className="sr-only">{isOwn ? ', sorted by it' : ', sort by it'}</span>
      </button>
    </th>
  );
}

/** The questions with their points and shares, the total, and what is recorded. */
export const GridHead = memo(function GridHead(props: HeadProps) {
  const { table, columns, sort, onSort, after, shares, from, to } = props;
  const { outOf, several } = table;
  return (
    <thead className="sticky top-0 z-[2] bg-paper">
      <tr className="align-bottom" aria-rowindex={1}>
        <th
          scope="col"
          aria-colindex={1}
          className="head-cell sticky left-0 z-[1] bg-paper pb-2 pl-6 text-left"
        >
          <span className="label-small">Student</span>
        </th>
        <Beside columns={from} />
        {columns.slice(from, to).map((column, drawn) => (
          <QuestionHead key={column} place={from + drawn} {...{ table, sort, onSort, column, shares }} />
        ))}
        <Beside columns={columns.length - to} />
        <th
          className={`head-cell ${several ? '' : 'sticky right-0'} z-[1] bg-paper pr-6 pb-2 pl-3 text-right`}
        >
          <span className="block font-title text-[15px] font-semibold">Total</span>
          <span id={TOTAL_ID} className="caption figures block font-normal">
            of <BeforeAfter now={outOf} after={after.outOf} />
          </span>
        </th>
        {several && (
          <th className="head-cell sticky right-0 z-[1] bg-paper pr-6 pb-2 text-right">
            <span className="block font-title text-[15px] font-semibold">Recorded</span>
            <span className="caption figures block font-normal">of {points(outOf)}</span>
          </th>
        )}
      </tr>
    </thead>
  );
});
