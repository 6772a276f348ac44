import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { compare, multiply, readPoints, type Fraction } from '@/core/figures/fraction';
import { rubricCredit, type Levels } from '@/core/kinds/handMarked';
import { now } from '@/device/clock';
import { undoStep } from '@/store/undo/undo';
import { removeOverride, setOverride } from '@/store/work/overrides';
import { CommentField } from '@/ui/teacher/CommentField';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { useNarrow } from '@/ui/widgets/layout/useNarrow';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { points, pointsWord, typedDecimal } from '@/ui/words/figures';
import type { CheckCell, CheckRow, CheckTable, HandQuestion } from '@/workers/classDesk';
import type { Place } from '../rows';
import { Rubric } from './Rubric';
import { GivenAnswer } from './GivenAnswer';
import { useHandQuestion } from './useHandQuestion';
import { markedBefore } from '../margin/markedBefore';

/** More than any question is worth. */
const MOST = 1000;

interface Props {
  readonly table: CheckTable;
  readonly row: CheckRow;
  readonly column: number;
  /** Goes to the next answer that waits, or to the one before or after. */
  readonly onNext: () => void;
  readonly onStep: (by: 1 | -1) => void;
}

interface SaveProps {
  readonly place: Place & { readonly questionId: string };
  readonly name: string;
  readonly possible: Fraction;
}

/** Saves points without keeping the teacher from the next answer; what fails is said, with the press that tries again. */
function useSave({ place, name, possible }: SaveProps) {
  const { quiz } = useQuiz();
  const { attemptId, questionId } = place;
  const tell = (text: string, step: number) =>
    notify(text, { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) });
  return {
    save: (own: Fraction, levels?: Levels) =>
      run(async () => {
        const step = await setOverride(
          {
            ...{ quizId: quiz.id, attemptId, questionId, points: own, reason: '', at: now(), gave: null },
            ...(levels ? { levels } : {}),
          },
          await markedBefore(quiz, attemptId),
        );
        tell(`${name}: ${points(own)} of ${points(possible)} saved`, step);
      }),
    remove: () =>
      run(async () => {
        const step = await removeOverride(
          { quizId: quiz.id, attemptId, questionId },
          await markedBefore(quiz, attemptId),
        );
        tell(`${name}: the points are removed; the answer is not marked yet`, step);
      }),
  };
}

interface FormProps {
  readonly at: string;
  readonly cell: CheckCell;
  readonly possible: Fraction;
  readonly onSave: (points: Fraction) => void;
  readonly onKey: (event: KeyboardEvent) => void;
}

/** The points of the answer at hand: the same field for all answers, so that nothing that is typed gets lost between two. */
function PointsForm({ at, cell, possible, onSave, onKey }: FormProps) {
  const stored = cell.override ? typedDecimal(cell.earned) : '';
  const [typed, setTyped] = useState({ at, text: stored });
  const field = useRef<HTMLInputElement>(null);
  const text = typed.at === at ? typed.text : stored;
  useEffect(() => {
    field.current?.focus({ preventScroll: true });
    field.current?.select();
  }, [at]);
  const read = readPoints(text, MOST);
  const isWrong = text.trim() !== '' && read === null;
  return (
    <form
      data-own-undo
      className="mt-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (read) onSave(read);
      }}
    >
      <p className="leading-loose">
        <input
          ref={field}
          className="sentence-part text-center font-title text-[22px] font-semibold"
          inputMode="decimal"
          aria-label="Points for this answer"
          aria-invalid={isWrong}
          size={Math.max(3, text.length)}
          value={text}
          onChange={(event) => setTyped({ at, text: event.target.value })}
          onKeyDown={(event) => {
            if (event.key.toLowerCase() === 'f') {
              event.preventDefault();
              onSave(possible);
            } else onKey(event);
          }}
        />{' '}
        of {pointsWord(possible)}
      </p>
      {isWrong && (
        <p role="alert" className="text-[13.5px] text-saffron-text">
          This is not a number from 0 to {MOST}.
        </p>
      )}
      {read && compare(read, possible) > 0 && (
        <p className="text-[13.5px] text-saffron-text">That is more than the question is worth.</p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="submit" className="btn btn-sm btn-primary" disabled={!read}>
          Save and next
        </button>
        <button type="button" className="btn btn-sm btn-outline" onClick={() => onSave(possible)}>
          Full points
        </button>
      </div>
    </form>
  );
}

const found = (question: HandQuestion, attemptId: string): ReadonlySet<number> =>
  new Set(question.answers.find((one) => one.attemptId === attemptId)?.ideas.map(({ idea }) => idea) ?? []);

/** The ideas that are looked for, and which of them the text has. */
function Ideas({ question, attemptId }: { readonly question: HandQuestion; readonly attemptId: string }) {
  const there = found(question, attemptId);
  return (
    <>
      <h3 className="mt-4 text-[14px]">Ideas to look for</h3>
      <ul className="mt-1 text-[14px]">
        {question.ideas.map((idea, at) => (
          <li key={at} className={there.has(at) ? 'font-semibold' : 'text-soft'}>
            {idea}
            <span className="font-normal">{there.has(at) ? ' · underlined' : ' · not found'}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Where an answer is marked by hand: by points or by a rubric, with a comment; Enter saves and goes on. */
export function HandMargin({ table, row, column, onNext, onStep }: Props) {
  const { question } = useHandQuestion(table, column);
  // The sheet covers what it is about.
  const narrow = useNarrow('tablet');
  const box = useRef<HTMLDivElement>(null);
  const [asked, cell] = [table.questions[column], row.cells[column]];
  const { attemptId, name } = row;
  const saving = useSave({
    place: { attemptId, column, questionId: asked?.id ?? '' },
    name,
    possible: asked?.points ?? { n: 0, d: 1 },
  });
  if (!asked || !cell) return null;
  const at = `${attemptId}:${column}`;
  const possible = asked.points;
  const answer = question?.answers.find((one) => one.attemptId === attemptId);
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, n: 1, ArrowUp: -1, b: -1 }[event.key] as 1 | -1 | undefined;
    if (event.ctrlKey || event.metaKey || event.altKey || (!step && event.key !== 'c')) return;
    event.preventDefault();
    if (step) onStep(step);
    else box.current?.querySelector<HTMLElement>('[data-comment] textarea')?.focus();
  };
  const save = (own: Fraction, levels?: Levels) => {
    saving.save(own, levels);
    onNext();
  };
  return (
    <div ref={box}>
      <p className="label-small">
        <StudentName name={name} apart={row.apart} />, question {cell.number}
      </p>
      {narrow && answer && question && <GivenAnswer question={question} answer={answer} />}
      {question?.rubric ? (
        <Rubric
          at={at}
          rubric={question.rubric}
          given={answer?.levels ?? {}}
          possible={possible}
          onKey={onKey}
          onSave={(levels) => {
            const credit = rubricCredit(question.rubric ?? [], levels);
            if (credit) save(multiply(credit, possible), levels);
          }}
        />
      ) : (
        <PointsForm {...{ at, cell, possible, onKey }} onSave={(own) => save(own)} />
      )}
      {cell.override && (
        <button
          type="button"
          className="link-text mt-2 min-h-[26px] cursor-pointer text-[14px]"
          onClick={saving.remove}
        >
          Remove my points
        </button>
      )}
      <div
        data-comment
        className="mt-3"
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          box.current?.querySelector<HTMLElement>('[data-marking], form input')?.focus();
        }}
      >
        <CommentField
          attemptId={attemptId}
          questionId={asked.id}
          label="Comment to the student on this answer"
        />
      </div>
      {question && question.ideas.length > 0 && <Ideas question={question} attemptId={attemptId} />}
      <dl className="caption mt-4 grid grid-cols-[auto_1fr] gap-x-3 max-sm:hidden">
        {question?.rubric ? (
          <>
            <dt>1 … 9</dt>
            <dd>the level of the criterion at hand</dd>
          </>
        ) : (
          <>
            <dt>F</dt>
            <dd>full points, and the next one</dd>
          </>
        )}
        <dt>Enter</dt>
        <dd>save, and the next one to mark</dd>
        <dt>N, B</dt>
        <dd>the next, the one before, without saving</dd>
        <dt>C, Esc</dt>
        <dd>to the comment, and back</dd>
      </dl>
    </div>
  );
}
