import { useEffect, useState } from 'react';
import { isSilent } from '@/core/quiz/silence';
import { nearMissWords } from '@/core/marking/words';
import { CreditPie } from '@/ui/CreditPie';
import { FeedbackView } from '@/ui/FeedbackView';
import { points } from '@/ui/figures';
import { useQuiz } from '@/ui/quizContext';
import { Trace } from '@/ui/Trace';
import { classWorker } from '@/workers/clients';
import type { CheckRow, CheckTable, OpenedAnswer } from '@/workers/classDesk';
import { Actions, type Action } from './Actions';
import { Attempt } from './Attempt';
import { CommentField } from '@/ui/CommentField';

interface Props {
  readonly row: CheckRow;
  readonly table: CheckTable;
  readonly column: number;
  readonly action: Action | null;
  readonly onAction: (action: Action | null) => void;
  readonly onNext: () => void;
}

function useOpened({ row, table, column }: Props): OpenedAnswer | null {
  const { quiz } = useQuiz();
  const [opened, setOpened] = useState<{ at: string; found: OpenedAnswer | null } | null>(null);
  const questionId = table.questions[column]?.id;
  const at = `${row.attemptId}:${questionId}`;
  useEffect(() => {
    if (!questionId) return;
    let current = true;
    void classWorker()
      .openAnswer(quiz.id, row.attemptId, questionId)
      .then((found) => current && setOpened({ at, found }));
    return () => {
      current = false;
    };
  }, [quiz.id, row, questionId, at]);
  return opened?.at === at ? opened.found : null;
}

function OneAnswer(props: Props) {
  const { row, table, column, action, onAction, onNext } = props;
  const opened = useOpened(props);
  const cell = row.cells[column];
  const question = table.questions[column];
  if (!cell || !question) return null;
  const waits = cell.verdict === 'waits';
  return (
    <>
      <p className="label-small">
        {row.name}, {row.of > 1 && `attempt ${row.number}, `}question {column + 1}
      </p>
      <h2 className="mt-0.5 text-[16px] leading-snug">{question.title}</h2>
      <div className="mt-3 flex items-baseline gap-2.5 border-y border-line py-2.5">
        <CreditPie credit={cell.credit} verdict={cell.verdict} overridden={cell.override !== null} />
        <span className="min-w-0 flex-1 font-semibold break-words">
          {cell.answer || <span className="font-normal text-soft">nothing given</span>}
        </span>
        <span className="figures font-semibold whitespace-nowrap">
          {waits ? `${points(cell.waiting)} to come` : `${points(cell.earned)} of ${points(question.points)}`}
        </span>
      </div>
      {cell.nearMiss && !cell.override && (
        <p className="mt-2 border-l-2 border-saffron pl-3 text-[14px]">
          <strong>Near miss:</strong> {nearMissWords(cell.nearMiss)}.
        </p>
      )}
      {opened && (
        <>
          <Actions
            key={`${row.attemptId}:${question.id}`}
            opened={opened}
            attemptId={row.attemptId}
            questionId={question.id}
            possible={question.points}
            action={action}
            onAction={onAction}
            onNext={onNext}
          />
          <CommentField
            attemptId={row.attemptId}
            questionId={question.id}
            label="Comment to the student on this answer"
          />
          <h3 className="mt-4 text-[14px]">How this came about</h3>
          <div className="mt-1">
            <Trace lines={opened.trial.trace} />
          </div>
          <h3 className="mt-4 text-[14px]">The student reads</h3>
          <p className="mt-1 text-[14px]">
            {isSilent(opened.trial.feedback) ? (
              <span className="text-soft">nothing</span>
            ) : (
              <FeedbackView feedback={opened.trial.feedback} />
            )}
          </p>
        </>
      )}
    </>
  );
}

/** Why the cell at hand holds what it holds. */
export function CheckMargin(props: Props) {
  return props.column >= props.table.questions.length ? (
    <Attempt row={props.row} />
  ) : (
    <OneAnswer {...props} />
  );
}
