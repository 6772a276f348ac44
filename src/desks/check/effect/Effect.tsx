import { lazy, Suspense } from 'react';
import type { DraftChange } from '@/core/quiz/draftChanges';
import { asBegun, calledOf } from '@/core/quiz/numbers';
import type { Question } from '@/core/kinds';
import { undoStep } from '@/store/undo/undo';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { classWorker } from '@/workers/clients';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { changeWords, effectWords } from '@/ui/words/effectWords';
import { count } from '@/ui/words/figures';
import type { NamedChange, Pending } from '@/workers/classDesk';
import { AsideHead } from '../margin/AsideHead';

// A library of charts is not fetched before there is one to draw.
const Histogram = lazy(() => import('./Histogram').then((file) => ({ default: file.Histogram })));

/** Changes that are of no one question. */
const OF_ALL: Readonly<Partial<Record<DraftChange['kind'], string>>> = {
  order: 'The order of the questions',
  points: 'The points of a question',
  language: 'The language of the quiz',
  rules: 'The rules of the quiz',
  comparing: 'How typed answers are compared, by newer rules',
  texts: 'Texts of the quiz',
};

/** A change of the draft in a few words. */
function changeText({ kind, questionId }: DraftChange, questions: readonly Question[]): string {
  if (questionId === null) return OF_ALL[kind] ?? '';
  if (kind === 'removed') return 'A question is gone';
  return `${asBegun(calledOf(questions, questionId))} is ${kind === 'added' ? 'new' : 'changed'}`;
}

/** The other way to newer rules of comparing: the scores that they would change become the teacher's own. */
function KeepScores({ pending }: { readonly pending: Pending }) {
  const { quiz } = useQuiz();
  const keep = usePress(async () => {
    if (!pending.shown) return;
    const kept = await classWorker().keepScoresUnderNewerRules(quiz.id, pending.shown);
    if (!kept.ok) {
      notify('Something was changed just now, so nothing was kept: look at the effect again.');
      return;
    }
    notify('The scores stay as they are, as your own', {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, kept.step)),
    });
  });
  return (
    <button
      type="button"
      className="link-text min-h-[26px] cursor-pointer whitespace-nowrap"
      aria-disabled={keep.busy}
      onClick={keep.start}
    >
      Keep the scores
      {keep.error !== null && <span className="block text-error">{keep.error}</span>}
    </button>
  );
}

/** What waits, each with the press that drops it where it came from an answer of the class. */
function Gathered({ pending }: { readonly pending: Pending }) {
  const { quiz, questions } = useQuiz();
  const { keyed, changes } = pending;
  const byAnswers = new Set(keyed.map(({ questionId }) => questionId));
  const others = changes.filter(({ questionId }) => questionId === null || !byAnswers.has(questionId));
  const drop = (step: number) =>
    run(async () => {
      const undone = await undoStep(quiz.id, step);
      if (undone !== 'undone') notify('The key of this question was changed since: change it in Write');
    });
  return (
    <ol className="mt-2" aria-label="Not applied yet">
      {keyed.map(({ step, label }, at) => (
        <li key={step} className="flex items-baseline gap-3 border-b border-line py-1.5 text-[14px]">
          <span className="figures font-semibold">{at + 1}</span>
          <span className="min-w-0 flex-1 break-words">{label}</span>
          <button type="button" className="link-text min-h-[26px] cursor-pointer" onClick={() => drop(step)}>
            Discard<span className="sr-only">: {label}</span>
          </button>
        </li>
      ))}
      {others.map((change) => (
        <li
          key={`${change.kind} ${change.questionId}`}
          className="flex gap-3 border-b border-line py-1.5 text-[14px]"
        >
          <span className="min-w-0 flex-1">
            {changeText(
              change,
              questions.map(({ question }) => question),
            )}
          </span>
          {change.kind === 'comparing' ? (
            <KeepScores pending={pending} />
          ) : (
            <a className="link-text" href="#write">
              Write
            </a>
          )}
        </li>
      ))}
    </ol>
  );
}

/** Who goes from what to what. */
function Change({ change }: { readonly change: NamedChange }) {
  const { before, after, waiting, waited } = changeWords(change);
  return (
    <li className="border-b border-line py-1 text-[14px]">
      <span className="flex items-baseline gap-3">
        <span className="min-w-0 flex-1">
          <StudentName name={change.name} apart={change.apart} />
        </span>
        <span className="figures whitespace-nowrap">
          <span className="text-soft">{before}</span> <span aria-hidden>→</span>
          <span className="sr-only">becomes</span> <strong>{after}</strong>
        </span>
      </span>
      {(change.seen || waiting || waited) && (
        <span className="caption block text-right">
          {change.seen && 'has seen the old score'}
          {change.seen && (waiting || waited) && ', '}
          {waited && `nothing for ${waited} that waited`}
          {waited && waiting && ', '}
          {waiting && `${waiting} not marked yet`}
        </span>
      )}
    </li>
  );
}

interface Props {
  readonly pending: Pending;
  /** Whether only the rows that change are in the table. */
  readonly only: boolean;
  readonly onOnly: (only: boolean) => void;
  readonly onClose: () => void;
}

/** What applying the draft would do: what waits, who moves from what to what, and the scores of the class before and after. */
export function Effect({ pending, only, onOnly, onClose }: Props) {
  const { students, more, seen, overridesDiffer, histogram } = pending;
  return (
    <>
      <AsideHead title="If you apply this" onClose={onClose} />
      <Gathered pending={pending} />
      <h3 className="label-small mt-4">{effectWords(pending)}</h3>
      {students.length === 0 && (
        <p className="text-[14px]">Only texts or feedback change: nobody’s score does.</p>
      )}
      {students.length > 0 && (
        <>
          <ul aria-label="Whose score changes">
            {students.map((change) => (
              <Change key={change.studentId} change={change} />
            ))}
          </ul>
          {more > 0 && <p className="caption">and {more} more</p>}
          <p className="mt-2">
            <button
              type="button"
              className="link-text min-h-[26px] cursor-pointer text-[14px]"
              aria-pressed={only}
              onClick={() => onOnly(!only)}
            >
              {only
                ? 'Show all papers again'
                : `Show only the papers of ${count(students.length + more, 'student')}`}
            </button>
          </p>
        </>
      )}
      {seen > 0 && (
        <p className="mt-2 border-l-2 border-saffron pl-3 text-[14px]">
          {count(seen, 'student has', 'students have')} seen the old score.
        </p>
      )}
      {overridesDiffer > 0 && (
        <p className="mt-2 border-l-2 border-saffron pl-3 text-[14px]">
          {overridesDiffer} of your own scores {overridesDiffer === 1 ? 'differs' : 'differ'} from marking;
          yours stay.
        </p>
      )}
      {histogram && students.length > 0 && (
        <Suspense fallback={<div className="h-40" aria-hidden />}>
          <Histogram {...histogram} />
        </Suspense>
      )}
    </>
  );
}
