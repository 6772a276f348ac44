import { useEffect, useRef, useState } from 'react';
import { histogram } from '@/core/checking/histogram';
import { LEAST_PAPERS } from '@/core/statistics/questions';
import { useQuiz } from '@/ui/teacher/quizContext';
import { PickLine } from '@/ui/widgets/fields/Find';
import { Failed } from '@/ui/widgets/press/Failed';
import { run } from '@/ui/widgets/press/press';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { saveFigures } from '@/ui/teacher/saveAnswers';
import { readingFailed } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { coefficient, pointsFigure } from '@/ui/words/statistics';
import type { FiguresOf } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';
import type { ViewProps } from '../viewProps';
import { Change } from './Change';
import { Definition, Definitions, Term } from './Defined';
import { Questions } from './Questions';
import { Scores } from './Scores';

function useFigures({ table }: Pick<ViewProps, 'table'>, whose: string, beside: string | null) {
  const { quiz } = useQuiz();
  return useQuery(
    async () => ({
      mine: await classWorker().figures(quiz.id, whose),
      other: beside === null ? null : await classWorker().figures(quiz.id, beside),
    }),
    // A change of the draft has a figure after it.
    [quiz.id, quiz.changeSeq, table, whose, beside],
  );
}

/** Of whom the figures are, and what is in none of them. */
function headline({ now: { scores, whole }, missing }: FiguresOf): string {
  return [
    count(scores.scores, 'score'),
    scores.notFinal > 0 ? `${scores.notFinal} not final yet` : '',
    missing > 0 ? `${missing} without a score` : '',
    `${count(whole.papers, 'complete paper')}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** How well the questions hang together, in a sentence. */
function Whole({ figures: { now, after } }: { readonly figures: FiguresOf }) {
  const { whole } = now;
  if (whole.papers < LEAST_PAPERS)
    return (
      <p className="caption px-6 pt-4 max-sm:px-4">
        Too few papers: discrimination, item-rest correlation and coefficient alpha need {LEAST_PAPERS}{' '}
        complete ones.
      </p>
    );
  if (whole.alpha === null) return null;
  return (
    <div className="px-6 pt-4 max-sm:px-4">
      <p>
        The whole:{' '}
        <Term what="alpha" place="whole">
          coefficient alpha
        </Term>{' '}
        <strong className="figures">
          <Change now={coefficient(whole.alpha)} after={after && coefficient(after.whole.alpha)} />
        </strong>
        {whole.interval && (
          <span className="figures text-soft">
            {' '}
            (95%: {coefficient(whole.interval[0])} to {coefficient(whole.interval[1])})
          </span>
        )}
        {whole.standardError !== null && (
          <>
            {', '}
            <Term what="standardError" place="whole">
              standard error
            </Term>{' '}
            <strong className="figures">
              <Change
                now={pointsFigure(whole.standardError)}
                after={after && pointsFigure(after.whole.standardError)}
              />
            </strong>{' '}
            points
          </>
        )}
        {whole.alpha < 0 && '. Below 0: some questions work against the others.'}
      </p>
      <Definition place="whole" />
    </div>
  );
}

/** How each topic came out. */
const Topics = ({ figures, beside }: { readonly figures: FiguresOf; readonly beside: FiguresOf | null }) =>
  figures.now.topics.length > 0 && (
    <section aria-labelledby="figures-topics" className="mt-6 px-6 max-sm:px-4">
      <h2 id="figures-topics" className="text-[15px]">
        Topics
      </h2>
      <ul className="mt-1 columns-2 gap-x-10 max-sm:columns-1">
        {figures.now.topics.map(({ topic, facility, questionIds }) => {
          const other = beside?.now.topics.find((one) => one.topic === topic);
          const then = figures.after?.topics.find((one) => one.topic === topic);
          return (
            <li key={topic} className="flex items-baseline justify-between gap-4 border-b border-hair py-1.5">
              <span className="min-w-0 break-words">
                {topic} <span className="caption">{count(questionIds.length, 'question')}</span>
              </span>
              <span className="figures whitespace-nowrap">
                <Change now={coefficient(facility)} after={then ? coefficient(then.facility) : null} />
                {other && <span className="ml-3 text-soft">{coefficient(other.facility)}</span>}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );

/** How the class did, and how each question did: figures with their definitions, of everybody, a class or a group. */
export function Figures(props: ViewProps) {
  const { table, rows, place, went, onKey, whose } = props;
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (went > 0) box.current?.focus({ preventScroll: true });
  }, [went]);
  const { quiz } = useQuiz();
  const [besides, setBesides] = useState<string | null>(null);
  const [topic, setTopic] = useState('');
  // Nobody is held against themselves.
  const beside = besides === whose ? null : besides;
  const { value, failure, again } = useFigures(props, whose, beside);
  const row = rows.find(({ attemptId }) => attemptId === place.attemptId);
  const band = row?.recorded && !row.recorded.provisional ? histogram([row.recorded]).indexOf(1) : -1;
  const others = [['', 'everybody'] as const, ...table.circles.map(({ name }) => [name, name] as const)];
  const topics = value?.mine.now.topics ?? [];
  return (
    <div
      ref={box}
      tabIndex={-1}
      role="group"
      aria-label="Figures"
      className="pb-4 outline-none"
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey || event.target instanceof HTMLSelectElement)
          return;
        if (/^[1-9e]$/.test(event.key) && onKey(event.key)) event.preventDefault();
      }}
    >
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-6 pb-4 text-[14px] max-sm:px-4">
        {value && <span className="figures text-soft">{headline(value.mine)}</span>}
        {table.circles.length > 0 && (
          <PickLine
            label="Beside"
            value={beside ?? 'none'}
            options={[
              ['none', 'nothing'] as const,
              ...others.filter(([name]) => name !== whose).map(([name, words]) => [name, words] as const),
            ]}
            onChange={(name) => setBesides(name === 'none' ? null : name)}
          />
        )}
        {topics.length > 0 && (
          <PickLine
            label="Topic"
            value={topics.some((one) => one.topic === topic) ? topic : ''}
            options={[['', 'all'] as const, ...topics.map((one) => [one.topic, one.topic] as const)]}
            onChange={setTopic}
          />
        )}
        <span className="print:hidden">
          <button type="button" className="link-text cursor-pointer" onClick={() => print()}>
            Print
          </button>
        </span>
        <button
          type="button"
          className="link-text cursor-pointer print:hidden"
          onClick={() => run(() => saveFigures(quiz.id, quiz.content.title, 'xlsx', whose))}
        >
          Save as XLSX
        </button>
        <button
          type="button"
          className="link-text cursor-pointer print:hidden"
          onClick={() => run(() => saveFigures(quiz.id, quiz.content.title, 'csv', whose))}
        >
          as CSV
        </button>
      </div>
      {failure && <Failed className="mx-6 my-6" text={readingFailed(failure)} onAgain={again} />}
      {!value && !failure && <p className="px-6 py-16 text-center text-soft">Working out the figures…</p>}
      {value && (
        <Definitions>
          <Scores figures={value.mine} atHand={row && band >= 0 ? { name: row.name, band } : null} />
          {value.other && <BesideScores mine={value.mine} other={value.other} />}
          <Questions figures={value.mine} beside={value.other} table={table} topic={topic} />
          <Whole figures={value.mine} />
          {topic === '' && <Topics figures={value.mine} beside={value.other} />}
        </Definitions>
      )}
    </div>
  );
}

/** The scores of those beside, in a line. */
function BesideScores({ mine, other }: { readonly mine: FiguresOf; readonly other: FiguresOf }) {
  const { scores } = other.now;
  return (
    <p className="px-6 pt-3 text-soft max-sm:px-4">
      Beside {mine.whose || 'everybody'}: <strong>{other.whose || 'everybody'}</strong>,{' '}
      <span className="figures">
        mean {pointsFigure(scores.mean)}, median {pointsFigure(scores.median)}, standard deviation{' '}
        {pointsFigure(scores.deviation)}, {count(scores.scores, 'score')}
      </span>
      . Below, their figures stand in grey.
    </p>
  );
}
