import { earnedWords } from '../cellWords';
import { carriesPoints } from '@/core/quiz/placement';
import { isSilent } from '@/core/content/silence';
import { nearMissWords } from '@/core/marks/nearMissWords';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { FeedbackView } from '@/ui/widgets/paper/FeedbackView';
import { undoStep } from '@/store/undo/undo';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { ProseView } from '@/ui/widgets/paper/ProseView';
import { count, points } from '@/ui/words/figures';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { useQuiz } from '@/ui/teacher/quizContext';
import { ShownAnswer } from '@/ui/widgets/paper/ShownAnswer';
import { Trace } from '@/ui/widgets/paper/Trace';
import { classWorker } from '@/workers/clients';
import type { CheckRow, CheckTable, OpenedAnswer } from '@/workers/classDesk';
import { Actions, type Action } from './Actions';
import { Attempt } from './Attempt';
import type { Judged } from '../judged';
import { COMING, type TypedAhead } from '../typedAhead';
import { CommentField } from '@/ui/teacher/CommentField';

interface Props {
  readonly row: CheckRow;
  readonly table: CheckTable;
  readonly column: number;
  readonly action: Action | null;
  readonly onAction: (action: Action | null) => void;
  readonly onNext: () => void;
  /** What was typed for the answer before it was there. */
  readonly ahead: TypedAhead;
  /** What is keyed with the answer at hand, or of it. */
  readonly judged: Judged;
  /** Goes to the next or previous answer that is wrong or not marked yet; null where keys do that. */
  readonly onLook: ((by: 1 | -1) => void) | null;
}

function useOpened({ row, table, column }: Props) {
  const { quiz } = useQuiz();
  const questionId = table.questions[column]?.id;
  const at = `${row.attemptId}:${questionId}`;
  const { value, failure, again } = useQuery(
    async () => ({
      at,
      found: questionId ? await classWorker().openAnswer(quiz.id, row.attemptId, questionId) : null,
    }),
    [quiz.id, quiz.changeSeq, row, questionId, at],
  );
  return { opened: value?.at === at ? value.found : null, failure, again };
}

/** An answer that the draft would score in another way, and the press that drops that. */
function InDraft({ draft }: { readonly draft: NonNullable<OpenedAnswer['draft']> }) {
  const { quiz } = useQuiz();
  const { earned, possible, waits, step } = draft;
  const drop = async () => {
    if (step === null) return;
    const undone = await undoStep(quiz.id, step);
    notify(
      undone === 'undone'
        ? 'Discarded: removed from the draft'
        : 'The key of this question was changed since: change it in Write',
    );
  };
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-x-3 border-l-2 border-petrol pl-3 text-[14px]">
      <span>
        <strong>In the draft:</strong>{' '}
        {waits
          ? 'would be for you to mark'
          : possible.n === 0
            ? 'would earn no points'
            : `would earn ${points(earned)} of ${points(possible)}`}
        , once applied.
      </span>
      {step !== null && (
        <button type="button" className="link-text cursor-pointer" onClick={() => run(drop)}>
          Discard
        </button>
      )}
    </p>
  );
}

const Why = ({ opened, folded }: { readonly opened: OpenedAnswer; readonly folded?: true }) => (
  <>
    <h3 className="mt-4 text-[14px]">How it was marked</h3>
    <div className="mt-1">
      <Trace lines={opened.trial.trace} folded={folded} />
    </div>
  </>
);

/** The ways to other answers where there are no keys. */
const Look = ({ onLook }: { readonly onLook: NonNullable<Props['onLook']> }) => (
  <p className="mt-4 flex justify-between gap-4">
    <button type="button" className="link-text min-h-9" onClick={() => onLook(-1)}>
      Previous to look at
    </button>
    <button type="button" className="link-text min-h-9" onClick={() => onLook(1)}>
      Next to look at
    </button>
  </p>
);

function OneAnswer(props: Props) {
  const { row, table, column, judged, action, onAction, onNext, ahead, onLook } = props;
  const { opened, failure, again } = useOpened(props);
  const { questions } = useQuiz();
  const cell = row.cells[column];
  const question = table.questions[column];
  if (!cell || !question) return null;
  const waits = cell.verdict === 'waits';
  return (
    <WithFormulas formulas={questions.find(({ id }) => id === question.id)?.question.formulas}>
      <p className="label-small max-lg:sr-only">
        <StudentName name={row.name} apart={row.apart} />, {row.of > 1 && `attempt ${row.number}, `}question{' '}
        {cell.number}
      </p>
      <h2 className="mt-0.5 text-[16px] leading-snug">{question.title}</h2>
      <div className="mt-3 flex items-baseline gap-2.5 border-y border-line py-2.5">
        <CreditPie credit={cell.credit} verdict={cell.verdict} overridden={cell.override !== null} />
        <div className="min-w-0 flex-1 font-semibold break-words">
          {opened?.shown ? (
            <ShownAnswer answer={opened.shown} />
          ) : (
            cell.answer || <span className="font-normal text-soft">no answer</span>
          )}
        </div>
        <span className="figures font-semibold whitespace-nowrap">
          {waits ? `${points(cell.waiting)} not marked yet` : earnedWords(cell, question.points)}
        </span>
      </div>
      {cell.nearMiss && !cell.override && (
        <p className="mt-2 border-l-2 border-saffron pl-3 text-[14px]">
          <strong>Near miss:</strong> {nearMissWords(cell.nearMiss)}.
        </p>
      )}
      {opened?.isByEarlierRules && (
        <p className="mt-2 border-l-2 border-saffron pl-3 text-[14px]">
          Compared by earlier rules, until you apply the newer ones. The steps below are by these.
        </p>
      )}
      {opened && <HintsTaken hints={opened.hints} />}
      {failure && <Failed className="mt-2" text={readingFailed(failure)} onAgain={again} />}
      {opened?.draft && <InDraft draft={opened.draft} />}
      {opened && onLook && <Why opened={opened} folded />}
      {!carriesPoints(cell) ? null : opened ? (
        <Actions
          key={`${row.attemptId}:${question.id}:${judged.what === 'part' ? judged.words : ''}`}
          opened={opened}
          attemptId={row.attemptId}
          questionId={question.id}
          possible={question.points}
          judged={judged}
          action={action}
          onAction={onAction}
          onNext={onNext}
          ahead={ahead}
        />
      ) : (
        // About as high as what comes, so that the field below it stays where it is.
        <div className="h-45" aria-hidden {...(failure ? {} : COMING)} />
      )}
      <div data-comment>
        <CommentField
          attemptId={row.attemptId}
          questionId={question.id}
          label="Comment to the student on this answer"
        />
      </div>
      {opened && (
        <>
          {!onLook && <Why opened={opened} />}
          <h3 className="mt-4 text-[14px]">The student reads</h3>
          <div className="mt-1 text-[14px]">
            {isSilent(opened.trial.feedback) ? (
              <span className="text-soft">nothing</span>
            ) : (
              <FeedbackView feedback={opened.trial.feedback} />
            )}
          </div>
        </>
      )}
    </WithFormulas>
  );
}

/** The hints that the student asked for, as they were read. */
const HintsTaken = ({ hints }: { readonly hints: OpenedAnswer['hints'] }) =>
  hints.length > 0 && (
    <div className="mt-2 border-l-2 border-petrol pl-3 text-[14px]">
      <span className="label-small">After {count(hints.length, 'hint')} </span>
      {hints.map((text, at) => (
        <ProseView key={at} text={text} />
      ))}
    </div>
  );

/** Why the cell at hand holds what it holds. */
export function CheckMargin(props: Props) {
  return (
    <>
      {props.column >= props.table.questions.length ? <Attempt row={props.row} /> : <OneAnswer {...props} />}
      {props.onLook && <Look onLook={props.onLook} />}
    </>
  );
}
