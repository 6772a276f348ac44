import { shownAnswer, type Answer, type Question } from '@/core/kinds';
import { useState } from 'react';
import type { Placed } from '@/core/quiz/placement';
import { paperAround, readingOf } from '@/core/scoring/markAttempt';
import { nearMissWords } from '@/core/marks/nearMissWords';
import { isSilent } from '@/core/content/silence';
import { useFaces } from '@/kinds/write';
import { CreditPie } from '@/ui/widgets/CreditPie';
import { Failed } from '@/ui/widgets/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { FeedbackView } from '@/ui/widgets/FeedbackView';
import { points } from '@/ui/words/figures';
import { usePaper, useQuiz } from '@/ui/teacher/quizContext';
import { ShownAnswer } from '@/ui/widgets/ShownAnswer';
import { Trace } from '@/ui/widgets/Trace';
import { useQuery, type Query } from '@/ui/widgets/useQuery';
import { verdictWords } from '@/ui/words/verdictWords';
import { quickWorker } from '@/workers/clients';
import type { Trial } from '@/workers/quickDesk';

interface TrialProps {
  readonly question: Question;
  readonly answer: Answer;
  readonly trial: Trial;
  readonly open: boolean;
}

function TrialRow({ question, answer, trial, open }: TrialProps) {
  const waits = trial.verdict === 'waits';
  return (
    <li className="border-b border-line py-2.5">
      <div className="flex items-baseline gap-2.5">
        <CreditPie
          credit={trial.credit}
          verdict={trial.verdict}
          label={verdictWords(trial.verdict, trial.credit)}
        />
        <div className="min-w-0 flex-1 break-words">
          <ShownAnswer answer={shownAnswer(question, answer)} />
        </div>
        <span className="figures font-semibold whitespace-nowrap">
          {waits
            ? `${points(trial.waiting)} to come`
            : `${points(trial.earned)} of ${points(trial.possible)}`}
        </span>
      </div>
      <div className="pl-[27px]">
        {trial.nearMiss && (
          <p className="mt-1 text-[13.5px] font-semibold text-saffron-text">
            Near miss: {nearMissWords(trial.nearMiss)}
          </p>
        )}
        <p className="mt-1 text-[14px]">
          <span className="label-small">The student reads </span>
          {isSilent(trial.feedback) ? (
            <span className="text-soft">nothing</span>
          ) : (
            <FeedbackView feedback={trial.feedback} />
          )}
        </p>
        <details className="mt-1" open={open}>
          <summary className="label-small cursor-pointer">How this came about</summary>
          <div className="mt-1">
            <Trace lines={trial.trace} />
          </div>
        </details>
      </div>
    </li>
  );
}

/** Answers tried on the question in hand, marked by the worker whenever they or the key change. */
export function useTrials(placed: Placed, answers: readonly Answer[]): Query<readonly Trial[]> {
  const paper = usePaper();
  const { question, placement } = placed;
  const key = JSON.stringify(answers);
  return useQuery<readonly Trial[]>(
    () =>
      quickWorker().tryAnswers(
        question,
        JSON.parse(key) as Answer[],
        paperAround(paper, { question, placement }),
      ),
    [question, placement, key, paper],
  );
}

interface TryProps {
  /** The question as it is written now, which may not be stored yet. */
  readonly placed: Placed;
  readonly number: number;
  /** Answers that were tried and kept, the last one first. */
  readonly kept: readonly Answer[];
  readonly onKept: (kept: readonly Answer[]) => void;
}

/** Answers are tried on the question in hand: what comes back, and why, as they are typed. */
export function TryAnswer({ placed, number, kept, onKept }: TryProps) {
  const { question } = placed;
  const { quiz } = useQuiz();
  const [answer, setAnswer] = useState<Answer | null>(null);
  const answers = [...(answer ? [answer] : []), ...kept];
  const { value, failure, again } = useTrials(placed, answers);
  const trials = value ?? [];
  const { Try, typed } = useFaces(question.kind);
  const keep = () => {
    if (!answer) return;
    onKept([answer, ...kept.filter((other) => JSON.stringify(other) !== JSON.stringify(answer))].slice(0, 8));
    setAnswer(null);
  };
  return (
    <section aria-labelledby="try-answer" className="pt-4">
      <h2 id="try-answer" className="text-[15px]">
        Try an answer to question {number}
      </h2>
      <div className="mt-1.5">
        <Try
          question={question}
          context={readingOf(question, quiz.content)}
          value={answer}
          onChange={setAnswer}
          onKeep={keep}
        />
      </div>
      {failure && <Failed className="mt-2" text={readingFailed(failure)} onAgain={again} />}
      <ul aria-live="polite">
        {answers.map((tried, index) => {
          const trial = trials[index];
          return trial && trials.length === answers.length ? (
            <TrialRow key={index} question={question} answer={tried} trial={trial} open={index === 0} />
          ) : null;
        })}
      </ul>
      {answers.length === 0 && (
        <p className="mt-2 text-[14px] text-soft">
          What comes back appears here as you type: the points, the feedback, and how it was decided.
        </p>
      )}
      {answer && !typed && (
        <button type="button" className="btn btn-outline btn-xs mt-2" onClick={keep}>
          Keep this answer
        </button>
      )}
      {answer && typed && <p className="caption mt-1">Enter keeps it and tries another.</p>}
    </section>
  );
}
