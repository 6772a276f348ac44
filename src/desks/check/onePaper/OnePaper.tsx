import { carriesPoints } from '@/core/quiz/placement';
import { asksFor } from '@/core/kinds/progress';
import { Suspense, useEffect, useRef } from 'react';
import type { CellAfter } from '@/core/checking/effectCells';
import { nearMissWords } from '@/core/marks/nearMissWords';
import { sitFace } from '@/kinds/sit';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Failed } from '@/ui/widgets/press/Failed';
import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { RichText } from '@/ui/widgets/paper/RichText';
import { ShownAnswer } from '@/ui/widgets/paper/ShownAnswer';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { points } from '@/ui/words/figures';
import { readingFailed } from '@/ui/words/failureWords';
import { classWorker } from '@/workers/clients';
import type { CheckCell, CheckRow, PaperQuestion } from '@/workers/classDesk';
import type { ViewProps } from '../viewProps';
import { BeforeAfter } from '../effect/BeforeAfter';
import { CellPies } from '../CellPies';
import { spokenCell } from '../cellWords';
import { totalColumn } from '../rows';
import { Steps } from '../Steps';
import { useTypedAnswer } from './useTypedAnswer';

function usePaperOf(row: CheckRow) {
  const { quiz } = useQuiz();
  const { value, failure, again } = useQuery(
    async () => ({ id: row.attemptId, found: await classWorker().openPaper(quiz.id, row.attemptId) }),
    [quiz.id, row.attemptId, row],
  );
  return { questions: value?.id === row.attemptId ? value.found : null, failure, again };
}

interface GivenProps {
  readonly question: PaperQuestion;
  readonly attemptId: string;
}

/** A question of a paper that the teacher types in: answered here with what the student would have had on screen. */
function TypedIn({ question, attemptId }: GivenProps) {
  const { quiz } = useQuiz();
  const { face, language, id } = question;
  const { answer, change } = useTypedAnswer({
    quizId: quiz.id,
    attemptId,
    questionId: id,
    stored: question.answer,
  });
  const Sit = sitFace(face.kind);
  return (
    <div className="sit-small mt-2" data-own-keys>
      <Suspense fallback={null}>
        <Sit
          face={face}
          answer={answer}
          labelledBy={`text-${id}`}
          language={language}
          marked={false}
          onAnswer={change}
        />
      </Suspense>
    </div>
  );
}

/** What the student answered, on the page that it was answered on. */
function Handed({ question }: Pick<GivenProps, 'question'>) {
  const { face, answer, shown, language, id } = question;
  const Sit = sitFace(face.kind);
  return (
    <>
      {/* To look at: what was given is said in words for those who hear it. */}
      <div className="sit-small sit-handed mt-2" inert aria-hidden>
        <Suspense fallback={null}>
          <Sit
            face={face}
            answer={answer}
            labelledBy={`text-${id}`}
            language={language}
            marked={false}
            onAnswer={() => {}}
          />
        </Suspense>
      </div>
      <p className="sr-only">
        {shown ? (
          <>
            Answered: <ShownAnswer answer={shown} />
          </>
        ) : (
          'No answer'
        )}
      </p>
    </>
  );
}

function Given({ question, row }: { readonly question: PaperQuestion; readonly row: CheckRow }) {
  if (!asksFor(question.face)) return null;
  return row.source === 'typed' ? (
    <TypedIn question={question} attemptId={row.attemptId} />
  ) : (
    <Handed question={question} />
  );
}

interface QuestionProps {
  readonly question: PaperQuestion;
  readonly row: CheckRow;
  /** null for a note, which is not marked. */
  readonly cell: CheckCell | null;
  readonly after: CellAfter | null;
  readonly here: boolean;
  readonly at: string;
  readonly onPress: () => void;
}

/** A question of the paper with what was given; its mark hangs in the left edge, and a press opens it in the margin. */
function Question({ question, row, cell, after, here, at, onPress }: QuestionProps) {
  return (
    <WithFormulas formulas={question.formulas}>
      <li className={`flex gap-4 border-b border-hair px-6 py-4 max-sm:px-3 ${here ? 'bg-wash' : ''}`}>
        <div className="w-16 flex-none max-sm:w-12">
          {cell ? (
            <button
              type="button"
              data-cell={at}
              tabIndex={here ? 0 : -1}
              aria-pressed={here}
              className={`figures flex min-h-11 w-full cursor-pointer flex-col items-center gap-1 rounded py-1 ${here ? 'outline-2 outline-saffron' : 'hover:bg-hair'}`}
              onClick={onPress}
            >
              <span className="sr-only">{spokenCell(cell, after)}</span>
              <span aria-hidden className="flex items-center gap-1.5 font-title text-[15px] font-semibold">
                {question.number}
                <CellPies cell={cell} after={after} possible={question.points} />
              </span>
              <span aria-hidden className="text-[12.5px] text-soft">
                {!carriesPoints(cell) ? (
                  'no points'
                ) : (
                  <>
                    {cell.verdict === 'waits' ? (
                      'waits'
                    ) : (
                      <BeforeAfter now={cell.earned} after={after?.earned ?? null} />
                    )}{' '}
                    of {points(question.points)}
                  </>
                )}
              </span>
            </button>
          ) : (
            <span className="block text-center font-title text-[15px] font-semibold">{question.number}</span>
          )}
        </div>
        <div className="min-w-0 flex-1">
          <div id={`text-${question.id}`}>
            <RichText text={question.text} className="leading-snug" />
          </div>
          <Given question={question} row={row} />
          {cell?.nearMiss && !cell.override && (
            <p className="mt-2 text-[13.5px] text-saffron-text">Near miss: {nearMissWords(cell.nearMiss)}.</p>
          )}
        </div>
      </li>
    </WithFormulas>
  );
}

/** What one student handed in, question below question, as it was met; the margin says how each came to its mark. */
export function OnePaper({ rows, place, went, after, onPlace, onKey }: ViewProps) {
  const box = useRef<HTMLDivElement>(null);
  const at = rows.findIndex(({ attemptId }) => attemptId === place.attemptId);
  const row = rows[Math.max(0, at)] as CheckRow;
  const { questions, failure, again } = usePaperOf(row);
  const here = `${row.attemptId}:${place.column}`;
  const isThere = questions !== null;
  useEffect(() => {
    if (went === 0) return;
    const cell = box.current?.querySelector<HTMLElement>(`[data-cell="${here}"]`);
    // Until the paper is there the keys are heard all the same.
    (cell ?? box.current)?.focus({ preventScroll: true });
    cell?.scrollIntoView({ block: 'nearest' });
    // With moves, and once the paper that was moved to is there.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [went, isThere]);
  const stepTo = (to: CheckRow | undefined) =>
    to && { name: to.name, go: () => onPlace({ attemptId: to.attemptId, column: place.column }) };
  const total = totalColumn(row);
  const next = after.total(row.attemptId);
  const cells = new Map(row.cells.map((cell, column) => [cell.number, { cell, column }] as const));
  return (
    <div
      ref={box}
      tabIndex={-1}
      className="outline-none"
      role="group"
      aria-label={`The paper of ${row.name}`}
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey) return;
        // What is typed into an answer is no key of the desk.
        if (event.target instanceof Element && event.target.closest('[data-own-keys]')) return;
        if (onKey(event.key)) event.preventDefault();
      }}
    >
      <div className="flex items-center gap-3 border-y border-line px-6 py-2.5 max-sm:px-3">
        <h2 className="min-w-0 flex-1 text-[17px]">
          <StudentName name={row.name} apart={row.apart} />
          {row.of > 1 && <span className="font-normal text-soft">, attempt {row.number}</span>}
          <span className="caption figures block font-normal">
            {at + 1} of {rows.length} papers shown{row.source === 'typed' && ' · on paper, typed in by you'}
          </span>
        </h2>
        <button
          type="button"
          data-cell={`${row.attemptId}:${total}`}
          tabIndex={place.column === total ? 0 : -1}
          aria-pressed={place.column === total}
          className={`figures cursor-pointer rounded px-2 py-1 text-right ${place.column === total ? 'bg-wash outline-2 outline-saffron' : 'hover:bg-hair'}`}
          onClick={() => onPlace({ attemptId: row.attemptId, column: total })}
        >
          <strong className="font-title text-[19px]">
            <BeforeAfter now={row.total.score} after={next?.score ?? null} />
          </strong>{' '}
          of <BeforeAfter now={row.total.outOf} after={next?.outOf ?? null} />
          {row.total.waiting.n > 0 && (
            <span className="block text-[12.5px] text-saffron-text">
              +{points(row.total.waiting)} not marked yet
            </span>
          )}
        </button>
        <Steps what="paper" before={stepTo(rows[at - 1])} after={stepTo(rows[at + 1])} />
      </div>
      {failure && <Failed className="mx-6 my-6" text={readingFailed(failure)} onAgain={again} />}
      {questions ? (
        <ol aria-label="Questions">
          {questions.map((question) => {
            const own = question.number === null ? undefined : cells.get(question.number);
            const column = own?.column ?? -1;
            return (
              <Question
                key={`${row.attemptId}:${question.id}`}
                question={question}
                row={row}
                cell={own?.cell ?? null}
                after={own ? after.cell(row.attemptId, column) : null}
                here={place.column === column}
                at={`${row.attemptId}:${column}`}
                onPress={() => onPlace({ attemptId: row.attemptId, column })}
              />
            );
          })}
        </ol>
      ) : (
        !failure && <p className="px-6 py-16 text-center text-soft">Reading the paper…</p>
      )}
      <p className="caption px-6 pt-3">
        Questions in your order, options in the student’s. ↑ and ↓ go from question to question, ← and → from
        paper to paper.
      </p>
    </div>
  );
}
